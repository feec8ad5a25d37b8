import { WindowBand, windowInWords } from '../ui/window-band';
import type { Group } from './reading';

const SOON = 36 * 3_600_000;

/** What to do in one walk: by place, in the order of the windows. */
export function Round({ groups, now, onDo }: { groups: readonly Group[]; now: number; onDo: (group: Group) => void }) {
  const lines = groups
    .filter(({ window }) => window && window.early < now + SOON)
    .sort((a, b) => Number(b.due) - Number(a.due) || a.window!.late - b.window!.late);
  const places = [...new Set(lines.map(({ casts }) => casts[0]!.snapshot.place ?? 'anywhere'))];
  if (lines.length === 0) return <p className="quiet py-4">Nothing wants doing in the next day and a half.</p>;
  return (
    <div className="space-y-4">
      {places.map((place) => (
        <section key={place} aria-label={`At ${place}`}>
          <h3 className="quiet mb-1 font-sans text-sm font-semibold">At {place}</h3>
          <ul className="divide-base-300 divide-y">
            {lines
              .filter(({ casts }) => (casts[0]!.snapshot.place ?? 'anywhere') === place)
              .map((group) => (
                <RoundLine key={group.key} group={group} now={now} onDo={onDo} />
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function RoundLine({ group, now, onDo }: { group: Group; now: number; onDo: (group: Group) => void }) {
  const { casts, window, due } = group;
  const first = casts[0]!;
  const name = `${first.snapshot.mouldName}${casts.length > 1 ? ` × ${casts.length}` : ''}`;
  const codes = casts.map(({ code }) => code).join(' ');
  return (
    <li className="grid grid-cols-[7rem_1fr] items-center gap-x-3 gap-y-1 py-2">
      <button
        type="button"
        className={`btn h-12 min-h-12 w-full px-2 ${due ? 'btn-primary' : 'btn-ghost bg-base-300/60'}`}
        onClick={() => onDo(group)}
        aria-label={`${window!.stroke}: ${name} ${codes}`}
      >
        {window!.stroke}
      </button>
      <div className="min-w-0">
        <p className="flex items-baseline justify-between gap-2">
          <span className="truncate font-semibold" title={name}>
            {name}
          </span>
          <span className="quiet shrink-0 text-sm">
            {casts.length > 2 ? `${first.code}–${casts[casts.length - 1]!.code}` : codes}
          </span>
        </p>
        <WindowBand window={window!} now={now} />
        <p className={`mt-0.5 text-sm ${due ? '' : 'quiet'}`}>{windowInWords(window!, now)}</p>
      </div>
    </li>
  );
}
