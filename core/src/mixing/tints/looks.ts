import { msg, type Message } from '../../foundation/units/index.js';
import type { Spectrum } from './bands.js';
import { wetReflectance } from './wet-look.js';

/** How a face is looked at. */
export type Look = 'fresh' | 'dry' | 'wet' | 'film' | 'matt' | 'penetrating';

export const lookNames: Record<Look, Message> = {
  fresh: msg('tints.lookFresh'),
  dry: msg('tints.lookDry'),
  wet: msg('tints.lookWet'),
  film: msg('tints.lookFilm'),
  matt: msg('tints.lookMatt'),
  penetrating: msg('tints.lookPenetrating'),
};

/** Share of the wet step in reflectance that each look takes. */
const steps: Record<Look, number> = { fresh: 1, dry: 0, wet: 1, film: 0.7, matt: 0.4, penetrating: 0.1 };

/** Reflectance of a cured, dry face as it looks otherwise, band by band. */
export const lookOf = (dry: Spectrum, look: Look): Spectrum =>
  dry.map((r) => r + (wetReflectance(r) - r) * steps[look]);
