import { useState } from 'react';
import { pourCost, pourShopping, type Grade } from '@dewpot/core';
import type { PourInput, PourView } from '@dewpot/contract';
import { Printer } from 'lucide-react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useRemovePour, useSavePour, useStartPour } from '../api/work';
import { BigFigure } from '../ui/reckoning';
import { Failure } from '../ui/states';
import type { PlanSources, Reckoned } from './plan';
import { useReckonedPlan } from './use-reckoned-plan';
import { ColouringSlab } from './colouring-slab';
import { AgainSlab } from './again-slab';
import { BeforeSlab } from './before-slab';
import { FittingsSlab } from './fittings-slab';
import { Findings } from './findings';
import { HourSlab } from './hour-slab';
import { mixNames } from './mix-names';
import { MatchSlab } from './match-slab';
import { PourChoices } from './pour-choices';
import { PourItems } from './pour-items';
import { SheetView } from './sheet-view';
import { SheetButton } from './sheet-button';
import { Shopping } from './shopping';

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

/** Plans a pour: moulds and counts above, the sheet in the middle, always reckoned. */
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
  const reckoned = useReckonedPlan(input, sources);
  const change = (part: Partial<PourInput>) => setInput({ ...input, ...part });
  const keep = async () => {
    const kept = await save.mutateAsync({ id: key, input: tidy(input) });
    setInput((now) => ({ ...now, version: kept.version }));
  };
  const begin = async () => {
    await keep();
    await start.mutateAsync(key);
    await navigate(`/pours/${key}`, { replace: true });
  };
  const busy = save.isPending || start.isPending;
  return (
    <div className="mx-auto max-w-7xl space-y-4 p-4">
      {again && <AgainSlab pour={again} input={input} onChange={change} />}
      <PourItems input={input} sources={sources} parts={reckoned?.parts ?? []} onChange={change} />
      <div className="grid gap-4 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <PourChoices input={input} sources={sources} reckoned={reckoned} onChange={change} />
        <section className="card-slab" aria-label="Mixing sheet">
          <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
            <h1 className="text-3xl">
              {mixNames(reckoned?.parts ?? []) || 'A pour'}: the{' '}
              {(reckoned?.parts.length ?? 1) > 1 ? 'sheets' : 'sheet'}
            </h1>
            <span className="no-print flex flex-wrap gap-2">
              <button type="button" className="btn btn-ghost bg-base-300/60 h-12" onClick={() => window.print()}>
                <Printer size={18} aria-hidden="true" /> Print
              </button>
              {reckoned?.sheets && <SheetButton parts={reckoned.sheets} input={input} />}
            </span>
          </div>
          <Sheets reckoned={reckoned} onGrade={(grade) => change({ grade })} />
          {reckoned?.sheets?.[0] && (
            <MatchSlab {...{ input, sources }} reckoned={reckoned.sheets[0]} onChange={change} />
          )}
          <Failure error={save.error ?? start.error ?? remove.error} />
          <div className="action-bar no-print mt-4">
            <button
              type="button"
              className="btn btn-primary h-14 flex-1 text-lg"
              disabled={!reckoned?.sheets || busy}
              onClick={() => void begin().catch(() => undefined)}
            >
              {busy ? (save.failureCount > 0 ? 'Waiting for the connection…' : 'One moment…') : 'Start this pour'}
            </button>
            <button
              type="button"
              className="btn btn-ghost bg-base-300/60 h-14"
              disabled={!reckoned?.sheets || busy}
              onClick={() =>
                void keep().then(
                  () => navigate('/pours'),
                  () => undefined,
                )
              }
            >
              Keep for later
            </button>
            {id && (
              <button
                type="button"
                className="btn btn-ghost h-14"
                onClick={() => remove.mutate(id, { onSuccess: () => void navigate('/pours') })}
              >
                Drop the plan
              </button>
            )}
          </div>
        </section>
      </div>
      <ColouringSlab input={input} sources={sources} reckoned={reckoned} onChange={change} />
      <FittingsSlab input={input} sources={sources} onChange={change} />
      {reckoned?.sheets && reckoned.steps && (
        <HourSlab input={input} sheets={reckoned.sheets} steps={reckoned.steps} onChange={change} />
      )}
      {reckoned?.sheets && <BeforeSlab sheets={reckoned.sheets} sources={sources} input={input} />}
    </div>
  );
}

/** The sheets of a plan, mix by mix, or what is wrong with it. */
function Sheets({ reckoned, onGrade }: { reckoned: Reckoned | undefined; onGrade: (grade: Grade) => void }) {
  if (!reckoned) return <p className="quiet">Choose a mix.</p>;
  const { sheets, issues } = reckoned;
  if (!sheets && issues.length === 0)
    return (
      <p role="status" className="quiet">
        Reckoning the sheet…
      </p>
    );
  if (!sheets)
    return (
      <div role="alert" className="border-error border-l-4 pl-3">
        <ul>
          {issues.map(({ field, message, remedy }) => (
            <li key={field}>
              {message} <span className="quiet">{remedy}</span>
            </li>
          ))}
        </ul>
      </div>
    );
  return (
    <>
      <Shopping lines={pourShopping(sheets)} />
      {sheets.length > 1 && <WholeCost sheets={sheets} />}
      {sheets.map(({ mixId, mixName, sheet, placings }, i) => (
        <section key={mixId} className={i > 0 ? 'border-base-300 mt-6 border-t-4 pt-4' : ''} aria-label={mixName}>
          {sheets.length > 1 && <h2 className="mb-2 text-2xl">{mixName}</h2>}
          <Findings findings={reckoned.findings?.[i] ?? []} onGrade={onGrade} />
          <SheetView sheet={sheet} placings={placings} />
        </section>
      ))}
    </>
  );
}

/** What the materials of all mixes of a pour cost together. */
function WholeCost({ sheets }: { sheets: NonNullable<Reckoned['sheets']> }) {
  const cost = pourCost(sheets);
  if (!cost) return null;
  return (
    <div className="mb-3">
      <BigFigure label={`Materials of all ${sheets.length} mixes`} figure={cost} />
    </div>
  );
}
