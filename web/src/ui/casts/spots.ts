import type { Spot } from '@dewpot/core';

/** Places where a cast can be hurt, from the outside in. */
export const damageSpots: readonly Spot[] = ['corner', 'rim', 'base', 'core-end', 'face'];
