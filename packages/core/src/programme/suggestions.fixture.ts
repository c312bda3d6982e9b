import { LIBRARY, METHODS, shippedMovement } from '../library/index.js';
import { mondayOf } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import type { Suggestion, SuggestionKind } from '../rules/suggestions/index.js';
import { person, write } from '../rules/checks/sessions.fixture.js';
import type { MorningScores } from '../rules/reports/morning.js';
import { adviseOnMorning } from '../rules/reports/morning.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { addDays } from '../vocabulary/days.js';
import type { Hand } from '../vocabulary/hands.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { athleteSuggestions, type AthleteSuggestionsQuestion, type ReportedSession } from './athlete-suggestions.js';
import type { StandingProgramme } from './coming.js';
import { programmeOf } from './programme.fixture.js';

export const TODAY = '2026-06-10';
export const SEQUENCE_ID = '00000000-0000-4000-8000-000000000001';

/** A squeeze, a palm support that is not on its lowest level, and free circles. */
export const planOf = (support = 'all-fours', dose = '2x15s rest40'): Sequence =>
  write([
    ['prepare', 'free.wrist-circles', 'free-fist', '1x10'],
    ['strength', 'grip.ball-squeeze', 'soft', '2x8 @40% 3s L,R'],
    ['skill', 'bearing.palm-support', support, dose],
  ]);
export const SUPPORT = 'bearing.palm-support';

/** How a session went, in short. */
export interface Went {
  readonly daysAgo: number;
  readonly plan?: Sequence;
  readonly discomfort?: number;
  /** Of the support alone. */
  readonly supportHurts?: number;
  readonly exertion?: number;
  readonly mornings?: MorningScores | null;
  readonly numb?: Hand;
  /** Faults of form in the support, of the left hand. */
  readonly supportFaults?: readonly string[];
  /** Share of the sets that were done. */
  readonly share?: number;
}

/** Sessions in order, oldest first. */
export function led(all: readonly Went[]): ReportedSession[] {
  let before: MorningScores | null = null;
  return all.map((went, index) => {
    const {
      daysAgo,
      plan = planOf(),
      discomfort = 1,
      supportHurts = discomfort,
      exertion = 5,
      mornings = null,
      numb,
      supportFaults = [],
      share = 1,
    } = went;
    const day = addDays(TODAY, -daysAgo);
    const stints = compileTimeline(plan, shippedMovement).stints;
    const at = `${day}T10:20:00.000Z`;
    const advice = (hand: Hand) => (mornings ? adviseOnMorning({ ...mornings, ...(numb && { numb }) }, before, hand).advice : null);
    const session: ReportedSession = {
      id: `s${index + 1}`,
      sequenceId: SEQUENCE_ID,
      startedAt: `${day}T10:00:00.000Z`,
      endedAt: at,
      onDay: day,
      plan,
      sets: stints
        .slice(0, Math.ceil(stints.length * share))
        .map(({ blockId, round, set, side, direction, unit, plannedAmount }, number) => ({
          id: `${index} ${number}`,
          ...{ blockId, round, set, side, direction, unit, plannedAmount },
          doneAmount: plannedAmount,
        })),
      reports: plan.blocks.map(({ id, movementId }) => ({
        blockId: id,
        discomfort: movementId === SUPPORT ? supportHurts : discomfort,
        exertion,
        at,
      })),
      complaints: [],
      form: plan.blocks
        .filter(({ movementId }) => movementId === SUPPORT)
        .flatMap(({ id }) => supportFaults.map((fault) => ({ blockId: id, hand: 'left' as const, fault, seen: true, at }))),
      mornings: { left: advice('left'), right: advice('right') },
      ending: share < 1 ? 'ended early' : 'completed',
      completion: share,
      maxDiscomfort: Math.max(discomfort, supportHurts),
      exertion,
      discomfortPolicy: 'mild',
      scores: mornings,
    };
    before = mornings ?? before;
    return session;
  });
}

/** A programme in which the plan comes next in some days. */
export const nextIn = (days: number, plan = planOf(), rise?: { steps: number; each: 'session' }): StandingProgramme => {
  const fromDay = mondayOf(addDays(TODAY, -21));
  const sessions = [-14, -8, -5, -4, -2, -1, days, days + 3].map((offset, index) => ({
    id: `s${index + 1}`,
    day: addDays(TODAY, offset),
    planId: 'hard',
  }));
  const programme = programmeOf(sessions, {
    fromDay,
    plans: [{ id: 'hard', sequenceId: SEQUENCE_ID, ...(rise && { rise }) }],
  });
  return { id: 'p1', programme, sequences: new Map([['hard', plan]]) };
};

/** A question about who went through these sessions. */
export const asking = (all: readonly Went[], more: Partial<AthleteSuggestionsQuestion> = {}): AthleteSuggestionsQuestion => ({
  sessions: led(all),
  programmes: [],
  assigned: [],
  person,
  athlete: { cautions: [], equipment: EQUIPMENT },
  measuredOn: addDays(TODAY, -7),
  lookup: shippedMovement,
  shelf: LIBRARY,
  methodOf: () => METHODS['floor-loading'],
  now: `${TODAY}T10:00:00.000Z`,
  today: TODAY,
  ...more,
});

export const suggestionsFor = (all: readonly Went[], more?: Partial<AthleteSuggestionsQuestion>): readonly Suggestion[] =>
  athleteSuggestions(asking(all, more)).suggestions;

/** The suggestions of one kind. */
export const of = (kind: SuggestionKind, suggestions: readonly Suggestion[]): Suggestion[] =>
  suggestions.filter((suggestion) => suggestion.kind === kind);
