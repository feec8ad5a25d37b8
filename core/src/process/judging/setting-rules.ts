import { remedies, type Finding, msg, exactly, type Message, quantity } from '../../foundation/units/index.js';
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
    text: msg('judging.thickSection', {
      item: item.name,
      thick: mm(thick),
      shrinks: shrinks ? 'yes' : 'no',
      hotSection: mm(HOT_SECTION),
    }),
    reason: shrinks ? msg('judging.patchSkins') : msg('judging.quickHeat'),
    basis: 'guide',
    remedies: [...remedies(msg('judging.coreOrThinner')), { text: msg('judging.cementMix'), change: ANOTHER_MIX }],
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
      text: msg('judging.lightDries', { moistCuringDays: exactly(conditions.moistCuringDays, 'days') }),
      reason: msg('judging.lightDriesReason'),
      basis: 'guide',
      remedies: remedies(msg('judging.weekMoist')),
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
          text: msg('judging.gypsumMoist', { moistCuringDays: exactly(conditions.moistCuringDays, 'days') }),
          reason: msg('judging.gypsumMoistReason'),
          basis: 'guide',
          remedies: remedies(msg('judging.gypsumMoistRemedy')),
        },
      ];

const setsLike: Record<BinderClass, Message> = {
  portland: msg('judging.likeCement'),
  'high-early': msg('judging.likeHighEarly'),
  'fast-setting': msg('judging.likeFast'),
  gypsum: msg('judging.likeGypsum'),
  underlayment: msg('judging.likeUnderlayment'),
  patch: msg('judging.likePatch'),
  lime: msg('judging.likeLime'),
};

/** A mix that is said to set otherwise than its binder does: every time that is told of it is off. */
export const setsOtherwiseRule: PourRule = ({ plan: { mix, binderClass } }) => {
  const usual = usualBinderClass(mix);
  if (usual === undefined || usual === binderClass) return [];
  return [
    {
      key: 'sets-otherwise',
      harm: 3,
      text: msg('judging.setsOtherwise', { said: setsLike[binderClass], binder: setsLike[usual] }),
      reason: msg('judging.setsOtherwiseReason'),
      basis: 'guide',
      remedies: remedies(msg('judging.setToSetLike', { binder: setsLike[usual] })),
    },
  ];
};

const degrees = (value: number) => quantity(value, '°C', 0);

function coldFinding(coldest: number, now: boolean, portland: boolean): Finding<PlanChange> | undefined {
  const when = now ? 'yes' : 'no';
  if (coldest < 0)
    return {
      key: 'frost-ahead',
      harm: 2,
      text: msg('judging.freezes', { now: when, strength: exactly(3.5, 'MPa'), coldest: degrees(coldest) }),
      reason: msg('judging.freezesReason'),
      basis: now ? 'record' : 'forecast',
      remedies: remedies(msg('judging.warmerPlace')),
    };
  if (!portland || coldest >= COLD) return undefined;
  return {
    key: 'cold-ahead',
    harm: 3,
    text: msg('judging.coldSet', { now: when, coldest: degrees(coldest), cold: exactly(COLD, '°C') }),
    reason: msg('judging.coldWaits'),
    basis: now ? 'record' : 'forecast',
    remedies: remedies(msg('judging.warmPlace')),
  };
}

function hotFinding(hottest: number, now: boolean): Finding<PlanChange> | undefined {
  if (hottest <= HOT) return undefined;
  return {
    key: 'heat-ahead',
    harm: 3,
    text: msg('judging.hotSet', { now: now ? 'yes' : 'no', hottest: degrees(hottest) }),
    reason: msg('judging.hotReason', { hot: exactly(HOT, '°C') }),
    basis: now ? 'record' : 'forecast',
    remedies: remedies(msg('judging.pourEarly'), msg('judging.coverAtOnce')),
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
      text: msg('judging.openCrazes', { rate: quantity(rate, 'kg/m²/h', 1), light: light ? 'yes' : 'no' }),
      reason: msg('judging.openReason', { watch: quantity(0.5, 'kg/m²/h', 1), all: quantity(1, 'kg/m²/h', 1) }),
      basis: 'forecast',
      remedies: remedies(msg('judging.coverFilm'), msg('judging.findShade')),
    },
  ];
};
