import { remedies, type Finding } from '../../foundation/units/index.js';
import { baseThickness, hasBase, narrowestGap, rimOf } from '../../geometry/moulds/index.js';
import { isPortland, setsInMinutes, type BinderClass } from '../../mixing/binders/index.js';
import { usualBinderClass } from '../../mixing/mixes/index.js';
import { COLD, evaporation, faceRisk, HOT, overFace } from '../curing/index.js';
import {
  ANOTHER_MIX,
  mm,
  type HourAhead,
  type ItemRule,
  type JudgedMould,
  type PlanChange,
  type PourRule,
} from './judged.js';

/** Thickness from which a mix that sets fast gets hot enough to crack, mm. A figure of our own: no handbook gives one. */
const HOT_SECTION = 60;
/** Least moist curing of a lightweight mix, days. */
const LIGHT_CURE = 7;

/** The thickest section of a piece, mm: its wall or its base, or the least of its sizes where it is solid. */
function thickest({ item: { shape, fillTo = rimOf(shape) }, gap = 0 }: JudgedMould): number {
  if (shape.pressed) return shape.pressed.thickness;
  if (shape.cores.length === 0) return Math.min(fillTo, narrowestGap({ ...shape, inserts: [] }));
  return hasBase(shape) ? Math.max(gap, Math.min(fillTo, baseThickness(shape))) : gap;
}

/** Thick sections in what heats as it sets, and in patch, which shrinks. */
export const thickSectionRule: ItemRule = (judged) => {
  const { item, plan: { binderClass } } = judged; // prettier-ignore
  if (!setsInMinutes(binderClass)) return undefined;
  const thick = thickest(judged);
  if (thick < HOT_SECTION) return undefined;
  const shrinks = binderClass === 'patch';
  return {
    key: 'thick-section',
    harm: 2,
    text: `${item.name} is ${mm(thick)} at its thickest: ${shrinks ? 'this mix shrinks and cracks' : 'this mix gets hot and cracks'} in sections from ${mm(HOT_SECTION)}.`,
    reason: shrinks
      ? 'Polymer patch is made for skins.'
      : 'What sets in minutes gives off its heat at once, and the middle cannot lose it.',
    basis: 'guide',
    remedies: [
      ...remedies('Put a core in it, or fill it in thinner lifts.'),
      { text: 'Choose a cement mix for it.', change: ANOTHER_MIX },
    ],
  };
};

/** Lightweight mixes that are not kept damp long enough. */
export const lightCureRule: PourRule = ({ plan: { mix, binderClass, conditions } }) => {
  const light = mix.lines.some(({ material }) => material.kind === 'lightweight');
  if (!light || !isPortland(binderClass) || conditions.moistCuringDays >= LIGHT_CURE) return [];
  return [
    {
      key: 'light-cure',
      harm: 3,
      text: `A lightweight mix that is cured moist for ${conditions.moistCuringDays} days dries out and crazes.`,
      reason: 'Its grains give their water off fast, before the cement has taken what it needs.',
      basis: 'guide',
      remedies: remedies('Give the mix a moist cure of a week at least, and cover its open faces.'),
    },
  ];
};

/** Gypsum that is to be cured moist: it is as strong as it is dry. */
export const moistGypsumRule: PourRule = ({ plan: { binderClass, conditions } }) =>
  binderClass !== 'gypsum' || conditions.moistCuringDays === 0
    ? []
    : [
        {
          key: 'damp-gypsum',
          harm: 2,
          text: `This gypsum mix is set to be cured moist for ${conditions.moistCuringDays} days: it stays soft and grows mould.`,
          reason: 'Gypsum is as strong as it is dry, and gains nothing from water once it has set.',
          basis: 'guide',
          remedies: remedies('Set the moist cure of the mix to 0 days, and dry it in moving air.'),
        },
      ];

const setsLike: Record<BinderClass, string> = {
  portland: 'general cement',
  'high-early': 'high-early cement',
  'fast-setting': 'fast-setting cement',
  gypsum: 'gypsum',
  underlayment: 'underlayment',
  patch: 'patch mortar',
  lime: 'lime',
};

/** A mix that is said to set otherwise than its binder does: every time that is told of it is off. */
export const setsOtherwiseRule: PourRule = ({ plan: { mix, binderClass } }) => {
  const usual = usualBinderClass(mix);
  if (usual === undefined || usual === binderClass) return [];
  return [
    {
      key: 'sets-otherwise',
      harm: 3,
      text: `The mix is said to set like ${setsLike[binderClass]}, and its binder is ${setsLike[usual]}: its times will be off.`,
      reason: 'Pot life, demoulding and curing go by how the binder sets.',
      basis: 'guide',
      remedies: remedies(`Set the mix to set like ${setsLike[usual]}.`),
    },
  ];
};

const degrees = (value: number) => `${value.toFixed(0)} °C`;

function coldFinding(coldest: number, now: boolean, portland: boolean): Finding<PlanChange> | undefined {
  const when = now ? 'It is' : 'Within two days it falls to';
  if (coldest < 0)
    return {
      key: 'frost-ahead',
      harm: 2,
      text: `${when} ${degrees(coldest)}: fresh mix that freezes before it has 3.5 MPa scales and crumbles.`,
      reason: 'Its water swells as it freezes, and the paste cannot hold it yet.',
      basis: now ? 'record' : 'forecast',
      remedies: remedies('Cast and keep it in a warmer place, or wait.'),
    };
  if (!portland || coldest >= COLD) return undefined;
  return {
    key: 'cold-ahead',
    harm: 3,
    text: `${when} ${degrees(coldest)}: below ${COLD} °C cement hardly sets.`,
    reason: 'The demould waits as long as the cold lasts.',
    basis: now ? 'record' : 'forecast',
    remedies: remedies('Warm the place, or wrap the mould, or wait.'),
  };
}

function hotFinding(hottest: number, now: boolean): Finding<PlanChange> | undefined {
  if (hottest <= HOT) return undefined;
  return {
    key: 'heat-ahead',
    harm: 3,
    text: `${now ? 'It is' : 'Within two days it rises to'} ${degrees(hottest)}: it stiffens fast, and dries before it hardens.`,
    reason: `Above ${HOT} °C in its first days a piece crazes.`,
    basis: now ? 'record' : 'forecast',
    remedies: remedies('Pour early in the day, with cool water, in shade.', 'Cover it at once, and keep it damp.'),
  };
}

const first = <T>(...found: readonly (T | undefined)[]): T[] => found.filter((one) => one !== undefined).slice(0, 1);

/** How warm the place is, and what the forecast brings for the first two days. */
export const temperatureRule: PourRule = ({ plan: { temperature, binderClass }, context: { ahead = [] } }) => {
  const portland = !setsInMinutes(binderClass);
  const hours = ahead.map((hour) => hour.temperature);
  return [
    ...first(
      coldFinding(temperature, true, portland),
      hours.length > 0 ? coldFinding(Math.min(...hours), false, portland) : undefined,
    ),
    ...first(hotFinding(temperature, true), hours.length > 0 ? hotFinding(Math.max(...hours), false) : undefined),
  ];
};

const rateOf = (hour: HourAhead) => evaporation(overFace(hour));

/** Air ahead that dries open faces faster than they set. */
export const dryAmbientRule: PourRule = ({ plan: { mix, binderClass }, context: { ahead = [] } }) => {
  if (!isPortland(binderClass) || ahead.length === 0) return [];
  const rate = Math.max(...ahead.map(rateOf));
  const light = mix.lines.some(({ material }) => material.kind === 'lightweight');
  const risk = faceRisk(rate);
  if (risk === 'calm' || (risk === 'watch' && !light)) return [];
  return [
    {
      key: 'dry-air',
      harm: 3,
      text: `Within two days open faces lose up to ${rate.toFixed(1)} kg/m² an hour: ${light ? 'a lightweight piece' : 'a piece'} left open crazes.`,
      reason: 'Above 0.5 thin and light pieces dry before they set, above 1.0 all do.',
      basis: 'forecast',
      remedies: remedies('Cover it with film or a bag as soon as it is finished.', 'Find shade and a windbreak.'),
    },
  ];
};
