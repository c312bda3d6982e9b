import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { type Intake, newIntake, recordAfterIntake, type Screening } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { showIntake } from '../api/queries.js';
import { isoToday } from '../ui/today.js';
import { accountStorage, perAccount } from './device-storage.js';
import { useOutbox } from './outbox.js';
import { keepStop } from './own-stops.js';

/** Answers that are not recorded yet: a reload, a closed lid or a phone call in between loses none. */
export interface IntakeDraft {
  /** Under which they will be recorded, once. */
  readonly id: string;
  readonly answers: Intake;
  /** The step that was reached. */
  readonly step: number;
}

interface Drafts {
  readonly drafts: Readonly<Record<string, IntakeDraft>>;
}

/** Unfinished answers by athlete. */
export const useIntakeDrafts = perAccount(
  create<Drafts>()(persist((): Drafts => ({ drafts: {} }), { name: 'intakes', storage: createJSONStorage(() => accountStorage) })),
);

const put = (athleteId: string, draft: IntakeDraft) =>
  useIntakeDrafts.setState(({ drafts }) => ({ drafts: { ...drafts, [athleteId]: draft } }));

/** Begins, with what is on record and what was answered before; goes on where answers are unfinished. */
export function beginIntake(athlete: Athlete, last: Intake | null): void {
  if (useIntakeDrafts.getState().drafts[athlete.id]) return;
  put(athlete.id, { id: uuid(), answers: newIntake(athlete, last, isoToday()), step: 0 });
}

/** Answers something. */
export function answer(athleteId: string, change: Partial<Intake>): void {
  const draft = useIntakeDrafts.getState().drafts[athleteId];
  if (draft) put(athleteId, { ...draft, answers: { ...draft.answers, ...change } });
}

/** Goes to a step. */
export function goToStep(athleteId: string, step: number): void {
  const draft = useIntakeDrafts.getState().drafts[athleteId];
  if (draft) put(athleteId, { ...draft, step });
}

/**
 * Records the answers of today: on their way at once, and from this moment on in the record as this device shows it, with a network or without.
 * @param newest of the answers that this device knows of: what another device recorded since is not overruled
 */
export function keepIntake(athlete: Athlete, screening: Screening, newest: Pick<StoredIntake, 'id' | 'answers'> | null): void {
  const draft = useIntakeDrafts.getState().drafts[athlete.id];
  if (!draft) return;
  const answers = { ...draft.answers, onDay: isoToday() };
  useOutbox.getState().add({ path: `/athletes/${athlete.id}/intakes/${draft.id}`, body: answers });
  showIntake(
    { id: draft.id, answers, verdict: screening.verdict },
    recordAfterIntake(athlete, { id: draft.id, answers }, screening.cautions, newest && { id: newest.id, onDay: newest.answers.onDay }),
  );
  for (const caution of screening.cautions.filter(({ stopped }) => stopped)) keepStop(athlete.id, caution);
  dropIntake(athlete.id);
}

/** Forgets answers that were recorded, or that are not wanted. @returns puts them back */
export function dropIntake(athleteId: string): () => void {
  const { [athleteId]: removed, ...drafts } = useIntakeDrafts.getState().drafts;
  useIntakeDrafts.setState({ drafts });
  return () => removed && useIntakeDrafts.setState((state) => ({ drafts: { ...state.drafts, [athleteId]: removed } }));
}
