import { distinct, identity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { faceAdvice } from '@dewpot/core/curing';
import type { Surroundings } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { area } from 'd3-shape';
import { format } from 'date-fns';
import { placesQuery } from '../api/places';
import { BasisNote } from '../ui/basis-note';
import { FigureWorking } from '../ui/figure-working';
import { sayWhen } from '../ui/format-time';
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
    <section className="card-slab space-y-3" aria-label="Moist curing">
      <h2 className="text-xl">Moist curing, at {ambient.place}</h2>
      {basis && basis !== 'measured' && (
        <p className="text-sm">
          Its air is <BasisNote basis={basis} link />.
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
    sayWhen(from, now) === sayWhen(to, now) ? sayWhen(from, now) : `${sayWhen(from, now)} to ${sayWhen(to, now)}`;
  return (
    <ul className="space-y-1">
      {told.map((words) => (
        <li key={identity(words)} className="border-accent border-l-4 pl-3">
          {say(words)}{' '}
          <span className="quiet">
            {warnings
              .filter((one) => one.told === words)
              .map(({ from, to }) => span(from, to))
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
        aria-label={`Water off its face over three days: at most ${peak.open.toFixed(2)} open, ${peak.covered.toFixed(2)} as it is covered, kg/m² an hour`}
      >
        <path d={shape(({ open }) => open)} fill="var(--water)" opacity={0.25} />
        <path d={shape(({ covered }) => covered)} fill="var(--color-secondary)" opacity={0.75} />
        <line x1={0} x2={WIDTH} y1={y(ACT)} y2={y(ACT)} stroke="var(--color-accent)" strokeDasharray="5 4" />
        <text x={WIDTH - 2} y={y(ACT) - 3} fontSize={11} textAnchor="end" fill="currentColor">
          thin pieces suffer above
        </text>
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="currentColor" opacity={0.4} />
        {outlook
          .filter(({ at }) => new Date(at).getHours() % 12 === 0 && new Date(at).getMinutes() === 0)
          .map(({ at }) => (
            <text key={at} x={x(at)} y={HEIGHT - 4} fontSize={11} textAnchor="middle" fill="currentColor" opacity={0.8}>
              {format(at, new Date(at).getHours() === 0 ? 'EEE' : 'HH:mm')}
            </text>
          ))}
      </svg>
      <figcaption className="quiet text-xs">
        Pale: open; dark: as it is covered. Worst {sayWhen(peak.at, now)}.
      </figcaption>
    </figure>
  );
}

const clock = (hour: number) =>
  `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60) % 60).padStart(2, '0')}`;

const DAY_HOURS = 24;

function Misting({ does: { misting } }: { does: Surroundings }) {
  if (misting.coverInstead)
    return (
      <p className="text-accent font-semibold">
        {misting.wettings} wettings a day would be needed as it stands: cover it instead.
      </p>
    );
  if (misting.lasts.value >= DAY_HOURS && misting.wettings > 0)
    return (
      <div>
        <p>As it is covered, one wetting lasts about {Math.floor(misting.lasts.value / DAY_HOURS)} days.</p>
        <FigureWorking figure={misting.lasts} />
      </div>
    );
  if (misting.wettings === 0) return <p>Nothing leaves its faces: no wetting needed.</p>;
  return (
    <div>
      <p>
        In air like this: wet it <strong>at {misting.times.map(clock).join(', ')}</strong>.
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
      <summary className="link">What would a cover do?</summary>
      <table className="table-sm mt-2 table">
        <caption className="sr-only">Covers compared in the air it stands in now</caption>
        <tbody>
          {covers.map(({ cover, rate, told }) => (
            <tr key={cover}>
              <th scope="row" className="font-semibold">
                {cover === 'none' ? 'open' : cover}
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
  const { done, missed, wetShare, dryHours } = defined(surface);
  return (
    <p>
      So far its faces were wet {Math.round(wetShare * 100)} % of the time: {done} {done === 1 ? 'wetting' : 'wettings'}{' '}
      done, {missed} missed{dryHours >= 1 ? `, dry for ${Math.round(dryHours)} h` : ''}.
    </p>
  );
}
