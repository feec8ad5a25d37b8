import { defined } from '@dewpot/core/math';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { sessionChoices } from '@dewpot/core/calendar';
import type { AmbientView, CalendarTodayView, PourInput, PourView } from '@dewpot/contract';
import { Link, useParams, useSearchParams } from 'react-router';
import { shelfQuery } from '../api/casts';
import { asideQuery } from '../api/findings-aside';
import { useAmbient, useSession } from '../api/session';
import { usePalette } from '../api/tints';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { calendarPlanQuery } from '../api/orders';
import { pastPoursQuery, pourQuery } from '../api/pours';
import { buttonClass } from '../ui/button';
import { Known, KnownOne } from '../ui/known';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { BenchLog } from './bench-log';
import { causeCalled, causeName, changeFor, plannedAgainst, type Cause } from '@dewpot/core/findings';
import { fullMoulds, freeOf } from './full-moulds';
import { measuredBefore, type PlanSources } from './plan';
import { PourPlanner } from './pour-planner';
import { PouredView } from './poured-view';
import { useSay } from '../ui/say';

const SPARE = 0.05;
/** Hours for which a plan is judged by the forecast. */
const TWO_DAYS = 48;

/** One pour: planned, at the bench, or poured. A new one may be after another, or with a mould and a mix that the address names. */
export function PourPage() {
  const say = useSay();
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const fresh = id === 'new';
  const named = fresh ? search.get('again') : id;
  const pour = (known: PourView | undefined) => <KnownPour key={id} id={id} pour={known} />;
  return (
    <Known list={mouldsQuery} ids={[fresh ? search.get('mould') : null]} what={say('moulds.busyMould')}>
      <Known list={mixesQuery} ids={[fresh ? search.get('mix') : null]} what={say('mixes.theMix')}>
        {named === null ? (
          pour(undefined)
        ) : (
          <KnownOne one={pourQuery(named)} what={say('pours.busyPour')}>
            {pour}
          </KnownOne>
        )}
      </Known>
    </Known>
  );
}

/** `pour`: the one at that address, or for a new one the one that it is to be like. */
function KnownPour({ id, pour }: { id: string; pour: PourView | undefined }) {
  const say = useSay();
  const [search] = useSearchParams();
  const { workshop } = useSession();
  const ambient = useAmbient();
  const [now] = useState(useNow());
  const [moulds, mixes, past] = [useQuery(mouldsQuery), useQuery(mixesQuery), useQuery(pastPoursQuery)];
  const shelf = useQuery(shelfQuery);
  const aside = useQuery(asideQuery);
  const planned = useQuery({ ...calendarPlanQuery, enabled: search.has('session') });
  const { palette, ...colours } = usePalette();
  if (colours.isPending || ambient.isPending || aside.isPending || past.isPending || planned.isLoading)
    return <Busy what={say('pours.busyPour')} />;
  if (!moulds.data || !mixes.data || !past.data || !palette) return <Failure error={colours.error ?? past.error} />;
  const sources: PlanSources = {
    moulds: moulds.data,
    mixes: mixes.data,
    palette,
    past: past.data,
    aside: aside.data ?? [],
    ambientBasis: ambient.data?.basis ?? 'guess',
    ...(ambient.data && ambient.data.basis !== 'guess' && { ahead: ambient.data.ahead.slice(0, TWO_DAYS) }),
    full: fullMoulds(shelf.data ?? []),
    workshop,
    now,
  };
  const known = pour?.id === id ? pour : undefined;
  if (known?.status === 'finished') return <PouredView pour={known} />;
  if (known?.status === 'started') return <BenchLog pour={known} />;
  if (known)
    return <PourPlanner key={id} id={id} kept={known} first={{ ...known.input, version: known.version }} sources={sources} />; // prettier-ignore
  if (pour) {
    const cause = causeCalled(search.get('against'));
    const first = againInput(pour, sources, ambient.data);
    return (
      <>
        {cause && <ChangedAgainst cause={cause} />}
        <PourPlanner
          key={pour.id}
          again={pour}
          first={cause ? plannedAgainst(first, cause) : first}
          sources={sources}
        />
      </>
    );
  }
  const session = planned.data && sessionInput(planned.data, search.get('session'), sources);
  const usual = firstInput(sources, search, ambient.data);
  const first = usual && session ? { ...usual, ...session } : usual;
  return first ? (
    <PourPlanner key="new" first={first} sources={sources} />
  ) : (
    <Missing mould={sources.moulds.length === 0} mix={sources.mixes.length === 0} />
  );
}

/** What a planned session pours, as what is chosen for a pour; undefined where it is none of the plan's. */
function sessionInput({ plan, lines }: CalendarTodayView, at: string | null, { mixes }: PlanSources) {
  const session = plan?.sessions.find((one) => String(one.at) === at);
  if (!session) return undefined;
  const { items, mixId, grade } = sessionChoices(session.poured, lines, { temperature: 0 }, mixes) ?? {};
  return items && mixId && grade && { items, mixId, grade };
}

/** What a new pour begins with: what the address names, else what was poured last; undefined without a mould or a mix. */
function firstInput(
  sources: PlanSources,
  search: URLSearchParams,
  ambient: AmbientView | undefined,
): PourInput | undefined {
  const { moulds, mixes, past, palette, full, workshop } = sources;
  const trial = search.get('trial');
  const { scoops } = palette.store;
  const { last } = past;
  const named = <T extends { id: string }>(all: readonly T[], key: string | null | undefined) =>
    all.find(({ id }) => id === key);
  const mix = named(mixes, search.get('mix')) ?? named(mixes, last?.mixId) ?? mixes[0];
  const mould = named(moulds, search.get('mould')) ?? moulds[0];
  const scoop = named(scoops, last?.scoopId) ?? scoops[0];
  if (!mix || !mould) return undefined;
  const measuring = measuredBefore(mix.id, sources);
  return {
    items: [{ mouldId: mould.id, count: Math.max(1, freeOf(mould, full, 1).free ?? 1) }],
    mixId: mix.id,
    grade: mix.grade,
    spare: SPARE,
    moisture: {},
    ...(scoop && { scoopId: scoop.id }),
    step: 0.25,
    ...(measuring && { measuring }),
    temperature: ambient?.now.temperature ?? 18,
    ...(workshop.usual?.release && { release: workshop.usual.release }),
    ...(workshop.usual?.cover && { cover: workshop.usual.cover }),
    ...(trial && { trialId: trial }),
    version: 0,
  };
}

/** A past pour as a start: what is gone since is left out, and it is as warm as it is now. */
function againInput({ input }: PourView, { moulds, mixes }: PlanSources, ambient: AmbientView | undefined): PourInput {
  const { matches: _, trialId: __, ...rest } = input;
  const here = (id: string | undefined) => id === undefined || mixes.some((mix) => mix.id === id);
  return {
    ...rest,
    items: input.items.filter(({ mouldId, mixId }) => moulds.some(({ id }) => id === mouldId) && here(mixId)),
    mixId: here(input.mixId) ? input.mixId : defined(mixes[0]).id,
    temperature: ambient?.now.temperature ?? input.temperature,
    version: 0,
  };
}

/** What is planned otherwise than last time, and against what. */
function ChangedAgainst({ cause }: { cause: Cause }) {
  const say = useSay();
  return (
    <p role="status" className="border-primary mx-auto mt-4 max-w-7xl border-l-4 px-4">
      <strong>{say('findings.changedAgainst', { cause: causeName(cause) })}</strong> {say(changeFor(cause))}
    </p>
  );
}

function Missing({ mould, mix }: { mould: boolean; mix: boolean }) {
  const say = useSay();
  return (
    <Empty level="h1" title={say('pours.notEnough')}>
      <p>{say('pours.notEnoughHow')}</p>
      <p className="flex flex-wrap justify-center gap-2">
        {mould && (
          <Link to="/moulds/new" className={buttonClass({ look: 'main', size: 'own' })}>
            {say('shell.measureMould')}
          </Link>
        )}
        {mix && (
          <Link to="/mixes/new" className={buttonClass({ look: 'main', size: 'own' })}>
            {say('shell.newMix')}
          </Link>
        )}
      </p>
    </Empty>
  );
}
