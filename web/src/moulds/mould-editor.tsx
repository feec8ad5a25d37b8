import { useMemo, useState } from 'react';
import {
  InputError,
  pieceGuides,
  reckonMould,
  type MouldFigures,
  type MouldShape,
  type PieceKind,
  type ThinPlace,
} from '@dewpot/core';
import type { CopyView } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { v7 as uuid } from 'uuid';
import { useRemoveMould, useSaveMould } from '../api/work';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { TextField } from '../ui/text-field';
import { Copies } from './copies';
import { DimensionFields } from './dimension-fields';
import { fieldOfPath, inputOf, shapeOf, type MouldDraft, type NestedPot } from './draft';
import { MouldAnswers } from './mould-answers';
import { SectionDrawing } from './section-drawing';

/** What the drawing shows: the last measurements that made a shape. */
interface Drawn {
  readonly shape: MouldShape;
  readonly thinnest: ThinPlace | undefined;
}

interface Reckoned {
  readonly figures?: MouldFigures;
  readonly drawn?: Drawn;
  readonly errors: Partial<Record<keyof NestedPot, string>>;
}

function reckon({ pot, stuff, piece }: MouldDraft): Reckoned {
  const shape = shapeOf(pot);
  try {
    const figures = reckonMould(shape, { stuff, piece });
    return { figures, drawn: { shape, thinnest: figures.thinnest }, errors: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const errors: Reckoned['errors'] = {};
    for (const { field, message, remedy } of error.issues) {
      const own = fieldOfPath[field];
      if (own) errors[own] ??= pot[own] === undefined ? 'This measurement is missing.' : `${message} ${remedy}`;
    }
    return { errors };
  }
}

/** The mould on its drawing, what follows from its measurements, and its copies. */
export function MouldEditor({
  id,
  first,
  cycles = [],
}: {
  id?: string;
  first: MouldDraft;
  cycles?: readonly CopyView[];
}) {
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [draft, setDraft] = useState(first);
  const [fill, setFill] = useState<number>();
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMould();
  const remove = useRemoveMould();
  const reckoned = useMemo(() => reckon(draft), [draft]);
  const { figures, errors } = reckoned;
  const [drawn, setDrawn] = useState(reckoned.drawn);
  if (reckoned.drawn && reckoned.drawn !== drawn) setDrawn(reckoned.drawn);
  const set = (part: Partial<MouldDraft>) => setDraft({ ...draft, ...part });

  const keep = (version = draft.version) => {
    if (!draft.name.trim()) return setUnnamed(true);
    save.mutate(
      { id: key, input: { ...inputOf(draft), version } },
      {
        onSuccess: (mould) => {
          setDraft((now) => ({ ...now, version: mould.version }));
          toast.success(`${mould.name} is kept.`);
          if (!id) void navigate(`/moulds/${key}`, { replace: true });
        },
      },
    );
  };
  const wrong = Object.values(errors);
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <section className="card-slab self-start p-2" aria-label="Section drawing">
        <div className="relative">
          {drawn && (
            <div className={figures ? '' : 'opacity-35'}>
              <SectionDrawing
                shape={drawn.shape}
                thinnest={drawn.thinnest}
                fill={fill ?? drawn.shape.outer.height}
                onFill={setFill}
              />
            </div>
          )}
          <DimensionFields pot={draft.pot} shape={drawn?.shape} errors={errors} onChange={(pot) => set({ pot })} />
        </div>
        {wrong.length > 0 && (
          <ul role="alert" className="border-error m-2 border-l-4 pl-3">
            {wrong.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        )}
        <p className="quiet px-2 pb-1 text-sm">
          Measure inside the mould and outside the core. Any unit: “6 cm”, “2 1/2 in”. Drag the fill line, or focus it
          and use the arrow keys.
        </p>
      </section>
      <div className="space-y-4">
        <section className="card-slab">
          <h1 className="sr-only">{draft.name || 'A new mould'}</h1>
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label="Name"
              value={draft.name}
              maxLength={80}
              error={unnamed && !draft.name.trim() ? 'Give it a name, such as “Tall herb pot”.' : undefined}
              onChange={(event) => set({ name: event.target.value })}
            />
            <SelectField<PieceKind>
              label="It makes a"
              value={draft.piece}
              options={(Object.keys(pieceGuides) as PieceKind[]).map((value) => ({
                value,
                label: pieceGuides[value].name,
              }))}
              onChange={(piece) => set({ piece })}
            />
          </div>
          <div className="mt-3 flex flex-wrap gap-x-6 gap-y-3">
            <Choice
              legend="Its wall"
              value={draft.stuff}
              options={[
                { value: 'rigid', label: 'Rigid' },
                { value: 'flexible', label: 'Flexible' },
              ]}
              onChange={(stuff) => set({ stuff })}
            />
            <Choice
              legend="Inside"
              value={draft.pot.cored ? 'core' : 'solid'}
              options={[
                { value: 'core', label: 'A core in it' },
                { value: 'solid', label: 'Solid' },
              ]}
              onChange={(inside) => set({ pot: { ...draft.pot, cored: inside === 'core' } })}
            />
          </div>
        </section>
        {figures && drawn && <MouldAnswers figures={figures} shape={drawn.shape} />}
        <Copies copies={draft.copies} cycles={cycles} onChange={(copies) => set({ copies })} />
        <StaleChoice error={save.error ?? remove.error} onKeepMine={keep} />
        <KeepBar
          what="mould"
          save={save}
          disabled={!figures}
          onKeep={() => keep()}
          onThrowAway={
            id
              ? {
                  question: `Throw ${draft.name} away? Casts made from it keep their record.`,
                  act: () => remove.mutate(id, { onSuccess: () => void navigate('/moulds') }),
                }
              : undefined
          }
        >
          {id && (
            <Link to={`/pours/new?mould=${id}`} className="btn btn-ghost bg-base-300/60 h-14">
              Plan a pour
            </Link>
          )}
        </KeepBar>
      </div>
    </div>
  );
}
