/** Of five casts before any was made, so many are taken to be good. */
const BEFORE_GOOD = 4.5;
const BEFORE = 5;

/** The share of good casts to count on: (4.5 + good) ÷ (5 + casts). Handbook 21. */
export const goodShare = ({ good, casts }: { readonly good: number; readonly casts: number }): number =>
  (BEFORE_GOOD + good) / (BEFORE + casts);
