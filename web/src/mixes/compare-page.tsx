import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, identity, exactly } from '@dewpot/core/units';
import { fullVolume } from '@dewpot/core/moulds';
import { compareMixes, differencesOf, type Compared, type ComparedRow } from '@dewpot/core/mixes';
import { Link, useSearchParams } from 'react-router';
import { useAmbient } from '../api/session';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { SelectField } from '../ui/select-field';
import { Busy, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { mixesQuery } from '../api/mixes';
import { Known } from '../ui/known';
import { OfferedMixes } from './offered-mixes';
import { keptMix } from './resolve';
import { useMixSources, type MixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

const MOST = 4;
const LITRE = 1000;
const ROOM = 18;

/** A kept mix as it is compared; undefined where it cannot be mixed. */
function useCompared(ids: readonly string[], sources: MixSources | undefined, now: number) {
  return useMemo(() => {
    if (!sources) return [];
    return ids.flatMap((id): Compared[] => {
      const view = sources.mixes.find((one) => one.id === id);
      if (!view) return [];
      return [{ name: view.name, binderClass: view.binderClass, ...keptMix(view, { ...sources, now }) }];
    });
  }, [ids, sources, now]);
}

/** Up to four mixes side by side: drawn, and as differences. */
export function ComparePage() {
  const say = useSay();
  const [search] = useSearchParams();
  const given = search.get('with') ?? '';
  const ids = useMemo(() => given.split(',').filter(Boolean).slice(0, MOST), [given]);
  return (
    <Known list={mixesQuery} ids={ids} what={say('mixes.busyMixes')}>
      <SideBySide ids={ids} />
    </Known>
  );
}

function SideBySide({ ids }: { ids: readonly string[] }) {
  const say = useSay();
  const [, setSearch] = useSearchParams();
  const { sources, error, isPending } = useMixSources();
  const [mouldId, setMouldId] = useState('');
  const [now] = useState(useNow());
  const temperature = useAmbient().data?.now.temperature ?? ROOM;
  const compared = useCompared(ids, sources, now);
  if (isPending) return <Busy what={say('mixes.busyMixes')} />;
  if (!sources) return <Failure error={error} />;
  const put = (next: readonly string[]) => setSearch({ with: next.join(',') });
  const mould = sources.moulds.find(({ id }) => id === mouldId);
  const others = sources.mixes.filter(({ id }) => !ids.includes(id));
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.compareMixes')}>
        <Link to="/mixes" className={buttonClass()}>
          {say('mixes.allMixes')}
        </Link>
      </PageHead>
      <div className="mb-4 flex flex-wrap items-end gap-3">
        {ids.length < MOST && others.length > 0 && (
          <SelectField
            label={say('mixes.besideThese')}
            value=""
            options={[
              { value: '', label: say('mixes.anotherMix') },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => put([...ids, id])}
          />
        )}
        <SelectField
          label={say('mixes.pieceOf')}
          value={mouldId}
          options={[
            { value: '', label: say('mixes.oneLitre', { litre: exactly(LITRE, 'mL') }) },
            ...sources.moulds.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={setMouldId}
        />
      </div>
      {compared.length > 0 && (
        <Comparison
          compared={compared}
          by={{ temperature, lots: sources.store.lots, volume: mould ? fullVolume(mould.shape) : LITRE }}
          onLeave={(at) => put(ids.filter((_, i) => i !== at))}
        />
      )}
      {compared.length < 2 && <OfferedMixes mixes={others} sources={sources} onTake={(id) => put([...ids, id])} />}
    </div>
  );
}

function Comparison({
  compared,
  by,
  onLeave,
}: {
  compared: readonly Compared[];
  by: Parameters<typeof compareMixes>[1];
  onLeave: (at: number) => void;
}) {
  const say = useSay();
  const rows = useMemo(() => {
    try {
      return compareMixes(compared, by);
    } catch (error) {
      if (error instanceof InputError) return [];
      throw error;
    }
  }, [compared, by]);
  if (rows.length === 0) return <p role="alert">{say('mixes.cannotMix')}</p>;
  return (
    <>
      <section className="card-slab overflow-x-auto" aria-label={say('mixes.drawnSideBySide')} tabIndex={0}>
        <table className="w-full min-w-3xl table-fixed border-separate border-spacing-x-3 border-spacing-y-1">
          <thead>
            <tr>
              <td className="w-40" />
              {compared.map(({ name }, i) => (
                <th key={i} scope="col" className="pb-2 text-left align-top">
                  <span className="font-head text-lg font-normal">{name}</span>
                  <button
                    type="button"
                    className="quiet block min-h-6 text-xs underline decoration-dotted"
                    aria-label={say('mixes.leaveNamedOut', { name })}
                    onClick={() => onLeave(i)}
                  >
                    {say('mixes.leaveOut')}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <Row key={row.key} row={row} />
            ))}
          </tbody>
        </table>
      </section>
      {compared.length > 1 && <Differences compared={compared} />}
    </>
  );
}

function Row({ row: { label, unit, values } }: { row: ComparedRow }) {
  const say = useSay();
  const units = useUnits();
  const most = Math.max(...values.map((value = 0) => value)) || 1;
  return (
    <tr>
      <th scope="row" className="text-left font-semibold">
        {say(label)}
      </th>
      {values.map((value, i) => (
        <td key={i}>
          {value === undefined ? (
            <span className="quiet text-sm">{say('mixes.notKnown')}</span>
          ) : (
            <span className="flex items-center gap-2">
              <span className="bg-base-300 h-5 flex-1">
                <span className="bg-secondary block h-full" style={{ width: `${(value / most) * 100}%` }} />
              </span>
              <span className="w-20 shrink-0 font-semibold whitespace-nowrap">{units.say(value, unit)}</span>
            </span>
          )}
        </td>
      ))}
    </tr>
  );
}

/** What each of the other mixes has otherwise than the first. */
function Differences({ compared: [first, ...others] }: { compared: readonly Compared[] }) {
  const say = useSay();
  return (
    <section className="card-slab mt-4" aria-label={say('mixes.differences')}>
      <h2 className="text-xl">{say('mixes.against', { name: defined(first).name })}</h2>
      <div className="grid gap-4 md:grid-cols-3">
        {others.map(({ name, mix }, i) => (
          <div key={i}>
            <h3 className="text-lg">{name}</h3>
            <ul className="text-sm">
              {differencesOf(defined(first).mix, mix).map(({ what, before, after }) => (
                <li key={identity(what)}>
                  {say.value(what)}: {say(before)} → <strong>{say(after)}</strong>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
