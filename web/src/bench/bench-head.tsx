import type { Run, Timeline } from '@dewpot/core/bench';
import type { PourView } from '@dewpot/contract';
import { Volume2, VolumeX, X } from 'lucide-react';
import { Link } from 'react-router';
import { countdown } from './timers';
import { Button, buttonClass } from '../ui/button';
import { useSay } from '../ui/say';

/** The pot life of the bucket that is being placed: good, then hatched, with now running through it. */
function LifeBand({ from, good, to, now }: { from: number; good: number; to: number; now: number }) {
  const end = Math.max(to, now);
  const at = (time: number) => `${Math.min(100, Math.max(0, ((time - from) / (end - from)) * 100))}%`;
  const hatch = 'repeating-linear-gradient(135deg, var(--late) 0 4px, transparent 4px 9px)';
  return (
    <div className="bg-base-300/50 relative h-4" aria-hidden="true">
      <span className="absolute inset-y-0 left-0" style={{ width: at(good), background: 'var(--good)' }} />
      <span className="absolute inset-y-0" style={{ left: at(good), right: 0, background: hatch }} />
      <span className="bg-base-content absolute -inset-y-1 w-1" style={{ left: `min(${at(now)}, calc(100% - 4px))` }} />
    </div>
  );
}

/** Along the top, always: the pot life, what waits to be sent, the voice, the way out. */
export function BenchHead({
  pour,
  timeline,
  run,
  now,
  label,
  aloud,
  onAloud,
  waiting,
}: {
  pour: PourView;
  timeline: Timeline;
  run: Run;
  now: number;
  label: (part: number, bucket: number) => string;
  aloud: boolean;
  onAloud: (aloud: boolean) => void;
  waiting: number;
}) {
  const say = useSay();
  const life = timeline.potLives.find(({ part, bucket }) => {
    const own = timeline.steps.filter(({ step }) => step.part === part && step.bucket === bucket);
    const begun = own.some(({ step, state }) => step.kind === 'mix' && state !== 'ahead');
    return begun && own.some(({ step }) => ['fill', 'press'].includes(step.kind) && !run.times.get(step.key)?.end);
  });
  return (
    <header className="bg-base-100 border-base-300 border-b px-3 py-2">
      <div className="mx-auto flex max-w-3xl items-center gap-2">
        <section className="min-w-0 flex-1" aria-label={say('pours.potLife')}>
          {life ? (
            <>
              <p className="mb-1.5 flex justify-between gap-2 text-sm">
                <span className="truncate font-semibold">{label(life.part, life.bucket)}</span>
                <span className={`shrink-0 ${now > life.good ? 'text-error font-bold' : ''}`}>
                  {now > life.to
                    ? say('bench.stiffByNow')
                    : now > life.good
                      ? say('bench.stiffensIn', { to: countdown(life.to - now) })
                      : say('bench.toPlaceIt', { good: countdown(life.good - now) })}
                </span>
              </p>
              <LifeBand from={life.from} good={life.good} to={life.to} now={now} />
            </>
          ) : (
            <p className="text-sm">
              <span className="font-semibold">{say('shell.pourNumber', { name: `${pour.number}` })}</span>{' '}
              <span className="quiet">{say('bench.nothingMixed')}</span>
            </p>
          )}
        </section>
        {waiting > 0 && (
          <span role="status" className="bg-accent text-accent-content px-2 py-1 text-xs font-bold">
            {say('bench.unsent', { waiting })}
          </span>
        )}
        <Button
          look="plain"
          size="tall"
          className="w-14 p-0"
          aria-pressed={aloud}
          aria-label={aloud ? say('bench.beQuiet') : say('bench.readAloud')}
          onClick={() => onAloud(!aloud)}
        >
          {aloud ? <Volume2 size={24} aria-hidden="true" /> : <VolumeX size={24} aria-hidden="true" />}
        </Button>
        <Link
          to={`/pours/${pour.id}`}
          className={buttonClass({ look: 'plain', size: 'tall', className: 'w-14 p-0' })}
          aria-label={say('bench.wholeSheet')}
        >
          <X size={26} aria-hidden="true" />
        </Link>
      </div>
    </header>
  );
}
