import { kinds } from './material-fields';
import { useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { defined } from '@dewpot/core/math';
import { pricePerGram } from '@dewpot/core/materials';
import type { MaterialView, StoreView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { storeQuery } from '../api/materials';
import { Button } from '../ui/button';
import { csvOf, DataTable, type TableColumn } from '../ui/data-table';
import { ListBar, ListChoice, Listed, NoneFits, Pager, rowsOfAll } from '../ui/list-bar';
import { saveFile } from '../ui/save-file';
import { useListing } from '../ui/use-listing';
import { PageHead } from '../ui/page-head';
import { Busy, Failure } from '../ui/states';
import { useUnits, type Units } from '../ui/units';
import type { Speaker } from '@dewpot/locales';
import { LotEditor } from './lot-editor';
import { Lots, type EditedLot } from './lots';
import { MaterialEditor } from './material-editor';
import { Scoops } from './scoops';
import { Stock } from './stock';
import { useSay } from '../ui/say';

/** What lies in the store, the scoops, and the materials' own figures. */
export function MaterialsPage() {
  const say = useSay();
  const { data, isPending, error } = useQuery(storeQuery);
  const [lot, setLot] = useState<EditedLot>();
  const [material, setMaterial] = useState<MaterialView | 'new'>();
  if (isPending) return <Busy what={say('materials.busyStore')} />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <PageHead title={say('shell.materials')}>
        <Button
          needs="caster"
          look="main"
          onClick={() => setLot({ lot: undefined, materialId: defined(data.materials[0]).id })}
        >
          {say('materials.addLot')}
        </Button>
      </PageHead>
      <Scoops scoops={data.scoops} />
      <Lots store={data} onEdit={setLot} />
      <Materials store={data} onEdit={setMaterial} />
      <Stock stock={data.stock} />
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

/** The figures of a material as a table has them. */
const columnsOf = (
  say: Speaker,
  units: Units,
  lots: StoreView['lots'],
  onEdit: (material: MaterialView) => void,
): TableColumn<MaterialView>[] => [
  {
    id: 'name',
    title: say('materials.material'),
    rising: 'name',
    value: ({ name }) => name,
    show: (material) => (
      <button type="button" className="link min-h-8 text-left" onClick={() => onEdit(material)}>
        {material.name}
      </button>
    ),
  },
  {
    id: 'kind',
    title: say('materials.kind'),
    rising: 'kind',
    value: ({ kind }) => say.value(defined(kinds.find(({ value }) => value === kind)).label),
  },
  { id: 'bulk', title: say('materials.looseShort'), right: true, value: ({ bulk }) => bulk },
  { id: 'particle', title: say('materials.inMixShort'), right: true, value: ({ particle }) => particle },
  {
    id: 'absorption',
    title: say('materials.absorptionShort'),
    right: true,
    value: ({ absorption }) => Number((absorption * 100).toFixed(1)),
  },
  { id: 'demand', title: say('materials.waterShort'), right: true, value: ({ demand }) => demand },
  { id: 'grain', title: say('materials.grainShort'), right: true, value: ({ largestGrain }) => largestGrain },
  {
    id: 'price',
    title: say('materials.aKilogram'),
    right: true,
    value: ({ id }) => Number(((pricePerGram(id, lots) ?? 0) * 1000).toFixed(2)) || '',
    show: ({ id }) => {
      const price = pricePerGram(id, lots);
      return price === undefined ? '' : units.say(price * 1000, 'money');
    },
  },
];

function Materials({ store, onEdit }: { store: StoreView; onEdit: (material: MaterialView | 'new') => void }) {
  const say = useSay();
  const units = useUnits();
  const columns = useMemo(() => columnsOf(say, units, store.lots, onEdit), [store.lots, units, say, onEdit]);
  const listing = useListing<MaterialView>('materials', ['order', 'kind']);
  const name = say('shell.materials');
  const save = async () =>
    saveFile(`${name}.csv`, csvOf(await rowsOfAll('materials', listing), columns), 'text/csv;charset=utf-8');
  return (
    <section className="card-slab" aria-label={name}>
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-2xl">{name}</h2>
        <Button size="low" onClick={() => onEdit('new')}>
          <Plus size={16} aria-hidden="true" /> {say('materials.aMaterial')}
        </Button>
      </div>
      <ListBar listing={listing} onExport={save}>
        <ListChoice listing={listing} field="kind" label={say('materials.kind')} options={kinds} />
      </ListBar>
      <Listed
        listing={listing}
        busy={say('materials.busyStore')}
        empty={<p className="quiet">{say('materials.noMaterialFits')}</p>}
      >
        {({ rows }) =>
          rows.length === 0 ? (
            <NoneFits listing={listing}>{say('materials.noMaterialFits')}</NoneFits>
          ) : (
            <DataTable
              name={name}
              rows={rows}
              columns={columns}
              order={listing.asked['order'] ?? 'name'}
              onOrder={(order) => listing.choose({ order })}
            />
          )
        }
      </Listed>
      <Pager listing={listing} />
    </section>
  );
}
