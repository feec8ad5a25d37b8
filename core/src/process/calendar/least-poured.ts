import { firstPlace } from '../../foundation/math/index.js';
import { InputError, msg } from '../../foundation/units/index.js';

/** So sure one wants to be that enough pieces come out. */
const SURE = 0.8;
/** The riskiest piece that is still counted on. */
const MOST_RISK = 0.9;

/** Chance that of so many pieces at least `wanted` come out good, each by itself with the chance `good`. */
export function chanceOfEnough(poured: number, wanted: number, good: number): number {
  if (poured < wanted) return 0;
  if (good === 1) return 1;
  // From all of them down, by logarithms: of thousands each term by itself is too small to be told.
  let term = poured * Math.log(good);
  let chance = Math.exp(term);
  for (let lost = 1; poured - lost >= wanted; lost++) {
    term += Math.log(((poured - lost + 1) / lost) * ((1 - good) / good));
    chance += Math.exp(term);
  }
  return Math.min(1, chance);
}

/**
 * The fewest pieces to pour so that at least `wanted` come out good with a chance of 80 %. `risk`: the chance that one is lost, 0 to 0.9.
 * Handbook 18: 24 pieces at a risk of 10 % want 28.
 * @throws InputError where the risk cannot be.
 */
export function leastPoured(wanted: number, risk: number): number {
  if (!(risk >= 0 && risk <= MOST_RISK))
    throw new InputError([
      {
        field: 'risk',
        value: risk,
        message: msg('pours.riskCannotBe', { risk: risk * 100 }),
        remedy: msg('pours.riskBetween'),
      },
    ]);
  const isSure = (poured: number) => chanceOfEnough(poured, wanted, 1 - risk) >= SURE;
  // The more are poured the surer it is: a number that is sure is found by doubling, the least of them by halving.
  let most = Math.max(1, wanted);
  while (!isSure(most)) most *= 2;
  return wanted + firstPlace(most - wanted, (more) => isSure(wanted + more));
}
