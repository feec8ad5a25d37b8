import type { Phrase } from '../../foundation/units/index.js';
import { normalShare, defined } from '../../foundation/math/index.js';
import { setsInMinutes, strengthShare, type BinderClass } from '../../mixing/binders/index.js';
import { sealers, type SealerKind } from '../../mixing/materials/index.js';
import { agesAt, evaporationUnder, overFace, type Cover } from '../curing/index.js';
import { dryingPace, USUAL_TAU, waterLimit } from '../sealing/index.js';
import { dailyAmbient, simulationClimates, type SimulationClimate } from './climates.js';
import { outcomesOf, type Outcome } from './outcomes.js';

/** A piece to simulate with: what its mould and mix make of it. Masses g, area mm², strength MPa, age equivalent hours. */
export interface SimulationPiece {
  readonly name: Phrase;
  readonly binderClass: BinderClass;
  readonly lightweight: boolean;
  readonly dry: number;
  readonly loss: number;
  readonly area: number;
  readonly strength: number;
  readonly demouldAge: number;
}

/** What the learner chooses. Hours since the pour. */
export interface SimulationChoices {
  readonly climate: SimulationClimate;
  readonly cover: Cover;
  readonly demould: number;
  /** End of the moist curing. */
  readonly uncover: number;
  /** Wettings a day while it is kept damp. */
  readonly wettings: number;
  /** Undefined: it is left bare. */
  readonly sealer?: SealerKind;
  readonly coat: number;
}

/** How a piece stands at an hour. */
export interface SimulatedHour {
  readonly hour: number;
  /** Share of its 28-day strength. */
  readonly strength: number;
  /** Off its faces, kg/m²/h. */
  readonly evaporation: number;
  /** Water still to evaporate, g, and its share of all that can. */
  readonly water: number;
  readonly waterShare: number;
  readonly temperature: number;
}

/** What came of a simulation. */
export interface Simulation {
  readonly hours: readonly SimulatedHour[];
  readonly outcomes: readonly Outcome[];
}

/** What happens to it is followed so long, h. */
export const SIMULATED = 40 * 24;
/** Water that a wetting leaves on a face, kg/m². */
const WETTING = { dense: 0.3, light: 0.5 } as const;
/** Lightweight faces dry faster. */
const LIGHT = 1.3;
/** A face that is dry in the air stops hardening; within, a piece goes on as long as it holds this share of its water. */
const GOES_ON_ABOVE = 0.35;
/** What a coat lets through of the drying. */
const THROUGH_COAT = { film: 0.1, other: 0.7 } as const;
/** So long its faces craze where they lie dry, h: a week, or a day for what sets fast. */
const YOUNG = { slow: 168, fast: 24 } as const;
/** A face that would lose so much lies dry outright, kg/m²/h; less counts for less. */
const DRIES_OUT = 0.5;

interface State {
  /** Water still to evaporate, g. */
  water: number;
  /** On the faces, kg/m². */
  film: number;
  /** Equivalent hours that counted: none while it was too dry to harden. */
  hardened: number;
  /** Hours for which a young face lay dry. */
  dried: number;
}

/** Hours apart at which the caster wets it, in waking hours. */
const wetsAt = (hour: number, { wettings }: SimulationChoices) =>
  wettings > 0 &&
  Math.floor(hour) % Math.max(1, Math.round(15 / wettings)) === 0 &&
  (10 + hour) % 24 >= 7 &&
  (10 + hour) % 24 < 22;

/** How much of the full pace a piece dries at in the hour: held back by its mould, a cover, water on its face, a coat. */
function dryingShare(hour: number, through: number, state: State, choices: SimulationChoices): number {
  if (hour < choices.demould || state.film > 0) return 0;
  const coat =
    choices.sealer && hour >= choices.coat
      ? sealers[choices.sealer].film
        ? THROUGH_COAT.film
        : THROUGH_COAT.other
      : 1;
  return through * coat;
}

/** One hour on. Answers what leaves its faces, kg/m²/h. */
function step(state: State, piece: SimulationPiece, choices: SimulationChoices, hour: number, aged: number): number {
  const ambient = dailyAmbient(simulationClimates[choices.climate], hour);
  const covered = hour < choices.uncover;
  const light = piece.lightweight ? LIGHT : 1;
  const evaporation = evaporationUnder(covered ? choices.cover : 'none', overFace(ambient)) * light;
  const out = hour >= choices.demould;
  if (covered && out && wetsAt(hour, choices)) state.film = piece.lightweight ? WETTING.light : WETTING.dense;
  const wet = state.film > 0;
  state.film = Math.max(0, state.film - evaporation);
  const young = setsInMinutes(piece.binderClass) ? YOUNG.fast : YOUNG.slow;
  // In the mould only the open face lies in the air.
  if (hour < young && !wet) state.dried += Math.min(1, evaporation / DRIES_OUT) * (out ? 1 : 0.4);
  const open = evaporationUnder('none', overFace(ambient)) * light;
  const share = dryingShare(hour, open > 0 ? evaporation / open : 0, state, choices);
  const left = state.water / piece.loss;
  state.water -= Math.min(
    (state.water * share * dryingPace(ambient) * light) / USUAL_TAU,
    (evaporation * piece.area) / 1000,
  );
  state.water = Math.max(0, state.water);
  state.hardened += aged * Math.min(1, left / GOES_ON_ABOVE);
  return evaporation;
}

/**
 * Simulates forty days of a piece, hour by hour: a plain model of our own, for learning what follows from what, not for a real piece.
 * The same course of hardening, evaporation and drying limits as for real ones.
 */
export function simulate(piece: SimulationPiece, choices: SimulationChoices): Simulation {
  const daily = simulationClimates[choices.climate];
  const times = Array.from({ length: SIMULATED + 1 }, (_, hour) => hour);
  const temperatures = times.map((hour) => ({ hour, temperature: dailyAmbient(daily, hour).temperature }));
  const ages = agesAt(temperatures, times, piece.binderClass);
  const state: State = { water: piece.loss, film: 0, hardened: 0, dried: 0 };
  const hours: SimulatedHour[] = [];
  let atCoat = piece.loss;
  let coldest = Infinity;
  for (const hour of times) {
    const aged = hour === 0 ? 0 : defined(ages[hour]) - defined(ages[hour - 1]);
    const { temperature } = defined(temperatures[hour]);
    const evaporation = step(state, piece, choices, hour, aged);
    const strength = strengthShare(
      piece.binderClass,
      state.hardened,
      piece.binderClass === 'gypsum' ? 1 - state.water / piece.loss : 0,
    );
    if (strength * piece.strength < 3.5) coldest = Math.min(coldest, temperature);
    if (hour === Math.round(choices.coat)) atCoat = state.water;
    const { water } = state;
    hours.push({ hour, strength, evaporation, water, waterShare: water / piece.loss, temperature });
  }
  const early = normalShare(
    (Math.log(0.65 * piece.demouldAge) - Math.log(Math.max(0.1, defined(ages[Math.round(choices.demould)])))) / 0.35,
  );
  return {
    hours,
    outcomes: outcomesOf({
      breaks: early,
      dried: state.dried,
      coldestWhenWeak: coldest,
      finalStrength: defined(hours[SIMULATED]).strength,
      expectedStrength: strengthShare(piece.binderClass, SIMULATED, 1),
      ...(choices.sealer && {
        coat: {
          film: sealers[choices.sealer].film,
          water: atCoat,
          limit: waterLimit(piece, { film: sealers[choices.sealer].film }).grams,
        },
      }),
    }),
  };
}
