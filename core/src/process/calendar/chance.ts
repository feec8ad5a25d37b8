import { normalPoint, stream } from '../../foundation/math/index.js';
import { curedPiece, finishedPiece, type AtHand, type ChainPiece, type CuredPiece, type WantedState } from './chain.js';
import type { AirCourse } from './place-air.js';

/** Pieces of a line that are poured at a time, ms. */
interface DrawnPour {
  readonly at: number;
  readonly count: number;
  /** They are out of their moulds: nothing happens to them any more. */
  readonly safe?: boolean;
}

/** A line of an order as it is poured, and by when it is wanted. */
export interface DrawnLine {
  readonly key: string;
  readonly wanted: number;
  readonly pours: readonly DrawnPour[];
  readonly piece: ChainPiece;
  /** Chance that a piece is lost on the way, 0 to 1. */
  readonly risk: number;
  readonly state: WantedState;
  /** It is ready so long after its last piece, as where it is joined, ms. */
  readonly after?: number;
  /** ms; as early as possible where left out. */
  readonly by?: number;
  /** The air where it stands, so many standard deviations warmer than it usually is. */
  readonly air: (deviations: number) => AirCourse;
}

/** What is drawn from. */
export interface DrawWays {
  /** The same seed gives the same chances. */
  readonly seed: number;
  /** How much warmer a whole season is than usual, in standard deviations of a month's daily means. */
  readonly season: number;
  readonly atHand: AtHand;
  /** What earlier draws of the same lines worked out. */
  readonly known?: Arrivals;
  /** 400 draws do, however near the chance is to the one that is wanted. */
  readonly quick?: boolean;
}

/** How likely a line is ready by its date, and when it is: ms, undefined where it never is as far as can be seen. */
export interface LineChance {
  /** 1 where it has no date. */
  readonly chance: number;
  readonly middle?: number;
  /** Four times in five it is ready by then. */
  readonly likely?: number;
}

/** How likely each line is ready by its date, and all of them together. */
interface Chances {
  readonly lines: ReadonlyMap<string, LineChance>;
  readonly order: number;
  readonly draws: number;
}

/** ln τ of the drying of a kind of piece about the usual one (handbook 12): like pieces dry alike, but for so much of it. */
const KIND_SPREAD = 1;
const PIECE_SPREAD = 0.15;
const DRAWS = 400;
/** So near the chance that is wanted, more draws decide. */
const NEAR = 0.04;
const MORE_DRAWS = 4_000;
export const SURE_ENOUGH = 0.8;
/** Steps of the season's warmth that are told apart, in standard deviations of it: the air of each is worked out once. */
const STEP = 0.5;
const MOST = 2.5;
/** Steps of ln τ that are told apart. */
const TAU_STEP = 0.1;

/** A normal number, kept where its point can be told. */
const normal = (random: () => number) => normalPoint(Math.min(1 - 1e-9, Math.max(1e-9, random())));

/** When the pieces of one pour come to what is wanted, by the season's warmth and the pace of their drying, as far as it was worked out. */
interface PourArrivals {
  readonly cured: Map<number, CuredPiece | undefined>;
  readonly ready: Map<number, number | undefined>;
}
/** What was worked out of pieces already, by line and pour: it holds as long as their lines, the air and the weeks do. */
export type Arrivals = Map<string, PourArrivals>;

/** Paces are told apart within so many steps to either side. */
const PACES = 500;

/** When a piece of a pour comes to the state that is wanted, ms: each pour in each warmth and each pace of drying is worked out once. */
function arrivals({ season, atHand, known = new Map() as Arrivals }: DrawWays) {
  return ({ key, state, piece, air }: DrawnLine, pouredAt: number) => {
    const name = `${key} ${pouredAt}`;
    const { cured, ready } = known.get(name) ?? { cured: new Map(), ready: new Map() };
    known.set(name, { cured, ready });
    const curedIn = (warmth: number) => {
      if (!cured.has(warmth)) cured.set(warmth, curedPiece(piece, pouredAt, air(warmth * STEP * season), atHand));
      return cured.get(warmth);
    };
    return (warmth: number, lnTau: number): number | undefined => {
      if (state === 'demoulded' || state === 'cured') return curedIn(warmth)?.[state];
      const pace = Math.max(-PACES, Math.min(PACES, Math.round(lnTau / TAU_STEP)));
      const place = warmth * 2 * (PACES + 1) + pace;
      if (!ready.has(place)) {
        const own = curedIn(warmth);
        ready.set(place, own && finishedPiece(piece, own, piece.tau * Math.exp(pace * TAU_STEP), atHand)?.[state]);
      }
      return ready.get(place);
    };
  };
}

/** A line with what its pours come to. */
interface Drawing {
  readonly line: DrawnLine;
  readonly pours: readonly (DrawnLine['pours'][number] & {
    readonly comesTo: ReturnType<ReturnType<typeof arrivals>>;
  })[];
}

/** When the line as a whole is ready in one draw, ms; Infinity where too few pieces are good. */
function readyIn(
  { line: { risk, wanted, piece, after = 0 }, pours }: Drawing,
  warmth: number,
  random: () => number,
): number {
  // prettier-ignore
  const { spread = KIND_SPREAD } = piece;
  const kind = spread * normal(random);
  const times: number[] = [];
  for (const { count, safe, comesTo } of pours)
    for (let i = 0; i < count; i++) {
      const [lost, own] = [random() < risk && !safe, PIECE_SPREAD * normal(random)];
      if (!lost) times.push(comesTo(warmth, kind + own) ?? Infinity);
    }
  if (wanted === 0) return 0;
  return (times.sort((a, b) => a - b)[wanted - 1] ?? Infinity) + after;
}

function lineChance({ by = Infinity }: DrawnLine, times: readonly number[]): LineChance {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => {
    const time = sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)];
    return time === undefined || time === Infinity ? undefined : time;
  };
  const [middle, likely] = [at(0.5), at(SURE_ENOUGH)];
  return {
    chance: by === Infinity ? 1 : times.filter((time) => time <= by).length / times.length,
    ...(middle !== undefined && { middle }),
    ...(likely !== undefined && { likely }),
  };
}

/** The chances by so many draws. */
function drawn(lines: readonly DrawnLine[], ways: DrawWays, draws: number): Chances {
  const random = stream(ways.seed);
  const comesTo = arrivals(ways);
  const drawings = lines.map((line): Drawing => ({ line, pours: line.pours.map((pour) => ({ ...pour, comesTo: comesTo(line, pour.at) })) })); // prettier-ignore
  const times = lines.map((): number[] => []);
  let all = 0;
  for (let draw = 0; draw < draws; draw++) {
    // A warm season is warm for every piece of the order.
    const warmth = Math.round(Math.min(MOST, Math.max(-MOST, normal(random))) / STEP);
    const ready = drawings.map((drawing) => readyIn(drawing, warmth, random));
    ready.forEach((time, i) => times[i]?.push(time));
    if (ready.every((time, i) => time <= (lines[i]?.by ?? Infinity))) all += 1;
  }
  const told = lines.map((line, i): [string, LineChance] => [line.key, lineChance(line, times[i] ?? [])]);
  return { lines: new Map(told), order: all / draws, draws };
}

/**
 * How likely each line of an order is ready by its date, and the whole order: the share of seeded draws in which it is (handbook 18). The warmth
 * of the season is shared by all pieces of a draw; how fast a kind of piece dries is shared by its line; whether a piece is lost is its own. 400
 * draws, and 4,000 where a chance lies within four points of 80 %.
 */
export function chancesOf(lines: readonly DrawnLine[], ways: DrawWays): Chances {
  const first = drawn(lines, ways, DRAWS);
  if (ways.quick) return first;
  const near = [...first.lines.values()].some(({ chance }) => Math.abs(chance - SURE_ENOUGH) <= NEAR);
  return near || Math.abs(first.order - SURE_ENOUGH) <= NEAR ? drawn(lines, ways, MORE_DRAWS) : first;
}
