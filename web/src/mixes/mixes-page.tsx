import { useQuery } from '@tanstack/react-query';
import { InputError, reckonMix } from '@dewpot/core';
import type { MaterialView, MixView } from '@dewpot/contract';
import { Link } from 'react-router';
import { mixesQuery, storesQuery } from '../api/work';
import { PageHead } from '../ui/page-head';
import { Busy, Empty, Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { resolveMix } from './resolve';

/** All mixes with what each comes to. */
export function MixesPage() {
  const mixes = useQuery(mixesQuery);
  const stores = useQuery(storesQuery);
  if (mixes.isPending || stores.isPending) return <Busy what="the mixes" />;
  if (!mixes.data || !stores.data) return <Failure error={mixes.error ?? stores.error} />;
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="Mixes" to="/mixes/new" add="Write a mix" />
      {mixes.data.length === 0 ? (
        <Empty title="No mixes yet">
          <p>Begin with one of cement to two and a half of sharp sand: it makes most pots.</p>
          <p>
            <Link to="/mixes/new" className="btn btn-primary">
              Write a mix
            </Link>
          </p>
        </Empty>
      ) : (
        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
          {mixes.data.map((mix) => (
            <MixCard key={mix.id} mix={mix} materials={stores.data.materials} />
          ))}
        </ul>
      )}
    </div>
  );
}

function reckoned(mix: MixView, materials: readonly MaterialView[]) {
  try {
    return reckonMix(resolveMix(mix, materials), { dampDays: mix.dampDays });
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

function MixCard({ mix, materials }: { mix: MixView; materials: readonly MaterialView[] }) {
  const units = useUnits();
  const figures = reckoned(mix, materials);
  const parts = mix.lines
    .map(
      ({ materialId, parts: amount }) =>
        `${amount} ${materials.find(({ id }) => id === materialId)?.name.toLowerCase() ?? 'gone'}`,
    )
    .join(', ');
  return (
    <li>
      <Link to={`/mixes/${mix.id}`} className="card-slab hover:border-secondary flex h-full gap-4">
        <span className="chamfer h-24 w-16 shrink-0" style={{ background: mix.colour }} title="How it dries" />
        <span className="min-w-0">
          <h2 className="text-xl leading-tight">{mix.name}</h2>
          <span className="quiet block text-sm">{parts}</span>
          {figures ? (
            <span className="mt-2 block">
              {units.sayFigure(figures.freshDensity)} fresh, water to cement {figures.ratio.value.toFixed(2)}, for{' '}
              {figures.use}
            </span>
          ) : (
            <span className="text-error mt-2 block">One of its materials is gone: open it and mend it.</span>
          )}
        </span>
      </Link>
    </li>
  );
}
