import { InputError, msg } from '../../foundation/units/index.js';
import { isBinder, type Material } from '../materials/index.js';
import type { Portion } from '../mixes/index.js';
import type { Spectrum } from './bands.js';
import { absorptionOf, reflectanceOf } from './colouring.js';
import { spectrumOf } from './spectrum.js';

/** How much of a grain's volume is seen against the paste that wraps it; the coarser, the more it lies behind paste. */
const GRAIN_SHOWS = 0.12;

/** What of a material's volume colours a face: all of a binder, little of grains under their skin of paste. */
const shows = ({ kind, largestGrain }: Material) =>
  isBinder({ kind } as Material) || kind === 'binder-part' ? 1 : GRAIN_SHOWS / (1 + largestGrain);

/**
 * Reflectance of a base as it cures and dries without pigment: mean K/S of its materials' colours, weighed by the room
 * they take and by what of it shows. A rule of thumb until a chip of the base itself was measured.
 * @throws InputError where no binder among them has a colour
 */
export function baseOf(portions: readonly Portion[]): Spectrum {
  const seen = portions.filter(({ material: { colour } }) => colour !== undefined);
  const binder = portions.find(({ material }) => isBinder(material));
  if (!binder || !seen.some(({ material }) => isBinder(material)))
    throw new InputError([
      {
        field: 'base',
        value: binder?.material.name ?? null,
        message: binder
          ? msg('tints.colourUnknown', { material: binder.material.name })
          : msg('tints.baseWithoutBinder'),
        remedy: binder ? msg('tints.enterColour') : msg('tints.chooseCement'),
      },
    ]);
  const weights = seen.map(({ material, mass }) => (mass / material.particle) * shows(material));
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const spectra = seen.map(({ material }) => spectrumOf(material.colour!));
  return spectra[0]!.map((_, band) =>
    reflectanceOf(spectra.reduce((sum, one, i) => sum + absorptionOf(one[band]!) * weights[i]!, 0) / whole),
  );
}
