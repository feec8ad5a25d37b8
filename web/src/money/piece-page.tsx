import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { mixesQuery } from '../api/mixes';
import { pieceMoneyQuery } from '../api/money';
import { mouldsQuery } from '../api/moulds';
import { pastPoursQuery } from '../api/pours';
import { PageHead } from '../ui/page-head';
import { SelectField } from '../ui/select-field';
import { Busy, Empty, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { PieceCosting } from './piece-costing';

/** What a piece of a mould with a mix costs, what to ask for it, and what it costs to send. */
export function PiecePage() {
  const say = useSay();
  const [search, setSearch] = useSearchParams();
  const [moulds, mixes, past] = [useQuery(mouldsQuery), useQuery(mixesQuery), useQuery(pastPoursQuery)];
  const last = past.data?.last;
  const named = (all: readonly { id: string }[] | undefined, key: string | null, usual: string | undefined) =>
    all?.find(({ id }) => id === key)?.id ?? all?.find(({ id }) => id === usual)?.id ?? all?.[0]?.id;
  const mould = named(moulds.data, search.get('mould'), last?.items[0]?.mouldId);
  const mix = named(mixes.data, search.get('mix'), last?.mixId);
  const options = (all: readonly { id: string; name: string }[] = []) => all.map(({ id, name }) => ({ value: id, label: name }));
  if (moulds.isPending || mixes.isPending || past.isPending) return <Busy what={say('money.busyPiece')} />;
  return (
    <div className="mx-auto max-w-7xl p-4">
      <PageHead title={say('money.whatItCosts')} />
      <Failure error={moulds.error ?? mixes.error ?? past.error} />
      {mould && mix ? (
        <>
          <div className="mb-4 grid max-w-2xl gap-4 sm:grid-cols-2">
            <SelectField label={say('money.ofMould')} value={mould} options={options(moulds.data)} onChange={(next) => setSearch({ mould: next, mix }, { replace: true })} />
            <SelectField label={say('pours.mix')} value={mix} options={options(mixes.data)} onChange={(next) => setSearch({ mould, mix: next }, { replace: true })} />
          </div>
          <Known mould={mould} mix={mix} />
        </>
      ) : (
        <Empty title={say('money.nothingToPrice')}><p>{say('money.nothingToPriceHow')}</p></Empty>
      )}
    </div>
  );
} // prettier-ignore

function Known({ mould, mix }: { mould: string; mix: string }) {
  const say = useSay();
  const known = useQuery(pieceMoneyQuery({ mould, mix }));
  if (known.isPending) return <Busy what={say('money.busyPiece')} />;
  if (!known.data) return <Failure error={known.error} />;
  return <PieceCosting key={`${mould} ${mix} ${known.data.costing.version}`} mouldId={mould} known={known.data} />;
}
