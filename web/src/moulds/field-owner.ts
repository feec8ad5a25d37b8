import { msg, type Message } from '@dewpot/core/units';

/** Whose size it is: a part's by its name. */
export type Owner = 'inside' | 'base' | 'form' | 'none' | { readonly name: string };

/** A size with its owner: "Core’s height", "Inside depth". */
export const fieldOf = (owner: Owner, field: Message): Message =>
  msg('moulds.fieldOf', {
    owner: typeof owner === 'string' ? owner : 'part',
    name: typeof owner === 'string' ? '' : bareName(owner.name),
    field,
  });

/** “The core” as the owner of a size: “Core”. */
function bareName(name: string): string {
  const bare = name.replace(/^(The|El|La|Los|Las) /, '');
  return capital(bare);
}

/** A label with its first letter large. */
export const capital = (text: string): string => `${text.charAt(0).toLocaleUpperCase()}${text.slice(1)}`;
