import { quantity, say, type Sentence } from '../../vocabulary/sentence.js';
import { changeOf } from '../../measure/error.js';
import { measuredAs } from '../../measure/protocols.js';
import { dayByDay, pooledRepeats, type MeasuredThing, type Repeats } from '../../measure/readings-over-time.js';
import { sidesOf } from '../../measure/sides.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { latestReading, type Reading } from '../../model/reading.js';
import { working } from '../../vocabulary/constant.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Hand, HANDS } from '../../vocabulary/hands.js';
import { lastOf } from '../../vocabulary/lists.js';
import { counted } from '../../vocabulary/text.js';
import { suggestionAfter, type SessionOutcome } from './after-session.js';
import { barredWords, cautionsOn, forbidsLoading } from '../safety/cautions.js';
import { intakeDue } from '../screening/intake-due.js';

/** What a class table reads of somebody. */
export interface ClassMember {
  readonly cautions: readonly RecordedCaution[];
  readonly dominantHand: Hand;
  /** Day of the last answers before training. */
  readonly askedOn: string | null;
  /** Readings of what a class is compared by, the oldest first. */
  readonly readings: readonly Reading[];
  /** Day on which anything was measured last. */
  readonly measuredOn: string | null;
  /** The coach’s own repeats, whosever hands they are of; of these readings alone where left out. */
  readonly repeats?: readonly Repeats[];
  /** The last session that is over; `isDecided` where somebody said already what comes next. */
  readonly lastSession: (SessionOutcome & { readonly onDay: string; readonly isDecided: boolean }) | null;
}

/** Why somebody needs a look, the weightiest first. */
export interface AttentionReason {
  readonly weight: number;
  readonly reasons: readonly Sentence[];
}

/** How much each reason weighs: what may hurt before what is only late. */
const WEIGHT = { barred: 100, felt: 80, lost: 60, ask: 50, uneven: 40, measure: 30, away: 20 } as const;
/** Whether something may hurt, rather than is only late. @example isGrave({ weight: 100.05 }) → true */
export const isGrave = ({ weight }: Pick<AttentionReason, 'weight'>): boolean => weight >= WEIGHT.felt;
/** A battery of readings this old is late. */
export const MEASURE_AGAIN = working('Measured again', 56, 'days', 'a battery every four weeks; twice as long is late', [28, 90]).value;
/** After such a gap a level back is due (practice: progress). */
export const AWAY_DAYS = 14;
/** What a class is compared by. */
export const CLASS_THINGS: readonly MeasuredThing[] = [
  { kind: 'passive range', of: 'wrist extension' },
  { kind: 'maximum', of: 'grip' },
];

/** All reasons beside the first together stay below one. */
const BESIDE = 1000;

/** Whether somebody of a class needs a look today, and why. @example attentionNeeded({ cautions: [], dominantHand: 'right', askedOn: '2026-06-01', readings: [], measuredOn: null, lastSession: null }, '2026-06-02').reasons → ['never tested', 'no session yet'] */
export function attentionNeeded(who: ClassMember, today: string): AttentionReason {
  const found = [...ofCautions(who, today), ...ofSession(who, today), ...ofReadings(who, today)].sort((a, b) => b.weight - a.weight);
  // One grave reason weighs more than many light ones; among equals what comes beside it decides.
  const beside = found.slice(1).reduce((sum, { weight }) => sum + weight, 0);
  return { weight: (found[0]?.weight ?? 0) + beside / BESIDE, reasons: found.map(({ text }) => text) };
}

interface Reason {
  readonly weight: number;
  readonly text: Sentence;
}

function ofCautions({ cautions, askedOn }: ClassMember, today: string): Reason[] {
  const barred = cautionsOn({ cautions }, today).filter(forbidsLoading);
  const due = intakeDue(askedOn, cautions, today);
  return [
    ...barred.map((entry) => ({ weight: WEIGHT.barred, text: barredWords(entry) })),
    ...(due ? [{ weight: WEIGHT.ask, text: say`check-in due: ${due.why}` }] : []),
  ];
}

function ofSession({ lastSession }: ClassMember, today: string): Reason[] {
  if (!lastSession) return [{ weight: WEIGHT.away, text: 'no session yet' }];
  const days = daysBetween(lastSession.onDay, today);
  const { proposed, reason } = suggestionAfter(lastSession);
  const felt = !lastSession.isDecided && (proposed === 'ease' || proposed === 'rest');
  return [
    ...(felt ? [{ weight: WEIGHT.felt, text: reason }] : []),
    ...(days >= AWAY_DAYS ? [{ weight: WEIGHT.away, text: say`${counted(Math.floor(days), 'day')} without a session` }] : []),
  ];
}

function ofReadings({ readings, measuredOn, dominantHand, repeats }: ClassMember, today: string): Reason[] {
  if (measuredOn === null) return [{ weight: WEIGHT.measure, text: 'never tested' }];
  const days = daysBetween(measuredOn, today);
  const late =
    days >= MEASURE_AGAIN ? [{ weight: WEIGHT.measure, text: say`last tested ${counted(Math.floor(days / 7), 'week')} ago` }] : [];
  const compared = CLASS_THINGS.flatMap((thing) => {
    const sets = pooledRepeats(repeats, readings, thing);
    return [...lossesOf(readings, thing, sets), ...unevenIn(readings, thing, dominantHand, sets)];
  });
  return [...late, ...compared];
}

type Sets = Repeats['sets'];

/** A hand that lost more than the error since the reading before. */
function lossesOf(readings: readonly Reading[], thing: MeasuredThing, repeats: Sets): Reason[] {
  return HANDS.flatMap((hand): Reason[] => {
    const days = dayByDay(readings, thing, hand, repeats);
    const before = days.at(-2);
    if (!before) return [];
    const { by, isReal } = changeOf(measuredAs(thing), before.value, lastOf(days).value, repeats);
    if (!isReal || by >= 0) return [];
    return [
      {
        weight: WEIGHT.lost,
        text: say`${thing.of}, ${hand}: ${quantity(Math.round((100 * -by) / before.value), '%')} lower than before, a real change`,
      },
    ];
  });
}

function unevenIn(readings: readonly Reading[], thing: MeasuredThing, dominant: Hand, repeats: Sets): Reason[] {
  const [left, right] = HANDS.map((hand) => latestReading(readings, thing.kind, thing.of, hand)?.value);
  if (left === undefined || right === undefined) return [];
  const { isUneven, lesser, lacksPercent } = sidesOf(measuredAs(thing), { left, right }, dominant, repeats);
  return isUneven && lesser ? [{ weight: WEIGHT.uneven, text: say`${thing.of}: ${lesser} ${quantity(lacksPercent, '%')} lower` }] : [];
}
