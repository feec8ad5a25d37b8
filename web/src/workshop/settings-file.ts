import type { WorkshopSettings } from '@dewpot/contract';

/** Name and version of the format in which settings go out and come in. */
const FORMAT = 'dew-pot-settings';
const VERSION = 1;
/** A file of settings is no longer than this, bytes. */
const MOST_BYTES = 64_000;

/** What another workshop may take over: all but the name, and what stands for things that are of one workshop alone. */
function shared({ name: _, version: __, ballastSandId: ___, setUp: ____, ...settings }: WorkshopSettings) {
  return settings;
}
export type SharedSettings = ReturnType<typeof shared>;

export const settingsFile = (settings: WorkshopSettings): string =>
  `${JSON.stringify({ format: FORMAT, version: VERSION, settings: shared(settings) }, null, 2)}\n`;

/** Why a file is not read. */
export type NotRead = 'large' | 'none' | 'version';

/** The settings in a file. What each may be is judged where they are saved. */
export async function readSettingsFile(file: Blob): Promise<SharedSettings | NotRead> {
  if (file.size > MOST_BYTES) return 'large';
  let read: { format?: unknown; version?: unknown; settings?: WorkshopSettings } | null;
  try {
    read = JSON.parse(await file.text()) as typeof read;
  } catch {
    return 'none';
  }
  if (read?.format !== FORMAT || typeof read.settings !== 'object') return 'none';
  return read.version === VERSION ? shared(read.settings) : 'version';
}

/** How many of the settings in a file differ from those that are. */
export const differing = (read: SharedSettings, now: WorkshopSettings): number => {
  const before = shared(now) as Readonly<Record<string, unknown>>;
  return Object.entries(read).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(before[key])).length;
};
