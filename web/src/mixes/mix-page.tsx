import { useQuery } from '@tanstack/react-query';
import type { MixInput, StoresView } from '@dewpot/contract';
import { useParams } from 'react-router';
import { mixesQuery, storesQuery } from '../api/work';
import { Nowhere } from '../ui/nowhere';
import { Busy, Failure } from '../ui/states';
import { MixEditor } from './mix-editor';

function newMix({ materials }: StoresView): MixInput {
  const find = (name: RegExp) => materials.find((material) => name.test(material.name))?.id;
  const lines = [
    [find(/^grey portland/i), 1],
    [find(/^sharp sand/i), 2.5],
  ] as const;
  return {
    name: '',
    by: 'volume',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    setting: 'portland',
    dampDays: 7,
    colour: '#b3ada1',
    version: 0,
    lines: lines.flatMap(([materialId, parts]) => (materialId ? [{ materialId, parts }] : [])),
  };
}

/** One mix, new or known. */
export function MixPage() {
  const { id = 'new' } = useParams();
  const mixes = useQuery(mixesQuery);
  const stores = useQuery(storesQuery);
  if (mixes.isPending || stores.isPending) return <Busy what="the mix" />;
  if (!mixes.data || !stores.data) return <Failure error={mixes.error ?? stores.error} />;
  if (id === 'new') return <MixEditor key="new" first={newMix(stores.data)} stores={stores.data} />;
  const mix = mixes.data.find((one) => one.id === id);
  if (!mix) return <Nowhere />;
  const { id: _, ...rest } = mix;
  return (
    <MixEditor
      key={id}
      id={id}
      first={{ ...rest, lines: mix.lines.map((line) => ({ ...line })) }}
      stores={stores.data}
    />
  );
}
