import { cavityOf, regionAt, type MouldShape, type Standing } from '../../geometry/moulds/index.js';
import { leftOver, type Region } from '../../geometry/solids/index.js';

/** A cast as it stands in an article: over means upside down from how it lay in its mould. */
export interface PlacedPart {
  readonly shape: MouldShape;
  readonly over?: boolean;
}

/** A level face: what bounds it, and what is cut out of it. */
interface LevelFace {
  readonly whole: Region;
  readonly holes: readonly Region[];
}

const HAIR = 1e-9;

/** The face that a part turns up or down, as it stands. */
function faceOf({ shape, over = false }: PlacedPart, side: 'up' | 'down'): LevelFace {
  const { outer, cores, inserts, rim } = cavityOf(shape);
  const atRim = (side === 'up') !== over;
  const z = atRim ? rim * (1 - HAIR) : 0;
  const section = (standing: Standing) => regionAt(standing, z);
  return { whole: section(outer), holes: [...cores, ...inserts].map(section).filter(({ edges }) => edges.length > 0) };
}

/**
 * Area over which the lower part's upper face touches the upper part's foot, mm²; both on one axis. What is common to both wholes and
 * in none of the holes.
 */
export function contactArea(lower: PlacedPart, upper: PlacedPart): number {
  const a = faceOf(lower, 'up');
  const b = faceOf(upper, 'down');
  const besides = leftOver(a.whole, [...a.holes, b.whole]).area;
  const withHoles = leftOver(a.whole, [...a.holes, ...b.holes]).area;
  return Math.max(0, withHoles - besides);
}

/** How far a part reaches about its middle, mm: along x, along y, and at its foot and its upper face. */
export interface Reach {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly foot: { readonly length: number; readonly width: number };
  readonly upper: { readonly length: number; readonly width: number };
}

const sizeOf = ({ box }: Region) => ({ length: box.x1 - box.x0, width: box.y1 - box.y0 });

export function reachOf(part: PlacedPart): Reach {
  const { outer, rim, edges } = cavityOf(part.shape);
  const sections = [...edges, rim / 2].map((z) => regionAt(outer, z)).filter(({ edges: found }) => found.length > 0);
  const widest = (of: 'length' | 'width') => Math.max(...sections.map((region) => sizeOf(region)[of]));
  return {
    length: widest('length'),
    width: widest('width'),
    height: rim,
    foot: sizeOf(faceOf(part, 'down').whole),
    upper: sizeOf(faceOf(part, 'up').whole),
  };
}
