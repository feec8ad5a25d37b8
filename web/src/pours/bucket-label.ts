import { defined } from '@dewpot/core/math';
import type { Speaker } from '@dewpot/locales';
import type { PourPart } from '@dewpot/core/planning';
import type { CalculatedPart } from '@dewpot/core/pours';

/** What a bucket of a pour is called: by its tint, by its mix where there are several, and by its number. */
export function bucketLabel(
  parts: readonly (PourPart & CalculatedPart)[],
  part: number,
  bucket: number,
  say: Speaker,
): string {
  const { mixName, sheet } = defined(parts[part]);
  const tint = sheet.bucketfuls[bucket]?.tint?.name;
  const name = tint ?? (parts.length > 1 ? mixName : undefined);
  const several = sheet.bucketfuls.length > 1;
  if (!name) return say('pours.bucketName', { at: bucket + 1 });
  return several ? say('pours.bucketNamed', { name, at: bucket + 1 }) : say.value(name);
}
