import { Text } from './limits.js';

/** What is looked for in a workshop, by its kind. */
export const searchKinds = ['mould', 'pattern', 'mix', 'tint', 'material', 'place', 'pour', 'cast'] as const;
export type SearchKind = (typeof searchKinds)[number];

/** Words that are searched for: part of a name, the code of a piece, the number of a pour. */
export class SearchQuery {
  @Text(1, 80) words: string;
}

/** Something in the workshop that has the words in its name. */
export interface SearchHit {
  readonly kind: SearchKind;
  readonly id: string;
  readonly name: string;
  /** Of a cast: the mould that it came of. */
  readonly mould?: string;
}
