import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { MINUTE, quantity } from '@dewpot/core/units';
import { castItems, logsOf, runOf, type Run } from '@dewpot/core/bench';
import { benchOf } from '@dewpot/core/planning';
import { WORKABLE_SHARE, type PourLog } from '@dewpot/core/pours';
import type { PourView } from '@dewpot/contract';
import { Footprints } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { v7 as uuid } from 'uuid';
import { useRun } from '../api/run';
import { useFinishPour, useRemovePour } from '../api/pours';
import { Busy, Failure } from '../ui/states';
import { TrialCopies } from '../ui/trial-copies';
import { useNow } from '../ui/use-now';
import { WhenField } from '../ui/when-field';
import { WindowBand } from '../ui/window-band';
import { mixNames } from './mix-names';
import { SheetButton } from './sheet-button';
import { SheetView } from './sheet-view';
import { TooWetHelp } from './too-wet-help';
import { WentInFields } from './went-in-fields';
import { useSay } from '../ui/say';

/** A pour at the bench on one page: step by step it stands beside. */
export function BenchLog({ pour }: { pour: PourView }) {
  const say = useSay();
  const { run, error } = useRun(pour.id);
  // Where the run cannot be read, the plan is logged.
  if (!run && !error) return <Busy what={say('pours.busyBench')} />;
  return <Log pour={pour} run={run ?? runOf([])} />;
}

/** The pot life along the top, the sheets to tap off, and what was really used: as the run told, else as planned. */
function Log({ pour, run }: { pour: PourView; run: Run }) {
  const say = useSay();
  const navigate = useNavigate();
  const now = useNow();
  const { parts } = useMemo(() => benchOf(pour), [pour]);
  const [logs, setLogs] = useState<readonly PourLog[]>(() => logsOf(parts, run));
  // Keys are made once, so that finishing twice makes the same casts.
  const [casts] = useState(() => castItems(parts, run).map((made) => ({ id: uuid(), ...made })));
  const [pouredAt, setPouredAt] = useState<number>();
  const finish = useFinishPour();
  const drop = useRemovePour();
  const life = Math.min(...parts.map(({ sheet }) => sheet.potLife.value));
  const done = async () => {
    const input = {
      logs: logs.map((log) => ({ ...log, used: { ...log.used } })),
      casts,
      pouredAt: pouredAt ?? Date.now(),
    };
    // This view may be gone by then, where the list of pours was read again meanwhile: what waits for the answer still comes.
    await finish.mutateAsync({ id: pour.id, input });
    toast.success(say('pours.castsStand', { casts: casts.length }));
    await navigate('/');
  };
  return (
    <div className="mx-auto max-w-3xl space-y-4 p-4">
      <PotLife pour={pour} now={now} life={life} />
      <Link to="bench" className={buttonClass({ look: 'second', size: 'bench', className: 'w-full text-lg' })}>
        <Footprints size={22} aria-hidden="true" /> {say('pours.stepByStep')}
      </Link>
      <SheetButton parts={parts} input={pour.input} kept={pour} />
      <TrialCopies pour={pour} />
      {parts.map(({ mixId, mixName, plan, sheet, placings }) => (
        <section key={mixId} className="card-slab" aria-label={say('pours.mixingSheetOf', { mixName })}>
          {parts.length > 1 && <h2 className="mb-2 text-2xl">{mixName}</h2>}
          <SheetView sheet={sheet} placings={placings} tappable />
          <TooWetHelp plan={plan} sheet={sheet} />
        </section>
      ))}
      <section className="card-slab space-y-4" aria-label={say('pours.whatReallyUsed')}>
        <h2 className="text-2xl">{say('pours.whatWentIn')}</h2>
        <p className="quiet">{say('pours.asPlannedUnless')}</p>
        <WentIn parts={parts} logs={logs} onChange={setLogs} />
        <WhenField value={pouredAt} onChange={setPouredAt} />
        <Failure error={finish.error ?? drop.error} />
        <Button
          needs="helper"
          look="main"
          size="bench"
          className="w-full text-lg"
          disabled={finish.isPending}
          onClick={() => void done().catch(() => undefined)}
        >
          {finish.isPending
            ? finish.failureCount > 0
              ? say('ui.waitingConnection')
              : say('paper.oneMoment')
            : say('pours.pouredToShelf', { casts: casts.length })}
        </Button>
        <Button
          needs="caster"
          look="plain"
          className="w-full"
          disabled={finish.isPending || drop.isPending}
          onClick={() =>
            window.confirm(say('pours.nothingAfterAllAsk')) &&
            drop.mutate(pour.id, { onSuccess: () => void navigate('/pours') })
          }
        >
          {say('pours.nothingAfterAll')}
        </Button>
      </section>
    </div>
  );
}

/** How long the mix can still be worked. `life` in minutes. */
function PotLife({ pour, now, life }: { pour: PourView; now: number; life: number }) {
  const say = useSay();
  const started = pour.startedAt ?? now;
  return (
    <section className="bg-base-200 sticky top-0 z-[5] py-2" aria-label={say('pours.potLife')}>
      <div className="mb-1.5 flex flex-wrap items-baseline justify-between gap-x-4 text-sm">
        <h1 className="font-sans text-sm font-bold">
          {say('pours.pourTitle', { number: pour.number, parts: mixNames(pour.parts) })}
        </h1>
        <span>{say('pours.potLifeFrom', { life: quantity(Math.round(life), 'min', 0) })}</span>
      </div>
      <WindowBand
        large
        now={now}
        what={say('pours.potLife')}
        window={{ early: started, good: started + MINUTE, late: started + life * MINUTE * WORKABLE_SHARE }}
      />
    </section>
  );
}

/** What really went into each mix. */
function WentIn({
  parts,
  logs,
  onChange,
}: {
  parts: ReturnType<typeof benchOf>['parts'];
  logs: readonly PourLog[];
  onChange: (logs: readonly PourLog[]) => void;
}) {
  return (
    <>
      {parts.map(({ mixId, mixName, sheet }, i) => (
        <div key={mixId} className="space-y-4">
          {parts.length > 1 && <h3 className="text-xl">{mixName}</h3>}
          <WentInFields
            sheet={sheet}
            log={defined(logs[i])}
            onChange={(log) => onChange(logs.map((one, n) => (n === i ? log : one)))}
          />
        </div>
      ))}
    </>
  );
}
