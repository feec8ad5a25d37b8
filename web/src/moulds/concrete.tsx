import { VIEW, type SectionFrame } from './section-frame';

/** Tones that tell layers apart where they have no tints of their own, the lowest first. */
const plain = ['var(--layer-1)', 'var(--layer-2)'] as const;

/** What is filled of a section: hatched up to the fill line, in bands where it is poured in layers. */
export function Concrete({
  path,
  frame,
  level,
  layers,
  tones,
}: {
  path: string;
  frame: SectionFrame;
  level: number;
  layers: readonly number[];
  /** Colours of the layers, where they have tints. */
  tones?: readonly string[];
}) {
  const y = frame.y(level);
  const bands = layers.map((top, i) => ({ top: Math.min(top, level), bottom: Math.min(layers[i - 1] ?? 0, level) }));
  return (
    <>
      <defs>
        <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--concrete)" />
          <path d="M0 0V9" stroke="var(--shade)" strokeWidth="1.6" opacity="0.5" />
        </pattern>
        <clipPath id="filled">
          <rect x="0" y={y} width={VIEW.width} height={frame.height - y} />
        </clipPath>
        <clipPath id="section">
          <path d={path} clipRule="evenodd" />
        </clipPath>
      </defs>
      <path d={path} fillRule="evenodd" fill="var(--concrete)" opacity={0.16} />
      <path d={path} fillRule="evenodd" fill="url(#hatch)" clipPath="url(#filled)" />
      {(tones ?? layers).length > (tones ? 0 : 1) && (
        <g clipPath="url(#section)">
          {bands.map(({ top, bottom }, i) => (
            <rect
              key={i}
              x={0}
              width={VIEW.width}
              y={frame.y(top)}
              height={Math.max(0, frame.y(bottom) - frame.y(top))}
              fill={tones ? tones[i] : plain[i % 2]}
              opacity={tones ? 0.88 : 0.5}
            />
          ))}
        </g>
      )}
    </>
  );
}
