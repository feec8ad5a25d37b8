import { useState } from 'react';
import type { Stage, Stroke } from '@dewpot/core';
import type { CastView } from '@dewpot/contract';
import { Dialog } from '../ui/dialog';
import { Failure } from '../ui/states';
import { WhenField } from '../ui/when-field';
import { CoatForm } from './coat-form';
import { LiftOutForm } from './lift-out-form';
import { LookOverForm } from './look-over-form';
import { PutOutForm, UncoverForm, WetForm } from './plain-forms';
import { useRecord } from './use-record';
import { WeighForm } from './weigh-form';

/** What can be done to a cast: the strokes of the round, and a look at it. */
export type CastAction = Stroke | 'Look over';

const actionsIn: Record<Stage, readonly CastAction[]> = {
  setting: ['Lift out', 'Wet', 'Look over'],
  damp: ['Wet', 'Uncover', 'Weigh', 'Look over'],
  drying: ['Weigh', 'Coat', 'Put out', 'Look over'],
  sealed: ['Put out', 'Coat', 'Weigh', 'Look over'],
  out: ['Look over'],
  broken: [],
};

/** What a form of an action is given: the casts it is for, and how to record what happened. */
export interface ActionProps {
  readonly casts: readonly CastView[];
  readonly busy: boolean;
  readonly record: (said: string, happened: Parameters<ReturnType<typeof useRecord>>[1]) => void;
}

const forms: Record<CastAction, (props: ActionProps) => React.ReactNode> = {
  'Lift out': (props) => <LiftOutForm {...props} />,
  Wet: (props) => <WetForm {...props} />,
  Uncover: (props) => <UncoverForm {...props} />,
  Weigh: (props) => <WeighForm {...props} />,
  Coat: (props) => <CoatForm {...props} />,
  'Put out': (props) => <PutOutForm {...props} />,
  'Look over': (props) => <LookOverForm {...props} />,
};

/** The sheet on which something is done to like casts. */
export function CastActions({
  casts,
  stroke,
  onClose,
}: {
  casts: readonly CastView[];
  stroke?: CastAction | undefined;
  onClose: () => void;
}) {
  const possible = actionsIn[casts[0]!.stage];
  const [chosen, setChosen] = useState<CastAction | undefined>(stroke ?? possible[0]);
  const [at, setAt] = useState<number>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const record = useRecord();
  const names = `${casts[0]!.snapshot.mouldName} ${casts.map(({ code }) => code).join(', ')}`;
  const submit: ActionProps['record'] = (said, happened) => {
    setBusy(true);
    setError(undefined);
    record(
      said,
      happened.map(({ cast, event }) => ({ cast, event: { ...event, ...(at !== undefined && { at }) } })),
    )
      .then(onClose, setError)
      .finally(() => setBusy(false));
  };
  return (
    <Dialog title={names} onClose={onClose}>
      {possible.length > 1 && (
        <div role="tablist" className="mb-4 flex flex-wrap gap-1.5">
          {possible.map((one) => (
            <button
              key={one}
              type="button"
              role="tab"
              aria-selected={one === chosen}
              className={`btn h-12 ${one === chosen ? 'btn-neutral' : 'btn-ghost bg-base-300/60'}`}
              onClick={() => setChosen(one)}
            >
              {one}
            </button>
          ))}
        </div>
      )}
      {chosen && forms[chosen]({ casts, busy, record: submit })}
      <div className="border-base-300 mt-4 border-t pt-2">
        <WhenField value={at} earliest={Math.max(...casts.map(({ life }) => life.pouredAt))} onChange={setAt} />
      </div>
      <Failure error={error} />
    </Dialog>
  );
}
