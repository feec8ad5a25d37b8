import type { MixView, TileView } from '@dewpot/contract';
import type { MixEntity, TrialTileEntity } from './mixes.entities.js';

/** `used`: this version was poured. */
export const mixView = ({ id, version, name, body, revision }: MixEntity, used: boolean): MixView => ({
  id,
  version,
  name,
  ...body,
  revision,
  used,
});

export const tileView = ({ id, mixId, body }: TrialTileEntity): TileView => ({ id, mixId, ...body });
