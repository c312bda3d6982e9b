import type { Sequence } from '@clay-pot/core';
import { asStoredSequence, readStoredSequence } from '@clay-pot/core/exchange';
import { shippedMovement } from '@clay-pot/core/library';
import type { ValueTransformer } from 'typeorm';

/** Sequence documents in rows: a row of any version is read as one of today, and stays as it is until somebody saves it again. */
export const STORED_SEQUENCE: ValueTransformer = {
  to: asStoredSequence,
  from: (stored: Sequence) => readStoredSequence(stored, shippedMovement),
};
