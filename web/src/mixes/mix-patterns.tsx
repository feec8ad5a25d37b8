/** Fill of a share by what it is: pattern as well as colour. */
const fills: Record<string, string> = {
  binder: 'var(--concrete)',
  'binder-part': 'var(--concrete)',
  aggregate: 'url(#mix-sand)',
  lightweight: 'url(#mix-light)',
  organic: 'url(#mix-organic)',
  'pre-blend': 'var(--concrete)',
  'powder-pigment': 'url(#mix-pigment)',
  'liquid-pigment': 'url(#mix-pigment)',
  paint: 'url(#mix-pigment)',
  'micro-fibre': 'url(#mix-fibre)',
  'glass-fibre': 'url(#mix-fibre)',
  chips: 'url(#mix-chips)',
  water: 'var(--water)',
  air: 'url(#mix-air)',
};

/** Fill of what a mix is made of. */
export const fillOf = (kind: string): string => fills[kind] ?? 'var(--concrete)';

/** The patterns that the fills go by; drawn once in each picture that uses them. */
export function MixPatterns() {
  return (
    <defs>
      <pattern id="mix-sand" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="#cdb083" />
        <circle cx="2" cy="2" r="1.1" fill="#8a6a3c" />
        <circle cx="6" cy="5.500" r="1.300" fill="#8a6a3c" />
      </pattern>
      <pattern id="mix-light" width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="#ece7da" />
        <circle cx="4" cy="4" r="3" fill="#fff" stroke="#b9b09c" />
        <circle cx="10" cy="10" r="2" fill="#fff" stroke="#b9b09c" />
      </pattern>
      <pattern id="mix-organic" width="9" height="9" patternUnits="userSpaceOnUse">
        <rect width="9" height="9" fill="#6b5138" />
        <path d="M1 7l4-5M5 8l3-3" stroke="#a98a63" />
      </pattern>
      <pattern id="mix-pigment" width="4" height="4" patternUnits="userSpaceOnUse">
        <rect width="4" height="4" fill="var(--color-accent)" />
      </pattern>
      <pattern id="mix-fibre" width="9" height="6" patternUnits="userSpaceOnUse">
        <rect width="9" height="6" fill="#ece7da" />
        <path d="M0 5q4-6 9-2" fill="none" stroke="#8a6a3c" />
      </pattern>
      <pattern id="mix-chips" width="12" height="11" patternUnits="userSpaceOnUse">
        <rect width="12" height="11" fill="#cfc8b8" />
        <path d="M1 2l4-1 2 3-4 2zM7 7l3-2 2 3-3 2z" fill="#7d776b" />
      </pattern>
      <pattern id="mix-air" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--color-base-100)" />
        <circle cx="3.500" cy="3.500" r="2" fill="none" stroke="currentColor" opacity="0.5" />
      </pattern>
    </defs>
  );
}
