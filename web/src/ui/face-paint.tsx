import { defined } from '@dewpot/core/math';
import { marble } from '@dewpot/core/tints';
import type { FaceColouring } from '@dewpot/core/pours';

/** Points across the likeness of a marbling; more would be more than paint can tell. */
const GRID = { width: 132, height: 118 } as const;
const RUNS = { splash: 0.5 } as const;

const made = new Map<string, readonly string[]>();

/** Outlines of each tint of a marbling, in cells of the grid: runs of one tint, row by row. */
function marblePaths(shares: readonly number[], seed: number): readonly string[] {
  const key = `${shares.join()} ${seed}`;
  const known = made.get(key);
  if (known) return known;
  const { at } = marble(shares, seed, GRID.width, GRID.height);
  const paths = shares.map(() => '');
  for (let y = 0; y < GRID.height; y++)
    for (let x = 0; x < GRID.width;) {
      const tint = defined(at[y * GRID.width + x]);
      let end = x + 1;
      while (end < GRID.width && at[y * GRID.width + end] === tint) end++;
      // A little over the edge, so that no seam shows between the runs.
      paths[tint] += `M${x} ${y}h${end - x + 0.08}v1.08h${-(end - x + 0.08)}z`;
      x = end;
    }
  made.set(key, paths);
  return paths;
}

/** Stops of a gradient from the foot (0) to the rim (1): bands with a hard or a soft edge. */
function bandStops({ parts, edge }: FaceColouring): { readonly at: number; readonly colour: string }[] {
  const soft = edge === 'blended' ? 0.025 : 0.002;
  return parts.flatMap(({ colour, to }, i) => {
    const from = parts[i - 1]?.to ?? 0;
    return [
      { at: i === 0 ? 0 : from + soft, colour },
      { at: i === parts.length - 1 ? 1 : Math.max(from + soft, to - soft), colour },
    ];
  });
}

/** Shares by which the tints of a piece are seen: a splash covers half of what it might. */
const seen = ({ kind, parts }: FaceColouring) =>
  parts.map(({ share }, i) => (kind === 'splash' && i > 0 ? share * RUNS.splash : share));

/**
 * Paint for a piece in tints, by `id`: stands in a `defs`. It spans a box whose foot is at y = 0 and whose rim is at
 * −height, px. Splashes and marblings are a likeness by a seeded flow.
 */
export function FacePaint({
  id,
  faceColouring,
  width,
  height,
}: {
  id: string;
  faceColouring: FaceColouring;
  width: number;
  height: number;
}) {
  if (faceColouring.kind === 'banded')
    return (
      <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={0} x2={0} y1={0} y2={-height}>
        {bandStops(faceColouring).map(({ at, colour }, i) => (
          <stop key={i} offset={at} stopColor={colour} />
        ))}
      </linearGradient>
    );
  return (
    <pattern
      id={id}
      patternUnits="userSpaceOnUse"
      x={-width / 2}
      y={-height * 1.1}
      width={Math.max(1, width)}
      height={Math.max(1, height * 1.2)}
      viewBox={`0 0 ${GRID.width} ${GRID.height}`}
      preserveAspectRatio="none"
    >
      <rect width={GRID.width} height={GRID.height} fill={defined(faceColouring.parts[0]).colour} />
      {marblePaths(seen(faceColouring), faceColouring.seed ?? 1).map((d, i) => (
        <path key={i} d={d} fill={defined(faceColouring.parts[i]).colour} />
      ))}
    </pattern>
  );
}

/** The same face in other colours: as it looks wet, or by lamplight. */
export const recoloured = (faceColouring: FaceColouring, change: (colour: string) => string): FaceColouring => ({
  ...faceColouring,
  parts: faceColouring.parts.map((part) => ({ ...part, colour: change(part.colour) })),
});
