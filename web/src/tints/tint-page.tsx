import type { TintInput, TintView } from '@dewpot/contract';
import { useParams, useSearchParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { tintsQuery, usePalette, type Palette } from '../api/tints';
import { mouldsQuery } from '../api/moulds';
import { Known } from '../ui/known';
import { Busy, Empty, Failure } from '../ui/states';
import { TintEditor } from './tint-editor';
import { firstBase } from './tint-words';
import { useSay } from '../ui/say';

const draftOf = ({ id: _id, revision: _revision, used: _used, ...tint }: TintView): TintInput => tint;

/** Doses in an address: material and share, as a search hands them over. */
function dosesIn(search: URLSearchParams, { find }: Palette): TintInput['doses'] {
  return (search.get('doses') ?? '').split(',').flatMap((pair) => {
    const [materialId = '', amount] = pair.split(':');
    return find(materialId) && Number(amount) > 0 ? [{ materialId, amount: Number(amount) }] : [];
  });
}

/** One tint, new or known. A new one may come from a search, with its base and doses in the address. */
export function TintPage() {
  const say = useSay();
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const { palette, error, isPending } = usePalette();
  const moulds = useQuery(mouldsQuery);
  if (isPending || moulds.isPending) return <Busy what={say('tints.busyTint')} />;
  if (!palette || !moulds.data) return <Failure error={error ?? moulds.error} />;
  const shared = { palette, moulds: moulds.data };
  if (id === 'new') {
    const [binderId, sandId] = [search.get('binder'), search.get('sand')];
    const base = binderId ? { binderId, ...(sandId && { sandId }) } : firstBase(palette);
    if (!base)
      return (
        <Empty level="h1" title={say('tints.noCement')}>
          <p>{say('tints.noCementHow')}</p>
        </Empty>
      );
    const first = { name: '', base, doses: dosesIn(search, palette), version: 0 };
    return <TintEditor key={search.toString()} first={first} {...shared} />;
  }
  const tint = palette.tints.find((one) => one.id === id);
  return (
    <Known list={tintsQuery} pick={({ tints }) => tints} ids={[id]} what={say('tints.busyTint')}>
      {tint && <TintEditor key={id} id={id} first={draftOf(tint)} used={tint.used} {...shared} />}
    </Known>
  );
}
