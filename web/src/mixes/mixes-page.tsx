import { useWords } from './mix-labels';
import { useMemo, useState } from 'react';
import { fixed, msg, neededDecimals } from '@dewpot/core/units';
import type { MixView } from '@dewpot/contract';
import { Link } from 'react-router';
import { useMixColour } from '../api/tints';
import { buttonClass } from '../ui/button';
import { Listed, NoneFits, NothingYet, Pager } from '../ui/list-bar';
import { PageHead } from '../ui/page-head';
import { RecipeBar } from '../ui/recipe-bar';
import { Busy, Failure } from '../ui/states';
import { useListing } from '../ui/use-listing';
import { useDay } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { MixFiles } from './mix-files-bar';
import { calculatedMix, resolveMix } from './resolve';
import { ShareStrip } from './share-strip';
import { useMixSources, type MixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

const MOST_BESIDE = 4;

/** All mixes with what each comes to. */
export function MixesPage() {
  const say = useSay();
  const { sources, error, isPending } = useMixSources();
  const listing = useListing<MixView>('mixes', ['order', 'material']);
  const [beside, setBeside] = useState<readonly string[]>([]);
  if (isPending) return <Busy what={say('mixes.busyMixes')} />;
  if (!sources) return <Failure error={error} />;
  const toggle = (id: string) =>
    setBeside(beside.includes(id) ? beside.filter((one) => one !== id) : [...beside, id].slice(-MOST_BESIDE));
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.mixes')} to="/mixes/new" add={say('shell.newMix')}>
        {beside.length > 1 && (
          <Link to={`/mixes/compare?with=${beside.join(',')}`} className={buttonClass({ look: 'second' })}>
            {say('mixes.sideBySideMany', { beside: beside.length })}
          </Link>
        )}
      </PageHead>
      <Listed
        listing={listing}
        busy={say('mixes.busyMixes')}
        empty={
          <NothingYet
            title={say('mixes.noMixesYet')}
            how={say('mixes.noMixesHow')}
            to="/mixes/new"
            add={say('shell.newMix')}
          />
        }
      >
        {({ rows }) => (
          <>
            <RecipeBar listing={listing} materials={sources.store.materials} />
            {rows.length === 0 && <NoneFits listing={listing}>{say('mixes.noMixFits')}</NoneFits>}
            <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
              {rows.map((mix) => (
                <MixCard
                  key={mix.id}
                  mix={mix}
                  sources={sources}
                  chosen={beside.includes(mix.id)}
                  onChoose={() => toggle(mix.id)}
                />
              ))}
            </ul>
            <Pager listing={listing} />
          </>
        )}
      </Listed>
      <MixFiles sources={sources} />
    </div>
  );
}

function MixCard({
  mix,
  sources,
  chosen,
  onChoose,
}: {
  mix: MixView;
  sources: MixSources;
  chosen: boolean;
  onChoose: () => void;
}) {
  const say = useSay();
  const units = useUnits();
  const now = useDay();
  const figures = useMemo(() => calculatedMix(mix, sources, now), [mix, sources, now]);
  const { materials } = sources.store;
  const colour = useMixColour()(mix, resolveMix(mix, materials));
  const parts = mix.lines
    .map(({ materialId, parts: amount }) =>
      say('mixes.partOf', {
        amount: fixed(amount, neededDecimals(Number(amount.toPrecision(3)))),
        name: materials.find(({ id }) => id === materialId)?.name ?? msg('mixes.gone'),
      }),
    )
    .join(', ');
  return (
    <li className="card-slab hover:border-secondary flex h-full flex-col p-0">
      <Link to={`/mixes/${mix.id}`} className="flex flex-1 gap-4 p-4 pb-2">
        <span className="chamfer h-24 w-16 shrink-0" style={{ background: colour }} title={say('mixes.howItDries')} />
        <span className="min-w-0">
          <h2 className="text-xl leading-tight">{mix.name}</h2>
          <span className="quiet block text-sm">{parts}</span>
          {figures ? (
            <span className="mt-2 block">
              {say('mixes.toldOf', {
                freshDensity: units.sayFigure(figures.freshDensity),
                ratio: fixed(figures.ratio.value, 2),
                use: useWords[figures.use],
              })}
            </span>
          ) : (
            <span className="text-error mt-2 block">{say('mixes.materialGone')}</span>
          )}
        </span>
      </Link>
      <div className="flex items-center gap-3 px-4 pb-2">
        <span className="min-w-0 flex-1">{figures && <ShareStrip shares={figures.shares} />}</span>
        <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={chosen}
            disabled={!figures}
            onChange={onChoose}
            aria-label={say('mixes.sideBySideOf', { mix: mix.name })}
          />
          {say('mixes.sideBySide')}
        </label>
      </div>
    </li>
  );
}
