import type { WeekStart } from '@dewpot/contract';
import { DAY, msg } from '@dewpot/core/units';
import { useSession } from '../api/session';
import { useSay } from '../ui/say';
import type { RailScale } from './rail-layout';

const firstDays: Readonly<Record<WeekStart, number>> = { sunday: 0, monday: 1, saturday: 6 };

/** Whether a week begins with a day, as the workshop counts weeks. */
function useWeekBegins(): (at: number) => boolean {
  const first = firstDays[useSession().workshop.weekStart ?? 'monday'];
  return (at) => new Date(at).getDay() === first;
}

const isWeekend = (at: number) => [0, 6].includes(new Date(at).getDay());

/** Weekends, weeks and today behind a row of the rail. */
export function DayLines({ scale, now, height }: { scale: RailScale; now: number; height: number }) {
  const weekBegins = useWeekBegins();
  return (
    <>
      {scale.days.map((at) => (
        <g key={at}>
          {isWeekend(at) && (
            <rect x={scale.x(at)} width={scale.day} height={height} fill="var(--color-base-300)" opacity={0.32} />
          )}
          {weekBegins(at) && (
            <line x1={scale.x(at)} x2={scale.x(at)} y2={height} stroke="var(--color-base-300)" strokeWidth={1} />
          )}
        </g>
      ))}
      <line x1={scale.x(now)} x2={scale.x(now)} y2={height} stroke="currentColor" strokeWidth={1.5} opacity={0.7} />
    </>
  );
}

const HEIGHT = 40;

/** The weeks and days along the top. */
export function RailDays({ scale, now }: { scale: RailScale; now: number }) {
  const say = useSay();
  const weekBegins = useWeekBegins();
  const weeks = scale.days.filter((at, i) => weekBegins(at) || i === 0);
  return (
    <svg width={scale.width} height={HEIGHT} className="block" aria-hidden="true">
      <DayLines scale={scale} now={now} height={HEIGHT} />
      {weeks.map((at, i) => {
        const room = (((weeks[i + 1] ?? at + 7 * DAY) - at) / DAY) * scale.day;
        return (
          room > 52 && (
            <text key={at} x={scale.x(at) + 5} y={15} fontSize={12} fontWeight={600} fill="currentColor">
              {say(msg('units.plain', { value: { at: at + DAY / 2, as: 'date' } }))}
            </text>
          )
        );
      })}
      {scale.day >= 15 &&
        scale.days.map((at) => (
          <text
            key={at}
            x={scale.x(at) + scale.day / 2}
            y={33}
            fontSize={11}
            textAnchor="middle"
            fill="currentColor"
            opacity={isWeekend(at) ? 0.65 : 0.85}
          >
            {say(msg('units.plain', { value: { at: at + DAY / 2, as: 'weekday' } })).slice(0, 2)}
          </text>
        ))}
    </svg>
  );
}
