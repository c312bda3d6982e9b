import type { CarriedOut } from '../effort/past.js';
import { setCount } from '../model/dose.js';
import type { MovementLookup } from '../model/movement.js';
import { timesOf } from '../model/rounds.js';
import type { Block, Sequence } from '../model/sequence.js';
import { type BlockReport, type Complaint, type CountedSet, standingSets } from '../model/session.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { groupedBy, lastOf } from '../vocabulary/lists.js';
import type { SetUnit } from '../vocabulary/work.js';
import type { MorningAdvice } from './morning.js';

/** A session that is over, with how it felt: what progress is judged by. */
export interface LedSession extends CarriedOut {
  readonly reports: readonly Pick<BlockReport, 'blockId' | 'discomfort' | 'exertion' | 'at'>[];
  readonly complaints: readonly Pick<Complaint, 'blockId' | 'hand' | 'discomfort'>[];
  /** What the morning after asked for of each hand; null where nobody told. */
  readonly mornings: Readonly<Record<Hand, MorningAdvice | null>>;
}

/** What one hand did of one movement in one session. */
export interface WorkDone {
  readonly sessionId: string;
  /** ISO instant at which the session ended. */
  readonly endedAt: string;
  readonly movementId: string;
  readonly levelId: string;
  readonly hand: Hand;
  readonly unit: SetUnit;
  /** Sets that were done to their end, and what each had at least; without any, what the best one came to. */
  readonly sets: number;
  readonly amount: number;
  /** The effort that the dose named. */
  readonly effortPercent: number | null;
  /** Whether all of it was done that was planned. */
  readonly isWhole: boolean;
  /** The most that was told of it for this hand; null where nobody told. */
  readonly discomfort: number | null;
  readonly exertion: number | null;
  readonly morning: MorningAdvice | null;
}

/** What each hand did of each movement in a session, in the order of its blocks. Of a movement in several blocks the hardest worked one counts: the last. */
export function workDoneIn(session: LedSession, lookup: MovementLookup): WorkDone[] {
  const sets = standingSets(session.sets);
  const found = new Map<string, WorkDone>();
  for (const block of session.plan.blocks) {
    const mine = sets.filter(({ blockId }) => blockId === block.id);
    for (const hand of HANDS) {
      const done = doneOfBlock(
        session,
        block,
        hand,
        mine.filter(({ side }) => side === hand || side === 'both'),
      );
      if (done && lookup(done.movementId)) found.set(`${done.movementId} ${hand}`, done);
    }
  }
  return [...found.values()];
}

/** One set of a hand: all of its directions together are one effort. */
const setKey = ({ round = 1, set }: CountedSet) => `${round} ${set}`;

function doneOfBlock(session: LedSession, block: Block, hand: Hand, sets: CarriedOut['sets']): WorkDone | null {
  if (sets.length === 0) return null;
  const last = lastOf(sets);
  const form = { movementId: last.movementId ?? block.movementId, levelId: last.levelId ?? block.levelId };
  const wasEased = form.movementId !== block.movementId || form.levelId !== block.levelId;
  // What was eased in the middle is judged by the form that it ended in.
  const counted = sets.filter(({ unit, levelId = block.levelId }) => unit === last.unit && levelId === form.levelId);
  const pieces = [...groupedBy(counted, setKey).values()].map((piece) => ({
    planned: Math.max(...piece.map(({ plannedAmount }) => plannedAmount)),
    done: Math.min(...piece.map(({ doneAmount }) => doneAmount)),
  }));
  const full = pieces.filter(({ planned, done }) => done >= planned && done > 0);
  const amount =
    full.length > 0 ? Math.min(...full.map(({ planned }) => planned)) : Math.max(...pieces.map(({ done }) => done));
  return {
    sessionId: session.id,
    endedAt: session.endedAt,
    ...form,
    hand,
    unit: last.unit,
    sets: full.length,
    amount,
    effortPercent: wasEased ? null : (block.dose.effortPercent ?? null),
    isWhole: !wasEased && full.length >= plannedSets(session.plan, block),
    ...feltOf(session, block.id, hand),
    morning: session.mornings[hand],
  };
}

const plannedSets = (plan: Sequence, { id, dose }: Block) => setCount(dose) * timesOf(plan, id);

/** The last report of a block stands; what was complained of in the middle counts too. */
function feltOf(
  { reports, complaints }: LedSession,
  blockId: string,
  hand: Hand,
): Pick<WorkDone, 'discomfort' | 'exertion'> {
  const report = reports
    .filter((each) => each.blockId === blockId)
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  const told = [
    ...(report ? [report.discomfort] : []),
    ...complaints
      .filter((each) => each.blockId === blockId && (each.hand === hand || each.hand === 'both'))
      .map(({ discomfort }) => discomfort),
  ];
  return { discomfort: told.length > 0 ? Math.max(...told) : null, exertion: report?.exertion ?? null };
}
