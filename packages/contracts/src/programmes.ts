import {
  type DayLoad,
  day,
  type DoneDay,
  evaluateProgramme,
  idOf,
  list,
  type Method,
  type Movement,
  type MuscleGroup,
  type Of,
  optional,
  type Person,
  PROGRAMME,
  PROGRAMME_LIMITS,
  type Programme,
  type ProgrammeFinding,
  type ProgrammeQuestion,
  type ProgrammeView,
  record,
  SEQUENCE,
  type Sequence,
  type SessionState,
  type SideGroup,
  text,
  type WeekKind,
} from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { WHOM_INPUT } from './mechanics.js';

/** Characters of a file: eight sequences of the longest, and four hundred sessions. */
const PROGRAMME_FILE_LENGTH = 900_000;

/** A programme as it is sent: whose, and the document. */
export const PROGRAMME_INPUT = record({ athleteId: idOf('an athlete'), document: PROGRAMME });
/** A programme as it is sent: whose, and the document. */
export type ProgrammeInput = Of<typeof PROGRAMME_INPUT>;

/** The text of a programme file, and for whom. */
export const PROGRAMME_FILE_INPUT = record({
  /** Id for the new programme, made by the sender. */
  id: idOf('a new programme'),
  athleteId: idOf('an athlete'),
  /** The whole text of the file. */
  text: text(PROGRAMME_FILE_LENGTH, 1),
});
/** The text of a programme file, and for whom. */
export type ProgrammeFileInput = Of<typeof PROGRAMME_FILE_INPUT>;

/** A programme as it is kept. */
export interface StoredProgramme {
  id: string;
  etag: string;
  updatedAt: string;
  removed: boolean;
  athleteId: string;
  athleteName: string;
  document: Programme;
}

/** A programme in a list. */
export interface ProgrammeListItem {
  id: string;
  title: string;
  athleteId: string;
  athleteName: string;
  fromDay: string;
  lastDay: string;
  /** The first session after today; null where none is left. */
  next: { day: string; sequenceId: string } | null;
  updatedAt: string;
}

/** For whom a programme is computed; the sequences of its plans are those of the studio, unless they are sent. */
export const EVALUATE_QUESTION = record({
  ...WHOM_INPUT,
  programme: PROGRAMME,
  sequences: optional(
    list(record({ planId: text(PROGRAMME_LIMITS.idLength, 1, 'Plan'), sequence: SEQUENCE }), {
      max: PROGRAMME_LIMITS.plans,
    }),
  ),
  /** The studio’s today when left out. */
  today: optional(day('Today')),
});
/** For whom a programme is computed, and from which day. */
export type EvaluateQuestion = Of<typeof EVALUATE_QUESTION>;

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
export interface EvaluateWork {
  readonly programme: Programme;
  readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  readonly own: readonly Movement[];
  readonly person: Person;
  readonly method: Method;
  readonly athlete: ProgrammeQuestion['athlete'];
  readonly past: readonly DayLoad[];
  readonly done: readonly DoneDay[];
  readonly today: string;
}

/** Computes a programme away from the event loop. */
export function answerEvaluate({ own, sequences, ...work }: EvaluateWork): EvaluateAnswer {
  const byId = new Map(own.map((movement) => [movement.id, movement]));
  const lookup = (id: string) => byId.get(id) ?? shippedMovement(id);
  return answerOf(evaluateProgramme({ ...work, sequences: new Map(sequences), lookup }));
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

/** The private address of an athlete’s calendar. */
export interface CalendarLink {
  /** Null where there is none. */
  madeAt: string | null;
  /** Told once, when it is made: only its hash is kept. */
  path: string | null;
}
