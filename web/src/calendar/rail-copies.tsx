import { DAY, MINUTE } from '@dewpot/core/units';
import type { CalendarPlan } from '@dewpot/core/calendar';
import type { MouldView } from '@dewpot/contract';
import { useSay } from '../ui/say';
import { DayLines } from './rail-days';
import { busySteps, type RailScale } from './rail-layout';
import { RailRow } from './rail-row';
import type { CalendarKnown } from './use-calendar-data';

const HEIGHT = 26;

const soundCopies = ({ copies }: MouldView) =>
  Math.max(1, copies.filter(({ retired, condition }) => !retired && condition !== 'leaks').length);

/** When copies of a mould are full: what stands full now, and what is planned. */
function fullOf({ lines, data: { facts } }: CalendarKnown, { pieces }: CalendarPlan, mouldId: string, now: number) {
  // prettier-ignore
  const standing = facts.standing.flatMap(({ mouldId: of, freeAt }) =>
    of === mouldId && freeAt !== undefined ? [{ from: now, to: freeAt, count: 1 }] : [],
  );
  const planned = pieces.flatMap(({ line, session, pouredAt, count, middle }) => {
    const own = lines.find((one) => one.line.id === line)?.line.mouldId === mouldId;
    return own && session !== undefined ? [{ from: pouredAt, to: middle?.demoulded ?? pouredAt + DAY, count }] : [];
  });
  return [...standing, ...planned].filter(({ from, to }) => to > from + MINUTE);
}

/** How many copies of each mould are full, day by day. */
export function CopiesRows({
  known,
  plan,
  scale,
  now,
}: {
  known: CalendarKnown;
  plan: CalendarPlan;
  scale: RailScale;
  now: number;
}) {
  // prettier-ignore
  const say = useSay();
  const moulds = [
    ...new Map(known.lines.flatMap(({ mould }) => (mould && !mould.once ? [[mould.id, mould]] : []))).values(),
  ];
  return moulds.map((mould) => {
    const copies = soundCopies(mould);
    const steps = busySteps(fullOf(known, plan, mould.id, now));
    const unit = (HEIGHT - 6) / copies;
    return (
      <RailRow
        key={mould.id}
        name={<p className="truncate text-xs leading-5">{say('calendar.copiesOf', { name: mould.name, copies })}</p>}
        aside={null}
      >
        <svg
          width={scale.width}
          height={HEIGHT}
          className="block"
          role="img"
          aria-label={say('calendar.copiesFull', { name: mould.name })}
        >
          <DayLines scale={scale} now={now} height={HEIGHT} />
          {steps.map(({ from, to, full }) => (
            <rect
              key={from}
              x={scale.x(from)}
              width={Math.max(1, scale.x(to) - scale.x(from))}
              y={HEIGHT - 3 - Math.min(full, copies) * unit}
              height={Math.min(full, copies) * unit}
              fill="var(--concrete)"
              stroke={full > copies ? 'var(--late)' : 'none'}
              strokeWidth={2}
            />
          ))}
        </svg>
      </RailRow>
    );
  });
}
