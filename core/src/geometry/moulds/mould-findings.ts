import { remedies, worstFirst, type Finding, msg, quantity, exactly } from '../../foundation/units/index.js';
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

const mm = (n: number) => quantity(n, 'mm');

const THICKER = remedies(msg('moulds.smallerCore'), msg('moulds.strongerFinerMix'));

function thinness(shape: MouldShape, { piece, leastWall }: MouldUse, thinnest?: ThinPlace): Finding[] {
  const { outer } = cavityOf(shape);
  const guide = pieceGuides[piece];
  const least = leastWall ?? guide.leastWall;
  const thin = Math.min(thinnest?.thickness ?? Infinity, baseThickness(shape));
  const { box } = outer.body.regionAt(outer.body.height);
  const span = guide.ofSpan ? Math.max(box.x1 - box.x0, box.y1 - box.y0) * guide.ofSpan : 0;
  const found: Finding[] = [];
  const weak = { harm: 2, reason: msg('moulds.thinPlacesBreak'), basis: 'guide' } as const;
  if (thin < least * (1 - 1e-9))
    found.push({
      ...weak,
      key: 'wall',
      text: msg('moulds.wallTooThin', { thin: mm(thin), guide: guide.name, least: exactly(least, 'mm') }),
      remedies: THICKER,
    });
  if (thin < span)
    found.push({
      ...weak,
      key: 'span',
      text: msg('moulds.thinForSpan', { thin: mm(thin), span: mm(span) }),
      reason: msg('moulds.slabCracks'),
      remedies: remedies(msg('moulds.fillHigherOrMesh'), msg('moulds.castInTwo')),
    });
  const { solid } = outer;
  if (solid.kind === 'leaf' && (solid.edge < 12 || solid.middle < 20))
    found.push({
      ...weak,
      key: 'leaf-thickness',
      text: msg('moulds.leafTooThin', {
        leastEdge: exactly(12, 'mm'),
        leastMiddle: exactly(20, 'mm'),
        edge: mm(solid.edge),
        middle: mm(solid.middle),
      }),
      remedies: remedies(msg('moulds.layThicker')),
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
      text: msg('moulds.undercut', { overhang: mm(overhang), height: mm(height) }),
      reason: msg('moulds.widerBelow'),
      remedies: remedies(msg('moulds.splitOrFlexible')),
    };
  if (flexibility !== 'flexible' || overhang <= MOST_STRETCH * halfOpening(shape)) return undefined;
  return {
    ...stuck,
    harm: 3,
    key: 'stretch',
    text: msg('moulds.mustStretch', { overhang: mm(overhang) }),
    reason: msg('moulds.softWallTrusted'),
    remedies: remedies(msg('moulds.tryEmpty'), msg('moulds.slitAndTape')),
  };
}

function letsGo(shape: MouldShape, { flexibility }: MouldUse, undercut: Undercut | undefined): Finding[] {
  const held = undercut && flexibility && heldFinding(shape, flexibility, undercut);
  const locked = lockedBlanks(shape).map((name): Finding => ({
    ...stuck,
    key: 'locked-core',
    text: msg('moulds.widensDownwards', { name }),
    reason: msg('moulds.coreComesUp'),
    remedies: remedies(msg('moulds.turnOverOrSlit')),
  }));
  const jams = (flexibility === 'rigid' ? jammingTubes(shape) : []).map((name): Finding => ({
    ...stuck,
    key: 'no-draft',
    text: msg('moulds.noDraft', { name }),
    reason: msg('moulds.straightTubeGrips'),
    remedies: remedies(msg('moulds.splitAndTape'), msg('moulds.turnPipe')),
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
      text: msg('moulds.noFlatBase'),
      reason: msg('moulds.outOfLevelThicker'),
      basis: 'calculated',
      remedies: remedies(msg('moulds.bedInSand')),
    },
  ];
}

function presses(shape: MouldShape, { flexibility, sleeve = false }: MouldUse, pressure: number): Finding[] {
  if (pressure <= BULGE_PRESSURE) return [];
  const found: Finding[] = [];
  const reason = msg('moulds.softWallBulges', {
    bulgePressure: exactly(BULGE_PRESSURE, 'kPa'),
    depth: exactly(100, 'mm'),
  });
  if (flexibility === 'flexible' && !sleeve)
    found.push({
      key: 'bulge',
      harm: 2,
      text: msg('moulds.fluidPressure', { pressure: quantity(pressure, 'kPa', 1) }),
      reason,
      basis: 'calculated',
      remedies: remedies(msg('moulds.stiffSleeve'), msg('moulds.lowerLifts')),
    });
  const soft = cavityOf(shape).cores.find(({ placed }) => placed.soft);
  if (soft)
    found.push({
      key: 'soft-core',
      harm: 3,
      text: msg('moulds.softCore', { soft: soft.name, pressure: quantity(pressure, 'kPa', 1) }),
      reason,
      basis: 'calculated',
      remedies: remedies(msg('moulds.sandBeforeMix')),
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
      reason: msg('moulds.grainRule'),
      basis: 'guide',
      remedies: remedies(msg('moulds.sieveTo', { value: mm(largest.value) })),
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
      text: msg('moulds.volumesDiffer', { off: quantity(Math.abs(off * 100), '%', 0) }),
      reason: msg('moulds.measuredCounts'),
      basis: 'record',
      remedies: remedies(msg('moulds.measureMouldAgain')),
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
