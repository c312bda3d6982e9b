import type { PastCondition } from '../../model/intake.js';
import type { CautionId } from '../../vocabulary/cautions.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Condition, type Sign, type SymptomKind } from '../../vocabulary/intake-words.js';
import type { StopSign } from '../../vocabulary/stop-signs.js';

/** What answers lead to, the mildest first. */
export const VERDICTS = ['go', 'adapt', 'refer first', 'stop now'] as const;
/** What answers lead to. */
export type Verdict = (typeof VERDICTS)[number];
/** The verdicts by name. */
export const VERDICT_NAMES: Record<Verdict, string> = {
  go: 'Clear to train',
  adapt: 'Train with limits',
  'refer first': 'Get it checked first',
  'stop now': 'Stop',
};
/** The verdicts as they are said to a coach. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  go: 'Clear to train.',
  adapt: 'Train within the limits below.',
  'refer first': 'No loading until a doctor or hand therapist has cleared it.',
  'stop now': 'Rest the hand completely. Have it seen today.',
};

/** The graver of verdicts; go where there is none. @example worstOf(['adapt', 'refer first']) → 'refer first' */
export const worstOf = (verdicts: readonly Verdict[]): Verdict => VERDICTS.findLast((verdict) => verdicts.includes(verdict)) ?? 'go';

/** The entry in the record: enforced wherever something is planned or led. */
export interface Led {
  readonly verdict: Verdict;
  readonly caution: CautionId;
  /** For what asks for help at once. */
  readonly stop?: StopSign;
}

const stop = (sign: StopSign): Led => ({ verdict: 'stop now', caution: 'stop-sign', stop: sign });
const refer = (caution: CautionId): Led => ({ verdict: 'refer first', caution });
const adapt = (caution: CautionId): Led => ({ verdict: 'adapt', caution });

/** Signs: each that is there leads to this. */
export const SIGN_RULES: Readonly<Record<Sign, Led>> = {
  pop: stop('pop'),
  swelling: stop('swelling'),
  colour: stop('colour'),
  'thumb-hollow': stop('thumb-hollow'),
  'hot-joint': stop('hot-joint'),
  weakness: stop('weakness'),
  'night-tingling': refer('numbness'),
  'dropping-things': refer('dropping-things'),
  'rest-pain': refer('rest-pain'),
  'growing-pain': refer('rest-pain'),
};

/** What a place feels like: each leads to this, wherever it is. */
export const SYMPTOM_RULES: Readonly<Record<SymptomKind, Led>> = {
  numb: refer('numbness'),
  tingling: refer('numbness'),
  swollen: refer('swollen-place'),
  hot: stop('hot-joint'),
  sharp: adapt('sore-place'),
  ache: adapt('sore-place'),
  stiff: adapt('sore-place'),
};

/** A sprain of these days is not loaded before somebody has seen it. */
const SPRAIN_DAYS = 42;
/** A bone or an operation of so long ago counts as of the past, though nobody cleared it in writing. */
const LONG_AGO_DAYS = 730;
const FLUOROQUINOLONE_DAYS = 183;
const INJECTION_DAYS = 14;

const isCleared = ({ clearedOn, clearedBy, clearedUntil }: PastCondition, today: string) =>
  clearedOn !== undefined && clearedBy !== undefined && clearedOn <= today && !(clearedUntil && clearedUntil < today);
const isWithin = ({ since }: PastCondition, days: number, today: string) => since === undefined || daysBetween(since, today) <= days;

const injured = (entry: PastCondition, today: string): Led =>
  isCleared(entry, today) ? adapt('recent-injury') : isWithin(entry, LONG_AGO_DAYS, today) ? refer('recent-injury') : adapt('past-injury');
const always = (led: Led) => () => led;

/** Conditions: each that is reported leads to this on a day; null where it is over. A cleared one that had limits, or has, asks for care. */
export const CONDITION_RULES: Readonly<Record<Condition, (entry: PastCondition, today: string) => Led | null>> = {
  fracture: injured,
  surgery: injured,
  sprain: (entry, today) =>
    entry.since !== undefined && isWithin(entry, SPRAIN_DAYS, today) && !isCleared(entry, today)
      ? refer('recent-sprain')
      : adapt('past-sprain'),
  tendon: always(adapt('tendon-pain')),
  arthritis: always(adapt('arthritis')),
  nerve: (entry, today) => (isCleared(entry, today) ? adapt('nerve-complaint') : refer('nerve-complaint')),
  hypermobility: always(adapt('hypermobility')),
  pregnancy: always(adapt('pregnancy')),
  'blood-pressure': always(adapt('blood-pressure')),
  fluoroquinolones: (entry, today) => (isWithin(entry, FLUOROQUINOLONE_DAYS, today) ? adapt('fluoroquinolones') : null),
  'steroid-injection': (entry, today) =>
    !isWithin(entry, INJECTION_DAYS, today) ? null : isCleared(entry, today) ? adapt('steroid-injection') : refer('steroid-injection'),
  'skin-splits': always(adapt('skin-splits')),
};
