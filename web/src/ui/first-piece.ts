import { useSyncExternalStore } from 'react';

const KEPT = 'dew-pot-first-piece';
const readers = new Set<() => void>();

function put(change: () => void): void {
  change();
  readers.forEach((hear) => hear());
}

/** Begins to lead a newcomer to their first mixing sheet; where they left, it is taken up again. */
export const beginFirstPiece = (): void => put(() => localStorage.setItem(KEPT, 'begun'));

/** Leads no further. */
export const endFirstPiece = (): void => put(() => localStorage.removeItem(KEPT));

function hearFirstPiece(hear: () => void): () => void {
  readers.add(hear);
  return () => readers.delete(hear);
}

/** Whether a newcomer is being led to their first mixing sheet. */
export const useFirstPiece = (): boolean =>
  useSyncExternalStore(hearFirstPiece, () => localStorage.getItem(KEPT) !== null);
