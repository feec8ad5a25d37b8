import { sealers } from '../../mixing/materials/index.js';
import { isLightweight } from '../../mixing/mixes/index.js';
import { handbookDemouldAge, learnDemouldAge, moistCuringEnd, demouldRisks, usualCare } from '../curing/index.js';
import type { PourPlan } from '../pours/index.js';
import { simulationPieceOf } from '../simulation/index.js';
import { USUAL_TAU } from '../sealing/index.js';
import type { CalendarSources, LearnedOfPair } from './calendar-sources.js';
import type { ChainPiece } from './chain.js';
import type { AirShift } from './place-air.js';
import type { OpenLine } from './order-lines.js';

/** Coats that a piece is sealed with where nothing else is said. */
const USUAL_COATS = 2;
/** Damper by so much in the air that keeps a piece longest. Handbook 18. */
const DAMPER = 0.08;

/** The air of the longest way that is still counted on, and of the usual one. */
export const shiftFor = (warmer = 0): { readonly middle: AirShift; readonly long: AirShift } => ({
  middle: { deviations: 0, warmer },
  long: { deviations: -1, humidity: DAMPER, warmer },
});

/** How unsure ln τ is after so many pieces of a kind were weighed: one piece tells as much as is known of all kinds beforehand. */
const spreadAfter = (pieces: number): number => 1 / Math.sqrt(1 + 4 * pieces);

/** When a kind of piece is demoulded, equivalent hours at 20 °C, and what is lost of it, as a chance: by its demouldings, else by the handbook. */
function demouldingOf(
  usual: number,
  learned: LearnedOfPair | undefined,
): { readonly age: number; readonly risk: number } {
  const { demoulds, risk } = learned ?? {};
  const own = demoulds && learnDemouldAge(usual, demoulds.records, demoulds.ways);
  return { age: own?.age.value ?? usual, risk: risk ?? own?.risk ?? demouldRisks[usualCare] };
}

/** A line's pieces as far as their way to the wanted state goes. `plan`: of a single piece. */
export function chainPieceOf(
  line: OpenLine,
  plan: PourPlan,
  learned: LearnedOfPair | undefined,
  { moistCuring, trial }: Pick<CalendarSources, 'moistCuring' | 'trial'>,
): { readonly piece: ChainPiece; readonly risk: number } {
  const [item] = plan.items;
  if (!item) throw new Error('A plan of a line has its piece.');
  const { mix, conditions } = plan;
  const binderClass = trial?.faster && plan.binderClass === 'portland' ? 'high-early' : plan.binderClass;
  const own = simulationPieceOf({ ...item, mix, conditions, binderClass });
  const light = isLightweight(mix);
  const usual = handbookDemouldAge(plan.binderClass, item.piece, light);
  const { age, risk } = demouldingOf(usual, learned);
  // What was learned of the mould holds for a faster cement in the same proportion.
  const demouldAge = age * (own.demouldAge / usual);
  const tau = learned?.drying ? learned.drying.tau : USUAL_TAU;
  const sealed = line.state === 'sealed' || line.state === 'hardened';
  const piece = {
    binderClass,
    demouldAge: trial?.without === 'curing' ? 0.1 : demouldAge,
    curing: trial?.without === 'curing' ? { age: 0, days: 0 } : moistCuringEnd(binderClass, moistCuring, light),
    prior: { dry: own.dry, loss: own.loss },
    tau: trial?.without === 'drying' ? 0.1 : tau,
    spread: spreadAfter(learned?.drying?.pieces ?? 0),
    ...(sealed && { sealing: { sealer: sealers[line.sealer ?? 'penetrating'], coats: line.coats ?? USUAL_COATS } }),
  };
  return { piece, risk };
}
