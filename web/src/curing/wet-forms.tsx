import { againstWetting } from '@dewpot/core/casts';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

/** A wetting in the moist curing, or by rain later. */
export function WetForm(props: ActionProps) {
  const say = useSay();
  const against = [...new Set(props.casts.flatMap(({ life }) => againstWetting(life)))];
  return (
    <div className="space-y-3">
      {against.length > 0 && (
        <p className="border-accent border-l-4 pl-3">{against.map((one) => say(one)).join(' ')}</p>
      )}
      <DoneButton {...props} said={say('curing.wetted')} event={{ type: 'wetted' }}>
        {say('curing.wettedNow')}
      </DoneButton>
    </div>
  );
}

/** The end of the moist curing. */
export function EndMoistCuringForm(props: ActionProps) {
  const say = useSay();
  return (
    <div className="space-y-3">
      <p className="quiet">{say('curing.fromNowDries')}</p>
      <DoneButton {...props} said={say('curing.curingEnded')} event={{ type: 'uncovered' }}>
        {say('curing.endedNow')}
      </DoneButton>
    </div>
  );
}
