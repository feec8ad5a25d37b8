import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import type { PieceKind, PlacedSolid } from '../../geometry/moulds/index.js';
import type { Shell, Solid } from '../../geometry/solids/index.js';
import { starters } from '../../mixing/mixes/index.js';
import { cone, recipeOfStarter, threePots } from '../../testing/examples.js';
import { placingsOf, calculateSheet, type PourItem, type PourPlan } from '../pours/index.js';
import { judgePour, type MouldTraits } from './index.js';

/** What a checker of its own knows of a kind of mould, written down by hand, mm. */
interface Kind {
  readonly outer: Solid;
  readonly piece: PieceKind;
  readonly flexibility: MouldTraits['flexibility'];
  readonly cores?: readonly PlacedSolid[];
  readonly pressed?: Shell;
  /** Narrowest place, thickest section, and the least wall that its use asks for. */
  readonly gap: number;
  readonly thick: number;
  readonly least: number;
  /** How it is filled in a mix that flows. */
  readonly filled: 'round a core' | 'solid' | 'slab' | 'pressed' | 'strip';
  readonly mesh?: true;
  /** A stiff straight form that the cast shrinks on to. */
  readonly jams?: true;
}

const box = (length: number, width: number, height: number): Solid => ({
  kind: 'rect-frustum', bottomLength: length, bottomWidth: width, topLength: length, topWidth: width, height, cornerRadius: 0,
}); // prettier-ignore
const core = (solid: Solid, bottom: number): PlacedSolid => ({ name: 'The core', solid, bottom });
const pipe = (at: number): PlacedSolid => ({
  ...core({ kind: 'lying-pipe', diameter: 20, run: 400 }, 12),
  name: `Pipe ${at}`,
  y: at,
});

const kinds: Record<string, Kind> = {
  'nested pot': { outer: cone(160, 200, 180), piece: 'pot', flexibility: 'rigid', cores: [core(cone(118, 158, 158), 22)], gap: 20.8, thick: 22, least: 12, filled: 'round a core' },
  'thin jar': { outer: cone(90, 94, 100), piece: 'small-pot', flexibility: 'flexible', cores: [core(cone(72, 76, 90), 10)], gap: 9, thick: 10, least: 8, filled: 'round a core' },
  'trough of boards': { outer: box(500, 300, 220), piece: 'trough', flexibility: 'apart', cores: [core(box(400, 200, 170), 50)], gap: 50, thick: 50, least: 45, filled: 'round a core' },
  'stepping round': { outer: cone(380, 384, 45), piece: 'slab', flexibility: 'rigid', gap: 45, thick: 45, least: 40, filled: 'slab' },
  'pipe in a pipe': { outer: cone(152, 152, 200), piece: 'ornament', flexibility: 'apart', cores: [core(cone(100, 100, 200), 0)], gap: 26, thick: 26, least: 8, filled: 'round a core' },
  'hexagon dish': { outer: { kind: 'polygon-frustum', sides: 6, bottomAcross: 200, topAcross: 220, height: 25 }, piece: 'dish', flexibility: 'flexible', gap: 25, thick: 25, least: 8, filled: 'solid' },
  'shell over a box': { outer: box(350, 250, 200), piece: 'hypertufa-pot', flexibility: 'rigid', pressed: { side: 'over', thickness: 40 }, gap: 40, thick: 40, least: 35, filled: 'pressed', jams: true },
  'bowl inside a tub': { outer: cone(200, 260, 120), piece: 'dish', flexibility: 'rigid', pressed: { side: 'inside', thickness: 20 }, gap: 20, thick: 20, least: 8, filled: 'pressed' },
  'leaf on sand': { outer: { kind: 'leaf', area: 60_000, middle: 22, edge: 13 }, piece: 'leaf', flexibility: 'flexible', gap: 13, thick: 22, least: 12, filled: 'pressed' },
  'ring of strips': { outer: { kind: 'ring', innerDiameter: 300, width: 70, depth: 40 }, piece: 'ornament', flexibility: 'apart', gap: 40, thick: 40, least: 8, filled: 'strip' },
  'panel with pipes': { outer: box(600, 400, 45), piece: 'panel', flexibility: 'apart', cores: [], gap: 12, thick: 45, least: 20, filled: 'slab', mesh: true },
  'solid ball foot': { outer: cone(120, 160, 90), piece: 'ornament', flexibility: 'flexible', gap: 90, thick: 90, least: 8, filled: 'solid' },
  'lamp in a sleeve': { outer: cone(180, 160, 150), piece: 'lamp', flexibility: 'apart', cores: [core(cone(120, 130, 130), 20)], gap: 16, thick: 20, least: 20, filled: 'round a core' },
}; // prettier-ignore

/** What the checker knows of each starter mix: grain and the least wall it stands, mm; how wet; what it is. */
const mixes: Record<string, { grain: number; least: number; grade: number; quick?: true; wet?: true; light?: true; walked?: true; portland?: true }> = {
  garden: { grain: 4, least: 12, grade: 5, walked: true, portland: true },
  fine: { grain: 1, least: 0, grade: 5, walked: true, portland: true },
  leaf: { grain: 4, least: 12, grade: 2, walked: true, portland: true },
  paver: { grain: 10, least: 12, grade: 4, walked: true, portland: true },
  'tufa-peat': { grain: 6, least: 35, grade: 3, light: true, portland: true },
  'tufa-coir': { grain: 6, least: 35, grade: 3, light: true, portland: true },
  light: { grain: 6, least: 20, grade: 4, light: true, portland: true },
  beads: { grain: 2, least: 0, grade: 4, light: true, portland: true },
  quick: { grain: 1, least: 0, grade: 5, quick: true, walked: true },
  gypsum: { grain: 0.1, least: 0, grade: 6, quick: true, wet: true },
  level: { grain: 0.5, least: 0, grade: 6, quick: true, wet: true },
  patch: { grain: 1, least: 0, grade: 3, quick: true, walked: true },
  bagged: { grain: 4, least: 12, grade: 4, walked: true, portland: true },
}; // prettier-ignore

const planOf = (kind: Kind, key: string): PourPlan => {
  const { outer, piece, cores = [], pressed, filled } = kind;
  const inserts = filled === 'slab' && piece === 'panel' ? [-100, 100].map(pipe) : [];
  const item: PourItem = { mouldId: 'm', name: 'It', shape: { outer, cores, inserts, ...(pressed && { pressed }) }, piece, count: 1, ...(kind.mesh && { mesh: true }) }; // prettier-ignore
  const one = starters.find((each) => each.key === key)!;
  const conditions = { moistCuringDays: one.moistCuringDays };
  return threePots({ items: [item], mix: recipeOfStarter(one), binderClass: one.binderClass, conditions, measuring: 'scale', scaleStep: 1, moisture: {}, liftLimit: 1e6 }); // prettier-ignore
};

const pots: readonly PieceKind[] = ['pot', 'hypertufa-pot', 'trough'];

/** The keys that the checker's own table says must be found, and those that must not. */
function table(kind: Kind, key: string): Record<string, boolean> {
  const mix = mixes[key]!;
  const dense = mix.grade <= 3 || key.startsWith('tufa') || key === 'leaf';
  const packed = dense && kind.filled !== 'pressed' && kind.filled !== 'strip' && kind.filled !== 'slab';
  const wanted = { 'round a core': [5, 6], solid: [4, 6], slab: [3, 5], pressed: [1, 3], strip: [4, 6] }[kind.filled];
  const [low, high] = packed ? [1, 4] : wanted;
  return {
    grain: mix.grain > kind.gap / 3,
    wall: (kind.cores?.length || kind.pressed ? kind.gap : kind.thick) < Math.max(kind.least, mix.least) - 1e-6,
    consistency: !mix.quick && (mix.grade < low! || mix.grade > high!),
    'wet-binder': mix.wet === true && (kind.piece === 'slab' || pots.includes(kind.piece)),
    'thick-section': mix.quick === true && kind.thick >= 60,
    strength: kind.piece === 'slab' && !mix.walked && !mix.wet,
    'no-draft': kind.jams === true,
    'pot-life': false,
  };
}

const words = (plan: PourPlan) => placingsOf(plan)[0]!.steps.map(({ text }) => english(text)).join(' '); // prettier-ignore

describe.each(Object.entries(kinds))('%s', (name, kind) => {
  it.each(Object.keys(mixes))('in %s: what is found is what the table says, and the steps fit', (key) => {
    const plan = planOf(kind, key);
    const sheet = calculateSheet(plan);
    const { findings } = judgePour(plan, sheet, { moulds: { m: { flexibility: kind.flexibility, sleeve: true } } });
    const found = new Set<string>(findings.map((one) => one.key));
    const expected = table(kind, key);
    expect(Object.fromEntries(Object.keys(expected).map((one) => [one, found.has(one)]))).toEqual(expected);
    for (const { remedies } of findings) expect(remedies.length).toBeGreaterThan(0);

    const text = words(plan);
    if (kind.filled === 'pressed') expect(text).not.toMatch(/\bpour|bubbles/i);
    if (!kind.cores?.length) expect(text).not.toMatch(/round the core/);
    if (kind.piece === 'slab') expect(text).toMatch(/straight edge/);
    if (name === 'leaf on sand') expect(text).toMatch(/in the middle/);
    if (mixes[key]!.quick) expect(text).not.toMatch(/a fifth|20 to 60/);
    if (kind.mesh) expect(text).toMatch(/mesh/i);
  });

  it.each(Object.keys(mixes))('in %s by the scale adds up to the gram, and is never short', (key) => {
    const plan = planOf(kind, key);
    const { bucketfuls, pieces, leftover } = calculateSheet(plan);
    for (const { measured } of bucketfuls)
      for (const { measured: dry, mass, measures } of measured.lines) {
        const told = measures.reduce((sum, one) => sum + (one.kind === 'scale' ? one.mass : NaN), 0);
        expect(told).toBeCloseTo(dry, 6);
        expect(told).toBeCloseTo(Math.round(told), 6);
        expect(Math.abs(told - mass) / mass).toBeLessThan(0.03 + 1 / mass);
      }
    const held = pieces.reduce((sum, { volume, count }) => sum + volume.value * count, 0);
    expect(leftover.value / held).toBeGreaterThanOrEqual(plan.spare - 0.001 - 3 / held);
    expect(leftover.value / held).toBeLessThan(plan.spare + 0.005 + 6 / held);
  });
});
