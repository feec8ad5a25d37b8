import { distinct, identity, quantity, fixed, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { coverWords, faceAdvice } from '@dewpot/core/curing';
import type { Surroundings } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { area } from 'd3-shape';
import { placesQuery } from '../api/places';
import { BasisNote } from '../ui/basis-note';
import { FigureWorking } from '../ui/figure-working';
import { clockOf, weekdayOf, whenOf } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** What the air does to a young piece: warnings, what leaves its faces, what each cover would do, how wet it was kept. */
export function AmbientSlab({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const { ambient } = cast;
  const { does } = ambient;
  const basis = useQuery(placesQuery).data?.find(({ name }) => name === ambient.place)?.basis;
  if (!does) return null;
  return (
    <section className="card-slab space-y-3" aria-label={say('curing.moistCuring')}>
      <h2 className="text-xl">{say('curing.moistCuringAt', { place: ambient.place })}</h2>
      {basis && basis !== 'measured' && (
        <p className="text-sm">
          {say('curing.itsAir')} <BasisNote basis={basis} link />.
        </p>
      )}
      <Warnings does={does} now={now} />
      <p>{`${say(faceAdvice[does.risk]).replace(/^./, (letter) => letter.toUpperCase())}.`}</p>
      <Outlook does={does} now={now} />
      <Misting does={does} />
      <Covers does={does} />
      {does.surface && <Surface does={does} />}
    </section>
  );
}

/** Warnings that say the same, once, with every time at which they hold. */
function Warnings({ does: { warnings }, now }: { does: Surroundings; now: number }) {
  const say = useSay();
  const told = distinct(warnings.map((one) => one.told));
  const span = (from: number, to: number) =>
    identity(whenOf(from, now)) === identity(whenOf(to, now))
      ? whenOf(from, now)
      : say('curing.fromTo', { from: whenOf(from, now), to: whenOf(to, now) });
  return (
    <ul className="space-y-1">
      {told.map((words) => (
        <li key={identity(words)} className="border-accent border-l-4 pl-3">
          {say(words)}{' '}
          <span className="quiet">
            {warnings
              .filter((one) => one.told === words)
              .map(({ from, to }) => span(from, to))
              .map((one) => say.value(one))
              .join(', ')}
          </span>
        </li>
      ))}
    </ul>
  );
}

const WIDTH = 420;
const HEIGHT = 96;
const BASE = HEIGHT - 18;
const ACT = 0.5;

/** Water off its face over the coming three days: open, and as it is covered. */
function Outlook({ does: { outlook }, now }: { does: Surroundings; now: number }) {
  const say = useSay();
  const first = outlook[0];
  const last = outlook[outlook.length - 1];
  if (!first || !last || last.at <= first.at) return null;
  const most = Math.max(0.6, ...outlook.map(({ open }) => open));
  const x = (at: number) => ((at - first.at) / (last.at - first.at)) * WIDTH;
  const y = (rate: number) => BASE - (rate / most) * (BASE - 6);
  const shape = (of: (one: (typeof outlook)[number]) => number) =>
    area<(typeof outlook)[number]>()
      .x(({ at }) => x(at))
      .y0(BASE)
      .y1((one) => y(of(one)))([...outlook]) ?? '';
  const peak = outlook.reduce((a, b) => (b.open > a.open ? b : a));
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={say('curing.waterOff', { open: fixed(peak.open, 2), covered: fixed(peak.covered, 2) })}
      >
        <path d={shape(({ open }) => open)} fill="var(--water)" opacity={0.25} />
        <path d={shape(({ covered }) => covered)} fill="var(--color-secondary)" opacity={0.75} />
        <line x1={0} x2={WIDTH} y1={y(ACT)} y2={y(ACT)} stroke="var(--color-accent)" strokeDasharray="5 4" />
        <text x={WIDTH - 2} y={y(ACT) - 3} fontSize={11} textAnchor="end" fill="currentColor">
          {say('curing.thinSuffer')}
        </text>
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="currentColor" opacity={0.4} />
        {outlook
          .filter(({ at }) => new Date(at).getHours() % 12 === 0 && new Date(at).getMinutes() === 0)
          .map(({ at }) => (
            <text key={at} x={x(at)} y={HEIGHT - 4} fontSize={11} textAnchor="middle" fill="currentColor" opacity={0.8}>
              {say(new Date(at).getHours() === 0 ? weekdayOf(at) : clockOf(at))}
            </text>
          ))}
      </svg>
      <figcaption className="quiet text-xs">{say('curing.paleOpen', { peak: whenOf(peak.at, now) })}</figcaption>
    </figure>
  );
}

const clock = (hour: number) =>
  `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60) % 60).padStart(2, '0')}`;

const DAY_HOURS = 24;

function Misting({ does: { misting } }: { does: Surroundings }) {
  const say = useSay();
  if (misting.coverInstead)
    return <p className="text-accent font-semibold">{say('curing.wettingsNeeded', { wettings: misting.wettings })}</p>;
  if (misting.lasts.value >= DAY_HOURS && misting.wettings > 0)
    return (
      <div>
        <p>{say('curing.wettingLasts', { lasts: quantity(Math.floor(misting.lasts.value / DAY_HOURS), 'days', 0) })}</p>
        <FigureWorking figure={misting.lasts} />
      </div>
    );
  if (misting.wettings === 0) return <p>{say('curing.nothingLeaves')}</p>;
  return (
    <div>
      <p>
        {say('curing.wetItAt')} <strong>{misting.times.map(clock).join(', ')}</strong>
      </p>
      <FigureWorking figure={misting.lasts} />
    </div>
  );
}

function Covers({ does: { covers } }: { does: Surroundings }) {
  const say = useSay();
  const units = useUnits();
  return (
    <details>
      <summary className="link">{say('curing.whatCover')}</summary>
      <table className="table-sm mt-2 table">
        <caption className="sr-only">{say('curing.coversCompared')}</caption>
        <tbody>
          {covers.map(({ cover, rate, told }) => (
            <tr key={cover}>
              <th scope="row" className="font-semibold">
                {say(cover === 'none' ? msg('curing.openFace') : coverWords[cover])}
              </th>
              <td className="numeral whitespace-nowrap">{units.say(rate.value, 'kg/m²/h')}</td>
              <td>{say(told)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

function Surface({ does: { surface } }: { does: Surroundings }) {
  const say = useSay();
  const { done, missed, wetShare, dryHours } = defined(surface);
  return (
    <p>
      {say('curing.wetSoFar', {
        wetShare: quantity(Math.round(wetShare * 100), '%', 0),
        done,
        missed,
        dry: dryHours >= 1 ? quantity(dryHours, 'h', 0) : 'none',
      })}
    </p>
  );
}
