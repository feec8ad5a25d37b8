import { regionArea } from '../solids/index.js';
import { formatQuantity } from '../units/index.js';
import { cavityOf, regionAt } from './cavity.js';
import type { GrainCheck } from './extras.js';
import { DISAGREES } from './measured-volume.js';
import type { MouldShape, MouldStuff } from './mould.js';
import { pieceGuides, type PieceKind } from './uses.js';
import { baseThickness, jammingTubes, lockedBlanks, type ThinPlace, type Undercut } from './walls.js';

/** Pressure from which a soft wall bulges, kPa. */
const BULGE_PRESSURE = 2;

/** How a mould is used: what its warnings go by. */
export interface MouldUse {
  readonly stuff: MouldStuff;
  readonly piece: PieceKind;
  /** A soft mould stands in a sleeve. */
  readonly sleeve?: boolean;
  /** Largest grain of the mix, mm. */
  readonly largestGrain?: number;
  /** Opening of the mesh that is laid in, mm. */
  readonly meshOpening?: number;
}

/** Stretch, as a share of its half width, that a soft mould is trusted with. */
const MOST_STRETCH = 0.25;

/** Level area at its bottom from which a mould stands by itself, mm². */
const STANDS_ON = 100;

const mm = (n: number) => formatQuantity(n, 'mm', 'metric');

function thinness(shape: MouldShape, { piece }: MouldUse, thinnest?: ThinPlace): string[] {
  const { outer } = cavityOf(shape);
  const guide = pieceGuides[piece];
  const thin = Math.min(thinnest?.thickness ?? Infinity, baseThickness(shape));
  const { box } = outer.body.regionAt(outer.body.height);
  const span = guide.ofSpan ? Math.max(box.x1 - box.x0, box.y1 - box.y0) * guide.ofSpan : 0;
  const found: string[] = [];
  if (thin < guide.leastWall)
    found.push(`Its thinnest place is ${mm(thin)}; for a ${guide.name} the guide is at least ${guide.leastWall} mm.`);
  if (thin < span) found.push(`It is ${mm(thin)} thick; for its span the guide is at least a tenth, ${mm(span)}.`);
  const { solid } = outer;
  if (solid.kind === 'leaf' && (solid.edge < 12 || solid.middle < 20))
    found.push('A leaf cast wants at least 12 mm at its edge and 20 mm in the middle.');
  return found;
}

function halfOpening(shape: MouldShape): number {
  const { outer, rim } = cavityOf(shape);
  const { box } = regionAt(outer, rim);
  return Math.min(box.x1 - box.x0, box.y1 - box.y0) / 2;
}

function letsGo(shape: MouldShape, { stuff }: MouldUse, held: Undercut | undefined): string[] {
  const found: string[] = [];
  if (held && stuff === 'rigid')
    found.push(
      `The mould narrows towards its opening by ${mm(held.overhang)} at ${mm(held.height)} up: a rigid one-piece mould cannot let the cast go. Split it, or use a flexible one.`,
    );
  if (held && stuff === 'flexible' && held.overhang > MOST_STRETCH * halfOpening(shape))
    found.push(`It must stretch by ${mm(held.overhang)} on each side to let the cast go: try it empty first.`);
  for (const name of lockedBlanks(shape))
    found.push(`${name} widens downwards: it would be locked into the cast. Turn it over, or slit it.`);
  if (stuff === 'rigid') {
    for (const name of jammingTubes(shape))
      found.push(`${name} has no draft and will jam: split and tape it beforehand, or slit it.`);
  }
  return found;
}

/** A mould that comes to a point, an edge or a round at its bottom does not stand by itself. */
function stands(shape: MouldShape): string[] {
  const { outer } = cavityOf(shape);
  if (regionArea(outer.body.regionAt(0)) > STANDS_ON) return [];
  return ['It has no flat bottom to stand on: bed it in damp sand or in a ring, its open face level both ways.'];
}

function presses(shape: MouldShape, { stuff, sleeve = false }: MouldUse, pressure: number): string[] {
  if (pressure <= BULGE_PRESSURE) return [];
  const found: string[] = [];
  if (stuff === 'flexible' && !sleeve)
    found.push(
      `Fluid mix presses ${pressure.toFixed(1)} kPa on the wall: a soft mould this tall wants a sleeve, or it bulges.`,
    );
  const soft = cavityOf(shape).cores.find(({ placed }) => placed.soft);
  if (soft)
    found.push(
      `${soft.name} is soft and is pressed inwards with ${pressure.toFixed(1)} kPa: fill it with the sand that weights it.`,
    );
  return found;
}

/** What was reckoned of a mould already and its warnings go by: pressure at its bottom in kPa, volume in mL. */
export interface KnownOfMould {
  readonly pressure: number;
  readonly computedVolume: number;
  readonly thinnest: ThinPlace | undefined;
  readonly undercut: Undercut | undefined;
  readonly grain: GrainCheck | undefined;
}

/** What to beware of with a mould, as sentences. */
export function mouldWarnings(
  shape: MouldShape,
  use: MouldUse,
  { pressure, computedVolume, thinnest, undercut, grain }: KnownOfMould,
): string[] {
  const found = [...thinness(shape, use, thinnest), ...letsGo(shape, use, undercut)];
  if (!shape.pressed) found.push(...stands(shape), ...presses(shape, use, pressure));
  if (grain?.advice) found.push(grain.advice);
  const off = shape.measured ? shape.measured.volume / computedVolume - 1 : 0;
  if (Math.abs(off) > DISAGREES)
    found.push(
      `Measured and reckoned volume differ by ${Math.abs(off * 100).toFixed(0)} %: measure the mould’s sizes again, or look for a core that was left out.`,
    );
  return found;
}
