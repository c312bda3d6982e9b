import { pooledRepeats, type MeasuredThing, type Reading, type Repeats } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { request } from '../../api/request.js';

/** Tells a coach’s own repeats of a thing: pooled over everybody who was measured; before the server has answered, of these readings alone. */
export function useRepeats(readings: readonly Reading[]): (thing: MeasuredThing) => Repeats['sets'] {
  const { data } = useQuery({ queryKey: ['repeats'], queryFn: () => request<Repeats[]>('/repeats') });
  return useCallback((thing: MeasuredThing) => pooledRepeats(data, readings, thing), [data, readings]);
}
