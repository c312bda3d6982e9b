import type { RepeatsAnswer } from '@clay-pot/contracts';
import { keyOfThing, type MeasuredThing, type Reading, repeatsOf } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { request } from '../api/request.js';

/** Tells a coach’s own repeats of a thing: pooled over everybody who was measured; before the server has answered, of these readings alone. */
export function useRepeats(readings: readonly Reading[]): (thing: MeasuredThing) => readonly (readonly number[])[] {
  const { data } = useQuery({ queryKey: ['repeats'], queryFn: () => request<RepeatsAnswer[]>('/repeats') });
  return useCallback(
    (thing: MeasuredThing) => {
      const key = keyOfThing(thing);
      return data?.find((each) => keyOfThing(each) === key)?.sets ?? repeatsOf(readings, thing);
    },
    [data, readings],
  );
}
