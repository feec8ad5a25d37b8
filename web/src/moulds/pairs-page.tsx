import { useState } from 'react';
import { type Message, quantity } from '@dewpot/core/units';
import { findPairs, sectionCut, type Pair, type WantedPair } from '@dewpot/core/moulds';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { tubsQuery } from '../api/tubs';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { QuantityField } from '../ui/quantity-field';
import { Busy, Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { OutlineThumb } from './outline-thumb';
import type { Start } from './starts';
import { Tubs } from './tubs';
import { Wrong } from '../ui/wrong';
import { firstIssue } from '../ui/input-error-message';
import { useSay } from '../ui/say';

/** Pairs that are shown: the best. */
const SHOWN = 6;

function search(
  tubs: Parameters<typeof findPairs>[0],
  wanted: WantedPair,
): { pairs: Pair[]; wrong?: Message | undefined } {
  try {
    return { pairs: findPairs(tubs, wanted) };
  } catch (error) {
    return { pairs: [], wrong: firstIssue(error) };
  }
}

/** Which of the caster's tubs nest to give a wanted wall and base. */
export function PairsPage() {
  const say = useSay();
  const { data, error, isPending } = useQuery(tubsQuery);
  const [wanted, setWanted] = useState<WantedPair>({ wall: 20, base: 20 });
  if (isPending) return <Busy what={say('moulds.busyTubs')} />;
  if (!data) return <Failure error={error} />;
  const { pairs, wrong } = search(data, wanted);
  const size = (label: string, field: keyof WantedPair) => (
    <QuantityField
      label={label}
      name={field}
      dimension="length"
      value={Number.isNaN(wanted[field]) ? undefined : wanted[field]}
      onChange={(value = NaN) => setWanted({ ...wanted, [field]: value })}
    />
  );
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('moulds.whichNest')}>
        <Link to="/moulds" className={buttonClass()}>
          {say('moulds.allMoulds')}
        </Link>
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-label={say('moulds.pairs')}>
          <div className="card-slab mb-3 grid max-w-md grid-cols-2 gap-3">
            {size(say('moulds.wallOf'), 'wall')}
            {size(say('moulds.onBaseOf'), 'base')}
          </div>
          <Wrong>{wrong}</Wrong>
          {!wrong && pairs.length === 0 && (
            <p className="card-slab quiet">{data.length < 2 ? say('moulds.enterTwoTubs') : say('moulds.noneNest')}</p>
          )}
          <ol className="grid gap-3 sm:grid-cols-2">
            {pairs.slice(0, SHOWN).map((pair) => (
              <PairCard key={`${pair.outer.id}-${pair.core.id}`} pair={pair} />
            ))}
          </ol>
        </section>
        <Tubs tubs={data} />
      </div>
    </div>
  );
}

function PairCard({ pair: { outer, core, shape, wall, uneven, volume } }: { pair: Pair }) {
  const say = useSay();
  const units = useUnits();
  const start: Start = {
    key: `pair-${outer.id}-${core.id}`,
    name: say('moulds.pairName', { outer: outer.name, core: core.name }),
    hint: say('moulds.pairHint', { outer: outer.name, core: core.name }),
    shape,
    flexibility: 'rigid',
    piece: 'pot',
  };
  return (
    <li className="card-slab flex gap-3">
      <OutlineThumb outlines={sectionCut(shape).flatMap(({ outlines }) => outlines)} size={132} share={0.92} />
      <div className="min-w-0 flex-1">
        <h2 className="text-lg leading-tight">{say('moulds.pairTitle', { core: core.name, outer: outer.name })}</h2>
        <p>
          <span className="numeral text-2xl">{units.say(wall, 'mm')}</span>{' '}
          <span className="quiet">{say('moulds.atThinnest')}</span>
        </p>
        <p className="quiet text-sm">
          {say(uneven < 1 ? 'moulds.pairEven' : 'moulds.pairUneven', {
            uneven: quantity(uneven, 'mm'),
            volume: quantity(volume, 'mL'),
          })}
        </p>
        <Link to="/moulds/new" state={{ start }} className={buttonClass({ size: 'low', className: 'mt-2' })}>
          {say('moulds.makeMould')}
        </Link>
      </div>
    </li>
  );
}
