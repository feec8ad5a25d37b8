import { countdown, type BenchTimer } from './timers';
import { useSay } from '../ui/say';

/** Timers side by side, each by name; a face that waits is opened by its tag. */
export function TimersStrip({
  timers,
  now,
  opened,
  onOpen,
}: {
  timers: readonly BenchTimer[];
  now: number;
  opened: string | undefined;
  onOpen: (key: string | undefined) => void;
}) {
  const say = useSay();
  const shown = timers.filter(({ kind }) => kind !== 'pot-life');
  if (shown.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2" aria-label={say('bench.timers')}>
      {shown.map(({ key, name, from, until, kind }) => {
        const early = from !== undefined && now < from;
        const late = now > until;
        const told = early
          ? say('bench.inTime', { from: countdown(from - now) })
          : late
            ? say(kind === 'wait' ? 'bench.longEnough' : 'bench.lateBy', { time: countdown(now - until) })
            : kind === 'wait'
              ? countdown(until - now)
              : say('bench.nowLeft', { time: countdown(until - now) });
        const look = late && kind !== 'wait' ? 'border-error text-error' : early ? 'border-base-300' : 'border-success';
        const text = (
          <>
            <span className="block text-sm font-semibold">{say.value(name)}</span>
            <span className="numeral block text-lg leading-tight">{told}</span>
          </>
        );
        return (
          <li key={key}>
            {kind === 'face' ? (
              <button
                type="button"
                className={`bg-base-100 chamfer min-h-14 border-l-4 px-3 py-1.5 text-left ${look}`}
                aria-pressed={opened === key}
                onClick={() => onOpen(opened === key ? undefined : key)}
              >
                {text}
              </button>
            ) : (
              <div className={`bg-base-100 min-h-14 border-l-4 px-3 py-1.5 ${look}`}>{text}</div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
