import type { AthleteRecord, RecordedCaution } from '../../model/athlete.js';
import { type Intake, withPerson } from '../../model/intake.js';
import { CAUTIONS } from '../../vocabulary/cautions.js';
import { forbidsLoading } from '../safety/cautions.js';
import { byThing, handByHand, ofHand } from './per-hand.js';

const adapts = ({ caution }: RecordedCaution) => CAUTIONS[caution].rule === 'adapt';

/**
 * A record’s cautions after new answers. What adapts and came from earlier answers or from a session is as it was said now; what a coach wrote, what forbids loading and
 * what stopped a session stays until somebody clears it. A clearance answers what was before it, and nothing that came after.
 * @param fresh what follows from the answers (`screen`)
 */
export const afterIntake = (recorded: readonly RecordedCaution[], fresh: readonly RecordedCaution[]): RecordedCaution[] =>
  withMore(
    recorded.filter((entry) => (entry.intakeId === undefined && entry.sessionId === undefined) || !adapts(entry)),
    fresh,
  );

/** A record’s cautions with what a session left behind. */
export const withFelt = (recorded: readonly RecordedCaution[], felt: readonly RecordedCaution[]): RecordedCaution[] =>
  withMore(recorded, felt);

/** A record’s cautions with what forbids loading of answers that came late: they change nothing else that later ones said. */
export const withReferrals = (recorded: readonly RecordedCaution[], late: readonly RecordedCaution[]): RecordedCaution[] =>
  withMore(recorded, late.filter(forbidsLoading));

/** Which answers of a person come after which: by day, within a day by when they were begun. */
type Dated = { readonly id: string; readonly onDay: string };
const isAfter = (one: Dated, other: Dated) => one.onDay > other.onDay || (one.onDay === other.onDay && one.id > other.id);

/**
 * A record after answers, wherever they are recorded. Those of an earlier day that arrive late change nothing that later ones said, but what forbids loading is
 * never lost. @param fresh what follows from the answers (`screen`) @param newest of the answers that are on record already; null where there are none
 */
export function recordAfterIntake<R extends AthleteRecord>(
  record: R,
  { id, answers }: { readonly id: string; readonly answers: Intake },
  fresh: readonly RecordedCaution[],
  newest: Dated | null,
): R {
  if (newest && isAfter(newest, { id, onDay: answers.onDay })) return { ...record, cautions: withReferrals(record.cautions, fresh) };
  return { ...record, ...withPerson(record, answers), cautions: afterIntake(record.cautions, fresh) };
}

function withMore(recorded: readonly RecordedCaution[], more: readonly RecordedCaution[]): RecordedCaution[] {
  const [before, now] = [byThing(recorded), byThing(more)];
  return [...new Set([...before.keys(), ...now.keys()])].flatMap((key) => {
    const [old, fresh] = [before.get(key) ?? [], now.get(key) ?? []];
    if (old.length === 0 || fresh.length === 0) return [...old, ...fresh];
    const isWhole = [...old, ...fresh].every(({ hand }) => hand === undefined);
    return handByHand(isWhole, (hand) => standing(ofHand(old, hand)[0], ofHand(fresh, hand)[0]));
  });
}

/** Which of two entries for one thing and hand is kept: the recorded one, or the new answer. */
function standing(before: RecordedCaution | undefined, now: RecordedCaution | undefined): RecordedCaution | null {
  if (!before || !now) return before ?? now ?? null;
  if (before.stopped) return before;
  if (adapts(now)) return now;
  return ofReferrals(before, now);
}

/** A clearance lifts what was before its day, wherever it was reported, and nothing that came on it or after. */
function ofReferrals(before: RecordedCaution, now: RecordedCaution): RecordedCaution {
  const [clearedBefore, clearedNow] = [clearedDay(before), clearedDay(now)];
  if (clearedBefore === null && clearedNow === null) return before;
  if (clearedBefore === null) return isBefore(before.since, clearedNow) ? now : before;
  if (clearedNow === null) return isBefore(now.since, clearedBefore) ? before : now;
  return clearedNow >= clearedBefore ? now : before;
}

/** What has no day was there before. */
const isBefore = (since: string | undefined, cleared: string | null) => since === undefined || (cleared !== null && since < cleared);

const clearedDay = (entry: RecordedCaution): string | null => (forbidsLoading(entry) ? null : (entry.clearedOn ?? null));
