import { beadWords, sheenWords, stainWords, streakWords } from './tile-words';
import { toolWords } from '../ui/casts/seal-words';
import { type Message } from '@dewpot/core/units';
import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { sealerKinds, sealers } from '@dewpot/core/materials';
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

/** What a tile showed, as it is chosen. */
interface Shown {
  readonly tool: CoatTool;
  readonly coats: number;
  readonly sheen: Sheen;
  readonly streaks: Streaks;
  readonly bead: Bead;
  readonly stain: Stain;
  readonly smells: YesNo;
  readonly liked: YesNo;
  readonly note: string;
}
type YesNo = 'yes' | 'no';

const usual: Shown = {
  tool: 'brush',
  coats: 1,
  sheen: 'satin',
  streaks: 'none',
  bead: 'stands',
  stain: 'wipes off',
  smells: 'no',
  liked: 'yes',
  note: '',
};

/** What tiles are sealed with: the sealers in store, else every kind. */
function useProducts() {
  const say = useSay();
  const own = (useQuery(storeQuery).data?.materials ?? []).flatMap(({ name, sealer }) =>
    sealer ? [{ value: name, label: name, kind: sealer.kind }] : [],
  );
  if (own.length > 0) return own;
  return sealerKinds.map((kind) => {
    const name = say.value(sealers[kind].name);
    return { value: name, label: name, kind };
  });
}

/** What a trial tile showed. */
export function TileDialog({ mixId, onClose }: { mixId: string; onClose: () => void }) {
  const say = useSay();
  const keep = useKeepTile();
  const [id] = useState(() => uuid());
  const products = useProducts();
  const [chosen, setChosen] = useState<string>();
  const product = products.find(({ value }) => value === chosen) ?? defined(products[0]);
  const [shown, setShown] = useState(usual);
  const { note, smells, liked, ...grades } = shown;
  const tile = {
    mixId,
    sealer: product.kind,
    product: product.value,
    ...grades,
    smells: smells === 'yes',
    liked: liked === 'yes',
    ...(note.trim() && { note: note.trim() }),
  };
  return (
    <EditDialog
      title={say('sealing.trialTile')}
      busy={keep.isPending}
      error={keep.error}
      onSave={() => keep.mutate({ id, tile: { ...tile, at: Date.now() } }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <SelectField
        label={say('sealing.halfSealedWith')}
        value={product.value}
        options={products}
        onChange={setChosen}
      />
      <TileFields shown={shown} onChange={(part) => setShown((now) => ({ ...now, ...part }))} />
    </EditDialog>
  );
}

/** Choices whose words stand in the catalogues, in the order in which they are looked at. */
const looks = [
  { field: 'sheen', legend: 'sealing.sheen', options: optionsOf(sheens, sheenWords) },
  { field: 'streaks', legend: 'sealing.streaks', options: optionsOf(streakGrades, streakWords) },
  { field: 'bead', legend: 'sealing.dropOfWater', options: optionsOf(beads, beadWords) },
  { field: 'stain', legend: 'sealing.dropOfCoffee', options: optionsOf(stains, stainWords) },
] as const;

function TileFields({ shown, onChange }: { shown: Shown; onChange: (part: Partial<Shown>) => void }) {
  const say = useSay();
  return (
    <>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          legend={say('sealing.appliedBy')}
          options={optionsOf(coatTools, toolWords)}
          value={shown.tool}
          onChange={(tool) => onChange({ tool })}
        />
        <Choice
          legend={say('sealing.coats')}
          options={[1, 2, 3].map((value) => ({ value, label: `${value}` }))}
          value={shown.coats}
          onChange={(coats) => onChange({ coats })}
        />
      </div>
      {looks.map(({ field, legend, options }) => (
        <Choice<string>
          key={field}
          legend={say(legend)}
          options={options}
          value={shown[field]}
          onChange={(value) => onChange({ [field]: value })}
        />
      ))}
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choice
          legend={say('sealing.nextDay')}
          options={yesNo(say('sealing.stillSmells'), say('sealing.noSmell'))}
          value={shown.smells}
          onChange={(smells) => onChange({ smells })}
        />
        <Choice
          legend={say('sealing.likeLook')}
          options={yesNo(say('sealing.liked'), say('sealing.notLiked'))}
          value={shown.liked}
          onChange={(liked) => onChange({ liked })}
        />
      </div>
      <TextField
        label={say('sealing.noteOpen')}
        value={shown.note}
        maxLength={300}
        onChange={({ target }) => onChange({ note: target.value })}
      />
    </>
  );
}
