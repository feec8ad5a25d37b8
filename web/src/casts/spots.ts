import type { Spot } from '@dewpot/core';

/** Places where a cast can be hurt, from the outside in. */
export const spots: readonly Spot[] = ['corner', 'rim', 'base', 'core-end', 'face'];
