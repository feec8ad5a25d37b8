import { useQuery } from '@tanstack/react-query';
import { isOfTrial } from '@dewpot/core/findings';
import type { PourInput } from '@dewpot/contract';
import { trialsQuery } from '../api/trials';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';
import type { ChoicesProps } from './pour-choices';

/** The trial that a pour is in, where one that is open is about what it makes. */
export function TrialChoice({ input, onChange }: Pick<ChoicesProps, 'input' | 'onChange'>) {
  const say = useSay();
  const trials = useQuery(trialsQuery).data ?? [];
  const fits = trials.filter((trial) => !trial.closed && isAbout(trial, input));
  const { trialId } = input;
  if (fits.length === 0 && trialId === undefined) return null;
  const options = [{ value: '', label: say('findings.noTrial') }, ...fits.map(({ id, name }) => ({ value: id, label: name }))];
  const known = fits.some(({ id }) => id === trialId);
  return (
    <div>
      <SelectField label={say('findings.inTrial')} value={known ? (trialId ?? '') : ''} options={options} onChange={(id) => onChange({ trialId: id || undefined })} />
      {trialId !== undefined && <p className="quiet mt-1 text-sm">{known ? say('findings.dealtWhenSaved') : say('findings.trialFitsNot')}</p>}
    </div>
  );
} // prettier-ignore

const isAbout = (trial: Parameters<typeof isOfTrial>[0], { items, mixId }: PourInput): boolean =>
  items.some((item) => isOfTrial(trial, { mouldId: item.mouldId, mixId: item.mixId ?? mixId }));
