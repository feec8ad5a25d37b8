import { msg, type Message } from '../../foundation/units/index.js';
import { setsInMinutes, type BinderClass } from '../binders/index.js';
import type { BatchMasses } from '../mixes/index.js';
import { measureBatch } from './measure-batch.js';
import { isSound, measuringFaults, type Measuring, type MeasuringFaults } from './measured-batch.js';
import type { MeasuredBatch, MeasuringWay, Vessels } from './ways.js';

/** A batch measured in one way, with what speaks against it. */
export interface MeasuringChoice {
  readonly measured: MeasuredBatch;
  readonly faults: MeasuringFaults;
  /** Mix beyond the need, as a share of it. */
  readonly left: number;
  readonly sound: boolean;
}

/** Scoopings of one material up to which nobody loses count. */
const COUNTABLE = 40;

/** Why casters weigh a mix; undefined where they scoop it. Small casts, quick binders and chips leave no room for a scoop's error. */
function whyWeighed({ mix }: Measuring, binderClass: BinderClass): Message | undefined {
  if (binderClass === 'gypsum') return msg('measuring.weighGypsum');
  if (setsInMinutes(binderClass)) return msg('measuring.weighQuick');
  if (mix.doses?.some(({ material }) => material.additive === 'chips')) return msg('measuring.weighChips');
  return undefined;
}

/** The ways that a caster has the vessels for, the handiest first. */
const waysWith = ({ scoop, scoops }: Vessels): MeasuringWay[] => [
  ...(scoop ? (['scoop'] as const) : []),
  ...(scoops.length > 1 ? (['scoops'] as const) : []),
  ...(scoop ? (['scoop-and-scale'] as const) : []),
  'scale',
];

/** A batch measured in one way, and what speaks against that. @throws InputError as `measureBatch` */
function measuringChoice(batch: BatchMasses, way: MeasuringWay, measuring: Measuring): MeasuringChoice {
  const measured = measureBatch(batch, way, measuring);
  const faults = measuringFaults(measured, batch, measuring);
  const most = Math.max(
    0,
    ...measured.lines.map(({ measures }) =>
      measures.reduce((sum, one) => sum + (one.kind === 'scoop' ? one.count : 1), 0),
    ),
  );
  const left = (measured.made * (1 + measuring.spare)) / batch.volume - 1;
  return { measured, faults, left, sound: isSound(faults) && most <= COUNTABLE };
}

/** A batch measured in every way that there are vessels for. @throws InputError as `measureBatch` */
export const measuringChoices = (batch: BatchMasses, measuring: Measuring): MeasuringChoice[] =>
  waysWith(measuring.vessels).map((way) => measuringChoice(batch, way, measuring));

const REASONS: Record<MeasuringWay, Message> = {
  scoop: msg('measuring.oneScoop'),
  scoops: msg('measuring.severalScoops'),
  'scoop-and-scale': msg('measuring.scoopAndScale'),
  scale: msg('measuring.noScoop'),
};

/** How a batch is best measured, and why. */
export interface ProposedWay {
  readonly way: MeasuringWay;
  readonly reason: Message;
}

/**
 * The way that casters of its school take for a batch where that comes out right; else the handiest that does: one scoop, several,
 * scoops and the scale, the scale alone. Where none does, the one that errs least. @throws InputError as `measureBatch`
 */
export function proposeWay(batch: BatchMasses, measuring: Measuring, binderClass: BinderClass): ProposedWay {
  const weighed = whyWeighed(measuring, binderClass);
  const ways = waysWith(measuring.vessels);
  const tried: { way: MeasuringWay; choice: MeasuringChoice }[] = [];
  for (const way of weighed ? [...new Set<MeasuringWay>(['scale', ...ways])] : ways) {
    const choice = measuringChoice(batch, way, measuring);
    if (choice.sound) return { way, reason: way === 'scale' && weighed ? weighed : REASONS[way] };
    tried.push({ way, choice });
  }
  const harm = ({ choice: { faults } }: (typeof tried)[number]) =>
    faults.short * 10 + faults.wet + faults.off + faults.over;
  const { way } = tried.reduce((best, one) => (harm(one) < harm(best) ? one : best));
  return { way, reason: msg('measuring.leastError') };
}
