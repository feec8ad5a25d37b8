import { useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { defined } from '@dewpot/core/math';
import { pricePerGram } from '@dewpot/core/materials';
import type { MaterialView, StoreView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { storeQuery } from '../api/materials';
import { Button } from '../ui/button';
import { DataTable, type TableColumn } from '../ui/data-table';
import { PageHead } from '../ui/page-head';
import { Busy, Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { LotEditor } from './lot-editor';
import { Lots, type EditedLot } from './lots';
import { MaterialEditor } from './material-editor';
import { Scoops } from './scoops';

/** What lies in the store, the scoops, and the materials' own figures. */
export function MaterialsPage() {
  const { data, isPending, error } = useQuery(storeQuery);
  const [lot, setLot] = useState<EditedLot>();
  const [material, setMaterial] = useState<MaterialView | 'new'>();
  if (isPending) return <Busy what="the store" />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <PageHead title="Materials">
        <Button look="main" onClick={() => setLot({ lot: undefined, materialId: defined(data.materials[0]).id })}>
          Add a lot
        </Button>
      </PageHead>
      <Scoops scoops={data.scoops} />
      <Lots store={data} onEdit={setLot} />
      <Materials store={data} onEdit={setMaterial} />
      {lot && <LotEditor {...lot} materials={data.materials} onClose={() => setLot(undefined)} />}
      {material && (
        <MaterialEditor
          material={material === 'new' ? undefined : material}
          store={data}
          onClose={() => setMaterial(undefined)}
        />
      )}
    </div>
  );
}

function Materials({ store, onEdit }: { store: StoreView; onEdit: (material: MaterialView | 'new') => void }) {
  const units = useUnits();
  const columns = useMemo<TableColumn<MaterialView>[]>(
    () => [
      {
        id: 'name',
        title: 'Material',
        value: ({ name }) => name,
        show: (material) => (
          <button type="button" className="link min-h-8 text-left" onClick={() => onEdit(material)}>
            {material.name}
          </button>
        ),
      },
      { id: 'kind', title: 'Kind', value: ({ kind }) => kind },
      { id: 'bulk', title: 'Loose, kg/L', right: true, value: ({ bulk }) => bulk },
      { id: 'particle', title: 'In the mix, kg/L', right: true, value: ({ particle }) => particle },
      {
        id: 'absorption',
        title: 'Absorption, %',
        right: true,
        value: ({ absorption }) => Number((absorption * 100).toFixed(1)),
      },
      { id: 'demand', title: 'Water, kg/kg', right: true, value: ({ demand }) => demand },
      { id: 'grain', title: 'Grain, mm', right: true, value: ({ largestGrain }) => largestGrain },
      {
        id: 'price',
        title: 'A kilogram',
        right: true,
        value: ({ id }) => Number(((pricePerGram(id, store.lots) ?? 0) * 1000).toFixed(2)) || '',
        show: ({ id }) => {
          const price = pricePerGram(id, store.lots);
          return price === undefined ? '' : units.say(price * 1000, 'money');
        },
      },
    ],
    [store.lots, units, onEdit],
  );
  return (
    <section className="card-slab" aria-label="Materials">
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-2xl">Materials</h2>
        <Button size="low" onClick={() => onEdit('new')}>
          <Plus size={16} aria-hidden="true" /> A material
        </Button>
      </div>
      <DataTable name="Materials" rows={store.materials} columns={columns} empty="No material has that word." />
    </section>
  );
}
