// @ts-check
import { middle } from './bench-moulds.mjs';

/** A row of the bench. @typedef {(what: string, value: string, aim?: string) => void} Note */

const WAYS = { density: 2.1, liftLimit: 25_000 };

/** Patterns that take longest of their kind. @type {readonly import('@dewpot/core/patterns').CutPattern[]} */
const patterns = [
  { kind: 'solid', which: 'rhombicuboctahedron', edge: 70, open: 'square', board: 3, joint: 'mitred' },
  { kind: 'strip', line: { shape: 'spiral', start: 110, pitch: 150, turns: 8 }, channel: 60, height: 50, strip: 1.5, sheet: 1200, overlap: 40 }, // prettier-ignore
  {
    kind: 'strip',
    line: { shape: 'heart', width: 400 },
    channel: 60,
    height: 50,
    strip: 1.5,
    sheet: 1200,
    overlap: 40,
  },
  { kind: 'gap', sides: [820, 529, 625, 663, 485], diagonals: [{ from: 0, to: 2, length: 1087 }, { from: 0, to: 3, length: 944 }, { from: 1, to: 3, length: 960 }, { from: 1, to: 4, length: 1051 }, { from: 2, to: 4, length: 1081 }], joint: 10, thickness: 45, board: 18 }, // prettier-ignore
];

/** What a change of a size takes, and what cutting takes: forty lengths from the fewest sticks, sixty outlines on sheets. @param {Note} note */
export async function patternsAndCutting(note) {
  const { folded, workPattern } = await import('@dewpot/core/patterns');
  const { cutLengths } = await import('@dewpot/core/cutting');
  const { loadSolver } = await import('@dewpot/core/solver');
  for (const pattern of patterns) {
    const name = pattern.kind === 'strip' ? pattern.line.shape : pattern.kind;
    const took = middle(() => folded(workPattern(pattern, WAYS).pieces, 0.5));
    note(`pattern, ${name}: worked out and folded, ms`, took.toFixed(1), '< 16');
  }
  const solve = await loadSolver();
  const slowest = [137, 211, 89].map((stride) => {
    const wanted = Array.from({ length: 40 }, (_, i) => ({
      key: `${i}`,
      length: 120 + ((i * stride) % 640),
      count: 1,
    }));
    const begun = performance.now();
    const cut = cutLengths(wanted, [{ key: 'stick', length: 2400, count: 50 }], 3, { solve, seconds: 20, clock: () => performance.now() / 1000 }); // prettier-ignore
    return { took: (performance.now() - begun) / 1000, best: cut?.best === true };
  });
  const took = Math.max(...slowest.map((one) => one.took));
  note('forty lengths from the fewest sticks, s', `${took.toFixed(2)}${slowest.every((one) => one.best) ? ', proven' : ''}`, '< 2, proven'); // prettier-ignore
  await outlinesOnSheets(note);
}

/** Sixty outlines of twenty kinds, a third of them stars, on sheets of 1,220 × 610 mm. @param {Note} note */
async function outlinesOnSheets(note) {
  const { laySheets } = await import('@dewpot/core/cutting');
  const wanted = Array.from({ length: 20 }, (_, kind) => {
    const [corners, star] = [3 + ((kind * 7) % 6), kind % 3 === 0];
    const points = star ? 2 * corners : corners;
    const outline = Array.from({ length: points }, (__, i) => {
      const [turn, far] = [(2 * Math.PI * i) / points, (60 + ((kind * 53) % 140)) * (star && i % 2 ? 0.6 : 1)];
      return /** @type {const} */ ([far * Math.cos(turn), far * Math.sin(turn)]);
    });
    return { key: `${kind}`, count: 3, grain: false, outline };
  });
  const sheets = [{ key: 'ply', length: 1220, width: 610, count: 20 }];
  const begun = performance.now();
  /** @type {number[]} */
  const heard = [];
  laySheets(wanted, sheets, { kerf: 3, saw: false, seed: 1, seconds: 9, clock: () => performance.now() / 1000, onBetter: () => heard.push(performance.now() - begun) }); // prettier-ignore
  note('sixty outlines on sheets: first layout, s', ((heard[0] ?? NaN) / 1000).toFixed(2), '< 1');
  note('sixty outlines on sheets: better ones in 9 s', String(heard.length - 1));
}
