import { integrate, leftOver, regionArea, regionPerimeter } from '../solids/index.js';
import { cavityOf, regionAt, surfaceAt, type Cavity, type Standing } from './cavity.js';
import type { MouldShape } from './mould.js';

/** Share of the height within which two heights are one. */
const NEAR = 1e-6;

/** Areas of the cast's faces, mm². Each side keeps its own slope. */
export interface Faces {
  /** The side that stood against the outer mould. */
  readonly outer: number;
  /** What stood against the cores: its sides, and its floors and tops. */
  readonly inner: number;
  readonly innerSide: number;
  readonly innerFloor: number;
  /** The walls of holes and what else inserts left. */
  readonly holes: number;
  /** The underside. */
  readonly base: number;
  /** What lay open while it set. */
  readonly open: number;
}

/** Integrates over heights between the edges of the solids, a hair inside each. */
function sumUp({ edges }: Cavity, from: number, to: number, f: (z: number) => number): number {
  const ends = [from, ...edges.filter((z) => z > from && z < to), to];
  return ends.slice(1).reduce((sum, high, i) => {
    const low = ends[i]!;
    const inset = (high - low) * 1e-9;
    return sum + integrate((z) => f(Math.min(Math.max(z, low + inset), high - inset)), low, high);
  }, 0);
}

/** Level ledges of the outer where its section jumps, mm². */
function ledges({ outer, edges, rim }: Cavity): number {
  const hair = rim * 1e-9;
  return edges.slice(1, -1).reduce((sum, z) => {
    const [below, above] = [regionArea(regionAt(outer, z - hair)), regionArea(regionAt(outer, z + hair))];
    const jump = Math.abs(above - below);
    return jump > above * 1e-6 ? sum + jump : sum;
  }, 0);
}

/** Floor and top of a blank that mix lies against, mm². */
function endsOf(cavity: Cavity, blank: Standing): number {
  const all = [...cavity.cores, ...cavity.inserts];
  const hair = cavity.rim * 1e-9;
  const end = (inBlank: number, outside: number) => {
    // What stands on the bottom or ends at the rim has no end in the mix.
    if (outside <= NEAR * cavity.rim || outside >= (1 - NEAR) * cavity.rim) return 0;
    const region = regionAt(blank, inBlank);
    const around = regionAt(cavity.outer, outside);
    const others = all.filter((other) => other !== blank).map((other) => regionAt(other, outside));
    const covered = leftOver(around, others).area - leftOver(around, [...others, region]).area;
    return Math.max(0, covered);
  };
  return end(blank.bottom + hair, blank.bottom - hair) + end(blank.top - hair, blank.top + hair);
}

/** Faces of the cast by side: only what mix lies against counts, holes cut from base and floors. */
export function faces(shape: MouldShape): Faces {
  const cavity = cavityOf(shape);
  const { outer, cores, inserts, rim } = cavity;
  const all = [...cores, ...inserts];
  const freeAt = (z: number) =>
    leftOver(
      regionAt(outer, z),
      all.map((blank) => regionAt(blank, z)),
    );
  const sideOf = (blank: Standing, i: number) => {
    const share = (z: number) => {
      const whole = regionPerimeter(regionAt(blank, z));
      return whole === 0 ? 0 : freeAt(z).blanks[i]! / whole;
    };
    return sumUp(cavity, blank.bottom, Math.min(blank.top, rim), (z) => surfaceAt(blank, z) * share(z));
  };
  const sum = (areas: readonly number[]) => areas.reduce((all, area) => all + area, 0);
  const innerSide = sum(cores.map((core, i) => sideOf(core, i)));
  const innerFloor = sum(cores.map((core) => endsOf(cavity, core)));
  const outerShare = (z: number) => {
    const whole = regionPerimeter(regionAt(outer, z));
    return whole === 0 ? 1 : freeAt(z).outer / whole;
  };
  return {
    outer: sumUp(cavity, 0, rim, (z) => surfaceAt(outer, z) * outerShare(z)) + ledges(cavity),
    inner: innerSide + innerFloor,
    innerSide,
    innerFloor,
    holes: sum(inserts.map((insert, i) => sideOf(insert, cores.length + i) + endsOf(cavity, insert))),
    base: freeAt(0).area,
    // A hair below, where a core that ends at the rim by rounding alone still stands.
    open: freeAt(rim * (1 - 1e-9)).area,
  };
}
