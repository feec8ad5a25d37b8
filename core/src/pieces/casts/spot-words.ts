import { msg, type Message } from '../../foundation/units/index.js';
import type { Spot } from './events.js';

/** Where on a cast something is. */
export const spotWords: Record<Spot, Message> = {
  corner: msg('casts.spotCorner'),
  rim: msg('casts.spotRim'),
  base: msg('casts.spotBase'),
  'core-end': msg('casts.spotCoreEnd'),
  face: msg('casts.spotFace'),
};
