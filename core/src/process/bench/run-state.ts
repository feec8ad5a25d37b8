import { defined } from '../../foundation/math/index.js';
import { computed, figure, line, type Figure, msg, fixed, type Message } from '../../foundation/units/index.js';
import { cementMass, ratioCeiling, type Grade } from '../../mixing/mixes/index.js';
import { loggedBatch, tintedMix, type PourLog, type CalculatedPart } from '../pours/index.js';
import type { Run } from './run.js';
import { mouldKey, type Step } from './steps.js';

/** The key of a bucketful of a pour. */
export const bucketKey = (part: number, bucket: number): string => `${part}.${bucket}`;

/** One bucket as it really is. */
export interface BucketNow {
  readonly part: number;
  readonly bucket: number;
  /** g as it was weighed, damp as it was, by material. */
  readonly used: Readonly<Record<string, number>>;
  /** g from the tap. */
  readonly tap: number;
  readonly grade: Grade;
  /** Free water to cement. */
  readonly ratio: Figure;
  /** mL */
  readonly made: Figure;
  /** Whether it has been mixed. */
  readonly mixed: boolean;
  readonly warnings: readonly Message[];
}

/** A bucket as it really is: what was weighed in place of what was planned, the water that went in. */
export function bucketNow(parts: readonly CalculatedPart[], run: Run, part: number, bucket: number): BucketNow {
  const own = defined(parts[part]);
  const bucketful = defined(own.sheet.bucketfuls[bucket]);
  const key = bucketKey(part, bucket);
  const times = 1 + (run.more.get(key) ?? 0);
  const planned = [...bucketful.lines, ...bucketful.doses].map(({ materialId, mass }) => [materialId, mass.value] as const); // prettier-ignore
  const weighed = run.weighed.get(key) ?? {};
  const used = Object.fromEntries(planned.map(([id, mass]) => [id, (weighed[id] ?? mass) * times]));
  const told = run.water.get(key);
  const tap = (told ?? bucketful.water.tap.value) * (told === undefined ? times : 1);
  const { plan } = own;
  const mix = bucketful.tint ? tintedMix(plan.mix, bucketful.tint.doses) : plan.mix;
  const { temperature } = plan;
  const batch = loggedBatch({ ...plan, mix }, { used, tap, grade: mix.grade, temperature });
  const cement = Math.max(1, cementMass(batch.portions, { withLime: own.plan.mix.limeCounts }));
  const ratio = batch.freeWater / cement;
  const ceiling = ratioCeiling[own.plan.mix.exposure];
  const mixed = run.times.get(`${key}.mix`)?.end !== undefined;
  return {
    part,
    bucket,
    used,
    tap,
    grade: run.grades.get(key) ?? own.plan.mix.grade,
    ratio: figure(ratio, 'ratio', computed, [
      line(msg('pours.fromTap'), tap, 'g'),
      line(msg('bench.freeWater'), batch.freeWater, 'g', msg('bench.freeWaterHow')),
      line(msg('bench.cement'), cement, 'g'),
      line(msg('bench.ratio'), ratio, 'ratio'),
    ]),
    made: figure(batch.volume, 'mL', computed, [
      line(
        msg('bench.solids'),
        batch.portions.reduce((sum, { mass }) => sum + mass, 0),
        'g',
      ),
      line(msg('pours.waterInAll'), batch.totalWater, 'g'),
      line(msg('pours.itMakes'), batch.volume, 'mL', msg('bench.solidsHow')),
    ]),
    mixed,
    warnings:
      ratio > ceiling && told !== undefined && !own.plan.mix.lines.some(({ material }) => material.powder)
        ? [msg('bench.ratioOver', { ratio: fixed(ratio, 2), ceiling: fixed(ceiling, 2) })] // prettier-ignore
        : [],
  };
}

/** What of a pour is mixed, placed, lost, left and still wanted, mL, of one of its mixes. */
export interface PartNow {
  readonly made: Figure;
  /** In the moulds so far. */
  readonly placed: number;
  readonly lost: number;
  /** In the bucket. */
  readonly left: Figure;
  /** What its moulds still want of what is mixed and to be mixed. */
  readonly wanted: number;
  /** Mix to come from buckets that are not mixed yet. */
  readonly toCome: number;
  /** Moulds in their order that can still be filled to the last, and those that fall short. */
  readonly fills: readonly string[];
  readonly short: readonly string[];
}

/** Where a mix of a pour stands: mass in is mass in the moulds, lost and left. */
export function partNow(parts: readonly CalculatedPart[], steps: readonly Step[], run: Run, part: number): PartNow {
  const buckets = defined(parts[part]).sheet.bucketfuls.map(({ at }) => bucketNow(parts, run, part, at));
  const yields = defined(parts[part]).plan.learnedYield?.factor ?? 1;
  const sum = (of: readonly BucketNow[]) => of.reduce((total, one) => total + one.made.value * yields, 0);
  const made = sum(buckets.filter(({ mixed }) => mixed));
  const toCome = sum(buckets.filter(({ mixed }) => !mixed));
  const placing = steps.filter((step) => step.part === part && (step.kind === 'fill' || step.kind === 'press'));
  const volumes = (done: boolean) =>
    placing
      .filter(({ key }) => (run.times.get(key)?.end !== undefined) === done)
      .flatMap(({ moulds }) => moulds.filter(({ key }) => !run.skipped.has(key)));
  const poured = volumes(true).reduce((total, { volume }) => total + volume, 0);
  const own = [...run.lost].filter(([key]) => key.startsWith(`${part}.`));
  const lost = own.reduce((total, [, volume]) => total + volume, 0);
  const left = made - poured;
  const open = new Map<string, { name: string; volume: number }>();
  const want = (key: string, name: string, volume: number) =>
    open.set(key, { name, volume: volume + (open.get(key)?.volume ?? 0) });
  for (const { key, name, volume } of volumes(false)) want(key, name, volume);
  // A mould that leaked wants again what it lost.
  const moulds = placing.flatMap((step) => step.moulds);
  for (const [key, volume] of own)
    if (!run.skipped.has(key)) want(key, moulds.find((mould) => mould.key === key)?.name ?? key, volume);
  let rest = left + toCome;
  const [fills, short]: [string[], string[]] = [[], []];
  for (const { name, volume } of open.values()) {
    rest -= volume;
    (rest >= -1 ? fills : short).push(name);
  }
  return {
    made: figure(made, 'mL', computed, [line(msg('bench.mixedSoFar'), made, 'mL')]),
    placed: poured - lost,
    lost,
    left: figure(left, 'mL', computed, [
      line(msg('bench.mixedSoFar'), made, 'mL'),
      line(msg('bench.putIntoMoulds'), poured, 'mL', lost > 0 ? msg('bench.ranOut') : undefined),
      line(msg('bench.left'), left, 'mL'),
    ]),
    wanted: [...open.values()].reduce((total, { volume }) => total + volume, 0),
    toCome,
    fills,
    short,
  };
}

/** The log that a run comes to, mix by mix: all that went into its buckets, the wettest grade told last. */
export function logsOf(parts: readonly CalculatedPart[], run: Run): PourLog[] {
  return parts.map(({ plan, sheet }, part) => {
    const buckets = sheet.bucketfuls.map(({ at }) => bucketNow(parts, run, part, at));
    const mixed = buckets.filter((one) => one.mixed);
    const told = mixed.length > 0 ? mixed : buckets;
    const used: Record<string, number> = {};
    for (const { material } of [...plan.mix.lines, ...(plan.mix.doses ?? [])])
      used[material.id] = told.reduce((sum, one) => sum + (one.used[material.id] ?? 0), 0);
    return {
      used,
      tap: told.reduce((sum, { tap }) => sum + tap, 0),
      grade: told.at(-1)?.grade ?? plan.mix.grade,
      temperature: plan.temperature,
    };
  });
}

/** Which casts a run makes: every mould of every item that was not left out, by the pour's own item, and which copy of it from 0. */
export function castItems(
  parts: readonly (CalculatedPart & { readonly items: readonly number[] })[],
  run: Run,
): { readonly item: number; readonly copy: number }[] {
  return parts.flatMap(({ plan, items }, part) =>
    plan.items.flatMap(({ count }, i) =>
      Array.from({ length: count }, (_, copy) => ({ item: defined(items[i]), copy })).filter(
        ({ copy }) => !run.skipped.has(mouldKey(part, { item: i }, copy)),
      ),
    ),
  );
}
