import { defined } from '../../foundation/math/index.js';
import { isOneLift, pieceVolume, type Bucketful, type Filling, type PourPlan } from '../pours/index.js';
import { mouldKey } from './steps.js';

/** Lifts of a poured mould: a third first, worked into the corners; low ones at once. */
const FIRST_LIFT = 1 / 3;
/** Mesh is laid in at this share of what a mould takes. */
const MESH_AT = 1 / 2;
const HAIR = 1e-6;

/** A filling, or the part of it that goes in with one lift. */
export interface LiftFill extends Filling {
  /** Of what the filling takes. */
  readonly share: number;
}

/** mL already in a mould before a filling, by its key. */
export type Filled = Map<string, number>;

/** What lifts are made from. */
interface Bench {
  readonly plan: PourPlan;
  readonly part: number;
}

export const isPressed = ({ plan }: Bench, { item }: Filling) => defined(plan.items[item]).shape.pressed !== undefined;

/** Of a filling, the share after which mesh is laid in; undefined where that is not within it. */
function meshShare({ plan, part }: Bench, filling: Filling, filled: Filled): number | undefined {
  const item = defined(plan.items[filling.item]);
  if (!item.mesh) return undefined;
  const before = filled.get(mouldKey(part, filling, defined(filling.copies[0]))) ?? 0;
  const share = (pieceVolume(item) * MESH_AT - before) / filling.each;
  return share > HAIR && share < 1 + HAIR ? Math.min(1, share) : undefined;
}

function firstShare(bench: Bench, filling: Filling, filled: Filled): number {
  const once = filling.layer !== undefined || isOneLift(defined(bench.plan.items[filling.item]), bench.plan);
  return meshShare(bench, filling, filled) ?? (once ? 1 : FIRST_LIFT);
}

/** The fillings of a bucketful lift by lift: every mould its first, then every mould its rest. Pressed ones have no lifts. */
export function liftsOf(bench: Bench, { fillings }: Bucketful, filled: Filled): LiftFill[][] {
  const part = (filling: Filling, share: number): LiftFill => ({ ...filling, each: filling.each * share, share });
  const poured = fillings
    .filter((filling) => !isPressed(bench, filling))
    .map((filling) => ({ filling, share: firstShare(bench, filling, filled) }));
  const first = poured.map(({ filling, share }) => part(filling, share));
  const rest = poured.filter(({ share }) => share < 1 - HAIR).map(({ filling, share }) => part(filling, 1 - share));
  return [first, rest].filter((lift) => lift.length > 0);
}

/** Of a lift that was just filled, the moulds that have mesh laid in now. */
export const meshedNow = (bench: Bench, fills: readonly LiftFill[], filled: Filled): LiftFill[] =>
  fills.filter((fill) => {
    const item = defined(bench.plan.items[fill.item]);
    if (!item.mesh) return false;
    const now = filled.get(mouldKey(bench.part, fill, defined(fill.copies[0]))) ?? 0;
    const at = pieceVolume(item) * MESH_AT;
    return now >= at - HAIR * at && now - fill.each < at * (1 - HAIR);
  });
