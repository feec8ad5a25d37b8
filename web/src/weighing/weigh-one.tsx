import { placeInWords } from '@dewpot/core/casts';
import { quantity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { Button } from '../ui/button';
import { lookToday } from '../ui/casts/look-today';
import { whenOf } from '../ui/format-time';
import { PieceThumb } from '../ui/piece-thumb';
import { QuantityField } from '../ui/quantity-field';
import { Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useWeighing, type ToWeigh } from './use-weighing';
import { useSay } from '../ui/say';

/** One piece, or like ones together, on the scale. */
export function WeighOne({
  here,
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
  const say = useSay();
  const units = useUnits();
  const weighing = useWeighing(here.casts, now, onNext);
  const { mass, step, busy } = weighing;
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-4">
      <p className="quiet flex justify-between text-sm">
        <span>{count}</span>
        <span>{say.value(placeInWords(here.place))}</span>
      </p>
      <WhatIsWeighed casts={here.casts} now={now} />
      <p className="numeral text-6xl" aria-live="polite">
        {mass === undefined ? '–' : units.sayWeighing({ mass, step })}
      </p>
      <Expected casts={here.casts} now={now} weighing={weighing} />
      <QuantityField
        label={say('weighing.typedUnit')}
        name="mass"
        dimension="mass"
        value={weighing.typed}
        onChange={weighing.setTyped}
        className="[&_input]:h-14 [&_input]:text-xl"
      />
      {weighing.missing && (
        <p role="alert" className="text-error">
          {say('weighing.nothingWeighed')}
        </p>
      )}
      <Failure error={weighing.error} />
      {weighing.asksWhetherSure && (
        <Button look="warning" size="tall" disabled={busy} onClick={() => void weighing.keep(true)}>
          {say('weighing.itIsRight')}
        </Button>
      )}
      <Button
        needs="helper"
        look="main"
        size="own"
        className="h-20 text-2xl"
        disabled={busy}
        onClick={() => void weighing.keep(false)}
      >
        {say('weighing.saveNext')}
      </Button>
      <div className="flex justify-between">
        <Button look="plain" size="tall" disabled={!onBack} onClick={onBack}>
          {say('weighing.back')}
        </Button>
        <Button look="plain" size="tall" onClick={onNext}>
          {say('weighing.leaveOut')}
        </Button>
      </div>
    </div>
  );
}

function WhatIsWeighed({ casts, now }: { casts: ToWeigh['casts']; now: number }) {
  const say = useSay();
  const first = defined(casts[0]);
  const together = casts.length > 1;
  return (
    <div className="flex items-center gap-4">
      <PieceThumb shape={first.snapshot.shape} {...lookToday(first, now)} size={120} />
      <div className="min-w-0">
        <h1 className="text-4xl">{together ? say('weighing.together', { count: casts.length }) : first.code}</h1>
        <p className="truncate" title={first.snapshot.mouldName}>
          {first.snapshot.mouldName}
        </p>
        {together && <p className="quiet text-sm">{casts.map(({ code }) => code).join(' ')}</p>}
      </div>
    </div>
  );
}

/** Where the reading comes from, and what it should be about. */
function Expected({
  casts,
  now,
  weighing: { linked, byScale, together, expected },
}: {
  casts: ToWeigh['casts'];
  now: number;
  weighing: ReturnType<typeof useWeighing>;
}) {
  const say = useSay();
  const units = useUnits();
  const { weighings, weighedAt } = defined(casts[0]).life;
  const last = weighings.at(-1);
  return (
    <p className="quiet">
      {say(linked ? (byScale ? 'weighing.byScale' : 'weighing.putOn') : 'weighing.noScale', {
        count: casts.length,
      })}{' '}
      {say('weighing.shouldBe', { expected: quantity(expected, 'g') })}
      {last && weighedAt !== undefined && !together && (
        <> {say('weighing.lastWas', { last: units.sayWeighing(last), when: whenOf(weighedAt, now) })}</>
      )}
    </p>
  );
}
