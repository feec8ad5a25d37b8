import { Checker, msg, type Message } from '../../foundation/units/index.js';
import type { CalculatedPart } from '../pours/index.js';
import { bucketKey } from './run-state.js';
import type { RunEventBody } from './run.js';
import type { Step } from './steps.js';

/** Refuses an event that this pour cannot have, naming the field. @throws InputError */
export function checkRunEvent(told: RunEventBody, parts: readonly CalculatedPart[], steps: readonly Step[]): void {
  const check = new Checker();
  const known = (field: 'step' | 'bucket' | 'mould' | 'material', value: string, there: boolean, remedy: Message) =>
    check.expect(there, field, value, msg('bench.notInPour', { field, value }), remedy);
  if ('step' in told) {
    const there = steps.some(({ key }) => key === told.step);
    known('step', told.step, there, msg('bench.readPourAgain'));
  }
  if ('bucket' in told) {
    const there = parts.some(({ sheet }, part) =>
      sheet.bucketfuls.some(({ at }) => bucketKey(part, at) === told.bucket),
    );
    known('bucket', told.bucket, there, msg('bench.sendBucket'));
  }
  if ('mould' in told) {
    const there = steps.some(({ moulds }) => moulds.some(({ key }) => key === told.mould));
    known('mould', told.mould, there, msg('bench.sendMould'));
  }
  if ('material' in told) {
    const materials = parts.flatMap(({ plan: { mix } }) => [...mix.lines, ...(mix.doses ?? [])]);
    const there = materials.some(({ material }) => material.id === told.material);
    known('material', told.material, there, msg('bench.sendMaterial'));
  }
  check.done();
}
