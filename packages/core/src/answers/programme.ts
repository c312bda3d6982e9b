import type { Person } from '../mechanics/capacity.js';
import type { Method } from '../model/method.js';
import type { Programme, WeekKind } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import type { DayLoad, DoneDay, SessionState } from '../programme/done-days.js';
import { evaluateProgramme, type ProgrammeView } from '../programme/evaluate.js';
import type { ProgrammeFinding } from '../programme/finding.js';
import type { ProgrammeQuestion } from '../programme/seen.js';
import type { MuscleGroup, SideGroup } from '../vocabulary/muscles.js';
import { type OwnShelf, shelfOf } from './own-shelf.js';

/** What a session of a programme comes to. */
export interface EvaluatedSession {
  id: string;
  day: string;
  planId: string;
  title: string | null;
  state: SessionState;
  durationMs: number;
  loads: boolean;
  doses: Partial<Record<SideGroup, number>>;
  /** Groups that work hard for so long that the next such session is spaced. */
  hard: SideGroup[];
}

/** Weeks of a programme with their loads, and what the rules say. */
export interface EvaluateAnswer {
  weeks: {
    monday: string;
    kind: WeekKind;
    amountPercent: number;
    durationMs: number;
    /** Of both hands together, in holds to failure. */
    doses: Partial<Record<MuscleGroup, number>>;
    sessions: EvaluatedSession[];
  }[];
  findings: ProgrammeFinding[];
}

/** Everything that evaluating takes, as plain data: for a thread of its own. */
export interface EvaluateWork extends OwnShelf {
  readonly programme: Programme;
  readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  readonly person: Person;
  readonly method: Method;
  readonly athlete: ProgrammeQuestion['athlete'];
  readonly past: readonly DayLoad[];
  readonly done: readonly DoneDay[];
  readonly today: string;
}

/** Computes a programme away from the event loop. */
export function answerEvaluate({ own, removedIds, sequences, ...work }: EvaluateWork): EvaluateAnswer {
  return answerOf(evaluateProgramme({ ...work, sequences: new Map(sequences), ...shelfOf({ own, removedIds }) }));
}

function answerOf({ weeks, findings }: ProgrammeView): EvaluateAnswer {
  return {
    weeks: weeks.map(({ monday, kind, amountPercent, durationMs, doses, sessions }) => ({
      ...{ monday, kind, amountPercent, durationMs, doses },
      sessions: sessions.map(({ id, day: on, planId, state, sequence, load }) => ({
        ...{ id, day: on, planId, state },
        title: sequence?.title ?? null,
        durationMs: load?.durationMs ?? 0,
        loads: load?.isLoading ?? false,
        doses: load?.doses ?? {},
        hard: [...(load?.hard ?? [])],
      })),
    })),
    findings: [...findings],
  };
}
