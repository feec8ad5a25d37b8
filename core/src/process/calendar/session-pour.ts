import { MINUTE } from '../../foundation/units/index.js';
import { CLEAN, LAY_OUT, timelineOf, type Step, type Timeline } from '../bench/index.js';
import { benchOf, partsOf, type BenchOf, type PourChoices, type PourSources } from '../planning/index.js';
import type { AtHand } from './chain.js';
import type { OrderLine } from './order-lines.js';
import type { Poured } from './problem.js';
import type { SessionSlot } from './week.js';

/** Mix made beyond what the moulds hold, as a share: some stays in the bucket. */
const SPARE = 0.05;
const USUAL_STEP = 0.25;

/** What setting up and cleaning take in a session, min. Handbook 18. */
export interface SessionSetup {
  readonly setUp: number;
  readonly cleanUp: number;
}
export const usualSetup: SessionSetup = { setUp: 20, cleanUp: 25 };

/** A line as it is poured. */
export type PouredLine = Pick<OrderLine, 'id' | 'mouldId' | 'mixId' | 'tintId'>;

/** What a session pours, as what is chosen for a pour. Undefined where it pours nothing. `temperature`: at the bench, °C. */
export function sessionChoices(
  poured: readonly Poured[],
  lines: readonly PouredLine[],
  { temperature, people = 1 }: { readonly temperature: number; readonly people?: number },
  mixes: PourSources['mixes'],
): PourChoices | undefined {
  const items = poured.flatMap(({ line, count }) => {
    const own = lines.find(({ id }) => id === line);
    if (!own || count < 1) return [];
    const { mouldId, mixId, tintId } = own;
    const colouring =
      tintId === undefined ? {} : { colouring: { kind: 'solid' as const, parts: [{ tint: tintId, share: 1 }] } };
    return [{ mouldId, count, mixId, orderLine: own.id, ...colouring }];
  });
  const mixId = items[0]?.mixId;
  if (mixId === undefined) return undefined;
  return {
    items: items.map(({ mixId: own, ...item }) => ({ ...item, ...(own !== mixId && { mixId: own }) })),
    mixId,
    grade: mixes.find(({ id }) => id === mixId)?.grade ?? 4,
    spare: SPARE,
    moisture: {},
    step: USUAL_STEP,
    temperature,
    ...(people > 1 && { people }),
  };
}

/** A session at the bench. @throws InputError where something of it is gone or cannot be poured */
export function sessionBench(choices: PourChoices, sources: PourSources): BenchOf {
  return benchOf({ parts: partsOf(choices, sources), input: choices });
}

/** Minutes of setting up and cleaning beyond what the steps themselves count. */
const beyondSteps = ({ setUp, cleanUp }: SessionSetup) => Math.max(0, setUp - LAY_OUT) + Math.max(0, cleanUp - CLEAN);

/** A session in time, and how long it keeps the hands, min: what waits for a face to set is done after it. */
function sessionTimeline(
  steps: readonly Step[],
  slot: Pick<SessionSlot, 'at'>,
  setup: SessionSetup,
): { readonly timeline: Timeline; readonly minutes: number } {
  const start = slot.at + Math.max(0, setup.setUp - LAY_OUT) * MINUTE;
  const timeline = timelineOf(steps, { start });
  const end = Math.max(start, ...timeline.steps.flatMap(({ step, end: at }) => (step.window ? [] : [at])));
  return { timeline, minutes: (end - start) / MINUTE + beyondSteps(setup) };
}

/** Whether a session fits its slot: its hands, and what is due later at a time when somebody is at hand. */
export function fitsSlot(steps: readonly Step[], slot: SessionSlot, setup: SessionSetup, atHand: AtHand): boolean {
  const { timeline, minutes } = sessionTimeline(steps, slot, setup);
  if (minutes > slot.minutes + 1e-6) return false;
  const end = slot.at + slot.minutes * MINUTE;
  return timeline.steps.every(({ step, window, start }) => {
    if (!window || start + step.minutes * MINUTE <= end) return true;
    const at = atHand(Math.max(window.from, end));
    return at !== undefined && at + step.minutes * MINUTE <= window.to;
  });
}
