import { Checker } from '../../foundation/units/index.js';
import type { CalculatedPart } from '../pours/index.js';
import { bucketKey } from './run-state.js';
import type { RunEventBody, RunEventKind } from './run.js';
import type { Step } from './steps.js';

/** What was told of an event, whatever its kind. */
export type TellsEvent = { readonly kind: RunEventKind } & {
  readonly [Field in Exclude<AllKeys<RunEventBody>, 'kind'>]?: unknown;
};
type AllKeys<T> = T extends unknown ? keyof T : never;

/** Fields that each kind of event wants. */
const wants: Record<RunEventKind, readonly Exclude<AllKeys<RunEventBody>, 'kind'>[]> = {
  begin: ['step'],
  done: ['step'],
  weighed: ['bucket', 'material', 'mass'],
  water: ['bucket', 'mass'],
  grade: ['bucket', 'grade'],
  skip: ['mould'],
  leak: ['mould', 'volume'],
  more: ['bucket', 'share'],
  tried: ['step', 'went'],
  void: ['of'],
};

/** Refuses an event that this pour cannot have, naming the field; else the event with nothing but what its kind wants. @throws InputError */
export function checkRunEvent(
  told: TellsEvent,
  parts: readonly CalculatedPart[],
  steps: readonly Step[],
): RunEventBody {
  const check = new Checker();
  for (const field of wants[told.kind])
    check.expect(told[field] !== undefined, field, undefined, `“${told.kind}” wants its ${field}.`, `Send ${field}.`);
  const known = (field: 'step' | 'bucket' | 'mould' | 'material', there: boolean, remedy: string) =>
    check.expect(
      told[field] === undefined || there,
      field,
      told[field],
      `This pour has no ${field} “${String(told[field])}”.`,
      remedy,
    );
  const buckets = parts.flatMap(({ sheet }, part) => sheet.bucketfuls.map(({ at }) => bucketKey(part, at)));
  known(
    'step',
    steps.some(({ key }) => key === told.step),
    'Read the pour again: its plan may have changed.',
  );
  known('bucket', buckets.includes(told.bucket as string), 'Send a bucket as part.bucket, both from 0.');
  known(
    'mould',
    steps.some(({ moulds }) => moulds.some(({ key }) => key === told.mould)),
    'Send a mould as part.item.copy, all from 0.',
  );
  const materials = parts.flatMap(({ plan: { mix } }) => [...mix.lines, ...(mix.doses ?? [])]);
  known(
    'material',
    materials.some(({ material }) => material.id === told.material),
    'Send one that its mix holds.',
  );
  check.done();
  return Object.fromEntries([
    ['kind', told.kind],
    ...wants[told.kind].map((field) => [field, told[field]]),
  ]) as RunEventBody;
}
