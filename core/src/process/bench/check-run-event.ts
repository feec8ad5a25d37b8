import { Checker } from '../../foundation/units/index.js';
import type { CalculatedPart } from '../pours/index.js';
import { bucketKey } from './run-state.js';
import type { RunEventBody } from './run.js';
import type { Step } from './steps.js';

/** Refuses an event that this pour cannot have, naming the field. @throws InputError */
export function checkRunEvent(told: RunEventBody, parts: readonly CalculatedPart[], steps: readonly Step[]): void {
  const check = new Checker();
  const known = (field: 'step' | 'bucket' | 'mould' | 'material', value: string, there: boolean, remedy: string) =>
    check.expect(there, field, value, `This pour has no ${field} “${value}”.`, remedy);
  if ('step' in told) {
    const there = steps.some(({ key }) => key === told.step);
    known('step', told.step, there, 'Read the pour again: its plan may have changed.');
  }
  if ('bucket' in told) {
    const there = parts.some(({ sheet }, part) =>
      sheet.bucketfuls.some(({ at }) => bucketKey(part, at) === told.bucket),
    );
    known('bucket', told.bucket, there, 'Send a bucket as part.bucket, both from 0.');
  }
  if ('mould' in told) {
    const there = steps.some(({ moulds }) => moulds.some(({ key }) => key === told.mould));
    known('mould', told.mould, there, 'Send a mould as part.item.copy, all from 0.');
  }
  if ('material' in told) {
    const materials = parts.flatMap(({ plan: { mix } }) => [...mix.lines, ...(mix.doses ?? [])]);
    const there = materials.some(({ material }) => material.id === told.material);
    known('material', told.material, there, 'Send one that its mix holds.');
  }
  check.done();
}
