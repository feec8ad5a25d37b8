import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { CastTask, Due, Stage } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Failure } from '../ui/states';
import { WhenField } from '../ui/when-field';
import { UnclampForm, FitForm } from '../assembly';
import { CheckForm, TestForm, CoatForm, DecorateForm, WeighForm } from '../sealing';
import { LookBackForm, LookOverForm, PutOutForm } from '../care';
import {
  DemouldForm,
  BatheForm,
  EndBathForm,
  CoverForm,
  MoveForm,
  DressForm,
  PullForm,
  UncoverForm,
  WetForm,
} from '../curing';
import { PutOffForm } from './postpone-form';
import { SecondChance, type Sent } from './second-chance';
import type { ActionProps } from '../ui/casts/action-props';
import { useRecord } from '../ui/casts/use-record';

/** What can be done to a cast: the tasks of today, and what is done between them. */
export type CastAction = CastTask | 'Put off' | 'Bathe' | 'Dress' | 'Decorate' | 'Fit out' | 'Move' | 'Look over';

const actionsIn: Record<Stage, readonly CastAction[]> = {
  setting: ['Demould', 'Pull', 'Wet', 'Cover', 'Move', 'Look over'],
  damp: ['Wet', 'Cover', 'Uncover', 'Bathe', 'Dress', 'Weigh', 'Move', 'Look over'],
  drying: ['Weigh', 'Test', 'Coat', 'Dress', 'Decorate', 'Bathe', 'Wet', 'Fit out', 'Put out', 'Move', 'Look over'],
  sealed: ['Coat', 'Check', 'Fit out', 'Put out', 'Decorate', 'Weigh', 'Wet', 'Dress', 'Move', 'Look over'],
  joined: [],
  out: ['Look back', 'Seal again', 'Check', 'Look over'],
  broken: [],
};

const forms: Record<CastAction, (props: ActionProps) => React.ReactNode> = {
  Demould: (props) => <DemouldForm {...props} />,
  Pull: (props) => <PullForm {...props} />,
  Cover: (props) => <CoverForm {...props} />,
  Wet: (props) => <WetForm {...props} />,
  'End bath': (props) => <EndBathForm {...props} />,
  Bathe: (props) => <BatheForm {...props} />,
  Dress: (props) => <DressForm {...props} />,
  Move: (props) => <MoveForm {...props} />,
  'Put off': (props) => <PutOffForm {...props} />,
  Uncover: (props) => <UncoverForm {...props} />,
  Weigh: (props) => <WeighForm {...props} />,
  Coat: (props) => <CoatForm {...props} />,
  Unclamp: (props) => <UnclampForm {...props} />,
  Test: (props) => <TestForm {...props} />,
  Check: (props) => <CheckForm {...props} />,
  Decorate: (props) => <DecorateForm {...props} />,
  'Fit out': (props) => <FitForm {...props} />,
  'Put out': (props) => <PutOutForm {...props} />,
  'Look back': (props) => <LookBackForm {...props} />,
  'Seal again': (props) => <CoatForm {...props} />,
  'Look over': (props) => <LookOverForm {...props} />,
};

/** What can be done to these casts: to unlike ones only what fits them all. */
function actionsFor(casts: readonly CastView[], due: Due | undefined): CastAction[] {
  // An article in its clamps is no casting in its mould.
  if (casts.some(({ stage, life }) => stage === 'setting' && life.joint))
    return ['Unclamp', ...(due ? (['Put off'] as const) : [])];
  const stages = [...new Set(casts.map(({ stage }) => stage))];
  const shared = actionsIn[defined(stages[0])].filter((action) =>
    stages.every((stage) => actionsIn[stage].includes(action)),
  );
  const hasCores = casts.some(({ dues }) => dues.some(({ task }) => task === 'Pull'));
  const bathed = casts.some(({ life }) => life.soak);
  return [
    ...(bathed ? (['End bath'] as const) : []),
    ...shared.filter((action) => (action === 'Pull' ? hasCores : action !== 'Bathe' || !bathed)),
    ...(due ? (['Put off'] as const) : []),
  ];
}

function namesOf(casts: readonly CastView[]): string {
  const names = new Set(casts.map(({ snapshot }) => snapshot.mouldName));
  const codes = casts.map(({ code }) => code).join(', ');
  return names.size > 1 ? `${casts.length} casts: ${codes}` : `${defined(casts[0]).snapshot.mouldName} ${codes}`;
}

/** The sheet on which something is done to like casts. */
export function CastActions({
  casts,
  task,
  due,
  putOff = false,
  onClose,
}: {
  casts: readonly CastView[];
  task?: CastAction | undefined;
  due?: Due | undefined;
  putOff?: boolean | undefined;
  onClose: () => void;
}) {
  const possible = actionsFor(casts, due);
  const [chosen, setChosen] = useState<CastAction | undefined>(putOff ? 'Put off' : (task ?? possible[0]));
  const [at, setAt] = useState<number>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const [sent, setSent] = useState<Sent>();
  const record = useRecord();
  const send = (what: Sent) => {
    setBusy(true);
    setError(undefined);
    setSent(what);
    record(what.said, what.happened)
      .then(onClose, setError)
      .finally(() => setBusy(false));
  };
  // Each keeps its key, so that what was taken before a question is not taken twice once that is answered.
  const submit: ActionProps['record'] = (said, happened) =>
    send({
      said,
      happened: happened.map(({ cast, event }) => ({
        cast,
        event: { ...event, id: uuid(), ...(at !== undefined && { at }) },
      })),
    });
  return (
    <Dialog title={namesOf(casts)} onClose={onClose}>
      {possible.length > 1 && (
        <div role="tablist" className="mb-4 flex flex-wrap gap-1.5">
          {possible.map((one) => (
            <Button
              key={one}
              role="tab"
              aria-selected={one === chosen}
              look={one === chosen ? 'strong' : 'soft'}
              onClick={() => setChosen(one)}
            >
              {one}
            </Button>
          ))}
        </div>
      )}
      {chosen && forms[chosen]({ casts, due, busy, record: submit })}
      <div className="border-base-300 mt-4 border-t pt-2">
        <WhenField value={at} earliest={Math.max(...casts.map(({ life }) => life.pouredAt))} onChange={setAt} />
      </div>
      <Failure error={error} />
      {sent && <SecondChance error={error} sent={sent} busy={busy} onSend={send} />}
    </Dialog>
  );
}
