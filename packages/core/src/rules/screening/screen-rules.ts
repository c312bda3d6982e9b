import type { PastCondition } from '../../model/intake.js';
import type { CautionId } from '../../vocabulary/cautions.js';
import { daysBetween } from '../../vocabulary/days.js';
import { type Condition, type Sign, type SymptomKind } from '../../vocabulary/intake-words.js';
import { ADULT_YEARS } from '../safety/cautions.js';
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

/** What is said in a verdict’s place while something was not asked and nothing speaks against loading. */
export const NOT_ASKED = { name: 'Not asked yet', words: 'Check in before you load the hands.' } as const;

/** A verdict in a sentence, for which all was asked or not. */
export const screeningWords = ({ verdict, unasked }: { readonly verdict: Verdict; readonly unasked: readonly unknown[] }): string =>
  verdict === 'go' && unasked.length > 0 ? `${NOT_ASKED.name}. ${NOT_ASKED.words}` : VERDICT_WORDS[verdict];

/** The graver of verdicts; go where there is none. @example worstOf(['adapt', 'refer first']) → 'refer first' */
export const worstOf = (verdicts: readonly Verdict[]): Verdict => VERDICTS.findLast((verdict) => verdicts.includes(verdict)) ?? 'go';

/** The entry in the record: enforced wherever something is planned or led. */
export interface Led {
  readonly verdict: Verdict;
  readonly caution: CautionId;
  /** For what asks for help at once. */
  readonly stop?: StopSign;
}

/** Stops at once, and the hand rests. */
export const stop = (sign: StopSign): Led => ({ verdict: 'stop now', caution: 'stop-sign', stop: sign });
/** Nothing is loaded until somebody has looked at it. */
export const refer = (caution: CautionId): Led => ({ verdict: 'refer first', caution });
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
  sore: adapt('sore-place'),
  other: adapt('sore-place'),
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

/** A bone that was discharged and is older than this counts as of the past. */
const HEALED_DAYS = 365;

function injured(entry: PastCondition, today: string): Led {
  if (!isWithin(entry, LONG_AGO_DAYS, today)) return adapt('past-injury');
  if (!isCleared(entry, today)) return refer('recent-injury');
  return isWithin(entry, HEALED_DAYS, today) || entry.within ? adapt('recent-injury') : adapt('past-injury');
}
const always = (led: Led) => () => led;

/** Conditions: each that is reported leads to this on a day; null where it is over. A cleared one that had limits, or has, asks for care. */
export const CONDITION_RULES: Readonly<Record<Condition, (entry: PastCondition, today: string, ageYears: number | null) => Led | null>> = {
  fracture: injured,
  surgery: injured,
  // One without a date may be of last week.
  sprain: (entry, today) =>
    isWithin(entry, SPRAIN_DAYS, today) && !isCleared(entry, today) ? refer('recent-sprain') : adapt('past-sprain'),
  // By itself a fall asks for nothing: what is felt after it does (`symptom-rules`).
  fall: () => null,
  tendon: always(adapt('tendon-pain')),
  arthritis: always(adapt('arthritis')),
  nerve: (entry, today) => (isCleared(entry, today) ? adapt('nerve-complaint') : refer('nerve-complaint')),
  'inflammatory-arthritis': always(adapt('inflammatory-arthritis')),
  'trigger-finger': always(adapt('trigger-finger')),
  // Both hands in the cold are common; one hand alone has a cause that a doctor looks for.
  'white-finger': (entry, today) =>
    entry.hand === undefined || entry.hand === 'both'
      ? adapt('white-finger')
      : isCleared(entry, today)
        ? adapt('one-white-hand')
        : refer('one-white-hand'),
  ganglion: always(adapt('ganglion')),
  osteoporosis: always(adapt('osteoporosis')),
  lymphoedema: always(adapt('lymphoedema')),
  diabetes: always(adapt('diabetes')),
  'blood-thinner': always(adapt('blood-thinner')),
  hypermobility: always(adapt('hypermobility')),
  pregnancy: always(adapt('pregnancy')),
  'blood-pressure': always(adapt('blood-pressure')),
  fluoroquinolones: (entry, today) => (isWithin(entry, FLUOROQUINOLONE_DAYS, today) ? adapt('fluoroquinolones') : null),
  'steroid-injection': (entry, today) =>
    !isWithin(entry, INJECTION_DAYS, today) ? null : isCleared(entry, today) ? adapt('steroid-injection') : refer('steroid-injection'),
  'skin-splits': always(adapt('skin-splits')),
  'no-consent': (entry, today, ageYears) =>
    ageYears !== null && ageYears >= ADULT_YEARS ? null : isCleared(entry, today) ? adapt('no-consent') : refer('no-consent'),
  other: always(adapt('other-condition')),
};
