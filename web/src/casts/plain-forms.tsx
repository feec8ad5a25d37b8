import type { ActionProps } from './cast-actions';
import { DoneButton } from './done-button';

/** A wetting in the damp cure. */
export const WetForm = (props: ActionProps) => (
  <DoneButton {...props} said="Wetted." event={{ type: 'wetted' }}>
    Wetted just now
  </DoneButton>
);

/** The end of the damp cure. */
export function UncoverForm(props: ActionProps) {
  return (
    <div className="space-y-3">
      <p className="quiet">
        From now on it dries. Weigh it today and then once a day: after three weighings you are told when it can be
        sealed.
      </p>
      <DoneButton {...props} said="Uncovered: drying begins." event={{ type: 'uncovered' }}>
        Uncovered just now
      </DoneButton>
    </div>
  );
}
