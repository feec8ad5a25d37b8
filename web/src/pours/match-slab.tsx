import { defined } from '@dewpot/core/math';
import { InputError, identity, listed } from '@dewpot/core/units';
import { matchWarnings } from '@dewpot/core/tints';
import { averaged, batchColourOf, calculateSheet } from '@dewpot/core/pours';
import type { PourInput, PourRow, PourView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { pageQuery } from '../api/pages';
import { pourQuery } from '../api/pours';
import type { PlanSources, SheetPart } from './plan';
import type { Change } from '../ui/change';
import { useSay } from '../ui/say';

function differences(before: PourView, now: SheetPart, cover: string | undefined, sources: PlanSources) {
  const { colours } = sources.palette;
  // The part of the same mix, where there is one.
  const part = before.parts.find(({ mixId }) => mixId === now.mixId) ?? defined(before.parts[0]);
  try {
    const then = batchColourOf(part.plan, calculateSheet(part.plan), colours, {
      log: part.log,
      cover: before.input.cover,
    });
    return matchWarnings(then, batchColourOf(averaged(now.plan), now.sheet, colours, { cover }));
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ message }) => message);
    throw error;
  }
}

/** The pours that are offered: the newest that are done. */
const DONE = { status: 'finished' };

const asRow = ({ id, number, parts }: PourView): Pick<PourRow, 'id' | 'number' | 'mixes'> => ({
  ...{ id, number },
  mixes: parts.map(({ mixName }) => mixName),
});

/** An earlier pour that this one is to match, and in what it would differ. */
export function MatchSlab({
  input,
  sources,
  calculated,
  onChange,
}: {
  input: PourInput;
  sources: PlanSources;
  calculated: SheetPart;
  onChange: (part: Change<PourInput>) => void;
}) {
  const say = useSay();
  const poured = useQuery(pageQuery<PourRow>('pours', DONE)).data?.rows ?? [];
  const before = useQuery({ ...pourQuery(input.matches ?? ''), enabled: input.matches !== undefined }).data;
  const found = before && differences(before, calculated, input.cover, sources);
  const offered = before && !poured.some(({ id }) => id === before.id) ? [asRow(before), ...poured] : poured;
  if (offered.length === 0) return null;
  return (
    <div className="mb-3">
      <label className="no-print flex flex-wrap items-center gap-2 text-sm">
        {say('pours.matchColourOf')}
        <select
          className="select select-bordered h-11 w-64 max-w-full"
          value={input.matches ?? ''}
          onChange={({ target }) => onChange({ matches: target.value || undefined })}
        >
          <option value="">{say('pours.noEarlierPour')}</option>
          {offered.map(({ id, number, mixes }) => (
            <option key={id} value={id}>
              {number}: {say.value(listed(mixes))}
            </option>
          ))}
        </select>
      </label>
      {found && found.length === 0 && <p className="text-success mt-1">{say('pours.nothingDiffers')}</p>}
      {found && found.length > 0 && (
        <ul className="border-warning mt-1 space-y-1 border-l-4 pl-3">
          {found.map((one) => (
            <li key={identity(one)}>{say(one)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
