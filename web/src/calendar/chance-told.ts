import { quantity, type Quantity } from '@dewpot/core/units';

/** A chance, in whole percent. */
export const chanceTold = (chance: number): Quantity => quantity(Math.round(chance * 100), '%', 0);
