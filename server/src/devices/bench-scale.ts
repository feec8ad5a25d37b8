import type { ScaleEventInput, ScaleReading, ScaleReadingInput, ScaleState, ScaleView } from '@dewpot/contract';
import { dice } from './dice.js';

/** Most that the simulated scale takes, g, and its step. */
const MOST = 15000;
const STEP = 1;
/** How fast the pan settles: the distance falls to a third in this time, ms. */
const SETTLES = 450;
/** How far the zero wanders, g, over so long, ms. */
const DRIFT = 1.2;
const DRIFT_PERIOD = 20 * 60_000;
/** How far a steady reading trembles, g, each so long, ms. */
const NOISE = 0.45;
const TREMBLES = 200;
/** A posted reading stands for so long, ms; after that the bridge is taken to be away. */
const FRESH = 5000;

export const EMPTY_SCALE: ScaleState = { load: 0, since: 0, before: 0, tare: 0, silentUntil: 0 };

/** What the pan bears at a time: on its way from what lay there before to what lies there now. */
const settled = ({ load, before, since }: ScaleState, at: number) =>
  load + (before - load) * Math.exp(-Math.max(0, at - since) / SETTLES);

const rounded = (mass: number) => Math.round(mass / STEP) * STEP || 0;

/** What the scale tells at a time; undefined while its link is down. A real one's bridge counts before the simulated one. */
export function scaleReading(state: ScaleState, at: number): ScaleReading | undefined {
  if (state.posted && at - state.posted.at < FRESH) return state.posted;
  if (at < state.silentUntil) return undefined;
  const told = { at, step: STEP, device: 'Simulated bench scale' };
  const bears = settled(state, at);
  if (bears > MOST) return { ...told, state: 'overload' };
  const drift = DRIFT * Math.sin((2 * Math.PI * at) / DRIFT_PERIOD);
  const tremble = NOISE * dice(Math.floor(at / TREMBLES), 41);
  return { ...told, state: 'reads', mass: rounded(bears - state.tare + drift + tremble) };
}

/** The scale after something was done to it. */
export function scaleAfter(state: ScaleState, { load, tare, silent }: ScaleEventInput, at: number): ScaleState {
  const poured = load === undefined ? state : { ...state, load, before: settled(state, at), since: at };
  return {
    ...poured,
    ...(tare && { tare: settled(poured, at) }),
    ...(silent !== undefined && { silentUntil: at + silent }),
  };
}

/** The scale once a bridge has posted what a real one shows. */
export const scalePosted = (state: ScaleState, { mass, at, step = 1 }: ScaleReadingInput, now: number): ScaleState => ({
  ...state,
  posted: { at: at ?? now, mass, step, state: 'reads', device: 'Bench scale' },
});

export const scaleView = ({ load, tare }: ScaleState): ScaleView => ({ load, tare, most: MOST, step: STEP });
