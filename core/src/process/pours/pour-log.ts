import { Checker, msg } from '../../foundation/units/index.js';
import { isBinder, type Material } from '../../mixing/materials/index.js';
import { batchOf, liquidWaterOf, type BatchMasses, type Grade } from '../../mixing/mixes/index.js';
import { expectedOf, laidInMass, pieceVolume, type Expected } from './pieces.js';
import type { PourPlan } from './plan.js';
import type { Sheet } from './sheet.js';

/** What really went into a pour, over all its batches. */
export interface PourLog {
  /** Mass of each material as it was weighed, damp as it was, g, by material id. */
  readonly used: Readonly<Record<string, number>>;
  /** Water from the tap, g. */
  readonly tap: number;
  /** Consistency reached. */
  readonly grade: Grade;
  /** At the bench, °C. */
  readonly temperature: number;
  /** Mix left over, mL; undefined where nobody looked. */
  readonly leftover?: number;
  /** Mix that was missing to fill the moulds, mL; only where it fell short. */
  readonly short?: number;
}

/** The log that a pour starts with: everything as planned. */
export function plannedLog(plan: PourPlan, sheet: Sheet): PourLog {
  const batches = sheet.batches.count;
  const { lines, doses } = sheet.batch;
  return {
    used: Object.fromEntries([...lines, ...doses].map(({ materialId, mass }) => [materialId, mass.value * batches])),
    tap: sheet.batch.water.tap.value * batches,
    grade: plan.mix.grade,
    temperature: plan.temperature,
  };
}

/** Everything that a plan puts into the bucket but water. */
const ingredients = ({ mix: { lines, doses = [] } }: PourPlan): Material[] =>
  [...lines, ...doses].map(({ material }) => material);

/** Refuses a log that cannot be. @throws InputError */
function checkLog(plan: PourPlan, log: PourLog): void {
  const check = new Checker();
  for (const material of ingredients(plan)) {
    check.number(`used.${material.id}`, log.used[material.id], msg('pours.usedOf', { material: material.name }), {
      min: 0,
      max: 1e7,
      unit: 'g',
    });
  }
  check.number('tap', log.tap, msg('pours.tapWater'), { min: 0, max: 1e7, unit: 'g' });
  check.number('temperature', log.temperature, msg('pours.temperature'), { min: -10, max: 50, unit: '°C' });
  if (log.leftover !== undefined)
    check.number('leftover', log.leftover, msg('pours.leftover'), { min: 0, max: 1e6, unit: 'mL' });
  if (log.short !== undefined) check.number('short', log.short, msg('pours.missing'), { min: 0, max: 1e6, unit: 'mL' });
  const binder = plan.mix.lines.find(({ material }) => isBinder(material));
  check.expect(
    !binder || (log.used[binder.material.id] ?? 0) > 0,
    `used.${binder?.material.id}`,
    0,
    msg('pours.noBinderUsed'),
    msg('pours.enterWhatWentIn'),
  );
  check.done();
}

/** Dry masses that a log tells of, g by material id. */
export function dryUsed(plan: PourPlan, log: PourLog): Record<string, number> {
  const entries = ingredients(plan).map(({ id }) => {
    const moisture = plan.moisture[id] ?? 0;
    return [id, (log.used[id] ?? 0) / (1 + moisture)] as const;
  });
  return Object.fromEntries(entries);
}

/** The pour's whole mix as it really was: masses and water of the log in place of the plan's. */
export function loggedBatch(plan: PourPlan, log: PourLog): BatchMasses {
  const dry = dryUsed(plan, log);
  const portions = plan.mix.lines.map(({ material }) => ({ material, mass: dry[material.id] ?? 0 }));
  const brought = portions.reduce((sum, { material, mass }) => sum + mass * (plan.moisture[material.id] ?? 0), 0);
  const doses = (plan.mix.doses ?? []).map((dose) => ({ dose, mass: dry[dose.material.id] ?? 0 }));
  const mix = { ...plan.mix, grade: log.grade };
  return batchOf(mix, plan.conditions, { portions, doses }, log.tap + brought + liquidWaterOf(doses));
}

/** What each kind of piece is calculated to weigh and lose, by the log. @throws InputError */
export function expectedByLog(plan: PourPlan, log: PourLog): Expected[] {
  checkLog(plan, log);
  const batch = loggedBatch(plan, log);
  return plan.items.map((item) => expectedOf(batch, pieceVolume(item), laidInMass(item)));
}
