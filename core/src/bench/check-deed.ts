import { Checker } from '../units/index.js';
import type { ReckonedPart } from '../pours/index.js';
import type { RunDeed, RunDeedKind } from './run.js';
import { bucketKey } from './run-now.js';
import type { Step } from './steps.js';

/** What was told of a deed, whatever its kind. */
export type TellsDeed = { readonly kind: RunDeedKind } & {
  readonly [Field in Exclude<AllKeys<RunDeed>, 'kind'>]?: unknown;
};
type AllKeys<T> = T extends unknown ? keyof T : never;

/** Fields that each kind of deed wants. */
const wants: Record<RunDeedKind, readonly Exclude<AllKeys<RunDeed>, 'kind'>[]> = {
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

/** Refuses a deed that this pour cannot have, naming the field; else the deed with nothing but what its kind wants. @throws InputError */
export function checkDeed(told: TellsDeed, parts: readonly ReckonedPart[], steps: readonly Step[]): RunDeed {
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
  return Object.fromEntries([['kind', told.kind], ...wants[told.kind].map((field) => [field, told[field]])]) as RunDeed;
}
