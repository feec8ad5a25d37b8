import { defined } from '../../foundation/math/index.js';
import { Checker, InputError, type FieldIssue, msg, type Phrase } from '../../foundation/units/index.js';
import {
  layInset,
  rimOf,
  type BallastSand,
  type Inset,
  type MouldShape,
  type PieceKind,
} from '../../geometry/moulds/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import type { Lot, Scoop, ScoopStep } from '../../mixing/materials/index.js';
import type { MeasuringWay } from '../../mixing/measuring/index.js';
import {
  isPigment,
  wettest,
  type Dose,
  type Learned,
  type Mix,
  type MixConditions,
  type MixingWays,
} from '../../mixing/mixes/index.js';
import type { Colouring } from '../../mixing/tints/index.js';

/** A tint as a pour uses it: a copy, with the colour that it dries to in that pour's mix, #rrggbb. */
export interface PourTint {
  readonly id: string;
  readonly name: Phrase;
  readonly revision: number;
  readonly colour: string;
  readonly doses: readonly Dose[];
  /** What of its doses is strewn in at the end and hardly stirred. */
  readonly late?: readonly Dose[];
}

/** One mould of a pour, so many times. */
export interface PourItem {
  readonly mouldId: string;
  readonly name: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly count: number;
  /** Height to which it is filled, mm; to the rim where it is left out. */
  readonly fillTo?: number;
  /** How it is coloured, where that is not by the mix itself. */
  readonly colouring?: Colouring<PourTint>;
  /** It may be filled from more than one batch. */
  readonly split?: boolean;
  /** Mesh or wire is laid in at half its depth. */
  readonly mesh?: boolean;
  /** Lettering or a picture on one of its faces. */
  readonly inset?: Inset;
}

/** A pour as it is planned. */
export interface PourPlan {
  readonly items: readonly PourItem[];
  readonly mix: Mix;
  /** How the mix itself dries, #rrggbb. */
  readonly colour?: string;
  readonly binderClass: BinderClass;
  /** Mix made beyond what the moulds hold, as a share. */
  readonly spare: number;
  /** Moisture of each material that is damp: share of its dry mass, by material id. */
  readonly moisture: Readonly<Record<string, number>>;
  /** The scoop at hand; undefined where the caster has none. */
  readonly scoop?: Scoop;
  readonly step: ScoopStep;
  /** All scoops of the workshop, level and heaped; the one at hand where left out. */
  readonly scoops?: readonly Scoop[];
  /** How it is measured out; as is best where it is left out. */
  readonly measuring?: MeasuringWay;
  /** Brim volume of the bucket, mL. */
  readonly bucket: number;
  /** Temperature at the bench, °C. */
  readonly temperature: number;
  readonly conditions: MixConditions;
  /** What the mix's batches taught of its yield. */
  readonly learnedYield?: Learned;
  /** How it is mixed, where that differs from what is usual. */
  readonly ways?: MixingWays;
  /** Step of the scale that doses are weighed on, g. */
  readonly scaleStep?: number;
  /** How long things take at this bench; as is usual where it is left out. */
  readonly times?: WorkTimes;
  readonly lots: readonly Lot[];
  /** What weighs the cores down; as is usual where it is left out. */
  readonly ballastSand?: BallastSand;
  /** Mass from which two people lift, g. */
  readonly liftLimit: number;
  /** Its faces are to match those of an earlier pour. */
  readonly matches?: boolean;
}

/**
 * Whether the faces of a piece must match: in tints, with pigment in the mix, or where the pour is to match an earlier one.
 * Then it is filled from one batch: no two are quite of one shade.
 */
export const facesMustMatch = (
  { colouring }: Pick<PourItem, 'colouring'>,
  { mix, matches }: Pick<PourPlan, 'mix' | 'matches'>,
): boolean =>
  matches === true || colouring !== undefined || (mix.doses ?? []).some(({ material }) => isPigment(material));

/** How long things take, minutes: to mix a bucketful, to fill one mould. */
export interface WorkTimes {
  readonly mixing: number;
  readonly filling: number;
}

const [slow, quick]: WorkTimes[] = [
  { mixing: 6, filling: 3 },
  { mixing: 2, filling: 1.5 },
];
/** How long things take to begin with: what sets in minutes is stirred for two and poured at once. */
export const WORK_TIMES: Record<BinderClass, WorkTimes> = {
  portland: defined(slow),
  'high-early': defined(slow),
  lime: defined(slow),
  patch: defined(slow),
  'fast-setting': defined(quick),
  gypsum: defined(quick),
  underlayment: defined(quick),
};

/** Step of a kitchen scale, g: what doses are weighed on where nothing else is said. */
export const KITCHEN_SCALE = 1;

/** Most moulds in a pour. */
const MOST_MOULDS = 500;

/** What is wrong with the insets of a plan. */
function insetIssues(items: readonly PourItem[]): FieldIssue[] {
  return items.flatMap(({ shape, inset, fillTo, piece }, i) => {
    try {
      if (inset) layInset(shape, inset, { fillTo, piece, path: `items.${i}.inset` });
      return [];
    } catch (error) {
      if (error instanceof InputError) return error.issues;
      throw error;
    }
  });
}

/** Checks what is chosen of one mould of a plan. */
function checkItem(check: Checker, item: PourItem, i: number, plan: PourPlan): void {
  const whole = check.number(`items.${i}.count`, item.count, msg('pours.howMany', { item: item.name }), {
    min: 1,
    max: MOST_MOULDS,
  });
  if (whole)
    check.expect(
      Number.isInteger(item.count),
      `items.${i}.count`,
      item.count,
      msg('pours.notWholeMoulds', { count: item.count }),
      msg('pours.enterWhole'),
    );
  check.expect(
    !(item.split && facesMustMatch(item, plan)),
    `items.${i}.split`,
    item.split,
    msg('pours.facesMustMatch', { item: item.name }),
    msg('pours.eachFromOneBatch'),
  );
  if (item.fillTo !== undefined) {
    check.number(`items.${i}.fillTo`, item.fillTo, msg('pours.fillLineOf', { item: item.name }), {
      above: 0,
      max: rimOf(item.shape),
      unit: 'mm',
    });
  }
}

/** Refuses a plan that cannot be poured. Moulds and mix are checked by their own functions. @throws InputError */
export function checkPlan(plan: PourPlan): void {
  const check = new Checker();
  check.expect(plan.items.length > 0, 'items', 0, msg('pours.noMould'), msg('pours.chooseMould'));
  plan.items.forEach((item, i) => checkItem(check, item, i, plan));
  const moulds = plan.items.reduce((sum, { count }) => sum + count, 0);
  check.expect(
    moulds <= MOST_MOULDS,
    'items',
    moulds,
    msg('pours.tooManyMoulds', { moulds }),
    msg('pours.twoPours', { mostMoulds: MOST_MOULDS }),
  );
  check.number('spare', plan.spare, msg('pours.spare'), { min: 0, max: 1 });
  check.number('bucket', plan.bucket, msg('pours.bucket'), { min: 500, max: 200000, unit: 'mL' });
  check.number('temperature', plan.temperature, msg('pours.temperature'), { min: -10, max: 50, unit: '°C' });
  for (const [id, moisture] of Object.entries(plan.moisture)) {
    const material = plan.mix.lines.find((one) => one.material.id === id)?.material;
    const name = material?.name.toLowerCase() ?? 'a material';
    check.number(`moisture.${id}`, moisture, msg('pours.moistureOf', { name }), {
      min: 0,
      max: material ? wettest(material) : 0,
    });
  }
  if (plan.times) {
    check.number('times.mixing', plan.times.mixing, msg('pours.mixingTime'), { above: 0, max: 120, unit: 'min' });
    check.number('times.filling', plan.times.filling, msg('pours.fillingTime'), { above: 0, max: 120, unit: 'min' });
  }
  if (check.clean)
    for (const { field, value, message, remedy } of insetIssues(plan.items)) check.add(field, value, message, remedy);
  check.done();
}
