/** Keys and times of the examples: the same thing has the same key in each of them. */
const key = (n: number) => `0198f2a0-0000-7000-8000-${String(n).padStart(12, '0')}`;

export const keys = {
  mould: key(1),
  copy: key(2),
  mix: key(3),
  cement: key(4),
  sand: key(5),
  pigment: key(6),
  scoop: key(7),
  pour: key(8),
  cast: key(9),
  upperCast: key(10),
  article: key(11),
  event: key(12),
  orderLine: key(13),
  place: key(14),
  workshop: key(15),
  trial: key(16),
};

/** 1 June 2026, eight in the morning (UTC), ms since 1970. */
export const MORNING = 1_780_300_800_000;
