import { defined } from '../../foundation/math/index.js';
import { MINUTE, msg, type Message, quantity } from '../../foundation/units/index.js';
import { WORKABLE_SHARE } from '../pours/index.js';
import { stepNames, type Step } from './steps.js';

/** Shorter pauses are no free hands, ms. */
const PAUSE = 2 * MINUTE;

/** When a step really began and ended, ms. */
export interface StepTimes {
  readonly start?: number;
  readonly end?: number;
}

/** The clock that steps are laid on, ms. */
export interface Clock {
  readonly start: number;
  /** What is not begun yet begins no sooner; left out while the pour is only planned. */
  readonly now?: number;
  readonly times?: ReadonlyMap<string, StepTimes>;
}

/** A step in its time, ms. */
export interface TimedStep {
  readonly step: Step;
  readonly start: number;
  readonly end: number;
  readonly state: 'done' | 'begun' | 'ahead';
  /** Of a finish: between these it is right. */
  readonly window?: { readonly from: number; readonly to: number };
}

/** A stretch of time, ms. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The pot life of one bucketful from the beginning of mixing, ms. */
export interface PotLife extends Span {
  readonly part: number;
  readonly bucket: number;
  /** Until then it is to be placed. */
  readonly good: number;
}

type TimelineWarningKind = 'stiffens' | 'edge' | 'cold-joint' | 'both-hands';

/** What will not go as it should. */
interface TimelineWarning {
  readonly kind: TimelineWarningKind;
  readonly step: string;
  readonly text: Message;
}

/** A pour in time. */
export interface Timeline {
  readonly steps: readonly TimedStep[];
  readonly start: number;
  /** When the last mould is full and struck off or covered. */
  readonly poured: number;
  readonly end: number;
  /** When hands are free for a while. */
  readonly free: readonly Span[];
  readonly potLives: readonly PotLife[];
  readonly warnings: readonly TimelineWarning[];
}

/** Steps being laid: what has its place, and what still waits for its window. */
interface Bench {
  readonly clock: Clock;
  readonly placed: Map<string, TimedStep>;
  waiting: Step[];
}

function put(bench: Bench, step: Step, earliest: number, window?: Span): TimedStep {
  const { now = -Infinity, times } = bench.clock;
  const { start: began, end: ended } = times?.get(step.key) ?? {};
  const long = step.minutes * MINUTE;
  const start =
    began ?? (ended === undefined ? Math.max(earliest, now) : Math.min(ended, Math.max(earliest, ended - long)));
  const end = ended ?? Math.max(start + long, began === undefined ? 0 : now);
  const state = ended !== undefined ? 'done' : began !== undefined ? 'begun' : 'ahead';
  const timed = { step, start, end, state, ...(window && { window }) } as const;
  bench.placed.set(step.key, timed);
  return timed;
}

const endOf = ({ placed }: Bench, key: string) => placed.get(key)?.end;

/** The window of a finish once the face it waits for is struck off. */
function windowOf(bench: Bench, { window }: Step): Span | undefined {
  const face = window && endOf(bench, window.of);
  return face === undefined
    ? undefined
    : { from: face + defined(window).from * MINUTE, to: face + defined(window).to * MINUTE };
}

/** Does what waits for its window as far as it fits between two times; answers until when the hands are taken. */
function useHands(bench: Bench, from: number, to: number): number {
  let at = from;
  for (;;) {
    const ready = bench.waiting
      .map((step) => ({ step, window: windowOf(bench, step) }))
      .filter((one): one is { step: Step; window: Span } => {
        if (!one.window) return false;
        return Math.max(at, one.window.from) + one.step.minutes * MINUTE <= to;
      })
      .sort((a, b) => a.window.to - b.window.to)[0];
    if (!ready) return at;
    bench.waiting = bench.waiting.filter((step) => step !== ready.step);
    at = Math.max(at, put(bench, ready.step, Math.max(at, ready.window.from), ready.window).end);
  }
}

/** Does what waits for its window and has it now, one after another; answers until when the hands are taken. */
function finishReady(bench: Bench, from: number): number {
  let at = from;
  for (;;) {
    const ready = bench.waiting.find((step) => (windowOf(bench, step)?.from ?? Infinity) <= at);
    if (!ready) return at;
    bench.waiting = bench.waiting.filter((step) => step !== ready);
    at = Math.max(at, put(bench, ready, at, windowOf(bench, ready)).end);
  }
}

/** Steps before which a bucket is not mixed yet, so that something else may be done first. */
const unbound = (kind: Step['kind']) => kind === 'wash' || kind === 'weigh' || kind === 'mix' || kind === 'clean';

/** When a step may begin for the sake of the layer below: mixing so that the bucket is ready in time. */
function heldUntil(bench: Bench, chain: readonly Step[], at: number): number {
  const step = defined(chain[at]);
  let lead = 0;
  for (const next of chain.slice(at)) {
    if (next.part !== step.part || next.bucket !== step.bucket) return -Infinity;
    if (next.after) {
      const below = Math.max(...next.after.below.map((key) => endOf(bench, key) ?? -Infinity));
      return below + (next.after.from - lead) * MINUTE;
    }
    if (step.kind !== 'mix' && next !== step) return -Infinity;
    lead += next.minutes;
  }
  return -Infinity;
}

/** Lays steps on the clock: the buckets one after another, finishes in between where hands are free. */
export function timelineOf(steps: readonly Step[], clock: Clock): Timeline {
  const chain = steps.filter(({ window }) => !window);
  const bench: Bench = { clock, placed: new Map(), waiting: [] };
  const finishes = steps.filter(({ window }) => window);
  let at = clock.start;
  chain.forEach((step, i) => {
    const held = Math.max(at, heldUntil(bench, chain, i));
    // While a layer sets, and before a bucket is begun, faces are finished that want it.
    if (held > at) at = useHands(bench, at, held);
    if (unbound(step.kind)) at = finishReady(bench, at);
    const timed = put(bench, step, Math.max(at, held));
    bench.waiting.push(...finishes.filter(({ window }) => defined(window).of === step.key));
    if (!step.hands) useHands(bench, timed.start, timed.end);
    at = Math.max(at, timed.end);
  });
  while (bench.waiting.length > 0) {
    const before = bench.waiting.length;
    at = useHands(bench, at, Infinity);
    if (bench.waiting.length === before) break;
  }
  return told(bench, steps);
}

function told(bench: Bench, steps: readonly Step[]): Timeline {
  const laid = steps.flatMap(({ key }) => bench.placed.get(key) ?? []);
  const potLives = potLivesOf(laid);
  return {
    steps: laid,
    start: Math.min(...laid.map(({ start }) => start)),
    poured: Math.max(...laid.filter(({ step }) => fills(step)).map(({ end }) => end)),
    end: Math.max(...laid.map(({ end }) => end)),
    free: freeSpans(laid),
    potLives,
    warnings: [...stiffening(laid, potLives), ...joints(bench, laid), ...clashes(laid)],
  };
}

function freeSpans(laid: readonly TimedStep[]): Span[] {
  const busy = laid.filter(({ step }) => step.hands).sort((a, b) => a.start - b.start);
  const free: Span[] = [];
  let until = busy[0]?.start ?? 0;
  for (const { start, end } of busy) {
    if (start - until >= PAUSE) free.push({ from: until, to: start });
    until = Math.max(until, end);
  }
  return free;
}

const potLivesOf = (laid: readonly TimedStep[]): PotLife[] =>
  laid.flatMap(({ step: { part, bucket, potLife }, start }) =>
    potLife === undefined || bucket === undefined
      ? []
      : [{ part, bucket, from: start, good: start + WORKABLE_SHARE * potLife * MINUTE, to: start + potLife * MINUTE }],
  );

const minutesOf = (ms: number) => quantity(Math.max(1, Math.round(ms / MINUTE)), 'min');

/** Buckets that stiffen before they are placed. */
function stiffening(laid: readonly TimedStep[], potLives: readonly PotLife[]): TimelineWarning[] {
  return potLives.flatMap(({ part, bucket, good }) => {
    const placing = laid.filter(({ step }) => step.part === part && step.bucket === bucket && places(step));
    const last = placing.reduce<TimedStep | undefined>((a, b) => (a && a.end > b.end ? a : b), undefined);
    if (!last || last.end <= good + MINUTE / 2) return [];
    return [
      {
        kind: 'stiffens' as const,
        step: last.step.key,
        text: msg('bench.stiffens', { bucket: bucket + 1, minutes: minutesOf(last.end - good) }),
      },
    ];
  });
}

const places = ({ kind }: Step) => kind === 'fill' || kind === 'press' || kind === 'tap';
const fills = (step: Step) => places(step) || step.kind === 'strike' || step.kind === 'cover';

/** What a step that lays something onto something lays: a layer of a colour, or more of the same. */
export function layered(step: Pick<Step, 'moulds'>): Message {
  const upper = upperOf(step);
  return upper
    ? msg('bench.layerOf', { layer: upper.layer ?? 1, upper: upper.name })
    : msg('bench.moreInto', { name: step.moulds[0]?.name ?? msg('bench.thePiece') });
}

const upperOf = ({ moulds }: Pick<Step, 'moulds'>) => moulds.find(({ layer = 1 }) => layer > 1);

/** Layers that are laid too late for the edge that is wanted, or for growing on at all. */
function joints(bench: Bench, laid: readonly TimedStep[]): TimelineWarning[] {
  return laid.flatMap(({ step, start }): TimelineWarning[] => {
    const { after, key } = step;
    if (!after) return [];
    const below = Math.min(...after.below.map((one) => endOf(bench, one) ?? Infinity));
    const waited = (start - below) / MINUTE;
    const late = minutesOf((waited - after.to) * MINUTE);
    const upper = upperOf(step);
    const what = layered(step);
    if (waited > after.cold)
      return [{ kind: 'cold-joint', step: key, text: msg('bench.coldJoint', { what }) }]; // prettier-ignore
    if (waited <= after.to + 0.5) return [];
    return [{ kind: 'edge', step: key, text: upper ? msg('bench.lateForEdge', { what, late, edge: after.edge }) : msg('bench.lateForLift', { what, late }) }]; // prettier-ignore
  });
}

/** Finishes whose window passes while both hands are at a bucket. */
function clashes(laid: readonly TimedStep[]): TimelineWarning[] {
  return laid.flatMap(({ step, window, end, start }): TimelineWarning[] => {
    if (!window || end <= window.to + MINUTE / 2) return [];
    const other = laid.find(
      (one) =>
        one.step.hands && one.step !== step && one.start < window.to && one.end > window.from && one.end <= start + 1,
    );
    return [
      {
        kind: 'both-hands',
        step: step.key,
        text: msg('bench.faceLate', {
          step: stepNames[step.kind],
          name: step.moulds[0]?.name ?? msg('bench.theFace'),
          late: minutesOf(end - window.to),
          other: other ? 'some' : 'none',
          otherStep: stepNames[other?.step.kind ?? step.kind],
          bucket: (other?.step.bucket ?? 0) + 1,
        }),
      },
    ];
  });
}
