import { useMemo } from 'react';
import { InputError } from '@dewpot/core/units';
import { calculateMix, largestGrain } from '@dewpot/core/mixes';
import type { MaterialView, MixView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { storeQuery } from '../api/materials';
import { mixesQuery } from '../api/mixes';
import { resolveMix } from '../mixes';

/** What a mould's figures want to know of the mix that goes into it. */
export interface MixOfMould {
  readonly density: number;
  readonly dryDensity: number;
  readonly largestGrain: number;
}

function densitiesOf(mix: MixView, materials: readonly MaterialView[]): MixOfMould | undefined {
  try {
    const resolved = resolveMix(mix, materials);
    const { freshDensity, dryDensity } = calculateMix(resolved, { moistCuringDays: mix.moistCuringDays });
    return { density: freshDensity.value, dryDensity: dryDensity.value, largestGrain: largestGrain(resolved) };
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** The workshop's mixes by name, and what is wanted of the one that was chosen. */
export function useMixOfMould(chosen: string | undefined) {
  const mixes = useQuery(mixesQuery).data;
  const materials = useQuery(storeQuery).data?.materials;
  const mix = mixes?.find(({ id }) => id === chosen);
  const known = useMemo(() => (mix && materials ? densitiesOf(mix, materials) : undefined), [mix, materials]);
  return { mixes: mixes ?? [], view: mix, mix: known };
}
