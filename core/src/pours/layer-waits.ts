import { initialSet, type SettingClass } from '../cure/index.js';
import type { BandEdge } from '../tints/index.js';
import { computed, figure, line, type Figure } from '../units/index.js';

/** Shares of the initial set within which the next layer goes on, by the edge that is wanted. */
const windows: Record<BandEdge, readonly [from: number, to: number]> = { crisp: [0.6, 1.2], blended: [0, 0.35] };
/** Later than this share of the initial set, a layer no longer grows onto the one below. */
export const COLD_JOINT = 1.5;

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

/** The wait between two layers of a mix at a temperature (°C). */
export function layerWait(edge: BandEdge, setting: SettingClass, temperature: number, accelerated = false): LayerWait {
  const set = initialSet(setting, temperature, accelerated);
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
