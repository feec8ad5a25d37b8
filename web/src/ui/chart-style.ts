/** Colours and letters of charts: drawn as SVG, they may be CSS variables. */
export const INK = 'var(--color-base-content)';
export const inked = (share: number) => `color-mix(in oklab, ${INK} ${share}%, transparent)`;
export const font = { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif", fontSize: 12, color: INK };
