import { useState } from 'react';
import type { PourInput, PourView } from '@dewpot/contract';
import { Printer } from 'lucide-react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemovePour, useSavePour, useStartPour } from '../api/pours';
import { Button } from '../ui/button';
import { Failure } from '../ui/states';
import type { CalculatedPlan, PlanSources } from './plan';
import { useCalculatedPlan } from './use-calculated-plan';
import { ColouringSlab } from './colouring-slab';
import { AgainSlab } from './repeat-pour-slab';
import { BeforeSlab } from './preparation-slab';
import { FittingsSlab } from './fittings-slab';
import { HourSlab } from './timeline-slab';
import { mixNames } from './mix-names';
import { MatchSlab } from './match-slab';
import { PourChoices } from './pour-choices';
import { PourItems } from './pour-items';
import { SheetButton } from './sheet-button';
import { Sheets } from './sheets';
import { withChange, type Change } from '../ui/change';

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

function SheetHead({ input, calculated }: { input: PourInput; calculated: CalculatedPlan | undefined }) {
  const parts = calculated?.parts ?? [];
  return (
    <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
      <h1 className="text-3xl">
        {mixNames(parts) || 'A pour'}: the {parts.length > 1 ? 'sheets' : 'sheet'}
      </h1>
      <span className="no-print flex flex-wrap gap-2">
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
        {calculated?.sheets && <SheetButton parts={calculated.sheets} input={input} />}
      </span>
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
  busy: 'waiting' | 'saving' | undefined;
  disabled: boolean;
  onStart: () => void;
  onKeep: () => void;
  onDrop: (() => void) | undefined;
}) {
  const words = { waiting: 'Waiting for the connection…', saving: 'One moment…' };
  return (
    <div className="action-bar no-print mt-4">
      <Button look="main" size="tall" className="flex-1 text-lg" disabled={disabled} onClick={onStart}>
        {busy ? words[busy] : 'Start this pour'}
      </Button>
      <Button size="tall" disabled={disabled} onClick={onKeep}>
        Save for later
      </Button>
      {onDrop && (
        <Button look="plain" size="tall" onClick={onDrop}>
          Discard the plan
        </Button>
      )}
    </div>
  );
}

/** Plans a pour: moulds and counts above, the sheet in the middle, always calculated. */
export function PourPlanner({
  id,
  first,
  sources,
  again,
}: {
  id?: string;
  first: PourInput;
  sources: PlanSources;
  /** The earlier pour that it is made after. */
  again?: PourView;
}) {
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [input, setInput] = useState(first);
  const save = useSavePour();
  const start = useStartPour();
  const remove = useRemovePour();
  const calculated = useCalculatedPlan(input, sources);
  const change = (part: Change<PourInput>) => setInput(withChange(input, part));
  const keep = async () => {
    const kept = await save.mutateAsync({ id: key, input: tidy(input) });
    setInput((now) => ({ ...now, version: kept.version }));
  };
  const begin = async () => {
    await keep();
    await start.mutateAsync(key);
    await navigate(`/pours/${key}`, { replace: true });
  };
  const leave = () => void navigate('/pours');
  const busy = save.isPending || start.isPending;
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      {again && <AgainSlab pour={again} input={input} onChange={change} />}
      <PourItems input={input} sources={sources} parts={calculated?.parts ?? []} onChange={change} />
      <div className="grid gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <PourChoices input={input} sources={sources} calculated={calculated} onChange={change} />
        <section className="card-slab" aria-label="Mixing sheet">
          <SheetHead input={input} calculated={calculated} />
          <Sheets {...{ input, sources, calculated }} onChange={change} />
          {calculated?.sheets?.[0] && (
            <MatchSlab {...{ input, sources }} calculated={calculated.sheets[0]} onChange={change} />
          )}
          <Failure error={save.error ?? start.error ?? remove.error} />
          <PlanActions
            busy={busy ? (save.failureCount > 0 ? 'waiting' : 'saving') : undefined}
            disabled={!calculated?.sheets || busy}
            onStart={() => void begin().catch(() => undefined)}
            onKeep={() => void keep().then(leave, () => undefined)}
            onDrop={id === undefined ? undefined : () => remove.mutate(id, { onSuccess: leave })}
          />
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
