import { workability } from '../mixes/index.js';
import { blanks, heightFor, releases, rimOf, volumeTo, type ReleaseName } from '../moulds/index.js';
import {
  WORK_TIMES,
  type Bucketful,
  type Filling,
  type PourPlan,
  type ReckonedPart,
  type WorkTimes,
} from '../pours/index.js';
import { finishesOf, finishShares, type Finish } from './finishing.js';
import { CLEAN, EACH, LAY_OUT, restOf, TAPPING, WASH, WEIGH, WEIGH_LINE } from './minutes.js';
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

/** Lifts of a poured mould: a third first, worked into the corners; low ones at once. */
const FIRST_LIFT = 1 / 3;
/** Height under which a mould is filled in one lift, mm. */
const LOW = 60;

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

const pressed = ({ plan }: Bench, { item }: Filling) => plan.items[item]!.shape.pressed !== undefined;

/** Height to which a mould is full once `filled` mL are in it, mm. */
function heightAt({ plan, heights }: Bench, item: number, filled: number): number {
  const key = `${item} ${filled.toFixed(2)}`;
  const known = heights.get(key);
  if (known !== undefined) return known;
  const { shape, fillTo } = plan.items[item]!;
  const to = fillTo ?? rimOf(shape);
  const height = Math.min(to, heightFor(shape, Math.min(filled, volumeTo(shape, to))));
  heights.set(key, height);
  return height;
}

/** mL already in a mould before a filling. */
type Filled = Map<string, number>;

/** A filling, or the part of it that goes in with one lift. */
interface LiftFill extends Filling {
  /** Of what the filling takes. */
  readonly share: number;
}

/** The fillings of a bucketful lift by lift: every mould its first, then every mould its rest. */
function liftsOf(bench: Bench, bucketful: Bucketful): LiftFill[][] {
  const poured = bucketful.fillings.filter((filling) => !pressed(bench, filling));
  const high = ({ item, layer }: Filling) =>
    layer === undefined && (bench.plan.items[item]!.fillTo ?? rimOf(bench.plan.items[item]!.shape)) > LOW;
  const part = (filling: Filling, share: number): LiftFill => ({ ...filling, each: filling.each * share, share });
  const first = poured.map((one) => part(one, high(one) ? FIRST_LIFT : 1));
  const rest = poured.filter(high).map((one) => part(one, 1 - FIRST_LIFT));
  return [first, rest].filter((lift) => lift.length > 0);
}

function mouldsOf(bench: Bench, fillings: readonly Filling[], filled?: Filled): StepMould[] {
  return fillings.flatMap((filling) =>
    filling.copies.map((copy): StepMould => {
      const { item, name, layer, each } = filling;
      const key = mouldKey(bench.part, filling, copy);
      const { count } = bench.plan.items[item]!;
      const told = {
        key,
        item,
        name: count > 1 ? `${name} ${copy + 1}` : name,
        ...(layer !== undefined && { layer }),
        volume: each,
      };
      if (!filled || pressed(bench, filling)) return told;
      const now = (filled.get(key) ?? 0) + each;
      filled.set(key, now);
      return { ...told, to: heightAt(bench, item, now) };
    }),
  );
}

const countOf = (fillings: readonly Filling[]) => fillings.reduce((sum, { copies }) => sum + copies.length, 0);

/** The wait that a layer's step keeps after the steps that laid what lies below. */
function waitFor({ wait }: Bucketful, below: readonly string[]): StepWait | undefined {
  if (!wait || below.length === 0) return undefined;
  return {
    below,
    from: wait.from.value * MINUTES,
    to: wait.to.value * MINUTES,
    cold: wait.coldJoint.value * MINUTES,
    edge: wait.edge,
  };
}

/** Where each mould of a pour was last filled. */
type LastFill = Map<string, string>;

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
  const rests = restOf(plan.setting, times);
  const weigh = WEIGH + WEIGH_LINE * (lines.length + doses.length);
  return [
    ...(wash ? [{ ...told, key: key('wash'), kind: 'wash' as const, minutes: WASH }] : []),
    { ...told, key: key('weigh'), kind: 'weigh', minutes: weigh },
    { ...told, key: key('mix'), kind: 'mix', minutes: times.mixing - rests, potLife },
    ...(rests > 0 ? [{ ...told, key: key('rest'), kind: 'rest' as const, minutes: rests, hands: false }] : []),
  ];
}

/** Pressing what is pressed, all moulds of the bucket in one step. */
function pressSteps(bench: Bench, bucketful: Bucketful, last: LastFill): Step[] {
  const moulds = mouldsOf(
    bench,
    bucketful.fillings.filter((filling) => pressed(bench, filling)),
  );
  if (moulds.length === 0) return [];
  const key = stepKey(bench.part, bucketful.at, 'press');
  for (const mould of moulds) last.set(mould.key, key);
  const minutes = bench.times.filling * moulds.length;
  return [{ ...toldOf(bench, bucketful), key, kind: 'press', minutes, moulds }];
}

/** Lift by lift, every mould in turn, and tapping after each. */
function fillSteps(bench: Bench, bucketful: Bucketful, last: LastFill, filled: Filled): Step[] {
  const { part, times } = bench;
  const told = toldOf(bench, bucketful);
  const lifts = liftsOf(bench, bucketful);
  return lifts.flatMap((fills, n) => {
    const key = stepKey(part, bucketful.at, 'fill', n);
    const whole = fills.reduce((sum, { copies, share }) => sum + copies.length * share, 0);
    const below = fills
      .filter(({ layer = 1 }) => layer > 1)
      .flatMap((fill) => fill.copies.map((copy) => last.get(mouldKey(part, fill, copy))!));
    const after = n === 0 ? waitFor(bucketful, [...new Set(below)]) : undefined;
    const moulds = mouldsOf(bench, fills, filled);
    const lift = { n: n + 1, of: lifts.length };
    for (const mould of moulds) last.set(mould.key, key);
    const minutes = times.filling * whole;
    return [
      { ...told, key, kind: 'fill', minutes: minutes * (1 - TAPPING), moulds, lift, ...(after && { after }) },
      { ...told, key: stepKey(part, bucketful.at, 'tap', n), kind: 'tap', minutes: minutes * TAPPING, moulds, lift },
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
  const finishes = (one: Filling) => finishesOf(plan.items[one.item]!.piece, pressed(bench, one), ways.finish);
  const slabs = full.filter((one) => plan.items[one.item]!.piece === 'slab' && !pressed(bench, one));
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
      const window = { of: key(kind === 'smooth' ? 'press' : 'strike'), from: from!, to: to! };
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

/** What comes before the first bucket: laying out, release and its drying, cores. */
function before(parts: readonly ReckonedPart[], { release, people }: RunWays): Step[] {
  const items = parts.flatMap(({ plan }) => plan.items);
  const moulds = items.reduce((sum, { count }) => sum + count, 0);
  const cored = items.reduce((sum, { count, shape }) => sum + (blanks(shape).length > 0 ? count : 0), 0);
  const told = { part: 0, hands: true, moulds: [] };
  const hands = Math.max(1, people);
  const steps: Step[] = [{ ...told, key: 'lay-out', kind: 'lay-out', minutes: LAY_OUT }];
  if (release && release !== 'none') {
    steps.push({ ...told, key: 'release', kind: 'release', minutes: (EACH.release * moulds) / hands });
    const { dries } = releases[release];
    if (dries > 0) steps.push({ ...told, key: 'release-dries', kind: 'release-dries', minutes: dries, hands: false });
  }
  if (cored > 0) steps.push({ ...told, key: 'cores', kind: 'cores', minutes: (EACH.cores * cored) / hands });
  return steps;
}

/**
 * The steps of a pour at the bench, in the order in which they are begun, bucket by bucket; finishes that wait for a face
 * carry their window. Keys are the same for the same plan. Minutes by what is usual, or by what the plan's times say.
 */
export function stepsOf(parts: readonly ReckonedPart[], ways: RunWays): Step[] {
  const buckets = parts.flatMap(({ plan, sheet }, part) => {
    const { initialSet, potLife } = workability(plan.mix, plan.setting, plan.temperature);
    const bench: Bench = {
      plan,
      part,
      ways,
      times: plan.times ?? WORK_TIMES[plan.setting],
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
      ...faceSteps(bench, bucketful, done[at]!),
    ]);
  });
  const clean: Step = { key: 'clean', kind: 'clean', part: 0, minutes: CLEAN, hands: true, moulds: [] };
  return [...before(parts, ways), ...buckets, clean];
}
