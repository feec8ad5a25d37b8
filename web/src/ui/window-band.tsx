import { type Phrase, msg, type Message } from '@dewpot/core/units';
import { phaseOf, taskWords, type Window } from '@dewpot/core/casts';
import { exactTime, whenOf } from './format-time';
import { useSay } from './say';

type Span = Omit<Window, 'task'>;

const hatch = (colour: string) => `repeating-linear-gradient(135deg, ${colour} 0 3px, transparent 3px 6px)`;

/** What a window says at a time, in words. */
export function windowInWords(window: Span, now: number): Message {
  switch (phaseOf(window, now)) {
    case 'before':
      return msg('today.windowFrom', { good: whenOf(window.good, now) });
    case 'early':
      return msg('today.windowEarly', { good: whenOf(window.good, now) });
    case 'good':
      return msg('today.windowGood', { late: whenOf(window.late, now) });
    case 'late':
      return msg('today.windowLate', { late: whenOf(window.late, now) });
  }
}

/** Early, good, late along a time axis, with now. */
export function WindowBand({
  window,
  now,
  what = window.task && taskWords[window.task],
  large = false,
}: {
  window: Span & Partial<Pick<Window, 'task'>>;
  now: number;
  /** What the window is for, in words. */
  what?: Phrase | undefined;
  large?: boolean;
}) {
  const say = useSay();
  const { early, good, late } = window;
  // A month of "good" would squeeze the rest to nothing: the axis shows three days of it at most.
  const shownLate = Math.min(late, Math.max(good + 3 * 86_400_000, now + 86_400_000));
  const pad = Math.max(3_600_000, (shownLate - early) * 0.12);
  const from = Math.min(early - pad, Math.max(now - pad, early - 6 * pad));
  const to = Math.max(shownLate + pad, Math.min(now + pad, shownLate + 6 * pad));
  const at = (time: number) => `${Math.min(100, Math.max(0, ((time - from) / (to - from)) * 100))}%`;
  const part = (start: number, end: number, background: string) => (
    <span className="absolute inset-y-0" style={{ left: at(start), right: `calc(100% - ${at(end)})`, background }} />
  );
  return (
    <div
      role="img"
      aria-label={`${what ? say.value(what) : ''}: ${say(windowInWords(window, now))}`}
      title={say('today.windowSpan', { good: exactTime(good), late: exactTime(late) })}
    >
      {/* The head of the mark stands above the band, and over no word. */}
      <div className={`bg-base-300/50 relative mt-1.5 ${large ? 'h-5' : 'h-2.5'}`}>
        {part(early, good, hatch('var(--early)'))}
        {part(good, shownLate, 'var(--good)')}
        {part(late, to, hatch('var(--late)'))}
        <span className="bg-base-content absolute -top-1 -bottom-1 w-0.5" style={{ left: at(now) }} />
        <span
          className="border-t-base-content absolute -top-1.5 -ml-1 border-4 border-transparent"
          style={{ left: at(now) }}
        />
      </div>
      {large && (
        <div className="quiet relative mt-1 h-5 text-xs">
          {(good - early) / (to - from) > 0.12 && (
            <span className="absolute" style={{ left: at(early) }}>
              {say('today.early')}
            </span>
          )}
          <span className="absolute" style={{ left: at(good) }}>
            {say('today.goodAt', { good: whenOf(good, now) })}
          </span>
        </div>
      )}
    </div>
  );
}
