import type { PredictionsAnswer } from '@clay-pot/contracts';
import type { Prediction } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { request } from '../../api/request.js';

const KEPT_MS = 10 * 60_000;

/** Predictions for some athletes, one after the other: each takes a while. */
export function usePredictions(ids: readonly string[]) {
  const [done, setDone] = useState(0);
  const query = useQuery({
    queryKey: ['predictions', 'of', ids],
    enabled: ids.length > 0,
    staleTime: KEPT_MS,
    queryFn: async ({ signal }) => {
      const blocks: Prediction[] = [];
      for (const [index, id] of ids.entries()) {
        if (signal.aborted) break;
        setDone(index);
        blocks.push(...(await request<PredictionsAnswer>(`/athletes/${id}/predictions`)).blocks);
      }
      return blocks;
    },
  });
  return { ...query, done };
}
