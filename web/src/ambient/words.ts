import type { AmbientSource, PlaceKind } from '@dewpot/core/ambient';

export const placeKindWords: Record<PlaceKind, string> = {
  shed: 'A shed or garage',
  bag: 'A bag or box with a lid',
  cellar: 'A cellar',
  yard: 'Outdoors',
};

export const sourceWords: Record<AmbientSource, { readonly name: string; readonly does: string }> = {
  logger: { name: 'A logger', does: 'posts its readings by itself' },
  files: { name: 'Files of readings', does: 'brought in now and then' },
  forecast: { name: 'The simulated forecast', does: 'as the place follows the weather' },
  typed: { name: 'One figure', does: 'typed here, always the same' },
  season: { name: 'A table of months', does: 'as the seasons usually are here' },
  unknown: { name: 'Not known yet', does: 'a guess until you say' },
};
