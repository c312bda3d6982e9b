import { working } from '../../vocabulary/constant.js';

/** What is said, from what must come on its beat to what is said where there is time. */
export const UTTERANCE_KINDS = ['count', 'countdown', 'side', 'name', 'word', 'cue'] as const;
/** What an utterance is. */
export type UtteranceKind = (typeof UTTERANCE_KINDS)[number];

/** Something to say at a moment of a session’s timeline. */
export interface Utterance {
  readonly kind: UtteranceKind;
  readonly text: string;
  /** The event in which it begins. */
  readonly event: number;
  /** When it begins, from the start of that event or before its end, milliseconds. */
  readonly from: 'start' | 'end';
  readonly offsetMs: number;
  /** On the timeline as it is planned, milliseconds. */
  readonly atMs: number;
  /** About how long it takes to say. */
  readonly lengthMs: number;
}

const BEGIN_MS = working('Beginning to speak', 150, 'ms', 'from timing speech synthesis at its usual rate', [80, 300]).value;
const CHARACTER_MS = working(
  'Speaking a character',
  58,
  'ms',
  'from timing speech synthesis at its usual rate: some 150 words a minute',
  [45, 75],
).value;
const DIGIT_MS = working('Speaking a digit', 260, 'ms', 'from timing numbers up to 99 at the usual rate', [200, 350]).value;

/** About how long a text takes to say, milliseconds. @example spokenMs('Change hands') → 846 */
export const spokenMs = (text: string): number =>
  BEGIN_MS + Array.from(text).reduce((sum, sign) => sum + (/\d/.test(sign) ? DIGIT_MS : CHARACTER_MS), 0);
