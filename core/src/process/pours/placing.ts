import { msg, type Message } from '../../foundation/units/index.js';
import { rimOf } from '../../geometry/moulds/index.js';
import type { ShellSide } from '../../geometry/solids/index.js';
import { setsInMinutes } from '../../mixing/binders/index.js';
import type { PourItem, PourPlan } from './plan.js';

/** How a mix is brought into a mould. */
export const placingWays = [
  'poured solid',
  'poured round a core',
  'packed',
  'slab',
  'panel',
  'strips on a board',
  'leaf on sand',
  'pressed over a form',
  'pressed inside a form',
  'pressed against a form',
] as const;
export type PlacingWay = (typeof placingWays)[number];

/** Each way in words. */
export const placingWords: Record<PlacingWay, Message> = {
  'poured solid': msg('pours.wayPouredSolid'),
  'poured round a core': msg('pours.wayPouredRoundCore'),
  packed: msg('pours.wayPacked'),
  slab: msg('pours.waySlab'),
  panel: msg('pours.wayPanel'),
  'strips on a board': msg('pours.wayStrips'),
  'leaf on sand': msg('pours.wayLeaf'),
  'pressed over a form': msg('pours.wayPressedOver'),
  'pressed inside a form': msg('pours.wayPressedInside'),
  'pressed against a form': msg('pours.wayPressedAgainst'),
};

const STRIPS: readonly string[] = ['ring', 'arc', 'spiral'];
const PRESSED: Record<ShellSide, PlacingWay> = {
  over: 'pressed over a form',
  inside: 'pressed inside a form',
  against: 'pressed against a form',
};

/** Stiffer than this, or packed by its recipe, a mix does not flow: it is packed in by hand. */
const FLOWS_FROM = 4;

/** How a plan's mix is brought into one of its moulds. */
export function placingOf(
  { shape, piece }: Pick<PourItem, 'shape' | 'piece'>,
  { mix }: Pick<PourPlan, 'mix'>,
): PlacingWay {
  const { outer, pressed, cores } = shape;
  if (pressed) return PRESSED[pressed.side];
  if (outer.kind === 'leaf') return 'leaf on sand';
  if (STRIPS.includes(outer.kind)) return 'strips on a board';
  if (piece === 'slab') return 'slab';
  if (piece === 'panel') return 'panel';
  if (mix.packed || mix.grade < FLOWS_FROM) return 'packed';
  return cores.length > 0 ? 'poured round a core' : 'poured solid';
}

/** Height under which a mould is filled in one lift, mm. */
const LOW = 60;

/** Whether a mould is filled in one lift: low ones, and whatever sets in minutes; mesh wants two. */
export const isOneLift = (
  { shape, fillTo = rimOf(shape), mesh }: PourItem,
  { binderClass }: Pick<PourPlan, 'binderClass'>,
): boolean => !mesh && (fillTo <= LOW || setsInMinutes(binderClass));
