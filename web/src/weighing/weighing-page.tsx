import { useState } from 'react';
import { expectedNow, liesOnScale, shareTogether, weighRound, type OnTheScale } from '@dewpot/core';
import type { CastView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { shelfQuery } from '../api/casts';
import { refuses } from '../api/client';
import { useSession } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { lookToday, placeOf } from '../ui/casts/reading';
import { useRecord } from '../ui/casts/use-record';
import { PageHead } from '../ui/page-head';
import { PieceThumb } from '../ui/piece-thumb';
import { QuantityField } from '../ui/quantity-field';
import { Busy, Empty, Failure } from '../ui/states';
import { sayWhen } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useScale } from '../ui/use-scale';
import { useUnits } from '../ui/units';

type ToWeigh = OnTheScale<CastView>;

/** A round of weighing: one piece fills the screen, the scale's reading stands in it, and one control goes to the next. */
export function WeighingPage() {
  const { data, error, isPending } = useQuery(shelfQuery);
  const { scaleStep } = useSession().workshop;
  // The list stands as it was when the round began: what was weighed does not make it jump.
  const [list, setList] = useState<readonly ToWeigh[]>();
  const [at, setAt] = useState(0);
  const now = useNow();
  if (isPending) return <Busy what="what wants weighing" />;
  if (!data) return <Failure error={error} />;
  const round = list ?? weighRound(data, placeOf, now, scaleStep);
  const here = round[at];
  if (!here) return <Done weighed={at} />;
  return (
    <WeighOne
      key={here.key}
      here={here}
      count={`${at + 1} of ${round.length}`}
      now={now}
      onNext={() => {
        setList(round);
        setAt(at + 1);
      }}
      {...(at > 0 && { onBack: () => setAt(at - 1) })}
    />
  );
}

function Done({ weighed }: { weighed: number }) {
  return (
    <div className="mx-auto max-w-xl p-4">
      <PageHead title="Round of weighing" />
      <Empty title={weighed > 0 ? 'The round is done' : 'Nothing wants weighing now'}>
        <p>
          {weighed > 0
            ? 'What they say stands with each piece: when its gate opens, and what keeps it shut.'
            : 'Pieces that dry are weighed once a day; of like ones of a pour a sample is enough.'}
        </p>
        <p>
          <Link to="/" className={buttonClass({ look: 'main', size: 'own' })}>
            To the shelf
          </Link>
        </p>
      </Empty>
    </div>
  );
}

function WeighOne({
  here: { casts, place },
  count,
  now,
  onNext,
  onBack,
}: {
  here: ToWeigh;
  count: string;
  now: number;
  onNext: () => void;
  onBack?: () => void;
}) {
  const units = useUnits();
  const { scaleStep: step } = useSession().workshop;
  const record = useRecord();
  const scale = useScale(true);
  const [typed, setTyped] = useState<number>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const [missing, setMissing] = useState(false);
  const [keys] = useState(() => casts.map(() => uuid()));
  const first = casts[0]!;
  const together = casts.length > 1;
  const last = first.life.weighings[first.life.weighings.length - 1];
  const expected = casts.reduce((sum, cast) => sum + expectedNow(cast, now).mass, 0);
  const read = scale.steady !== undefined && liesOnScale(scale.steady, expected) ? scale.steady : undefined;
  const mass = typed ?? read;
  const asks = refuses(error, 'sure');
  const keep = async (sure: boolean) => {
    if (mass === undefined) return setMissing(true);
    setBusy(true);
    setError(undefined);
    try {
      const shares = together
        ? shareTogether({ total: mass, step, dry: casts.map((cast) => cast.expected.dry) })
        : [{ mass, step }];
      await record(
        `${casts.map(({ code }) => code).join(', ')} weighed.`,
        casts.map((cast, i) => ({
          cast,
          event: {
            id: keys[i]!,
            type: 'weighed' as const,
            ...shares[i]!,
            ...(together && { together: casts.length }),
            ...(sure && { sure }),
          },
        })),
      );
      onNext();
    } catch (wrong) {
      setError(wrong);
    }
    setBusy(false);
  };
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4">
      <p className="quiet flex justify-between text-sm">
        <span>{count}</span>
        <span>{place}</span>
      </p>
      <div className="flex items-center gap-4">
        <PieceThumb shape={first.snapshot.shape} {...lookToday(first, now)} size={120} />
        <div className="min-w-0">
          <h1 className="text-4xl">{together ? `${casts.length} together` : first.code}</h1>
          <p className="truncate" title={first.snapshot.mouldName}>
            {first.snapshot.mouldName}
          </p>
          {together && <p className="quiet text-sm">{casts.map(({ code }) => code).join(' ')}</p>}
        </div>
      </div>
      <p className="numeral text-6xl" aria-live="polite">
        {mass === undefined ? '–' : units.sayWeighing({ mass, step })}
      </p>
      <p className="quiet">
        {scale.link === 'up'
          ? read === undefined
            ? `Put ${together ? 'them' : 'it'} on the scale, or type what yours shows.`
            : 'By the scale.'
          : 'No scale in sight: type what yours shows.'}{' '}
        It should be about {units.say(expected, 'g')}
        {last && !together && ` (last ${units.sayWeighing(last)}, ${sayWhen(first.life.weighedAt!, now)})`}.
      </p>
      <QuantityField
        label="Or typed, in any unit"
        name="mass"
        dimension="mass"
        system={units.system}
        value={typed}
        onChange={setTyped}
        className="[&_input]:h-14 [&_input]:text-xl"
      />
      {missing && mass === undefined && (
        <p role="alert" className="text-error">
          Nothing was weighed yet: put it on the scale, or type what yours shows.
        </p>
      )}
      <Failure error={error} />
      {asks && (
        <Button look="warning" size="tall" disabled={busy} onClick={() => void keep(true)}>
          It is right: keep it
        </Button>
      )}
      <Button look="main" size="own" className="h-20 text-2xl" disabled={busy} onClick={() => void keep(false)}>
        Keep, next piece
      </Button>
      <div className="flex justify-between">
        <Button look="plain" size="tall" disabled={!onBack} onClick={onBack}>
          Back
        </Button>
        <Button look="plain" size="tall" onClick={onNext}>
          Leave it out
        </Button>
      </div>
    </div>
  );
}
