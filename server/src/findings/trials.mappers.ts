import type { TrialStanding } from '@dewpot/core/findings';
import type { TrialView } from '@dewpot/contract';
import type { TrialEntity } from './trials.entities.js';

/** A trial with how far it has come. */
export const trialView = (
  { id, version, name, body, closedAt, keep }: TrialEntity,
  standing: TrialStanding,
  gone: boolean,
): TrialView => ({
  id,
  version,
  name,
  ...body,
  standing,
  gone,
  ...(closedAt !== null && keep && { closed: { at: closedAt, keep } }),
});
