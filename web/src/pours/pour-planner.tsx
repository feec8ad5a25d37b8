import { useState } from 'react';
import type { PourInput, PourView } from '@dewpot/contract';
import { Printer, SlidersHorizontal } from 'lucide-react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemovePour, useSavePour, useStartPour } from '../api/pours';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { useWide } from '../ui/use-wide';
import { Failure } from '../ui/states';
import { TrialCopies } from '../ui/trial-copies';
import type { PlanSources } from './plan';
import { useCalculatedPlan } from './use-calculated-plan';
import { ColouringSlab } from './colouring-slab';
import { AgainSlab } from './repeat-pour-slab';
import { BeforeSlab } from './preparation-slab';
import { FittingsSlab } from './fittings-slab';
import { HourSlab } from './timeline-slab';
import { mixNames } from './mix-names';
import { MatchSlab } from './match-slab';
import { PourChoices, type MeasuringProps } from './pour-choices';
import { PourItems } from './pour-items';
import { SheetButton } from './sheet-button';
import { Sheets } from './sheets';
import { withChange, type Change } from '../ui/change';
import { useSay } from '../ui/say';

/** Empty words are left out of what is sent. */
function tidy({ release, cover, place, matches, ...rest }: PourInput): PourInput {
  return {
    ...rest,
    ...(release && { release }),
    ...(matches && { matches }),
    ...(cover && { cover }),
    ...(place?.trim() && { place: place.trim() }),
  };
}

/** What the sheet is for, in a line: the pieces with their counts, of which mix. */
function SheetHead({ input, sources, calculated }: Pick<MeasuringProps, 'input' | 'sources' | 'calculated'>) {
  const say = useSay();
  const pieces = input.items.flatMap(({ mouldId, count }) =>
    sources.moulds.filter(({ id }) => id === mouldId).map(({ name }) => say('pours.itemCount', { count, name })),
  );
  return (
    <div className="min-w-60 flex-1">
      <h1 className="text-2xl break-words">{pieces.join(', ') || say('pours.aPour')}</h1>
      <p className="quiet">{say.value(mixNames(calculated?.parts ?? []))}</p>
    </div>
  );
}

/** The sheet on paper. */
function OnPaper({ input, calculated }: Pick<MeasuringProps, 'input' | 'calculated'>) {
  const say = useSay();
  return (
    <div className="no-print border-base-300 mt-3 flex flex-wrap gap-2 border-t pt-3">
      <Button onClick={() => window.print()}>
        <Printer size={18} aria-hidden="true" /> {say('mixes.print')}
      </Button>
      {calculated?.sheets && <SheetButton parts={calculated.sheets} input={input} />}
    </div>
  );
}

/** Pieces and choices: beside the sheet where there is room, else over it. */
function Choices(props: MeasuringProps) {
  const say = useSay();
  const wide = useWide();
  const [open, setOpen] = useState(false);
  const choices = (
    <div className="space-y-4">
      <PourItems {...props} parts={props.calculated?.parts ?? []} />
      <PourChoices {...props} />
    </div>
  );
  if (wide)
    return (
      <section className="card-slab no-print" aria-label={say('pours.piecesChoices')}>
        {choices}
      </section>
    );
  return (
    <div className="no-print">
      <Button className="w-full" onClick={() => setOpen(true)}>
        <SlidersHorizontal size={18} aria-hidden="true" /> {say('pours.piecesChoices')}
      </Button>
      {open && (
        <Dialog title={say('pours.piecesChoices')} onClose={() => setOpen(false)}>
          {choices}
        </Dialog>
      )}
    </div>
  );
}

/** What is done with a plan: started, kept, or dropped where it was kept before. */
function PlanActions({
  busy,
  disabled,
  onStart,
  onKeep,
  onDrop,
}: {
  busy: string | undefined;
  disabled: boolean;
  onStart: () => void;
  onKeep: () => void;
  onDrop: (() => void) | undefined;
}) {
  const say = useSay();
  return (
    <div className="no-print flex flex-wrap gap-2">
      <Button
        needs="caster"
        look="main"
        size="tall"
        className="flex-1 px-6 text-lg"
        disabled={disabled}
        onClick={onStart}
      >
        {busy ?? say('pours.startPour')}
      </Button>
      <Button needs="caster" size="tall" disabled={disabled} onClick={onKeep}>
        {say('pours.saveForLater')}
      </Button>
      {onDrop && (
        <Button needs="caster" look="plain" size="tall" onClick={onDrop}>
          {say('pours.discardPlan')}
        </Button>
      )}
    </div>
  );
}

/** Plans a pour: pieces and choices beside the sheet, which is always calculated. */
export function PourPlanner({
  id,
  first,
  sources,
  kept,
  again,
}: {
  id?: string;
  first: PourInput;
  sources: PlanSources;
  /** As it was saved before. */
  kept?: PourView;
  /** The earlier pour that it is made after. */
  again?: PourView;
}) {
  const say = useSay();
  const navigate = useNavigate();
  const wide = useWide();
  const [key] = useState(() => id ?? uuid());
  const [input, setInput] = useState(first);
  const save = useSavePour();
  const start = useStartPour();
  const remove = useRemovePour();
  const calculated = useCalculatedPlan(input, sources);
  const change = (part: Change<PourInput>) => setInput(withChange(input, part));
  const keep = async () => {
    const saved = await save.mutateAsync({ id: key, input: tidy(input) });
    setInput((now) => ({ ...now, version: saved.version }));
  };
  const begin = async () => {
    await keep();
    await start.mutateAsync(key);
    await navigate(`/pours/${key}`, { replace: true });
  };
  const leave = () => void navigate('/pours');
  const busy = save.isPending || start.isPending;
  const actions = (
    <PlanActions
      busy={busy ? (save.failureCount > 0 ? say('ui.waitingConnection') : say('paper.oneMoment')) : undefined}
      disabled={!calculated?.sheets || busy}
      onStart={() => void begin().catch(() => undefined)}
      onKeep={() => void keep().then(leave, () => undefined)}
      onDrop={id === undefined ? undefined : () => remove.mutate(id, { onSuccess: leave })}
    />
  );
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      {again && <AgainSlab pour={again} input={input} onChange={change} />}
      <div className="grid gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <Choices {...{ input, sources, calculated }} onChange={change} />
        <section className="card-slab" aria-label={say('pours.mixingSheet')}>
          <div className="mb-2 flex flex-wrap items-start gap-3">
            <SheetHead {...{ input, sources, calculated }} />
            {wide && actions}
          </div>
          <Failure error={save.error ?? start.error ?? remove.error} />
          {kept && <TrialCopies pour={kept} />}
          <Sheets {...{ input, sources, calculated }} onChange={change} />
          {calculated?.sheets?.[0] && (
            <MatchSlab {...{ input, sources }} calculated={calculated.sheets[0]} onChange={change} />
          )}
          {!wide && actions}
          <OnPaper {...{ input, calculated }} />
        </section>
      </div>
      <ColouringSlab input={input} sources={sources} calculated={calculated} onChange={change} />
      <FittingsSlab input={input} sources={sources} parts={calculated?.parts ?? []} onChange={change} />
      {calculated?.sheets && calculated.steps && (
        <HourSlab input={input} sheets={calculated.sheets} steps={calculated.steps} onChange={change} />
      )}
      {calculated?.sheets && <BeforeSlab sheets={calculated.sheets} sources={sources} input={input} />}
    </div>
  );
}
