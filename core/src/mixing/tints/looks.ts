import type { Spectrum } from './bands.js';
import { wetReflectance } from './wet-look.js';

/** How a face is looked at. */
export type Look = 'fresh' | 'dry' | 'wet' | 'film' | 'matt' | 'penetrating';

export const lookNames: Record<Look, string> = {
  fresh: 'fresh in the bucket',
  dry: 'cured and dry',
  wet: 'wet by rain',
  film: 'under a film sealer',
  matt: 'under a matt film',
  penetrating: 'with a penetrating sealer',
};

/** Share of the wet step in reflectance that each look takes. */
const steps: Record<Look, number> = { fresh: 1, dry: 0, wet: 1, film: 0.7, matt: 0.4, penetrating: 0.1 };

/** Reflectance of a cured, dry face as it looks otherwise, band by band. */
export const lookOf = (dry: Spectrum, look: Look): Spectrum =>
  dry.map((r) => r + (wetReflectance(r) - r) * steps[look]);
