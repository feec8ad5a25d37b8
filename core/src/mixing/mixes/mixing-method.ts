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

/** One step of mixing, with why, and the caution that stands at it. */
export interface MixingStep {
  readonly text: string;
  readonly why?: string;
  readonly caution?: string;
}

/** What is usual for a mix: powder into water where it sets in minutes, so that it wets evenly; else water to powder. */
export const usualOrder = (binderClass: BinderClass): MixingOrder =>
  setsInMinutes(binderClass) ? 'powder-to-water' : 'water-to-powder';

const isLight = (kind: string) => kind === 'lightweight' || kind === 'organic';

const DUST = 'Dust harms the lungs: respirator on, outdoors or under extraction.';
const CAUSTIC = 'Wet mix is caustic: gloves, goggles, long sleeves.';
const HEAT = 'It heats up as it sets: never cast a hand or any part of a body.';

function dry(mix: Mix): MixingStep[] {
  const { lines, doses = [] } = mix;
  const names = (fits: (kind: string) => boolean) =>
    lines.filter(({ material }) => fits(material.kind)).map(({ material }) => material.name.toLowerCase());
  const bagged = names((kind) => kind === 'pre-blend');
  const light = names(isLight);
  const fibre = doses
    .filter(({ material }) => material.additive?.endsWith('fibre'))
    .map(({ material }) => material.name);
  const found: MixingStep[] = [];
  if (bagged.length > 0)
    found.push({
      text: `Turn the bag of ${bagged.join(' and ')} over before scooping.`,
      why: 'a stored bag has parted',
      caution: DUST,
    });
  if (light.length > 0)
    found.push({
      text: `Pre-wet ${light.join(' and ')} with part of the water. Wait until it is absorbed.`,
      why: 'dry grains drink the water that the cement wants, and dust less when wet',
    });
  if (lines.length - light.length > 1)
    found.push({
      text: `Blend the ${light.length > 0 ? 'other ' : ''}dry things until the colour is even.`,
      caution: DUST,
    });
  else if (light.length > 0)
    found.push({ text: `Then ${names((kind) => !isLight(kind)).join(' and ')} goes over them.`, caution: DUST });
  if (fibre.length > 0)
    found.push({
      text: `Tease ${fibre.join(' and ').toLowerCase()} apart over the dry blend.`,
      why: 'clumps never open in wet mix',
    });
  return found;
}

function colour({ doses = [] }: Mix, when: ColourWhen): MixingStep[] {
  const tints = doses.filter(({ material }) => isPigment(material));
  if (tints.length === 0) return [];
  const names = tints.map(({ material }) => material.name.toLowerCase()).join(' and ');
  const rinse = {
    text: 'Rinse the colour jug with water that was counted.',
    why: 'colour left in the jug is a paler piece',
  };
  if (when === 'powder')
    return [
      { text: `Blend ${names} into the dry powder until no streak shows.`, why: 'the most even colour', caution: DUST },
    ];
  if (when === 'water')
    return [{ text: `Stir ${names} into the mixing water.`, why: 'quick, and without dust' }, rinse];
  return [{ text: `Swirl ${names} in at the end, and stop before it is even.`, why: 'veins, on purpose' }, rinse];
}

function wet(mix: Mix, order: MixingOrder, binderClass: BinderClass): MixingStep[] {
  const liquids = (mix.doses ?? []).filter(({ material }) => solidsOf(material) < 1 && !isPigment(material));
  const jug = liquids.map(({ material }) => material.name.toLowerCase()).join(' and ');
  const found: MixingStep[] = [];
  if (binderClass === 'gypsum' || mix.doses?.some(({ material }) => material.additive === 'chips'))
    found.push({ text: 'Take distilled or demineralised water.', why: 'tap water can stain it' });
  if (jug) found.push({ text: `Stir ${jug} into the water.`, why: 'its own water was counted' });
  if (order === 'powder-to-water') {
    found.push({
      text: 'Measure the water exactly, and sift the powder into it.',
      why: 'it wets evenly, without lumps or dust',
      caution: DUST,
    });
    found.push({
      text: `Hold back the last ${LAST_POWDER * 100} % of the powder, and add it by eye.`,
      caution: CAUSTIC,
    });
  } else {
    found.push({
      text: `Put in ${FIRST_WATER * 100} % of the water at once, the rest in splashes.`,
      why: 'a splash too many cannot be taken out',
      caution: CAUSTIC,
    });
    found.push({ text: 'Scrape the bottom and corners of the bucket.', why: 'dry pockets hide there' });
  }
  return found;
}

/** How a mix is mixed, step by step, with reasons and cautions in place. */
export function methodOf(mix: Mix, binderClass: BinderClass, ways: MixingWays = {}): MixingStep[] {
  const { order = usualOrder(binderClass), colour: when = 'powder' } = ways;
  const tint = colour(mix, when);
  const early = when === 'late' ? [] : tint;
  return [
    ...dry(mix),
    ...early,
    ...wet(mix, order, binderClass),
    { text: 'If grains look bare, mix longer. Stop adding water when it shines without bleeding.' },
    ...(setsInMinutes(binderClass)
      ? [{ text: 'Pour at once.', why: 'it stiffens within minutes', caution: HEAT }]
      : [
          {
            text: 'Let it stand one to three minutes, then stir once more.',
            why: 'air rises, and what is thirsty drinks',
          },
        ]),
    ...(when === 'late' ? tint : []),
  ];
}
