import { beadWords, sheenWords, stainWords, streakWords } from './tile-words';
import { toolWords } from '../ui/casts/seal-words';
import { type Message } from '@dewpot/core/units';
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

const optionsOf = <T extends string>(values: readonly T[], words: Record<T, Message>) =>
  values.map((value) => ({ value, label: words[value] }));
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
    <EditDialog
      title={say('sealing.trialTile')}
      busy={keep.isPending}
      error={keep.error}
      onSave={save}
      onClose={onClose}
    >
      <SelectField
        label={say('sealing.halfSealedWith')}
        value={product.value}
        options={products}
        onChange={setChosen}
      />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          legend={say('sealing.appliedBy')}
          options={optionsOf(coatTools, toolWords)}
          value={tool}
          onChange={setTool}
        />
        <Choice
          legend={say('sealing.coats')}
          options={[1, 2, 3].map((value) => ({ value, label: `${value}` }))}
          value={coats}
          onChange={setCoats}
        />
      </div>
      <Choice legend={say('sealing.sheen')} options={optionsOf(sheens, sheenWords)} value={sheen} onChange={setSheen} />
      <Choice
        legend={say('sealing.streaks')}
        options={optionsOf(streakGrades, streakWords)}
        value={streaks}
        onChange={setStreaks}
      />
      <Choice
        legend={say('sealing.dropOfWater')}
        options={optionsOf(beads, beadWords)}
        value={bead}
        onChange={setBead}
      />
      <Choice
        legend={say('sealing.dropOfCoffee')}
        options={optionsOf(stains, stainWords)}
        value={stain}
        onChange={setStain}
      />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          legend={say('sealing.nextDay')}
          options={yesNo(say('sealing.stillSmells'), say('sealing.noSmell'))}
          value={smells}
          onChange={setSmells}
        />
        <Choice
          legend={say('sealing.likeLook')}
          options={yesNo(say('sealing.liked'), say('sealing.notLiked'))}
          value={liked}
          onChange={setLiked}
        />
      </div>
      <TextField
        label={say('sealing.noteOpen')}
        value={note}
        maxLength={300}
        onChange={({ target }) => setNote(target.value)}
      />
    </EditDialog>
  );
}
