import {
  computed,
  figure,
  line,
  type Figure,
  msg,
  quantity,
  type Message,
  type Quantity,
} from '../../foundation/units/index.js';
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
  readonly test: Message;
}

const tests: Record<BandEdge, Message> = {
  crisp: msg('pours.firmToTouch'),
  blended: msg('pours.stillPlastic'),
};

/** The wait between two layers of a mix that sets in `set` hours at a temperature (°C). */
export function layerWait(edge: BandEdge, set: number, temperature: number): LayerWait {
  const at = (share: number, what: Message) =>
    figure(set * share, 'h', computed, [
      line(
        msg('pours.initialSet'),
        set,
        'h',
        msg('pours.atTemperature', { temperature: quantity(temperature, '°C', 0) }),
      ),
      line(msg('pours.shareOfSet'), share, 'ratio', what),
      line(msg('pours.afterLayerBelow'), set * share, 'h'),
    ]);
  const [from, to] = windows[edge];
  return {
    edge,
    from: at(from, msg('pours.nextLayerFrom')),
    to: at(to, msg('pours.edgeUntil', { edge })),
    coldJoint: at(COLD_JOINT, msg('pours.coldJointLater')),
    test: tests[edge],
  };
}

/** What of a plan its clock goes by. */
type PlanClock = Pick<PourPlan, 'mix' | 'binderClass' | 'temperature'>;

/** How long the last lift stays plastic, so that the next grows onto it. */
export function plasticFor(plan: PlanClock): Quantity {
  const { to } = planLayerWait(plan, 'blended');
  return to.value < 1 ? quantity(Math.round(to.value * 60), 'min') : quantity(to.value, 'h', 1);
}

/** The wait between two layers of a plan's mix at its bench. */
export function planLayerWait(plan: PlanClock, edge: BandEdge): LayerWait {
  const { initialSet } = potLifeAndSet(plan.mix, plan.binderClass, plan.temperature);
  return layerWait(edge, initialSet.value, plan.temperature);
}
