import { msg, type Message } from '../../foundation/units/index.js';
import {
  againstDecoration,
  coatRemarks,
  type CoatAmbientAt,
  type CoatAsked,
  type CoatRemark,
  type Decoration,
} from '../../process/sealing/index.js';
import { decorationDryAt, lastCoat, sealerOfCoat, type Life } from './life.js';

/** What speaks against a coat on a cast, by its life: the coat before (`since` is the air since then), what was put on it last. */
export function remarksOnCoat(
  life: Life,
  {
    since,
    ...asked
  }: Pick<CoatAsked, 'sealer' | 'at' | 'ambient' | 'openMonths'> & { readonly since?: readonly CoatAmbientAt[] },
): CoatRemark[] {
  const last = lastCoat(life);
  const dryAt = decorationDryAt(life);
  return coatRemarks({
    ...asked,
    ...(last && { last: { at: last.at, sealer: sealerOfCoat(last), ...(since && { since }) } }),
    ...(dryAt !== undefined && { decorationDryAt: dryAt }),
  });
}

/** What speaks against wetting a cast, in sentences: it is kept all the same. */
export const againstWetting = ({ coats }: Life): Message[] =>
  coats.length === 0 ? [] : [msg('casts.sealedWetting'), msg('casts.dryInAir')];

/** What speaks against decorating a cast at a time (ms), in sentences; `dryEnough` as it is judged. */
export function againstDecorating(life: Life, dryEnough: boolean, decoration: Decoration, at: number): Message[] {
  const dryAt = decorationDryAt(life);
  const sealed = life.coats.length > 0;
  return againstDecoration({ decoration, at, dryEnough, sealed, ...(dryAt !== undefined && { dryAt }) });
}
