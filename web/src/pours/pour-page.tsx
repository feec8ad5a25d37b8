import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { AirView, PourInput, PourView } from '@dewpot/contract';
import { Link, useParams, useSearchParams } from 'react-router';
import { shelfQuery } from '../api/casts';
import { useAir, useSession } from '../api/session';
import { usePalette } from '../api/tints';
import { mixesQuery, mouldsQuery, poursQuery } from '../api/work';
import { Nowhere } from '../ui/nowhere';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { BenchLog } from './bench-log';
import { fullMoulds, freeOf } from './full-moulds';
import { measuredBefore, type PlanSources } from './plan';
import { PourPlanner } from './pour-planner';
import { PouredView } from './poured-view';

const SPARE = 0.05;

/** One pour: planned, at the bench, or poured. */
export function PourPage() {
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const { workshop } = useSession();
  const air = useAir();
  const [now] = useState(useNow());
  const [moulds, mixes, pours] = [useQuery(mouldsQuery), useQuery(mixesQuery), useQuery(poursQuery)];
  const shelf = useQuery(shelfQuery);
  const { palette, ...colours } = usePalette();
  if (moulds.isPending || mixes.isPending || pours.isPending || colours.isPending || air.isPending)
    return <Busy what="the pour" />;
  if (!moulds.data || !mixes.data || !pours.data || !palette)
    return <Failure error={moulds.error ?? mixes.error ?? pours.error ?? colours.error} />;
  const sources: PlanSources = {
    moulds: moulds.data,
    mixes: mixes.data,
    palette,
    pours: pours.data,
    full: fullMoulds(shelf.data ?? []),
    workshop,
    now,
  };
  const known = pours.data.find((pour) => pour.id === id);
  if (known?.status === 'finished') return <PouredView pour={known} />;
  if (known?.status === 'started') return <BenchLog pour={known} />;
  if (known)
    return <PourPlanner key={id} id={id} first={{ ...known.input, version: known.version }} sources={sources} />;
  // What was read before may be older than a pour that another device planned.
  if (id !== 'new') return pours.isFetching ? <Busy what="the pour" /> : <Nowhere />;
  const again = pours.data.find((pour) => pour.id === search.get('again'));
  if (again)
    return <PourPlanner key={again.id} again={again} first={againInput(again, sources, air.data)} sources={sources} />;
  const last = pours.data.find(({ status }) => status === 'finished')?.input;
  const wanted = (given: string | null, before?: string) => (one: { id: string }) => one.id === (given ?? before);
  const mix = sources.mixes.find(wanted(search.get('mix'), last?.mixId)) ?? sources.mixes[0];
  const mould = sources.moulds.find((one) => one.id === search.get('mould')) ?? sources.moulds[0];
  const scoop = palette.stores.scoops.find(wanted(null, last?.scoopId)) ?? palette.stores.scoops[0];
  if (!mix || !mould) return <Missing mould={!mould} mix={!mix} />;
  const first: PourInput = {
    items: [{ mouldId: mould.id, count: Math.max(1, freeOf(mould, sources.full, 1).free ?? 1) }],
    mixId: mix.id,
    grade: mix.grade,
    spare: SPARE,
    moisture: {},
    ...(scoop && { scoopId: scoop.id }),
    step: 0.25,
    measuring: measuredBefore(mix.id, pours.data),
    temperature: air.data?.now.temperature ?? 18,
    version: 0,
  };
  return <PourPlanner key="new" first={first} sources={sources} />;
}

/** A past pour as a start: what is gone since is left out, and it is as warm as it is now. */
function againInput({ input }: PourView, { moulds, mixes }: PlanSources, air: AirView | undefined): PourInput {
  const { matches: _, ...rest } = input;
  const here = (id: string | undefined) => id === undefined || mixes.some((mix) => mix.id === id);
  return {
    ...rest,
    items: input.items.filter(({ mouldId, mixId }) => moulds.some(({ id }) => id === mouldId) && here(mixId)),
    mixId: here(input.mixId) ? input.mixId : mixes[0]!.id,
    temperature: air?.now.temperature ?? input.temperature,
    version: 0,
  };
}

function Missing({ mould, mix }: { mould: boolean; mix: boolean }) {
  return (
    <Empty level="h1" title="Not enough to plan with yet">
      <p>A pour needs a mould and a mix.</p>
      <p className="flex flex-wrap justify-center gap-2">
        {mould && (
          <Link to="/moulds/new" className="btn btn-primary">
            Measure a mould
          </Link>
        )}
        {mix && (
          <Link to="/mixes/new" className="btn btn-primary">
            Write a mix
          </Link>
        )}
      </p>
    </Empty>
  );
}
