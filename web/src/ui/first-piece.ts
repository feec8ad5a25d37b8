import { useSyncExternalStore } from 'react';
import { keptChoice } from '../api/kept-choice';

const guide = keptChoice('dew-pot-first-piece');

/** Begins to lead a newcomer to their first mixing sheet; where they left, it is taken up again. */
export const beginFirstPiece = (): void => guide.keep('begun');

/** Leads no further. */
export const endFirstPiece = (): void => guide.keep(undefined);

/** Whether a newcomer is being led to their first mixing sheet. */
export const useFirstPiece = (): boolean => useSyncExternalStore(guide.hear, () => guide.read() !== null);
