import { DAY } from '@dewpot/core/units';

/** A workshop that was deleted can be brought back for so long, ms. */
export const REMOVAL_KEPT = 30 * DAY;

/** When a workshop that was deleted at a time, ms, is gone for good; nothing of one that was not. */
export const goneBy = (removedAt: string | number | null): { readonly goneAt?: number } =>
  removedAt === null ? {} : { goneAt: Number(removedAt) + REMOVAL_KEPT };
