import { TrialInput } from '@dewpot/contract';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { readThingFile, thingFile, type NotRead } from '../ui/thing-file';

/** The format in which a trial goes out and comes in. */
const TRIAL = { format: 'dew-pot-trial', version: 1, holds: 'trial', most: 16_000 };

/** A trial as it is planned. What it is tried on is of one workshop alone. */
export type SharedTrial = Omit<TrialInput, 'version' | 'mouldId' | 'mixId'>;

const shared = ({ name, kind, a, b, watched, worse, better }: SharedTrial): SharedTrial => ({
  ...{ name, kind, a, b, worse, better },
  ...(watched !== undefined && { watched }),
});

/** A trial's plan, to be tried elsewhere too. */
export const trialFile = (trial: SharedTrial): string => thingFile(TRIAL, shared(trial));

/** The plan in a file, or why it is not read. */
export async function readTrialFile(file: Blob): Promise<SharedTrial | NotRead> {
  const read = await readThingFile(file, TRIAL);
  if (typeof read === 'string') return read;
  const plan = shared(read as SharedTrial);
  return validateSync(plainToInstance(TrialInput, { ...plan, version: 0 })).length > 0 ? 'none' : plan;
}
