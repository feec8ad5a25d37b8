/** Holes of a patch by grade, 1 (none to speak of) to 5: x, y and radius in a box of 48. Each grade adds to the one before. */
const holes: readonly (readonly (readonly [number, number, number])[])[] = [
  [[31, 17, 0.8]],
  [
    [12, 33, 1.3],
    [37, 36, 1],
    [20, 12, 1.1],
  ],
  [
    [28, 28, 2.2],
    [8, 16, 1.5],
    [41, 22, 1.6],
    [17, 42, 1.4],
    [34, 7, 1.2],
  ],
  [
    [15, 24, 2.9],
    [36, 13, 2.4],
    [26, 40, 2.6],
    [43, 41, 1.9],
    [6, 6, 1.8],
    [23, 20, 1.3],
    [5, 42, 1.4],
  ],
  [
    [33, 25, 4.2],
    [10, 11, 3.3],
    [20, 33, 3.6],
    [43, 9, 2.6],
    [42, 33, 2.4],
    [26, 6, 2.2],
    [8, 28, 2.1],
    [30, 45, 2.4],
    [13, 45, 1.6],
  ],
];

/** A drawn patch of face with as many bubbles as its grade has, 1 to 5. */
export function BubblePatch({ grade }: { grade: number }) {
  return (
    <svg viewBox="0 0 48 48" width={48} height={48} aria-hidden="true">
      <rect width={48} height={48} fill="var(--concrete)" />
      {holes.slice(0, grade).flatMap((some, g) =>
        some.map(([cx, cy, r], i) => (
          <g key={`${g}-${i}`}>
            <circle cx={cx} cy={cy} r={r} fill="#1b150e" opacity={0.72} />
            <path d={`M${cx - r} ${cy}a${r} ${r} 0 0 0 ${2 * r} 0`} fill="#fff" opacity={0.25} />
          </g>
        )),
      )}
    </svg>
  );
}
