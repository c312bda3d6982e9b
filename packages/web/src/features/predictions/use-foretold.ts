import type { ForetoldAnswer } from '@clay-pot/contracts';
import type { Foretold } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { request } from '../../api/request.js';

const KEPT_MS = 10 * 60_000;

/** What was foretold of some athletes, one after the other: each takes a while. */
export function useForetold(ids: readonly string[]) {
  const [done, setDone] = useState(0);
  const query = useQuery({
    queryKey: ['foretold', 'of', ids],
    enabled: ids.length > 0,
    staleTime: KEPT_MS,
    queryFn: async ({ signal }) => {
      const blocks: Foretold[] = [];
      for (const [index, id] of ids.entries()) {
        if (signal.aborted) break;
        setDone(index);
        blocks.push(...(await request<ForetoldAnswer>(`/athletes/${id}/foretold`)).blocks);
      }
      return blocks;
    },
  });
  return { ...query, done };
}
