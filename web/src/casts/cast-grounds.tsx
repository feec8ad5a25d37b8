import { HOUR } from '@dewpot/core/units';
import { calculateMaturity } from '@dewpot/core/curing';
import type { CastDetail } from '@dewpot/contract';
import { Link } from 'react-router';
import { BigFigure } from '../ui/figure-working';
import { exactly, sayDay, sayWhen } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { placeOf } from '../ui/casts/reading';
import { useSay } from '../ui/say';

/** The figures of a cast today, each with what it rests on. */
export function CastFigures({ cast, now }: { cast: CastDetail; now: number }) {
  const { life, snapshot, dryDown, ambient } = cast;
  const until = Math.min(now, life.brokenAt ?? now);
  const { equivalentAge, strengthShare } = calculateMaturity(
    ambient.temperatures,
    (until - life.pouredAt) / HOUR,
    snapshot.binderClass,
  );
  const { dry } = cast;
  const opens = dry.opensAt !== undefined && {
    at: Math.max(dry.opensAt, now),
    low: Math.max(dry.opensLow ?? dry.opensAt, now),
    high: Math.max(dry.opensHigh ?? dry.opensAt, now),
  };
  const coated = life.coats.length > 0;
  return (
    <section className="card-slab grid grid-cols-2 gap-4" aria-label="Key values">
      {snapshot.article ? (
        <JointCarries cast={cast} now={now} />
      ) : (
        <>
          <BigFigure label="Strength, % of 28-day" term="strength" figure={strengthShare} />
          <BigFigure label="Equivalent age at 20 °C" term="equivalent-age" figure={equivalentAge} />
          <Bearings cast={cast} now={now} />
        </>
      )}
      {dryDown.remaining && <BigFigure label="Water still to evaporate" figure={dryDown.remaining} />}
      {opens && !coated && cast.stage === 'drying' && (
        <div>
          <p className="quiet text-sm">{dry.dryEnough ? 'Ready to seal' : 'Calculated ready to seal'}</p>
          <p className="numeral text-3xl" title={exactly(opens.at)}>
            {dry.dryEnough ? 'now' : sayDay(opens.at, now)}
          </p>
          {!dry.dryEnough && sayDay(opens.high, now) !== sayDay(opens.low, now) && (
            <p className="quiet text-sm">
              between {sayDay(opens.low, now)} and {sayDay(opens.high, now)}
            </p>
          )}
        </div>
      )}
    </section>
  );
}

/** When the joint of an article carries. */
function JointCarries({ cast: { life, expected }, now }: { cast: CastDetail; now: number }) {
  const units = useUnits();
  const at = life.joint?.carriesAt;
  return (
    <>
      <div>
        <p className="quiet text-sm">Its joint carries</p>
        <p className="numeral text-3xl">{at === undefined || at <= now ? 'now' : sayDay(at, now)}</p>
      </div>
      <div>
        <p className="quiet text-sm">Expected dry</p>
        <p className="numeral text-3xl">{units.say(expected.dry, 'g')}</p>
      </div>
    </>
  );
}

/** From when it may be handled, walked on and loaded; what is behind it is told so. */
function Bearings({ cast: { ambient, stage }, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  if (stage === 'finished' || stage === 'broken') return null;
  return (
    <ul className="col-span-2 space-y-0.5 text-sm">
      {ambient.bears.map(({ bearing, at, told }) => (
        <li key={bearing}>
          <strong>
            May be {bearing} {at === undefined ? 'beyond the forecast' : at <= now ? 'now' : `from ${sayWhen(at, now)}`}
          </strong>
          : {say(told)}
        </li>
      ))}
    </ul>
  );
}

/** What was kept with a cast from its pour: what later learning will need. */
export function CastGrounds({ cast }: { cast: CastDetail }) {
  const { snapshot, expected, pourId, mouldId, life } = cast;
  const units = useUnits();
  const said: readonly (readonly [string, string | undefined])[] = [
    ['Mould', `${snapshot.mouldName}${snapshot.copyMark ? `, copy ${snapshot.copyMark}` : ''}`],
    ['Mix', snapshot.mixName],
    ['Water–cement ratio, as mixed', snapshot.ratio.toFixed(2)],
    ['Expected fresh', units.say(expected.fresh, 'g')],
    ['Expected dry', units.say(expected.dry, 'g')],
    ['Release', snapshot.release],
    ['Cover', life.cover ?? snapshot.cover],
    ['Place', placeOf(cast) === 'anywhere' ? undefined : placeOf(cast)],
  ];
  return (
    <section className="card-slab" aria-label="Based on">
      <h2 className="mb-2 text-xl">Based on</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {said.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="quiet">{name}</dt>
            <dd>{value ?? <span className="quiet">no record</span>}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 flex flex-wrap gap-3 text-sm">
        <Link className="link" to={`/pours/${pourId}`}>
          Its pour
        </Link>
        <Link className="link" to={`/moulds/${mouldId}`}>
          Its mould
        </Link>
      </p>
    </section>
  );
}
