import { InputError, requireNumber, msg } from '../../foundation/units/index.js';
import { inStore, type Lot, type Material } from '../materials/index.js';
import { goods, scaleMasses, type BatchMasses } from './batch.js';

/** Share of a bucket's brim that can be mixed in. */
export const BUCKET_SHARE = 2 / 3;

/** A batch of that fresh volume, mL. @throws InputError */
export function sizeToVolume(batch: BatchMasses, volume: number): BatchMasses {
  requireNumber('volume', volume, msg('mixes.volumeToMix'), { above: 0, max: 1e6, unit: 'mL' });
  return scaleMasses(batch, volume / batch.volume);
}

/** A batch that fills a bucket of that brim volume, mL, as far as one can mix in it. @throws InputError */
export function sizeToBucket(batch: BatchMasses, brim: number): BatchMasses {
  requireNumber('bucket', brim, msg('mixes.bucket'), { min: 500, max: 200000, unit: 'mL' });
  return sizeToVolume(batch, brim * BUCKET_SHARE);
}

/** A batch that uses up `mass` g of one material: so many whole bags of it, or what is left of a lot. @throws InputError */
export function sizeToMass(batch: BatchMasses, materialId: string, mass: number): BatchMasses {
  requireNumber('mass', mass, msg('mixes.massToUseUp'), { above: 0, max: 1e8, unit: 'g' });
  const own = goods(batch).find(({ material }) => material.id === materialId);
  if (!own)
    throw new InputError([
      {
        field: 'material',
        value: materialId,
        message: msg('mixes.notInMix'),
        remedy: msg('mixes.chooseItsMaterial'),
      },
    ]);
  return scaleMasses(batch, mass / own.mass);
}

/** The largest batch that the store allows, and the material that runs out first; undefined where one is not in store. */
export function largestFromStore(
  batch: BatchMasses,
  lots: readonly Lot[],
): { readonly batch: BatchMasses; readonly shortest: Material } | undefined {
  const reach = goods(batch).map(({ material, mass }) => ({ material, times: inStore(material.id, lots) / mass }));
  const shortest = reach.reduce((least, one) => (one.times < least.times ? one : least));
  return shortest.times > 0 ? { batch: scaleMasses(batch, shortest.times), shortest: shortest.material } : undefined;
}
