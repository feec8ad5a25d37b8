import { msg, exactly, listed, type Message } from '../../foundation/units/index.js';
import { setsInMinutes, type BinderClass } from '../binders/index.js';
import { isPigment, solidsOf } from './dose.js';
import type { Mix } from './mix.js';
import { FIRST_WATER, LAST_POWDER } from './water.js';

/** What goes into what. */
export const mixingOrders = ['water-to-powder', 'powder-to-water'] as const;
export type MixingOrder = (typeof mixingOrders)[number];
/** When the colour goes in. */
export const colourWhens = ['powder', 'water', 'late'] as const;
export type ColourWhen = (typeof colourWhens)[number];

/** How a mix is mixed, where it differs from what is usual for it. */
export interface MixingWays {
  readonly order?: MixingOrder;
  readonly colour?: ColourWhen;
}

/** The ways of a mix, and what its colours are called together where they are not named one by one. */
interface MethodWays extends MixingWays {
  readonly colourName?: Message;
}

/** One step of mixing, with why, and the caution that stands at it. */
export interface MixingStep {
  readonly text: Message;
  readonly why?: Message;
  readonly caution?: Message;
}

/** What is usual for a mix: powder into water where it sets in minutes, so that it wets evenly; else water to powder. */
export const usualOrder = (binderClass: BinderClass): MixingOrder =>
  setsInMinutes(binderClass) ? 'powder-to-water' : 'water-to-powder';

const isLight = (kind: string) => kind === 'lightweight' || kind === 'organic';

const DUST = msg('mixes.dust');
const CAUSTIC = msg('mixes.caustic');
const HEAT = msg('mixes.heat');

function dry(mix: Mix): MixingStep[] {
  const { lines, doses = [] } = mix;
  const names = (fits: (kind: string) => boolean) =>
    lines.filter(({ material }) => fits(material.kind)).map(({ material }) => material.name);
  const bagged = names((kind) => kind === 'pre-blend');
  const light = names(isLight);
  const fibre = doses
    .filter(({ material }) => material.additive?.endsWith('fibre'))
    .map(({ material }) => material.name);
  const found: MixingStep[] = [];
  if (bagged.length > 0)
    found.push({
      text: msg('mixes.turnBag', { bagged: listed(bagged) }),
      why: msg('mixes.bagParted'),
      caution: DUST,
    });
  if (light.length > 0)
    found.push({
      text: msg('mixes.prewet', { light: listed(light) }),
      why: msg('mixes.prewetWhy'),
    });
  if (lines.length - light.length > 1)
    found.push({
      text: msg('mixes.blendDry', { others: light.length > 0 ? 'yes' : 'no' }),
      caution: DUST,
    });
  else if (light.length > 0)
    found.push({ text: msg('mixes.goesOver', { names: listed(names((kind) => !isLight(kind))) }), caution: DUST });
  if (fibre.length > 0)
    found.push({
      text: msg('mixes.teaseFibre', { fibre: listed(fibre) }),
      why: msg('mixes.clumps'),
    });
  return found;
}

function colour({ doses = [] }: Mix, when: ColourWhen, name: Message | undefined): MixingStep[] {
  const tints = doses.filter(({ material }) => isPigment(material));
  if (tints.length === 0) return [];
  const names = name ?? listed(tints.map(({ material }) => material.name));
  const rinse = {
    text: msg('mixes.rinseJug'),
    why: msg('mixes.rinseWhy'),
  };
  if (when === 'powder')
    return [{ text: msg('mixes.blendPowder', { names }), why: msg('mixes.blendPowderWhy'), caution: DUST }];
  if (when === 'water') return [{ text: msg('mixes.stirWater', { names }), why: msg('mixes.stirWaterWhy') }, rinse];
  return [{ text: msg('mixes.swirlLate', { names }), why: msg('mixes.swirlWhy') }, rinse];
}

function wet(mix: Mix, order: MixingOrder, binderClass: BinderClass): MixingStep[] {
  const liquids = (mix.doses ?? []).filter(({ material }) => solidsOf(material) < 1 && !isPigment(material));
  const jug = listed(liquids.map(({ material }) => material.name));
  const found: MixingStep[] = [];
  if (binderClass === 'gypsum' || mix.doses?.some(({ material }) => material.additive === 'chips'))
    found.push({ text: msg('mixes.distilled'), why: msg('mixes.distilledWhy') });
  if (liquids.length > 0) found.push({ text: msg('mixes.stirJug', { jug }), why: msg('mixes.stirJugWhy') });
  if (order === 'powder-to-water') {
    found.push({
      text: msg('mixes.siftPowder'),
      why: msg('mixes.siftWhy'),
      caution: DUST,
    });
    found.push({
      text: msg('mixes.holdBackPowder', { lastPowder: exactly(LAST_POWDER * 100, '%') }),
      caution: CAUSTIC,
    });
  } else {
    found.push({
      text: msg('mixes.firstWater', { firstWater: exactly(FIRST_WATER * 100, '%') }),
      why: msg('mixes.firstWaterWhy'),
      caution: CAUSTIC,
    });
    found.push({ text: msg('mixes.scrape'), why: msg('mixes.scrapeWhy') });
  }
  return found;
}

/** How a mix is mixed, step by step, with reasons and cautions in place. */
export function methodOf(mix: Mix, binderClass: BinderClass, ways: MethodWays = {}): MixingStep[] {
  const { order = usualOrder(binderClass), colour: when = 'powder', colourName } = ways;
  const tint = colour(mix, when, colourName);
  const early = when === 'late' ? [] : tint;
  return [
    ...dry(mix),
    ...early,
    ...wet(mix, order, binderClass),
    { text: msg('mixes.bareGrains') },
    ...(setsInMinutes(binderClass)
      ? [{ text: msg('mixes.pourAtOnce'), why: msg('mixes.pourAtOnceWhy'), caution: HEAT }]
      : [
          {
            text: msg('mixes.rest'),
            why: msg('mixes.restWhy'),
          },
        ]),
    ...(when === 'late' ? tint : []),
  ];
}
