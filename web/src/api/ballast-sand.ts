import { useMemo } from 'react';
import { ballastSandOf, finderOf } from '@dewpot/core';
import { useQuery } from '@tanstack/react-query';
import { useSession } from './session';
import { storeQuery } from './materials';

/** The sand that the workshop weighs its cores down with, where one is chosen. */
export function useBallastSand(): ReturnType<typeof ballastSandOf> {
  const { workshop } = useSession();
  const materials = useQuery(storeQuery).data?.materials;
  return useMemo(() => ballastSandOf(workshop, finderOf(materials ?? [])), [workshop, materials]);
}
