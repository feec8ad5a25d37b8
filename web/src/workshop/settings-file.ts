import type { WorkshopSettings } from '@dewpot/contract';
import { readThingFile, thingFile, type NotRead } from '../ui/thing-file';

/** The format in which settings go out and come in. */
const SETTINGS = { format: 'dew-pot-settings', version: 1, holds: 'settings', most: 64_000 };

/** What another workshop may take over: all but the name, and what stands for things that are of one workshop alone. */
function shared({ name: _, version: __, ballastSandId: ___, setUp: ____, ...settings }: WorkshopSettings) {
  return settings;
}
export type SharedSettings = ReturnType<typeof shared>;

export const settingsFile = (settings: WorkshopSettings): string => thingFile(SETTINGS, shared(settings));

/** The settings in a file. What each may be is judged where they are saved. */
export async function readSettingsFile(file: Blob): Promise<SharedSettings | NotRead> {
  const read = await readThingFile(file, SETTINGS);
  return typeof read === 'string' ? read : shared(read as WorkshopSettings);
}

/** How many of the settings in a file differ from those that are. */
export const differing = (read: SharedSettings, now: WorkshopSettings): number => {
  const before = shared(now) as Readonly<Record<string, unknown>>;
  return Object.entries(read).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(before[key])).length;
};
