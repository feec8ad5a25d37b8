import { defined } from '../../foundation/math/index.js';
import { heightFor, rimOf, volumeTo, type ReleaseName } from '../../geometry/moulds/index.js';
import { potLifeAndSet } from '../../mixing/mixes/index.js';
import {
  displacedBelow,
  finishesOf,
  finishShares,
  planLayerWait,
  WORK_TIMES,
  type Bucketful,
  type Filling,
  type Finish,
  type LayerWait,
  type PourPlan,
  type CalculatedPart,
  type WorkTimes,
} from '../pours/index.js';
import { isPressed, liftsOf, meshedNow, type Filled } from './lifts.js';
import { readySteps } from './ready-steps.js';
import { CLEAN, EACH, restOf, TAPPING, WASH, WEIGH, WEIGH_LINE } from './step-times.js';
import { mouldKey, type Step, type StepMould, type StepWait } from './steps.js';

/** How a pour is run, beside its plan. */
export interface RunWays {
  readonly release?: ReleaseName;
  /** How open faces of slabs are left. */
  readonly finish: Finish;
  /** Pairs of hands at the bench. */
  readonly people: number;
  /** By how much the finishing windows of each mix come later than the handbook's. */
  readonly windows?: readonly number[];
}

const MINUTES = 60;

/** Everything that a bucketful's steps are made from. */
interface Bench {
  readonly plan: PourPlan;
  readonly part: number;
  readonly ways: RunWays;
  readonly times: WorkTimes;
  /** h */
  readonly initialSet: number;
  readonly potLife: number;
  readonly windowFactor: number;
  readonly heights: Map<string, number>;
}

const stepKey = (part: number, bucket: number, ...what: (string | number)[]) => [part, bucket, ...what].join('.');

/** Height to which a mould is full once `filled` mL are in it, mm. */
function heightAt({ plan, heights }: Bench, item: number, filled: number): number {
  const key = `${item} ${filled.toFixed(2)}`;
  const known = heights.get(key);
  if (known !== undefined) return known;
  const { shape, fillTo, ...laid } = defined(plan.items[item]);
  const to = fillTo ?? rimOf(shape);
  const height = Math.min(to, heightFor(shape, Math.min(filled + displacedBelow(laid), volumeTo(shape, to))));
  heights.set(key, height);
  return height;
}

function mouldsOf(bench: Bench, fillings: readonly Filling[], filled?: Filled): StepMould[] {
  return fillings.flatMap((filling) =>
    filling.copies.map((copy): StepMould => {
      const { item, name, layer, each } = filling;
      const key = mouldKey(bench.part, filling, copy);
      const { count } = defined(bench.plan.items[item]);
      const told = {
        key,
        item,
        name: count > 1 ? `${name} ${copy + 1}` : name,
        ...(layer !== undefined && { layer }),
        volume: each,
      };
      if (!filled || isPressed(bench, filling)) return told;
      const now = (filled.get(key) ?? 0) + each;
      filled.set(key, now);
      return { ...told, to: heightAt(bench, item, now) };
    }),
  );
}

const countOf = (fillings: readonly Filling[]) => fillings.reduce((sum, { copies }) => sum + copies.length, 0);

/** The wait that a layer's step keeps after the steps that laid what lies below. */
function waitFor(wait: LayerWait | undefined, below: readonly string[]): StepWait | undefined {
  if (!wait || below.length === 0) return undefined;
  return {
    below: [...new Set(below)],
    from: wait.from.value * MINUTES,
    to: wait.to.value * MINUTES,
    cold: wait.coldJoint.value * MINUTES,
    edge: wait.edge,
  };
}

/** Where each mould of a pour was last filled, and with which of its layers. */
type LastFill = Map<string, { readonly step: string; readonly layer: number | undefined }>;

/** The wait of what goes onto something: a colour onto the layer below, or more of the same onto a lift that is still plastic. */
function waitOn(
  bench: Bench,
  bucketful: Bucketful,
  moulds: readonly StepMould[],
  last: LastFill,
): StepWait | undefined {
  const under = moulds.flatMap(({ key, layer }) => {
    const before = last.get(key);
    return before ? [{ ...before, same: before.layer === layer }] : [];
  });
  const [same, other] = [true, false].map((like) => under.filter((one) => one.same === like).map(({ step }) => step));
  const { plan } = bench;
  const plastic = () => planLayerWait(plan, 'blended');
  return (
    waitFor(bucketful.wait, defined(other)) ?? waitFor(defined(same).length > 0 ? plastic() : undefined, defined(same))
  );
}

/** What all steps of a bucketful have alike. */
const toldOf = ({ part }: Bench, { at, tint }: Bucketful) => ({
  part,
  bucket: at,
  ...(tint && { tint }),
  hands: true,
  moulds: [] as readonly StepMould[],
});

/** Wash, weigh, mix, rest. */
function mixingSteps(bench: Bench, bucketful: Bucketful): Step[] {
  const { part, times, plan, potLife } = bench;
  const { at, lines, doses, wash } = bucketful;
  const told = toldOf(bench, bucketful);
  const key = (what: string) => stepKey(part, at, what);
  const rests = restOf(plan.binderClass, times);
  const weigh = WEIGH + WEIGH_LINE * (lines.length + doses.length);
  return [
    ...(wash ? [{ ...told, key: key('wash'), kind: 'wash' as const, minutes: WASH }] : []),
    { ...told, key: key('weigh'), kind: 'weigh', minutes: weigh },
    { ...told, key: key('mix'), kind: 'mix', minutes: times.mixing - rests, potLife },
    ...(rests > 0 ? [{ ...told, key: key('rest'), kind: 'rest' as const, minutes: rests, hands: false }] : []),
  ];
}

function noteFilled(last: LastFill, moulds: readonly StepMould[], step: string): void {
  for (const { key, layer } of moulds) last.set(key, { step, layer });
}

/** Pressing what is pressed, all moulds of the bucket in one step. */
function pressSteps(bench: Bench, bucketful: Bucketful, last: LastFill): Step[] {
  const moulds = mouldsOf(
    bench,
    bucketful.fillings.filter((filling) => isPressed(bench, filling)),
  );
  if (moulds.length === 0) return [];
  const key = stepKey(bench.part, bucketful.at, 'press');
  const after = waitOn(bench, bucketful, moulds, last);
  noteFilled(last, moulds, key);
  const minutes = bench.times.filling * moulds.length;
  return [{ ...toldOf(bench, bucketful), key, kind: 'press', minutes, moulds, ...(after && { after }) }];
}

/** Lift by lift, every mould in turn, and tapping after each. */
function fillSteps(bench: Bench, bucketful: Bucketful, last: LastFill, filled: Filled): Step[] {
  const { part, times } = bench;
  const told = toldOf(bench, bucketful);
  const lifts = liftsOf(bench, bucketful, filled);
  return lifts.flatMap((fills, n) => {
    const key = stepKey(part, bucketful.at, 'fill', n);
    const whole = fills.reduce((sum, { copies, share }) => sum + copies.length * share, 0);
    const moulds = mouldsOf(bench, fills, filled);
    const lift = { n: n + 1, of: lifts.length };
    const after = n === 0 ? waitOn(bench, bucketful, moulds, last) : undefined;
    noteFilled(last, moulds, key);
    const minutes = times.filling * whole;
    const meshed = meshedNow(bench, fills, filled);
    const mesh: Step = {
      ...told,
      key: stepKey(part, bucketful.at, 'mesh', n),
      kind: 'mesh',
      minutes: EACH.mesh * countOf(meshed),
      moulds: mouldsOf(bench, meshed),
    };
    return [
      { ...told, key, kind: 'fill', minutes: minutes * (1 - TAPPING), moulds, lift, ...(after && { after }) },
      { ...told, key: stepKey(part, bucketful.at, 'tap', n), kind: 'tap', minutes: minutes * TAPPING, moulds, lift },
      ...(meshed.length > 0 ? [mesh] : []),
    ] satisfies Step[];
  });
}

/** What the moulds that a bucketful fills to the last want: striking off, a cover, and in its time the finish. */
function faceSteps(bench: Bench, bucketful: Bucketful, done: ReadonlySet<string>): Step[] {
  const { part, plan, ways, initialSet, windowFactor } = bench;
  const told = toldOf(bench, bucketful);
  const key = (what: string) => stepKey(part, bucketful.at, what);
  const full = bucketful.fillings
    .map((one) => ({ ...one, copies: one.copies.filter((copy) => done.has(mouldKey(part, one, copy))) }))
    .filter(({ copies }) => copies.length > 0);
  const finishes = (one: Filling) =>
    finishesOf(defined(plan.items[one.item]).piece, isPressed(bench, one), ways.finish);
  const slabs = full.filter((one) => defined(plan.items[one.item]).piece === 'slab' && !isPressed(bench, one));
  const whole = (moulds: readonly Filling[], each: number) => ({
    minutes: each * countOf(moulds),
    moulds: mouldsOf(bench, moulds),
  });
  // A face that is to be finished stays open until then.
  const covered = full.filter((one) => finishes(one).length === 0);
  return [
    ...(slabs.length > 0
      ? [{ ...told, key: key('strike'), kind: 'strike' as const, ...whole(slabs, EACH.strike) }]
      : []),
    ...(covered.length > 0
      ? [{ ...told, key: key('cover'), kind: 'cover' as const, ...whole(covered, EACH.cover) }]
      : []),
    ...[...new Set(full.flatMap(finishes))].map((kind): Step => {
      const own = full.filter((one) => finishes(one).includes(kind));
      const [from, to] = finishShares[kind].map((share) => share * initialSet * MINUTES * windowFactor);
      const window = { of: key(kind === 'smooth' ? 'press' : 'strike'), from: defined(from), to: defined(to) };
      return { ...told, key: key(kind), kind, ...whole(own, EACH.finish / Math.max(1, ways.people)), window };
    }),
  ];
}

/** Moulds that each bucketful fills to the last, by its place. */
function lastFilled(part: number, bucketfuls: readonly Bucketful[]): ReadonlySet<string>[] {
  const last = new Map<string, number>();
  bucketfuls.forEach(({ fillings }, at) => {
    for (const filling of fillings) for (const copy of filling.copies) last.set(mouldKey(part, filling, copy), at);
  });
  return bucketfuls.map((_, at) => new Set([...last].flatMap(([key, when]) => (when === at ? [key] : []))));
}

/**
 * The steps of a pour at the bench, in the order in which they are begun, bucket by bucket; finishes that wait for a face
 * carry their window. Keys are the same for the same plan. Minutes by what is usual, or by what the plan's times say.
 */
export function stepsOf(parts: readonly CalculatedPart[], ways: RunWays): Step[] {
  const buckets = parts.flatMap(({ plan, sheet }, part) => {
    const { initialSet, potLife } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
    const bench: Bench = {
      plan,
      part,
      ways,
      times: plan.times ?? WORK_TIMES[plan.binderClass],
      initialSet: initialSet.value,
      potLife: potLife.value,
      windowFactor: ways.windows?.[part] ?? 1,
      heights: new Map(),
    };
    const done = lastFilled(part, sheet.bucketfuls);
    const [last, filled]: [LastFill, Filled] = [new Map(), new Map()];
    return sheet.bucketfuls.flatMap((bucketful, at) => [
      ...mixingSteps(bench, bucketful),
      ...pressSteps(bench, bucketful, last),
      ...fillSteps(bench, bucketful, last, filled),
      ...faceSteps(bench, bucketful, defined(done[at])),
    ]);
  });
  const clean: Step = { key: 'clean', kind: 'clean', part: 0, minutes: CLEAN, hands: true, moulds: [] };
  return [...readySteps(parts, ways), ...buckets, clean];
}
