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
      <p className="quiet">
        {bond && `${say(bonds[bond].name)}: `}it holds by itself now, and carries once it is cured. From here on it
        dries, is sealed and finished as one.
      </p>
      <DoneButton {...props} said="Unclamped: it dries as one." event={{ type: 'unclamped' }}>
        Unclamped just now
      </DoneButton>
    </div>
  );
}
