import { msg, quantity, type Message, fixed, exactly } from '../../foundation/units/index.js';
/** What a simulation came to, as far as its outcome goes. */
export interface Came {
  /** Chance that it broke at demoulding, 0–1. */
  readonly breaks: number;
  /** Hours for which young faces lay dry. */
  readonly dried: number;
  /** °C, while it had less than 3.5 MPa. */
  readonly coldestWhenWeak: number;
  /** Share of 28-day strength at the end, and what it would have had kept damp at 20 °C. */
  readonly finalStrength: number;
  readonly expectedStrength: number;
  /** Of a coated piece: the water in it then, and the most that there may be, g. */
  readonly coat?: { readonly film: boolean; readonly water: number; readonly limit: number };
}

export type OutcomeOf = 'demould' | 'faces' | 'frost' | 'strength' | 'sealer';

/** One thing that came of it. */
export interface Outcome {
  readonly of: OutcomeOf;
  readonly grade: 'good' | 'doubtful' | 'bad';
  readonly told: Message;
}

const grade = (value: number, doubtful: number, bad: number): Outcome['grade'] =>
  value >= bad ? 'bad' : value >= doubtful ? 'doubtful' : 'good';

const byGrade = (of: OutcomeOf, is: Outcome['grade'], words: Record<Outcome['grade'], Message>): Outcome => ({
  of,
  grade: is,
  told: words[is],
});

function sealerOutcome({ film, water, limit }: NonNullable<Came['coat']>): Outcome {
  const over = water / limit;
  return byGrade('sealer', grade(over, 1, film ? 1.6 : 2.5), {
    good: msg('simulation.coatGood'),
    doubtful: msg('simulation.coatCloudy', { water: quantity(water, 'g', 0), limit: quantity(limit, 'g', 0) }),
    bad: film
      ? msg('simulation.coatBlisters', { water: quantity(water, 'g', 0), limit: quantity(limit, 'g', 0) })
      : msg('simulation.coatStayedOut', { water: quantity(water, 'g', 0), limit: quantity(limit, 'g', 0) }),
  });
}

/** What came of a simulation, in sentences. */
export function outcomesOf({ breaks, dried, coldestWhenWeak, finalStrength, expectedStrength, coat }: Came): Outcome[] {
  const hundred = { breaks: fixed(Math.round(breaks * 100), 0) };
  const share = finalStrength / expectedStrength;
  return [
    byGrade('demould', grade(breaks, 0.15, 0.4), {
      good: msg('simulation.demouldGood'),
      doubtful: msg('simulation.demouldDoubtful', hundred),
      bad: msg('simulation.demouldBad', hundred),
    }),
    byGrade('faces', grade(dried, 8, 20), {
      good: msg('simulation.facesGood'),
      doubtful: msg('simulation.facesDoubtful', { dried: quantity(dried, 'h', 0) }),
      bad: msg('simulation.facesBad', { dried: quantity(dried, 'h', 0) }),
    }),
    byGrade('frost', coldestWhenWeak < 0 ? 'bad' : coldestWhenWeak < 5 ? 'doubtful' : 'good', {
      good: msg('simulation.frostGood'),
      doubtful: msg('simulation.frostDoubtful', { coldestWhenWeak: quantity(coldestWhenWeak, '°C', 0) }),
      bad: msg('simulation.frostBad', {
        strength: exactly(3.5, 'MPa'),
        coldestWhenWeak: quantity(coldestWhenWeak, '°C', 0),
      }),
    }),
    byGrade('strength', share >= 0.9 ? 'good' : share >= 0.75 ? 'doubtful' : 'bad', {
      good: msg('simulation.strengthGood', { finalStrength: quantity(Math.round(finalStrength * 100), '%', 0) }),
      doubtful: msg('simulation.strengthDoubtful', {
        finalStrength: quantity(Math.round(finalStrength * 100), '%', 0),
      }),
      bad: msg('simulation.strengthBad', { finalStrength: quantity(Math.round(finalStrength * 100), '%', 0) }),
    }),
    ...(coat ? [sealerOutcome(coat)] : []),
  ];
}
