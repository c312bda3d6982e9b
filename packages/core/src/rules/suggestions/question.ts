import type { SessionView } from '../../effort/session-view.js';
import { type Evidence } from '../../mechanics/belief.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { MovementLookup } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { LevelStanding } from '../progress/level-standing.js';
import type { MorningScores } from '../reports/morning.js';
import type { SessionOutcome } from './after-session.js';
import type { PlanPlace } from './suggestion.js';

/** A sequence that comes next: of a programme’s plan, or what was led last where there is none. */
export interface ComingPlan {
  readonly place: PlanPlace;
  /** As it will be led. */
  readonly sequence: Sequence;
  /** The day on which it comes next; null where nobody planned one. */
  readonly day: string | null;
  /** All days on which it comes, the next one first. */
  readonly days: readonly string[];
  /** Its amounts grow by themselves. */
  readonly rises: boolean;
  readonly loads: boolean;
}

/** A finished session, as suggestions read it, with its next-day checks. */
export interface SuggestionSession extends SessionOutcome {
  readonly id: string;
  /** ISO day, the studio’s. */
  readonly onDay: string;
  readonly exertion: number | null;
  readonly scores: MorningScores | null;
}

/** What calls are made from. */
export interface SuggestionQuestion {
  readonly standings: readonly LevelStanding[];
  /** Oldest first. */
  readonly sessions: readonly SuggestionSession[];
  readonly coming: readonly ComingPlan[];
  /** As they stand today. */
  readonly cautions: readonly RecordedCaution[];
  /** Day on which anything was measured last. */
  readonly measuredOn: string | null;
  /** What was seen of the hands and does not fit the rest. */
  readonly atOdds: readonly Evidence[];
  readonly lookup: MovementLookup;
  /** A sequence as it asks this person. */
  readonly viewOf: (sequence: Sequence) => SessionView;
  /** ISO day, the studio’s. */
  readonly today: string;
}

/** What every rule reads: the question, and which hands may not be asked for more. */
export interface SuggestionScene extends SuggestionQuestion {
  readonly barred: ReadonlySet<Hand>;
}
