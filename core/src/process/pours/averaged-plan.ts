import { msg } from '../../foundation/units/index.js';
import {
  binderMass,
  doseMass,
  isPigment,
  calculateMix,
  scaleMasses,
  type BatchMasses,
  type Dose,
  type Mix,
} from '../../mixing/mixes/index.js';
import type { PourPlan, PourTint } from './plan.js';
import { turnsOf, type Turn } from './tint-order.js';

/** Whether a dose colours. */
export const isColour = ({ material }: Dose) => isPigment(material);

/** A mix with a tint's pigments in place of its own. */
export const tintedMix = (mix: Mix, doses: readonly Dose[]): Mix => ({
  ...mix,
  doses: [...(mix.doses ?? []).filter((dose) => !isColour(dose)), ...doses],
});

/** g of a colour in a batch with that much binder (g): colours are dosed on the binder alone. */
export const colourMass = (dose: Dose, binder: number) => doseMass(dose, { binder, cement: 0, volume: 0 });

/** How much more is made than the moulds take: the spare, and what the mix's batches taught. */
export const stretchOf = ({ spare, learnedYield }: PourPlan): number => (1 + spare) / (learnedYield?.factor ?? 1);

const turnVolume = ({ shares }: Turn) => shares.reduce((sum, { item, volume }) => sum + volume * item.count, 0);

/** All that is mixed for a turn. @throws InputError */
export const massesOfTurn = (plan: PourPlan, turn: Turn): BatchMasses => {
  const { perPart } = calculateMix(mixOfTurn(plan, turn), plan.conditions);
  return scaleMasses(perPart, (turnVolume(turn) * stretchOf(plan)) / perPart.volume);
};

/** Whether any piece of a plan is coloured by tints. */
export const isTinted = ({ items }: Pick<PourPlan, 'items'>): boolean => items.some(({ colouring }) => colouring);

/** The mix of one turn: with its tint's pigments, or as it is where the pour is not tinted. */
export const mixOfTurn = (plan: PourPlan, { tint }: Turn): Mix =>
  isTinted(plan) ? tintedMix(plan.mix, tint.doses) : plan.mix;

/** Pieces that no tint is chosen for are poured in the mix's own colour, as one more tint. */
export function withOwnColour({ items, mix, colour }: PourPlan): PourPlan['items'] {
  const own: PourTint = {
    id: 'own',
    name: msg('pours.mixColour'),
    revision: 0,
    colour: colour ?? '#b3ada1',
    doses: (mix.doses ?? []).filter(isColour),
  };
  return items.map((item) =>
    item.colouring ? item : { ...item, colouring: { kind: 'solid', parts: [{ tint: own, share: 1 }] } },
  );
}

/**
 * A plan whose mix holds, on average, what its tints hold: so that store, cost, log and masses of the whole pour come out
 * as the sum of its tints' batches. A plan without tints is left as it is. @throws InputError
 */
export function averaged(plan: PourPlan): PourPlan {
  if (!isTinted(plan)) return plan;
  const items = withOwnColour(plan);
  const turns = turnsOf(items);
  const batches = turns.map((turn) => massesOfTurn(plan, turn));
  const binder = batches.reduce((sum, batch) => sum + binderMass(batch.portions), 0);
  const share = new Map<string, Dose>();
  for (const { dose, mass } of batches.flatMap(({ doses }) => doses).filter((one) => isColour(one.dose))) {
    const { material } = dose;
    const amount = (share.get(material.id)?.amount ?? 0) + mass / colourMass({ material, amount: 1 }, binder);
    share.set(material.id, { material, amount });
  }
  return { ...plan, items, mix: tintedMix(plan.mix, [...share.values()]) };
}
