import type { RecordedCaution } from '../../model/athlete.js';
import { addDays } from '../../vocabulary/days.js';
import { percent } from '../../vocabulary/numbers.js';
import { calendarDay, loweredSentence, say, type Sentence } from '../../vocabulary/sentence.js';
import { cautionLabel } from '../safety/cautions.js';
import { type Verdict, VERDICT_NAMES } from '../screening/screen-rules.js';
import { suggestionAfter, type SessionOutcome } from './after-session.js';

/** What is known of somebody that may have changed. */
export interface Changeable {
  /** Sessions that are over. */
  readonly sessions: readonly (SessionOutcome & { readonly id: string; readonly title: string; readonly onDay: string })[];
  /** Check-ins by day. */
  readonly intakes: readonly { readonly onDay: string; readonly verdict: Verdict }[];
  readonly cautions: readonly RecordedCaution[];
}

/** Something that happened to somebody since a day. */
export interface Change {
  readonly of: 'session' | 'check-in' | 'clearance';
  /** Where it is a session. */
  readonly sessionId?: string;
  /** Whether something may hurt: these come first. */
  readonly isGrave: boolean;
  readonly text: Sentence;
}

const GRAVE_VERDICTS: readonly Verdict[] = ['stop now', 'refer first'];

/**
 * What happened since a day: sessions with what they ask for, check-ins with their result, clearances that ended; the grave first.
 * @param since first ISO day that counts @param today ISO day
 * @example changesSince({ sessions: [], intakes: [{ onDay: '2026-05-02', verdict: 'go' }], cautions: [] }, '2026-05-01', '2026-05-02').map(({ text }) => text) → ['check-in: clear to train']
 */
export function changesSince({ sessions, intakes, cautions }: Changeable, since: string, today: string): Change[] {
  const isNew = (day: string) => day >= since && day <= today;
  const changes: Change[] = [
    ...sessions.filter(({ onDay }) => isNew(onDay)).map(ofSession),
    ...intakes.filter(({ onDay }) => isNew(onDay)).map(ofIntake),
    ...cautions.flatMap((entry) => endedClearance(entry, since, today)),
  ];
  return changes.toSorted((a, b) => Number(b.isGrave) - Number(a.isGrave));
}

function ofSession(session: Changeable['sessions'][number]): Change {
  const { id, title, completion } = session;
  const { proposed, reason } = suggestionAfter(session);
  const isGrave = proposed === 'ease' || proposed === 'rest' || session.ending === 'stopped';
  const done = session.ending === 'stopped' ? 'stopped' : `${percent(completion)} done`;
  return { of: 'session', sessionId: id, isGrave, text: say`${title}, ${done}: ${loweredSentence(reason)}` };
}

const ofIntake = ({ verdict }: Changeable['intakes'][number]): Change => ({
  of: 'check-in',
  isGrave: GRAVE_VERDICTS.includes(verdict),
  text: `check-in: ${VERDICT_NAMES[verdict].toLowerCase()}`,
});

/** A clearance holds through its last day: the day after, loading is forbidden again. */
function endedClearance(entry: RecordedCaution, since: string, today: string): Change[] {
  const { clearedUntil } = entry;
  if (clearedUntil === undefined || addDays(clearedUntil, 1) < since || clearedUntil >= today) return [];
  return [{ of: 'clearance', isGrave: true, text: say`${cautionLabel(entry)}: the clearance ended on ${calendarDay(clearedUntil)}` }];
}
