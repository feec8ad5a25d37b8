import { useMemo, useState } from 'react';
import { consistencies, plannedLog, reckonSheet, WORKABLE_SHARE, type Grade, type PourLog } from '@dewpot/core';
import type { PourView } from '@dewpot/contract';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { v7 as uuid } from 'uuid';
import { useFinishPour, useRemovePour } from '../api/work';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { WhenField } from '../ui/when-field';
import { WindowBand } from '../ui/window-band';
import { SheetView } from './sheet-view';
import { SpreadTest } from './spread-test';
import { TooWetHelp } from './too-wet-help';

const MINUTE = 60_000;

/** At the bench: the pot life along the top, the sheet to tap off, and what was really used. */
export function BenchLog({ pour }: { pour: PourView }) {
  const { plan } = pour;
  const navigate = useNavigate();
  const units = useUnits();
  const now = useNow();
  const sheet = useMemo(() => reckonSheet(plan), [plan]);
  const [log, setLog] = useState<PourLog>(() => plannedLog(plan, sheet));
  // Keys are made once, so that finishing twice makes the same casts.
  const [casts] = useState(() =>
    plan.items.flatMap(({ count }, item) => Array.from({ length: count }, () => ({ id: uuid(), item }))),
  );
  const [pouredAt, setPouredAt] = useState<number>();
  const finish = useFinishPour();
  const drop = useRemovePour();
  const started = pour.startedAt ?? now;
  const life = sheet.potLife.value * MINUTE;
  const set = (part: Partial<PourLog>) => setLog({ ...log, ...part });
  const done = () =>
    finish.mutate(
      { id: pour.id, input: { log: { ...log, used: { ...log.used } }, casts, pouredAt: pouredAt ?? Date.now() } },
      {
        onSuccess: () => {
          toast.success(`${casts.length} casts stand on the shelf.`);
          void navigate('/');
        },
      },
    );
  return (
    <div className="mx-auto max-w-3xl space-y-4 p-4">
      <section className="bg-base-200 sticky top-0 z-[5] py-2" aria-label="Pot life">
        <div className="mb-1.5 flex flex-wrap items-baseline justify-between gap-x-4 text-sm">
          <h1 className="font-sans text-sm font-bold">
            Pour {pour.number}: {pour.mixName}
          </h1>
          <span>workable for {Math.round(sheet.potLife.value)} min from mixing</span>
        </div>
        <WindowBand
          large
          now={now}
          what="Pot life"
          window={{ early: started, good: started + MINUTE, late: started + life * WORKABLE_SHARE }}
        />
      </section>
      <section className="card-slab" aria-label="Mixing sheet">
        <SheetView sheet={sheet} scoop={plan.scoop.name} tappable />
      </section>
      <TooWetHelp plan={plan} sheet={sheet} />
      <section className="card-slab space-y-4" aria-label="What was really used">
        <h2 className="text-2xl">What really went in</h2>
        <p className="quiet">As planned, unless you change it. It teaches the mix its own water and yield.</p>
        <div className="grid gap-3 sm:grid-cols-2">
          {[...sheet.batch.lines, ...sheet.batch.doses].map(({ materialId, name }) => (
            <QuantityField
              key={materialId}
              label={name}
              name={`used.${materialId}`}
              dimension="mass"
              system={units.system}
              value={log.used[materialId]}
              onChange={(mass) => set({ used: { ...log.used, [materialId]: mass ?? 0 } })}
            />
          ))}
          <QuantityField
            label="Water from the tap"
            name="tap"
            dimension="volume"
            system={units.system}
            value={log.tap}
            onChange={(tap) => set({ tap: tap ?? 0 })}
          />
          <QuantityField
            label="It was this warm"
            name="temperature"
            dimension="temperature"
            system={units.system}
            value={log.temperature}
            onChange={(temperature) => temperature !== undefined && set({ temperature })}
          />
          <QuantityField
            label="Left over (empty if you did not look)"
            name="leftover"
            dimension="volume"
            system={units.system}
            value={log.leftover}
            onChange={(leftover) => {
              const { leftover: _, ...rest } = log;
              setLog(leftover === undefined ? rest : { ...rest, leftover });
            }}
          />
          <QuantityField
            label="Missing to fill them (if it fell short)"
            name="short"
            dimension="volume"
            system={units.system}
            value={log.short}
            onChange={(short) => {
              const { short: _, ...rest } = log;
              setLog(short === undefined ? rest : { ...rest, short, leftover: 0 });
            }}
          />
        </div>
        <Choice<Grade>
          legend="It came out like"
          value={log.grade}
          options={consistencies.map(({ grade, name }) => ({ value: grade, label: name }))}
          onChange={(grade) => set({ grade })}
        />
        <SpreadTest onGrade={(grade) => set({ grade })} />
        <WhenField value={pouredAt} onChange={setPouredAt} />
        <Failure error={finish.error ?? drop.error} />
        <button
          type="button"
          className="btn btn-primary h-16 w-full text-lg"
          disabled={finish.isPending}
          onClick={done}
        >
          {finish.isPending
            ? finish.failureCount > 0
              ? 'Waiting for the connection…'
              : 'One moment…'
            : `Poured: ${casts.length} casts to the shelf`}
        </button>
        <button
          type="button"
          className="btn btn-ghost h-12 w-full"
          disabled={finish.isPending || drop.isPending}
          onClick={() =>
            window.confirm('Nothing was poured? The plan is dropped with it.') &&
            drop.mutate(pour.id, { onSuccess: () => void navigate('/pours') })
          }
        >
          Nothing was poured after all
        </button>
      </section>
    </div>
  );
}
