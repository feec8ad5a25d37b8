import {
  InputError,
  issueInWords,
  listed,
  msg,
  neededDecimals,
  quantity,
  type Listed,
  type Message,
  type Phrase,
} from '@dewpot/core/units';
import { isPigment, type Dose } from '@dewpot/core/mixes';
import { calculateTint, labOf, tintOf, type Tint, type TintFigures } from '@dewpot/core/tints';
import type { MaterialView, TintBody, TintInput } from '@dewpot/contract';
import type { Palette } from '../api/tints';

/** The pigments of a store. */
export const pigmentsOf = ({ store }: Palette) => store.materials.filter(isPigment);

/** Doses as they are told: "2 % iron oxide, red and 0.5 % carbon black". */
export const tellDoses = (doses: readonly Dose[]): Phrase | Listed =>
  doses.length === 0
    ? msg('tints.noPigment')
    : listed(
        doses.map(({ material, amount }) =>
          msg('tints.doseTold', {
            share: quantity(amount * 100, '%', neededDecimals(Number((amount * 100).toPrecision(3)))),
            material: material.name,
          }),
        ),
      );

/** A tint's doses and its binder in one line. */
export const tellTint = ({ doses, base }: Tint): Message =>
  msg('tints.dosesOn', { doses: tellDoses(doses), binder: base.binder.name });

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

/** The palest cement of a store, on which colours come out clearest; undefined where none has a colour. */
function palestCement(materials: readonly MaterialView[]): MaterialView | undefined {
  const pale = ({ colour }: MaterialView) => (colour ? labOf(colour)[0] : 0);
  const cements = materials.filter(({ kind, family, colour }) => kind === 'binder' && family === 'portland' && colour);
  return [...cements].sort((a, b) => pale(b) - pale(a))[0];
}

/** Where a new tint or chip begins: on the palest cement with fine sand, or what the store has. */
export function firstBase({ store: { materials } }: Palette): TintInput['base'] | undefined {
  const binder = palestCement(materials) ?? materials.find(({ kind }) => kind === 'binder' || kind === 'pre-blend');
  const sand =
    materials.find(({ kind, largestGrain }) => kind === 'aggregate' && largestGrain <= 1) ??
    materials.find(({ kind }) => kind === 'aggregate');
  return binder && { binderId: binder.id, ...(sand && binder.kind === 'binder' && { sandId: sand.id }) };
}
