import { useState } from 'react';
import { type Phrase, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { taskWords, type CastTask, type Due, type Stage } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Failure } from '../ui/states';
import { WhenField } from '../ui/when-field';
import { UnclampForm, FittingsForm } from '../assembly';
import { CheckForm, TestForm, CoatForm, DecorateForm, WeighForm } from '../sealing';
import { RecordConditionForm, InspectForm, FinishForm } from '../care';
import {
  DemouldForm,
  SoakForm,
  EndSoakForm,
  CoverForm,
  MoveForm,
  TrimForm,
  RemoveCoreForm,
  EndMoistCuringForm,
  WetForm,
} from '../curing';
import { LookOverForm } from '../findings';
import { PostponeForm } from './postpone-form';
import { SecondChance, type Sent } from './second-chance';
import type { ActionProps } from '../ui/casts/action-props';
import { useRecord } from '../ui/casts/use-record';
import { useSay } from '../ui/say';

/** What can be done to a cast: the tasks of today, and what is done between them. */
export type CastAction =
  CastTask | 'postpone' | 'soak' | 'trim' | 'decorate' | 'add-fittings' | 'move' | 'inspect' | 'look-over';

const actionsIn: Record<Stage, readonly CastAction[]> = {
  setting: ['demould', 'remove-core', 'wet', 'cover', 'move', 'inspect'],
  curing: ['wet', 'cover', 'end-moist-curing', 'soak', 'trim', 'weigh', 'move', 'look-over', 'inspect'],
  drying: [
    'weigh',
    'moisture-test',
    'coat',
    'trim',
    'decorate',
    'soak',
    'wet',
    'add-fittings',
    'finish',
    'move',
    'look-over',
    'inspect',
  ],
  sealed: [
    'coat',
    'seal-test',
    'add-fittings',
    'finish',
    'decorate',
    'weigh',
    'wet',
    'trim',
    'move',
    'look-over',
    'inspect',
  ],
  joined: ['look-over'],
  finished: ['record-condition', 'reseal', 'seal-test', 'look-over', 'inspect'],
  broken: ['look-over'],
};

const actionWords: Record<CastAction, Phrase> = {
  ...taskWords,
  postpone: msg('casts.postpone'),
  soak: msg('casts.soak'),
  trim: msg('casts.trimSand'),
  decorate: msg('casts.decorate'),
  'add-fittings': msg('casts.addFittings'),
  move: msg('casts.move'),
  inspect: msg('casts.inspect'),
  'look-over': msg('casts.lookOver'),
};

const forms: Record<CastAction, (props: ActionProps) => React.ReactNode> = {
  demould: (props) => <DemouldForm {...props} />,
  'remove-core': (props) => <RemoveCoreForm {...props} />,
  cover: (props) => <CoverForm {...props} />,
  wet: (props) => <WetForm {...props} />,
  'end-soak': (props) => <EndSoakForm {...props} />,
  soak: (props) => <SoakForm {...props} />,
  trim: (props) => <TrimForm {...props} />,
  move: (props) => <MoveForm {...props} />,
  postpone: (props) => <PostponeForm {...props} />,
  'end-moist-curing': (props) => <EndMoistCuringForm {...props} />,
  weigh: (props) => <WeighForm {...props} />,
  coat: (props) => <CoatForm {...props} />,
  unclamp: (props) => <UnclampForm {...props} />,
  'moisture-test': (props) => <TestForm {...props} />,
  'seal-test': (props) => <CheckForm {...props} />,
  decorate: (props) => <DecorateForm {...props} />,
  'add-fittings': (props) => <FittingsForm {...props} />,
  finish: (props) => <FinishForm {...props} />,
  'record-condition': (props) => <RecordConditionForm {...props} />,
  reseal: (props) => <CoatForm {...props} />,
  inspect: (props) => <InspectForm {...props} />,
  'look-over': (props) => <LookOverForm {...props} />,
};

/** What can be done to these casts: to unlike ones only what fits them all. */
function actionsFor(casts: readonly CastView[], due: Due | undefined): CastAction[] {
  // An article in its clamps is no casting in its mould.
  if (casts.some(({ stage, life }) => stage === 'setting' && life.joint))
    return ['unclamp', ...(due ? (['postpone'] as const) : [])];
  const stages = [...new Set(casts.map(({ stage }) => stage))];
  const shared = actionsIn[defined(stages[0])].filter((action) =>
    stages.every((stage) => actionsIn[stage].includes(action)),
  );
  const hasCores = casts.some(({ dues }) => dues.some(({ task }) => task === 'remove-core'));
  const bathed = casts.some(({ life }) => life.soak);
  return [
    ...(bathed ? (['end-soak'] as const) : []),
    ...shared.filter((action) => (action === 'remove-core' ? hasCores : action !== 'soak' || !bathed)),
    ...(due ? (['postpone'] as const) : []),
  ];
}

function namesOf(casts: readonly CastView[]): Phrase {
  const names = new Set(casts.map(({ snapshot }) => snapshot.mouldName));
  const codes = casts.map(({ code }) => code).join(', ');
  return names.size > 1
    ? msg('casts.castsTitled', { casts: casts.length, codes })
    : `${defined(casts[0]).snapshot.mouldName} ${codes}`;
}

/** The sheet on which something is done to like casts. */
export function CastActions({
  casts,
  task,
  due,
  postpone = false,
  onClose,
}: {
  casts: readonly CastView[];
  task?: CastAction | undefined;
  due?: Due | undefined;
  postpone?: boolean | undefined;
  onClose: () => void;
}) {
  const say = useSay();
  const possible = actionsFor(casts, due);
  const [chosen, setChosen] = useState<CastAction | undefined>(postpone ? 'postpone' : (task ?? possible[0]));
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
      happened: happened.map(({ cast, event, ...more }) => ({
        ...more,
        cast,
        event: { ...event, id: uuid(), ...(at !== undefined && { at }) },
      })),
    });
  return (
    <Dialog title={say.value(namesOf(casts))} onClose={onClose}>
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
              {say.value(actionWords[one])}
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
