import { normalPoint, stream } from '../../foundation/math/index.js';
import type { WholeAmbientReading } from '../ambient/index.js';
import { curedPiece, finishedPiece, type AtHand, type ChainPiece, type ChainTimes, type CuredPiece } from './chain.js';

/** Pieces of a line that are poured at a time, ms. */
interface DrawnPour {
  readonly at: number;
  readonly count: number;
}

/** A line of an order as it is poured, and by when it is wanted. */
export interface DrawnLine {
  readonly key: string;
  readonly wanted: number;
  readonly pours: readonly DrawnPour[];
  readonly piece: ChainPiece;
  /** Chance that a piece is lost on the way, 0 to 1. */
  readonly risk: number;
  readonly state: keyof ChainTimes;
  /** ms */
  readonly by: number;
}

/** What is drawn from. */
export interface DrawWays {
  /** The same seed gives the same chances. */
  readonly seed: number;
  /** The air from a pour on, hour by hour, so many °C warmer than it usually is. */
  readonly air: (pouredAt: number, warmer: number) => readonly WholeAmbientReading[];
  /** Standard deviation of how much warmer a whole season is than usual, °C. */
  readonly spread: number;
  readonly atHand: AtHand;
}

/** How likely each line is ready by its date, and all of them together. */
export interface Chances {
  readonly lines: ReadonlyMap<string, number>;
  readonly order: number;
  readonly draws: number;
}

/** ln τ of a piece's drying about its usual one: handbook 12. */
const TAU_SPREAD = 1;
const DRAWS = 400;
/** So near the chance that is wanted, more draws decide. */
const NEAR = 0.04;
const MORE_DRAWS = 4_000;
const WANTED = 0.8;
/** Steps of the season's warmth that are told apart, in standard deviations: the air of each is worked out once. */
const STEP = 0.25;
const MOST = 2.5;

/** A normal number, kept where its point can be told. */
const normal = (random: () => number) => normalPoint(Math.min(1 - 1e-9, Math.max(1e-9, random())));

/** Pieces up to their moist curing, each pour in each warmth once. */
function curedPieces({ air, spread, atHand }: DrawWays) {
  const known = new Map<string, CuredPiece | undefined>();
  return ({ key, piece }: DrawnLine, pouredAt: number, step: number): CuredPiece | undefined => {
    const name = `${key} ${pouredAt} ${step}`;
    if (!known.has(name)) known.set(name, curedPiece(piece, pouredAt, air(pouredAt, step * STEP * spread), atHand));
    return known.get(name);
  };
}

/** When a piece comes to the state that is wanted, ms; undefined where that cannot be told. */
const comesTo = ({ state, piece }: DrawnLine, cured: CuredPiece, tau: number, atHand: AtHand): number | undefined =>
  state === 'demoulded' || state === 'cured' ? cured[state] : finishedPiece(piece, cured, tau, atHand)?.[state];

/** How many pieces of a line are good and ready in one draw of the season. */
function readyIn(
  line: DrawnLine,
  warmth: number,
  random: () => number,
  cured: ReturnType<typeof curedPieces>,
  atHand: AtHand,
): number {
  let ready = 0;
  for (const { at: pouredAt, count } of line.pours) {
    const piece = cured(line, pouredAt, warmth);
    for (let i = 0; i < count; i++) {
      const [lost, tau] = [random() < line.risk, line.piece.tau * Math.exp(TAU_SPREAD * normal(random))];
      const at = lost || !piece ? undefined : comesTo(line, piece, tau, atHand);
      if (at !== undefined && at <= line.by) ready += 1;
    }
  }
  return ready;
}

/** The chances by so many draws. */
function drawn(lines: readonly DrawnLine[], ways: DrawWays, draws: number): Chances {
  const random = stream(ways.seed);
  const cured = curedPieces(ways);
  const ready = new Map(lines.map(({ key }) => [key, 0]));
  let all = 0;
  for (let draw = 0; draw < draws; draw++) {
    // A warm season is warm for every piece of the order.
    const warmth = Math.round(Math.min(MOST, Math.max(-MOST, normal(random))) / STEP);
    const done = lines.filter((line) => readyIn(line, warmth, random, cured, ways.atHand) >= line.wanted);
    for (const { key } of done) ready.set(key, (ready.get(key) ?? 0) + 1);
    if (done.length === lines.length) all += 1;
  }
  return { lines: new Map([...ready].map(([key, count]) => [key, count / draws])), order: all / draws, draws };
}

/**
 * How likely each line of an order is ready by its date, and the whole order: the share of seeded draws in which it is (handbook 18). The warmth
 * of the season is shared by all pieces of a draw; how a piece dries and whether it is lost is its own. 400 draws, and 4,000 where a chance lies within
 * four points of 80 %.
 */
export function chancesOf(lines: readonly DrawnLine[], ways: DrawWays): Chances {
  const first = drawn(lines, ways, DRAWS);
  const near = [...first.lines.values(), first.order].some((chance) => Math.abs(chance - WANTED) <= NEAR);
  return near ? drawn(lines, ways, MORE_DRAWS) : first;
}
