import type { TermId } from '@clay-pot/core';
import { create } from 'zustand';

/** A number that is asked about. */
export interface Question {
  readonly term: TermId;
  /** The number, where it is one. */
  readonly value: number | undefined;
  /** What the answer stands beside. */
  readonly beside: HTMLElement;
}

/** What is asked about now; one question at a time. */
export const useQuestion = create<{ readonly question: Question | null }>()(() => ({ question: null }));
