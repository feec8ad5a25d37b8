import { defined } from '@dewpot/core/math';
import { bonds } from '@dewpot/core/assembly';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

/** An article whose joint holds is let go of its clamps or props. */
export function UnclampForm(props: ActionProps) {
  const say = useSay();
  const bond = defined(props.casts[0]).life.joint?.bond;
  return (
    <div className="space-y-3">
      <p className="quiet">{say('assembly.holdsItself', { bond: bond ? bonds[bond].name : 'none' })}</p>
      <DoneButton {...props} said={say('assembly.unclampedDries')} event={{ type: 'unclamped' }}>
        {say('assembly.unclampedNow')}
      </DoneButton>
    </div>
  );
}
