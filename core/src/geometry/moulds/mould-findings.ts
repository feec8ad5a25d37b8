import { formatQuantity, remedies, worstFirst, type Finding } from '../../foundation/units/index.js';
import { regionArea } from '../solids/index.js';
import { cavityOf, regionAt } from './cavity.js';
import { DISAGREES } from './measured-volume.js';
import type { GrainCheck } from './mesh-and-grain.js';
import type { MouldShape, MouldFlexibility } from './mould.js';
import { pieceGuides, type PieceKind } from './piece-kinds.js';
import { jammingTubes, lockedBlanks, type Undercut } from './undercut.js';
import { baseThickness, type ThinPlace } from './walls.js';

/** Pressure from which a soft wall bulges, kPa. */
const BULGE_PRESSURE = 2;

/** How a mould is used: what speaks against it goes by this. */
export interface MouldUse {
  /** What its wall is; nothing is said of how the cast comes out where that is not known. */
  readonly flexibility?: MouldFlexibility;
  readonly piece: PieceKind;
  /** A soft mould stands in a sleeve. */
  readonly sleeve?: boolean;
  /** Largest grain of the mix, mm. */
  readonly largestGrain?: number;
  /** Opening of the mesh that is laid in, mm. */
  readonly meshOpening?: number;
  /** Least wall in the mix that goes in, mm; the piece's own guide where no mix is named. */
  readonly leastWall?: number;
}

/** Stretch, as a share of its half width, that a soft mould is trusted with. */
const MOST_STRETCH = 0.25;

/** Level area at its bottom from which a mould stands by itself, mm². */
const STANDS_ON = 100;

const mm = (n: number) => formatQuantity(n, 'mm', 'metric');

const THICKER = remedies('Use a smaller core, or a thicker layer.', 'Choose a stronger, finer mix, and demould late.');

function thinness(shape: MouldShape, { piece, leastWall }: MouldUse, thinnest?: ThinPlace): Finding[] {
  const { outer } = cavityOf(shape);
  const guide = pieceGuides[piece];
  const least = leastWall ?? guide.leastWall;
  const thin = Math.min(thinnest?.thickness ?? Infinity, baseThickness(shape));
  const { box } = outer.body.regionAt(outer.body.height);
  const span = guide.ofSpan ? Math.max(box.x1 - box.x0, box.y1 - box.y0) * guide.ofSpan : 0;
  const found: Finding[] = [];
  const weak = { harm: 2, reason: 'Thin places break at demoulding and dry out first.', basis: 'guide' } as const;
  if (thin < least * (1 - 1e-9))
    found.push({
      ...weak,
      key: 'wall',
      text: `Its thinnest place is ${mm(thin)}; for a ${guide.name} the guide is at least ${least} mm.`,
      remedies: THICKER,
    });
  if (thin < span)
    found.push({
      ...weak,
      key: 'span',
      text: `It is ${mm(thin)} thick; for its span the guide is at least a tenth, ${mm(span)}.`,
      reason: 'A slab that is thin for its span cracks across when it is lifted or stepped on.',
      remedies: remedies('Fill it higher, or lay mesh in it.', 'Cast it in two smaller slabs.'),
    });
  const { solid } = outer;
  if (solid.kind === 'leaf' && (solid.edge < 12 || solid.middle < 20))
    found.push({
      ...weak,
      key: 'leaf-thickness',
      text: `A leaf cast wants at least 12 mm at its edge and 20 mm in the middle; this is ${mm(solid.edge)} and ${mm(solid.middle)}.`,
      remedies: remedies('Lay it thicker: check with a marked pin.'),
    });
  return found;
}

function halfOpening(shape: MouldShape): number {
  const { outer, rim } = cavityOf(shape);
  const { box } = regionAt(outer, rim);
  return Math.min(box.x1 - box.x0, box.y1 - box.y0) / 2;
}

const stuck = { harm: 2, basis: 'calculated' } as const;

function heldFinding(
  shape: MouldShape,
  flexibility: MouldFlexibility,
  { overhang, height }: Undercut,
): Finding | undefined {
  if (flexibility === 'rigid')
    return {
      ...stuck,
      key: 'undercut',
      text: `Undercut: ${mm(overhang)} at ${mm(height)}. A rigid one-piece mould cannot release the cast.`,
      reason: 'What is wider below than above does not slide out.',
      remedies: remedies('Split it, or use a flexible one.'),
    };
  if (flexibility !== 'flexible' || overhang <= MOST_STRETCH * halfOpening(shape)) return undefined;
  return {
    ...stuck,
    harm: 3,
    key: 'stretch',
    text: `It must stretch by ${mm(overhang)} on each side to let the cast go.`,
    reason: 'A soft wall is trusted with a quarter of its half width.',
    remedies: remedies('Try it empty first.', 'Slit it on one side, and tape the slit.'),
  };
}

function letsGo(shape: MouldShape, { flexibility }: MouldUse, undercut: Undercut | undefined): Finding[] {
  const held = undercut && flexibility && heldFinding(shape, flexibility, undercut);
  const locked = lockedBlanks(shape).map((name): Finding => ({
    ...stuck,
    key: 'locked-core',
    text: `${name} widens downwards: it would be locked into the cast.`,
    reason: 'A core comes out upwards; what is wider below cannot.',
    remedies: remedies('Turn it over, or slit it.'),
  }));
  const jams = (flexibility === 'rigid' ? jammingTubes(shape) : []).map((name): Finding => ({
    ...stuck,
    key: 'no-draft',
    text: `${name} has no draft and will jam.`,
    reason: 'A stiff straight tube grips the cast as it shrinks.',
    remedies: remedies(
      'Split and tape it beforehand, or slit it.',
      'Turn a pipe first, and pull it while the mix is green.',
    ),
  }));
  return [...(held ? [held] : []), ...locked, ...jams];
}

/** A mould that comes to a point, an edge or a round at its bottom does not stand by itself. */
function stands(shape: MouldShape): Finding[] {
  const { outer } = cavityOf(shape);
  if (regionArea(outer.body.regionAt(0)) > STANDS_ON) return [];
  return [
    {
      key: 'no-flat-base',
      harm: 3,
      text: 'It has no flat bottom to stand on.',
      reason: 'Out of level, one side comes out thicker.',
      basis: 'calculated',
      remedies: remedies('Bed it in damp sand or in a ring, its open face level both ways.'),
    },
  ];
}

function presses(shape: MouldShape, { flexibility, sleeve = false }: MouldUse, pressure: number): Finding[] {
  if (pressure <= BULGE_PRESSURE) return [];
  const found: Finding[] = [];
  const reason = `Above ${BULGE_PRESSURE} kPa a soft wall bulges: about 100 mm of fluid mix.`;
  if (flexibility === 'flexible' && !sleeve)
    found.push({
      key: 'bulge',
      harm: 2,
      text: `Fluid mix exerts ${pressure.toFixed(1)} kPa. Support this mould to prevent bulging.`,
      reason,
      basis: 'calculated',
      remedies: remedies('Put a stiff sleeve or a box of sand round it.', 'Fill it in lower lifts, each on a set one.'),
    });
  const soft = cavityOf(shape).cores.find(({ placed }) => placed.soft);
  if (soft)
    found.push({
      key: 'soft-core',
      harm: 3,
      text: `${soft.name} is soft and is pressed inwards with ${pressure.toFixed(1)} kPa: fill it with the sand that weights it.`,
      reason,
      basis: 'calculated',
      remedies: remedies('Pour the sand in before the mix.'),
    });
  return found;
}

/** What was calculated of a mould already: pressure at its bottom in kPa, volume in mL. */
export interface KnownOfMould {
  readonly pressure: number;
  readonly computedVolume: number;
  readonly thinnest: ThinPlace | undefined;
  readonly undercut: Undercut | undefined;
  readonly grain: GrainCheck | undefined;
}

function grainFinding({ passes, largest, advice }: GrainCheck): Finding[] {
  if (passes || !advice) return [];
  return [
    {
      key: 'grain',
      harm: 2,
      text: advice,
      reason:
        'The largest grain stays under a third of the narrowest gap and three quarters of a mesh opening, or it bridges and leaves holes.',
      basis: 'guide',
      remedies: remedies(`Sieve the aggregate to ${mm(largest.value)}.`),
    },
  ];
}

function volumeFinding({ measured }: MouldShape, computedVolume: number): Finding[] {
  const off = measured ? measured.volume / computedVolume - 1 : 0;
  if (Math.abs(off) <= DISAGREES) return [];
  return [
    {
      key: 'measured-volume',
      harm: 3,
      text: `Measured and calculated volume differ by ${Math.abs(off * 100).toFixed(0)} %.`,
      reason: 'The measured one counts; a core may have been left out, or a size misread.',
      basis: 'record',
      remedies: remedies('Measure the mould’s sizes again, or look for a core that was left out.'),
    },
  ];
}

/** What speaks against a mould, the worst first: thin places, what holds the cast, what bulges, grain that does not pass. */
export function mouldFindings(
  shape: MouldShape,
  use: MouldUse,
  { pressure, computedVolume, thinnest, undercut, grain }: KnownOfMould,
): Finding[] {
  return worstFirst([
    ...(grain ? grainFinding(grain) : []),
    ...thinness(shape, use, thinnest),
    ...letsGo(shape, use, undercut),
    ...(shape.pressed ? [] : [...stands(shape), ...presses(shape, use, pressure)]),
    ...volumeFinding(shape, computedVolume),
  ]);
}
