import { msg, type Message } from '@dewpot/core/units';

interface ScreenKeys {
  /** Addresses at which they work. */
  readonly at: RegExp;
  readonly keys: readonly string[];
  readonly does: Message;
}

const arrows = ['←', '→', '↑', '↓'];

/** Keys of single screens; each works on what has the focus. */
const all: readonly ScreenKeys[] = [
  { at: /^\/$/, keys: ['Enter'], does: msg('shell.keyShelf') },
  { at: /^\/moulds\//, keys: ['↑', '↓'], does: msg('shell.keyFillLine') },
  { at: /^\/moulds\//, keys: ['←', '→'], does: msg('shell.keyTurn') },
  { at: /^\/moulds\/file|^\/findings\/voids/, keys: arrows, does: msg('shell.keyMark') },
  { at: /^\/patterns\//, keys: arrows, does: msg('shell.keyTurn') },
  { at: /^\/(tints|findings\/colour)/, keys: arrows, does: msg('shell.keyPhoto') },
  { at: /^\/calendar/, keys: ['←', '→'], does: msg('shell.keySession') },
  { at: /./, keys: ['Enter'], does: msg('shell.keyField') },
];

/** The keys that do something at an address. */
export const keysAt = (pathname: string): readonly ScreenKeys[] => all.filter(({ at }) => at.test(pathname));
