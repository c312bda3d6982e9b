import type { PastSession, WorkedForm } from '../effort/past.js';
import type { SessionQuestion } from '../effort/session-view.js';
import type { Person } from '../mechanics/capacity.js';
import { weakerHand } from '../mechanics/weaker-hand.js';
import type { Method } from '../model/method.js';
import { findLevel, type Movement, type MovementLookup } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { type Block, type Pacing, type Sequence, USUAL_PACING } from '../model/sequence.js';
import type { Hand } from '../vocabulary/hands.js';
import type { HandStanding } from '../rules/progress/progressed.js';
import { barredHands } from '../rules/safety/cautions.js';
import type { Place, Posture } from '../vocabulary/places.js';
import type { PossibleShelf } from './candidate.js';
import type { TrainingGoal } from './goal.js';

/** What a sequence is composed from. */
export interface ComposeQuestion {
  readonly goal: TrainingGoal;
  readonly minutes: number;
  readonly method: Method;
  readonly person: Person;
  /** What is on record of an athlete; null for anybody. */
  readonly athlete: SessionQuestion['athlete'];
  readonly past: readonly PastSession[];
  /** ISO 8601 instant at which the session would begin. */
  readonly now: string;
  /** Movements to choose from, in their teaching order. */
  readonly shelf: readonly Movement[];
  readonly lookup: MovementLookup;
  /** Where the hands stand on their ladders: what was done goes on from there. */
  readonly standings?: readonly HandStanding[];
  /** Blocks that stay as they are, and the rounds that they are taken in. */
  readonly locked?: readonly Block[];
  readonly rounds?: readonly Round[];
  readonly pacing?: Pacing;
  /** Where nobody can be today: “no floor”. */
  readonly notAt?: readonly Place[];
  /** Movements that the coach leaves out, for this once or for this person. */
  readonly leftOut?: readonly string[];
  /** Nothing in it is so hard that days are spaced by it: for a day beside a hard one. */
  readonly isLight?: boolean;
  /** Blocks whose movements are kept where possible, at their level and dose: from a sequence that is refitted. */
  readonly keep?: readonly Block[];
  /** What is possible for them, where that was found before: by `possibleFor`, of a question that is alike in what that reads. */
  readonly possible?: PossibleShelf;
}

/** What every step of composing reads besides the question: found once. */
export interface Composing extends ComposeQuestion {
  readonly weaker: Hand | null;
  /** Postures in which somebody has done anything. */
  readonly postures: ReadonlySet<Posture>;
  /** A sequence without blocks, in which candidates are examined. */
  readonly frame: Sequence;
}

/** A question with what follows from it at once. */
export function composingOf(question: ComposeQuestion): Composing {
  const { goal, minutes, method, person, athlete, pacing = USUAL_PACING } = question;
  const frame = {
    title: goal.name,
    purpose: goal.purpose,
    budgetMin: minutes,
    pacing,
    blocks: [],
    methodId: method.id,
  };
  return {
    ...question,
    weaker: barredHands(athlete?.cautions ?? []).length > 0 ? null : weakerHand(person),
    postures: posturesDone(question),
    frame,
  };
}

function posturesDone({ past, lookup }: ComposeQuestion): ReadonlySet<Posture> {
  const forms = past.flatMap((session) => session.forms);
  const levelOf = ({ movementId, levelId }: WorkedForm) => {
    const movement = lookup(movementId);
    return movement && findLevel(movement, levelId);
  };
  return new Set(forms.flatMap((form) => levelOf(form)?.posture ?? []));
}

/** A sequence with some blocks, as it is examined. */
export const examined = (composing: Composing, blocks: readonly Block[], rounds?: readonly Round[]): SessionQuestion => ({
  sequence: { ...composing.frame, blocks: [...blocks], ...(rounds?.length && { rounds: [...rounds] }) },
  lookup: composing.lookup,
  shelf: composing.shelf,
  person: composing.person,
  method: composing.method,
  athlete: composing.athlete,
  past: composing.past,
  now: composing.now,
});
