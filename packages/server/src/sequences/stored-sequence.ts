import type { Sequence } from '@clay-pot/core';
import { asStoredSequence, readStoredSequence } from '@clay-pot/core/exchange';
import { shippedMovement } from '@clay-pot/core/library';
import type { ValueTransformer } from 'typeorm';

/** Sequence documents in rows: whatever version a row was written by, it is read as one of today, and stays as it is until somebody stores it anew. */
export const STORED_SEQUENCE: ValueTransformer = {
  to: asStoredSequence,
  from: (stored: Sequence) => readStoredSequence(stored, shippedMovement),
};
