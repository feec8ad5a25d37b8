import type { CastRow } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { trialWay } from '../ui/trial-words';
import type { Label } from './label-paper';

/** What a cast's label tells, with the address that its square opens. */
export function castLabel({ id, code, snapshot, life }: Pick<CastRow, 'id' | 'code' | 'snapshot' | 'life'>, say: Speaker): Label {
  const { mouldName, mixName, trial } = snapshot;
  return {
    code,
    mould: mouldName,
    mix: mixName,
    pouredAt: life.pouredAt,
    address: `${window.location.origin}/casts/${id}`,
    ...(trial && { trial: say('findings.trialOnLabel', { way: trialWay(trial.kind, trial.way) }) }),
  };
} // prettier-ignore
