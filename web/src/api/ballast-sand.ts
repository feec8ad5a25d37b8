import { useMemo } from 'react';
import { finderOf } from '@dewpot/core/materials';
import { ballastSandOf } from '@dewpot/core/planning';
import { useQuery } from '@tanstack/react-query';
import { useSession } from './session';
import { storeQuery } from './materials';

/** The sand that the workshop weighs its cores down with, where one is chosen. */
export function useBallastSand(): ReturnType<typeof ballastSandOf> {
  const { workshop } = useSession();
  const materials = useQuery(storeQuery).data?.materials;
  return useMemo(() => ballastSandOf(workshop, finderOf(materials ?? [])), [workshop, materials]);
}
