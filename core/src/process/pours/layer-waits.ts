import { computed, figure, line, type Figure } from '../../foundation/units/index.js';
import { potLifeAndSet } from '../../mixing/mixes/index.js';
import type { BandEdge } from '../../mixing/tints/index.js';
import type { PourPlan } from './plan.js';

/** Shares of the initial set within which the next layer goes on, by the edge that is wanted. */
const windows: Record<BandEdge, readonly [from: number, to: number]> = { crisp: [0.6, 1.2], blended: [0, 0.35] };
/** Later than this share of the initial set, a layer no longer grows onto the one below. */
const COLD_JOINT = 1.5;

/** When the next layer goes on, hours after the one below was laid. */
export interface LayerWait {
  readonly edge: BandEdge;
  readonly from: Figure;
  readonly to: Figure;
  readonly coldJoint: Figure;
  /** What is looked for. */
  readonly test: string;
}

const tests: Record<BandEdge, string> = {
  crisp: 'firm to the touch: a finger leaves a print, and comes away clean',
  blended: 'still plastic: a finger sinks in',
};

/** The wait between two layers of a mix that sets in `set` hours at a temperature (°C). */
export function layerWait(edge: BandEdge, set: number, temperature: number): LayerWait {
  const at = (share: number, what: string) =>
    figure(set * share, 'h', computed, [
      line('Initial set', set, 'h', `at ${temperature.toFixed(0)} °C`),
      line('Share of it', share, 'ratio', what),
      line('After the layer below', set * share, 'h'),
    ]);
  const [from, to] = windows[edge];
  return {
    edge,
    from: at(from, 'the next layer may go on'),
    to: at(to, `a ${edge} edge until then`),
    coldJoint: at(COLD_JOINT, 'later it is a cold joint: scratch it, damp it, or brush on a polymer bond coat'),
    test: tests[edge],
  };
}

/** What of a plan its clock goes by. */
type PlanClock = Pick<PourPlan, 'mix' | 'binderClass' | 'temperature'>;

/** How long the last lift stays plastic, so that the next grows onto it, in words. */
export function plasticFor(plan: PlanClock): string {
  const { to } = planLayerWait(plan, 'blended');
  return to.value < 1 ? `${Math.round(to.value * 60)} minutes` : `${to.value.toFixed(1)} hours`;
}

/** The wait between two layers of a plan's mix at its bench. */
export function planLayerWait(plan: PlanClock, edge: BandEdge): LayerWait {
  const { initialSet } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  return layerWait(edge, initialSet.value, plan.temperature);
}
