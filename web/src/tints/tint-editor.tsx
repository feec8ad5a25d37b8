import { useMemo, useState } from 'react';
import { tintOf } from '@dewpot/core/tints';
import type { MouldView, TintInput } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemoveTint, useSaveTint, type Palette } from '../api/tints';
import { Button } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { TextField } from '../ui/text-field';
import { useKept } from '../ui/use-kept';
import { BaseFields } from './base-fields';
import { LooksSlab } from './looks-slab';
import { PigmentDoses } from './pigment-doses';
import { TintHead, TintRoom } from './tint-nav';
import { calculateTintBody } from './tint-words';
import { tintsJson } from './tint-files';
import { TintVersions } from './tint-versions';
import { WeighSlab } from './weigh-slab';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';

/** A tint as it is mixed: doses by slider, and every look of it at once. */
export function TintEditor({
  id,
  first,
  used = false,
  palette,
  moulds,
}: {
  id?: string;
  first: TintInput;
  used?: boolean;
  palette: Palette;
  moulds: readonly MouldView[];
}) {
  const say = useSay();
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveTint();
  const remove = useRemoveTint();
  const kept = useKept(id ? undefined : `/tints/${key}`, (version) => setDraft((now) => ({ ...now, version })));
  const calculated = useMemo(() => calculateTintBody(draft, palette), [draft, palette]);
  const { figures, errors } = calculated;
  const tint = tintOf(draft, palette.find);
  const set = (part: Partial<TintInput>) => setDraft({ ...draft, ...part });
  const keep = (version = draft.version) => {
    if (!draft.name.trim()) return setUnnamed(true);
    save.mutate({ id: key, input: { ...draft, name: draft.name.trim(), version } }, kept);
  };
  const inStore = palette.tints.find((one) => one.id === id);
  return (
    <TintRoom>
      <TintHead title={draft.name || say('tints.newTint')} />
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,0.9fr)_minmax(0,1.9fr)]">
        <section className="card-slab space-y-4" aria-label={say('tints.theTint')}>
          <TextField
            label={say('moulds.name')}
            name="name"
            autoComplete="off"
            value={draft.name}
            maxLength={80}
            error={unnamed && !draft.name.trim() ? say('tints.giveName') : undefined}
            onChange={(event) => set({ name: event.target.value })}
          />
          <BaseFields base={draft.base} palette={palette} onChange={(base) => set({ base })} />
          <Wrong>{errors['base']}</Wrong>
          <PigmentDoses doses={draft.doses} palette={palette} errors={errors} onChange={(doses) => set({ doses })} />
          <TextField
            label={say('tints.note')}
            name="note"
            autoComplete="off"
            value={draft.note ?? ''}
            maxLength={300}
            onChange={(event) => set({ note: event.target.value })}
          />
          <StaleChoice error={save.error ?? remove.error} onKeepMine={keep} />
          <KeepBar
            what={say('tints.tintWord')}
            record={id}
            save={save}
            disabled={!figures}
            onKeep={() => keep()}
            onThrowAway={
              id
                ? {
                    question: say('tints.deleteAsk', { draft: draft.name }),
                    act: () => remove.mutate(id, { onSuccess: () => void navigate('/tints') }),
                  }
                : undefined
            }
          >
            {inStore && (
              <Button
                size="tall"
                onClick={() =>
                  saveFile(
                    `${inStore.name}.json`,
                    tintsJson({ ...palette, tints: [inStore], swatches: [] }),
                    'application/json',
                  )
                }
              >
                {say('tints.toShare')}
              </Button>
            )}
          </KeepBar>
        </section>
        {figures && tint ? (
          <div className="space-y-4">
            <LooksSlab name={draft.name} figures={figures} moulds={moulds} />
            <WeighSlab tint={tint} figures={figures} palette={palette} />
            {id && <TintVersions id={id} used={used} palette={palette} />}
          </div>
        ) : (
          <p className="card-slab quiet">{say('tints.mendDoses')}</p>
        )}
      </div>
    </TintRoom>
  );
}
