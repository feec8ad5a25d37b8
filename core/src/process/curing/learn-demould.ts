import { bisect, defined, normalShare } from '../../foundation/math/index.js';
import {
  Checker,
  figure,
  handbook,
  line,
  type Figure,
  msg,
  type Message,
  fixed,
  exactly,
} from '../../foundation/units/index.js';

/** How a demoulding went: clean, broken because it came too early, or hurt in some other way, which teaches nothing. */
export const demouldsCame = ['clean', 'too-early', 'otherwise'] as const;
export type DemouldCame = (typeof demouldsCame)[number];

/** One demoulding from a mould with a mix. */
export interface DemouldRecord {
  /** Equivalent hours at 20 °C. */
  readonly age: number;
  readonly came: DemouldCame;
}

/** A demoulding, and which cast it was. */
export interface DemouldSeen extends DemouldRecord {
  readonly code: string;
  /** ms */
  readonly at: number;
}

/** How much damage a caster takes for an earlier demoulding. */
export type DemouldCare = 'cautious' | 'usual' | 'bold';
export const usualCare: DemouldCare = 'usual';
export const demouldRisks: Record<DemouldCare, number> = { cautious: 0.05, usual: 0.1, bold: 0.2 };

/** What a caster chose for a mould. */
export interface DemouldWays {
  readonly care?: DemouldCare;
  /** How many of the records there were when the caster last asked to try it earlier again. */
  readonly triedAgainAt?: number;
}

/** The proposed next demoulding of a mould with a mix. */
export interface LearnedDemouldAge {
  /** Equivalent hours at 20 °C. */
  readonly age: Figure;
  /** Share of demouldings at that age that are calculated to come to harm. */
  readonly risk: number;
  /** A third of the chosen risk is taken, since it came to harm once. */
  readonly wary: boolean;
  /** The risk, and what it rests on. */
  readonly sentence: Message;
}

/** The threshold before anything is known: log-normal, its median as a share of the handbook's age. */
const PRIOR_MEDIAN = 0.65;
const PRIOR_SPREAD = 0.35;
/** How sharply a piece goes from breaking to coming clean, in ln of the age. */
const SHARPNESS = 0.06;
/** After damage so much of the chosen risk is taken. */
const WARY = 1 / 3;
/** Never so much under the shortest age that came clean. */
const LEAST_STEP = 0.93;
/** The grid over ln of the threshold: so many spreads to either side, in so many steps. */
const REACH = 4;
const STEPS = 160;
const HALVINGS = 24;

/** A threshold in ln of equivalent hours, and how likely it is. */
interface Belief {
  readonly at: number;
  readonly weight: number;
}

const cleanChance = (age: number, at: number) => normalShare((Math.log(age) - at) / SHARPNESS);

/** What is believed of the threshold after the records. */
function beliefs(expected: number, records: readonly DemouldRecord[]): Belief[] {
  const middle = Math.log(PRIOR_MEDIAN * expected);
  const raw = Array.from({ length: STEPS + 1 }, (_, i) => {
    const off = REACH * (2 * (i / STEPS) - 1);
    const at = middle + off * PRIOR_SPREAD;
    const seen = records.reduce((chance, { age, came }) => {
      if (came === 'otherwise') return chance;
      const clean = cleanChance(age, at);
      // No record is so sure that the opposite could not have happened.
      return chance * Math.max(1e-9, came === 'clean' ? clean : 1 - clean);
    }, 1);
    return { at, weight: Math.exp(-(off * off) / 2) * seen };
  });
  const sum = raw.reduce((total, { weight }) => total + weight, 0);
  return raw.map(({ at, weight }) => ({ at, weight: weight / sum }));
}

const riskAt = (known: readonly Belief[], age: number) =>
  known.reduce((sum, { at, weight }) => sum + weight * (1 - cleanChance(age, at)), 0);

/** Shortest age whose risk is at most `risk`, equivalent hours; risk falls as the age grows. */
function shortestAt(known: readonly Belief[], risk: number): number {
  const [first, last] = [defined(known[0]).at - 1, defined(known[known.length - 1]).at + 1];
  const [, high] = bisect((at) => riskAt(known, Math.exp(at)) <= risk, first, last, { halvings: HALVINGS });
  return Math.exp(high);
}

function check(expected: number, records: readonly DemouldRecord[]): void {
  const checker = new Checker();
  checker.number('expected', expected, msg('curing.handbookAge'), { above: 0, max: 2000, unit: 'h' });
  records.forEach(({ age }, i) =>
    checker.number(`records.${i}.age`, age, msg('curing.ageAtDemould'), { above: 0, max: 20000, unit: 'h' }),
  );
  checker.done();
}

function sentenceOf(risk: number, records: readonly DemouldRecord[]): Message {
  const chance = fixed(Math.max(1, Math.round(risk * 100)), 0);
  const clean = records.filter(({ came }) => came === 'clean').length;
  const early = records.filter(({ came }) => came === 'too-early').length;
  return clean + early === 0
    ? msg('curing.riskByHandbook', { risk: chance })
    : msg('curing.riskByRecord', { risk: chance, count: clean + early, early });
}

/**
 * The earliest safe demoulding of a mould with a mix, learned from its record in the order of time, equivalent hours at 20 °C;
 * `expected` is the handbook's age for the piece. Handbook section 10: a log-normal threshold updated on a grid, the
 * shortest age within the caster's risk, which may well lie above the handbook. @throws InputError on ages out of range
 */
export function learnDemouldAge(
  expected: number,
  records: readonly DemouldRecord[],
  { care = usualCare, triedAgainAt = 0 }: DemouldWays = {},
): LearnedDemouldAge {
  check(expected, records);
  const known = beliefs(expected, records);
  const wary = records.slice(triedAgainAt).some(({ came }) => came === 'too-early');
  const taken = demouldRisks[care] * (wary ? WARY : 1);
  const within = shortestAt(known, taken);
  const cleanAges = records.filter(({ came }) => came === 'clean').map(({ age }) => age);
  const floor = cleanAges.length > 0 ? LEAST_STEP * Math.min(...cleanAges) : 0;
  const age = Math.max(within, floor);
  const counts = records.filter(({ came }) => came !== 'otherwise').length;
  const risk = riskAt(known, age);
  return {
    age: figure(age, 'h', counts > 0 ? { kind: 'learned', records: counts } : handbook, [
      line(msg('curing.handbookAt20', { temperature: exactly(20, '°C') }), expected, 'h'),
      line(msg('curing.teachingDemouldings'), counts, 'ratio'),
      line(
        msg('curing.riskTaken'),
        taken * 100,
        '%',
        wary ? msg('curing.thirdOfChosen') : msg('curing.riskChosen', { care }),
      ),
      line(msg('curing.shortestWithin'), within, 'h'),
      ...(floor > within ? [line(msg('curing.notUnderShortest'), floor, 'h')] : []),
      line(msg('curing.proposed'), age, 'h'),
    ]),
    risk,
    wary,
    sentence: sentenceOf(risk, records),
  };
}
