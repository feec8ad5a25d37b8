import type { ScaleEventInput, ScaleView } from '@dewpot/contract';
import { queryOptions } from '@tanstack/react-query';
import { ask } from './client';
import { useWrite } from './writes';

export const scaleQuery = queryOptions({
  queryKey: ['scale'],
  queryFn: ({ signal }) => ask<ScaleView>('GET', 'scale', undefined, signal),
});
/** Pours on and off the simulated scale, tares it, or cuts its link. */
export const useScaleEvent = () =>
  useWrite((eventBody: ScaleEventInput) => ask<ScaleView>('POST', 'scale', eventBody), 'scale');
