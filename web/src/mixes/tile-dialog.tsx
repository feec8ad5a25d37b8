import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { sealerKinds, sealers, type SealerKind } from '@dewpot/core/materials';
import {
  beads,
  coatTools,
  sheens,
  stains,
  streakGrades,
  type Bead,
  type CoatTool,
  type Sheen,
  type Stain,
  type Streaks,
} from '@dewpot/core/sealing';
import { useQuery } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { useKeepTile } from '../api/finish';
import { storeQuery } from '../api/materials';
import { Choice } from '../ui/choice';
import { EditDialog } from '../ui/edit-dialog';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';

const plainly = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, label: value as string }));
const yesNo = (yes: string, no: string) => [
  { value: 'yes' as const, label: yes },
  { value: 'no' as const, label: no },
];

/** What a trial tile showed. */
export function TileDialog({ mixId, onClose }: { mixId: string; onClose: () => void }) {
  const say = useSay();
  const keep = useKeepTile();
  const [id] = useState(() => uuid());
  const own = (useQuery(storeQuery).data?.materials ?? []).flatMap(({ name, sealer }) =>
    sealer ? [{ value: name, label: name, kind: sealer.kind }] : [],
  );
  const products =
    own.length > 0
      ? own
      : sealerKinds.map((kind) => ({
          value: say.value(sealers[kind].name),
          label: say.value(sealers[kind].name),
          kind,
        }));
  const [chosen, setChosen] = useState<string>();
  const product = products.find(({ value }) => value === chosen) ?? defined(products[0]);
  const [tool, setTool] = useState<CoatTool>('brush');
  const [coats, setCoats] = useState(1);
  const [sheen, setSheen] = useState<Sheen>('satin');
  const [streaks, setStreaks] = useState<Streaks>('none');
  const [bead, setBead] = useState<Bead>('stands');
  const [stain, setStain] = useState<Stain>('wipes off');
  const [smells, setSmells] = useState<'yes' | 'no'>('no');
  const [liked, setLiked] = useState<'yes' | 'no'>('yes');
  const [note, setNote] = useState('');
  const save = () =>
    keep.mutate(
      {
        id,
        tile: {
          mixId,
          at: Date.now(),
          sealer: product.kind as SealerKind,
          product: product.value,
          tool,
          coats,
          sheen,
          streaks,
          smells: smells === 'yes',
          bead,
          stain,
          liked: liked === 'yes',
          ...(note.trim() && { note: note.trim() }),
        },
      },
      { onSuccess: onClose },
    );
  return (
    <EditDialog title="A trial tile" busy={keep.isPending} error={keep.error} onSave={save} onClose={onClose}>
      <SelectField label="Half of it sealed with" value={product.value} options={products} onChange={setChosen} />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice legend="Applied by" options={plainly(coatTools)} value={tool} onChange={setTool} />
        <Choice
          legend="Coats"
          options={[1, 2, 3].map((value) => ({ value, label: `${value}` }))}
          value={coats}
          onChange={setCoats}
        />
      </div>
      <Choice legend="Sheen" options={plainly(sheens)} value={sheen} onChange={setSheen} />
      <Choice legend="Streaks" options={plainly(streakGrades)} value={streaks} onChange={setStreaks} />
      <Choice legend="A drop of water" options={plainly(beads)} value={bead} onChange={setBead} />
      <Choice
        legend="A drop of coffee or oil, wiped after an hour"
        options={plainly(stains)}
        value={stain}
        onChange={setStain}
      />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          legend="The next day"
          options={yesNo('it still smells', 'no smell')}
          value={smells}
          onChange={setSmells}
        />
        <Choice
          legend="Do you like its look?"
          options={yesNo('liked', 'not liked')}
          value={liked}
          onChange={setLiked}
        />
      </div>
      <TextField
        label="Note (may be left open)"
        value={note}
        maxLength={300}
        onChange={({ target }) => setNote(target.value)}
      />
    </EditDialog>
  );
}
