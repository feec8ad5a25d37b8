import { coverCalled, releaseCalledBy } from '../ui/word-names';
import { type Speaker } from '@dewpot/locales';
import { HOUR, exactly, fixed, identity, msg, type Message } from '@dewpot/core/units';
import { calculateMaturity, coverWords, type Bearing } from '@dewpot/core/curing';
import type { CastDetail } from '@dewpot/contract';
import { Link } from 'react-router';
import { BigFigure } from '../ui/figure-working';
import { exactTime, dayOf, whenOf } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { placeOf } from '../ui/casts/reading';
import { useSay } from '../ui/say';

/** The figures of a cast today, each with what it rests on. */
export function CastFigures({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
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
    <section className="card-slab grid grid-cols-2 gap-4" aria-label={say('casts.keyValues')}>
      {snapshot.article ? (
        <JointCarries cast={cast} now={now} />
      ) : (
        <>
          <BigFigure label={say('casts.strengthShare')} term="strength" figure={strengthShare} />
          <BigFigure
            label={say('casts.equivalentAge', { warmth: exactly(20, '°C') })}
            term="equivalent-age"
            figure={equivalentAge}
          />
          <Bearings cast={cast} now={now} />
        </>
      )}
      {dryDown.remaining && <BigFigure label={say('casts.waterToEvaporate')} figure={dryDown.remaining} />}
      {opens && !coated && cast.stage === 'drying' && (
        <div>
          <p className="quiet text-sm">{dry.dryEnough ? say('casts.readyToSeal') : say('casts.calculatedReady')}</p>
          <p className="numeral text-3xl" title={say(exactTime(opens.at))}>
            {dry.dryEnough ? say('casts.now') : say(dayOf(opens.at, now))}
          </p>
          {!dry.dryEnough && identity(dayOf(opens.high, now)) !== identity(dayOf(opens.low, now)) && (
            <p className="quiet text-sm">
              {say('casts.betweenDays', { low: say(dayOf(opens.low, now)), high: say(dayOf(opens.high, now)) })}
            </p>
          )}
        </div>
      )}
    </section>
  );
}

/** When the joint of an article carries. */
function JointCarries({ cast: { life, expected }, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const units = useUnits();
  const at = life.joint?.carriesAt;
  return (
    <>
      <div>
        <p className="quiet text-sm">{say('casts.jointCarries')}</p>
        <p className="numeral text-3xl">{at === undefined || at <= now ? say('casts.now') : say(dayOf(at, now))}</p>
      </div>
      <div>
        <p className="quiet text-sm">{say('casts.expectedDry')}</p>
        <p className="numeral text-3xl">{units.say(expected.dry, 'g')}</p>
      </div>
    </>
  );
}

const bearingWords: Record<Bearing, Message> = {
  handled: msg('casts.bearHandled'),
  'walked on': msg('casts.bearWalked'),
  loaded: msg('casts.bearLoaded'),
};

/** From when it may be handled, walked on and loaded; what is behind it is told so. */
function Bearings({ cast: { ambient, stage }, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  if (stage === 'finished' || stage === 'broken') return null;
  return (
    <ul className="col-span-2 space-y-0.5 text-sm">
      {ambient.bears.map(({ bearing, at, told }) => (
        <li key={bearing}>
          <strong>
            {say('casts.mayBe', {
              bearing: bearingWords[bearing],
              when: at === undefined ? 'beyond' : at <= now ? 'now' : 'later',
              at: whenOf(at ?? now, now),
            })}
          </strong>
          : {say(told)}
        </li>
      ))}
    </ul>
  );
}

/** What lies over a cast: as it was recorded last, else as its pour said. */
function coverNow({ life, snapshot }: CastDetail, say: Speaker): string | undefined {
  if (life.cover) return say.value(coverWords[life.cover]);
  return snapshot.cover && say.value(coverCalled(snapshot.cover));
}

/** What was kept with a cast from its pour: what later learning will need. */
export function CastGrounds({ cast }: { cast: CastDetail }) {
  const say = useSay();
  const { snapshot, expected, pourId, mouldId } = cast;
  const units = useUnits();
  const said: readonly (readonly [string, string | undefined])[] = [
    [
      say('casts.mould'),
      snapshot.copyMark
        ? say('casts.mouldCopy', { name: snapshot.mouldName, copy: snapshot.copyMark })
        : snapshot.mouldName,
    ],
    [say('casts.mix'), snapshot.mixName],
    [say('casts.ratioMixed'), say.value(fixed(snapshot.ratio, 2))],
    [say('casts.expectedFresh'), units.say(expected.fresh, 'g')],
    [say('casts.expectedDry'), units.say(expected.dry, 'g')],
    [say('casts.release'), snapshot.release && say.value(releaseCalledBy(snapshot.release))],
    [say('casts.cover'), coverNow(cast, say)],
    [say('casts.place'), placeOf(cast) || undefined],
  ];
  return (
    <section className="card-slab" aria-label={say('casts.basedOn')}>
      <h2 className="mb-2 text-xl">{say('casts.basedOn')}</h2>
      <dl className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-4 gap-y-1">
        {said.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="quiet">{name}</dt>
            <dd>{value ?? <span className="quiet">{say('casts.noRecord')}</span>}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 flex flex-wrap gap-3 text-sm">
        <Link className="link" to={`/pours/${pourId}`}>
          {say('casts.itsPour')}
        </Link>
        <Link className="link" to={`/moulds/${mouldId}`}>
          {say('casts.itsMould')}
        </Link>
      </p>
    </section>
  );
}
