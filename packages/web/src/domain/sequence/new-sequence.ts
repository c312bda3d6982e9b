import { type Sequence, USUAL_PACING } from '@clay-pot/core';
import { useCallback } from 'react';
import { v7 as uuid } from 'uuid';
import { useCreateSequence } from '../../api/queries.js';

const USUAL_BUDGET_MIN = 20;

/** Makes an empty sequence (or a copy of a document) and tells its id. */
export function useNewSequence(): (title: string, from?: Sequence) => Promise<string> {
  const { mutateAsync } = useCreateSequence();
  return useCallback(
    async (title, from) => {
      const id = uuid();
      const blank: Sequence = { title, purpose: '', budgetMin: USUAL_BUDGET_MIN, pacing: USUAL_PACING, blocks: [] };
      await mutateAsync({ id, document: from ? { ...from, title } : blank });
      return id;
    },
    [mutateAsync],
  );
}
