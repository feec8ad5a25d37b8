import { InputError, issueInWords, msg, type Message } from '@dewpot/core/units';
import { isPigment, type Dose } from '@dewpot/core/mixes';
import { calculateTint, tintOf, type TintFigures } from '@dewpot/core/tints';
import type { TintBody, TintInput } from '@dewpot/contract';
import type { Palette } from '../api/tints';

/** The pigments of a store. */
export const pigmentsOf = ({ store }: Palette) => store.materials.filter(isPigment);

/** A material's name within a sentence: "white Portland cement". */
export const within = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

const percent = (amount: number) => `${Number((amount * 100).toPrecision(3))} %`;

/** Doses in words: "2 % iron oxide, red, 0.5 % carbon black". */
export const sayDoses = (doses: readonly Dose[]): string =>
  doses.length === 0
    ? 'no pigment'
    : doses.map(({ material, amount }) => `${percent(amount)} ${within(material.name)}`).join(' and ');

/** A tint with what it comes to, or what is wrong with it, by field. */
export interface CalculatedTint {
  readonly figures?: TintFigures;
  readonly errors: Readonly<Record<string, Message>>;
}

/** Calculates a tint by what the workshop's chips have taught. */
export function calculateTintBody(body: TintBody, { find, colours: known }: Palette): CalculatedTint {
  const tint = tintOf(body, find);
  if (!tint) return { errors: { base: msg('tints.cementGone') } };
  try {
    return { figures: calculateTint(tint, known), errors: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      errors: Object.fromEntries(
        error.issues.map(({ field, message, remedy }) => [field, issueInWords({ message, remedy })]),
      ),
    };
  }
}

/** The dry colour of a tint or a chip as it is calculated, #rrggbb; undefined where it cannot be. */
export const dryOf = (body: TintBody, palette: Palette): string | undefined =>
  calculateTintBody(body, palette).figures?.looks.find(({ look }) => look === 'dry')?.colour;

/** Where a new tint or chip begins: on white cement with fine sand, or what the store has. */
export function firstBase({ store: { materials } }: Palette): TintInput['base'] | undefined {
  const white = materials.find(({ name }) => name.startsWith('White'));
  const binder = white ?? materials.find(({ kind }) => kind === 'binder' || kind === 'pre-blend');
  const sand =
    materials.find(({ kind, largestGrain }) => kind === 'aggregate' && largestGrain <= 1) ??
    materials.find(({ kind }) => kind === 'aggregate');
  return binder && { binderId: binder.id, ...(sand && binder.kind === 'binder' && { sandId: sand.id }) };
}
