import { normalShare } from '../mechanics/belief.js';
import type { Action } from '../vocabulary/actions.js';
import { working } from '../vocabulary/constant.js';
import type { Hand } from '../vocabulary/hands.js';
import { GROUP_OF } from '../vocabulary/muscles.js';

/** So narrow a belief is spoken of plainly: a recent test is. */
const PLAIN_BELOW = working(
  'Spread that is spoken of plainly',
  0.13,
  'log-sd',
  'what a recent maximum test leaves, with some weeks on top',
  [0.1, 0.18],
);

/** Whether what is believed is narrow enough to speak of it without chances. @example isKnown({ logSd: 0.07 }) → true */
export const isKnown = ({ logSd }: { readonly logSd: number }) => logSd <= PLAIN_BELOW.value;

/** What a sentence rests on that nobody has measured: whose muscles, and the chance, 0–1, that it is otherwise. */
export interface Doubt {
  readonly hand: Hand;
  readonly action: Action;
  readonly chance: number;
}

/**
 * How many people of whom as much is known, in words.
 * @example peopleWords(0.68) → 'about 7 in 10 people like this'
 * @example peopleWords(0.01) → 'hardly anyone like this'
 */
export function peopleWords(share: number): string {
  if (share < 0.05) return 'hardly anyone like this';
  if (share > 0.95) return 'nearly everyone like this';
  const tenths = Math.min(9, Math.max(1, Math.round(10 * share)));
  return `about ${tenths} in 10 people like this`;
}

/**
 * An effort, and between what it lies for four fifths of people of whom as much is known; the interval is left out where it is as narrow as the number.
 * @example effortWords(64, [41, 100]) → '64 % (41–100)'
 * @example effortWords(30, [30, 30]) → '30 %'
 */
export function effortWords(percent: number, [low, high]: readonly [number, number]): string {
  const [from, to] = [low.toFixed(0), high.toFixed(0)];
  return from === to ? `${percent.toFixed(0)} %` : `${percent.toFixed(0)} % (${from}–${to})`;
}

/** How likely somebody has what an effort asks for at all, 0–1. @example chanceOfHaving({ effortPercent: 100, logSd: 0.3 }) ≈ 0.5 */
export function chanceOfHaving({ effortPercent, logSd }: { readonly effortPercent: number; readonly logSd: number }): number {
  if (logSd === 0) return effortPercent <= 100 ? 1 : 0;
  return normalShare(-Math.log(effortPercent / 100) / logSd);
}

/** What would be measured to know an action's maximum. @example measureWords({ hand: 'left', action: 'wrist flexion' }) → 'the left wrist flexors' */
export const measureWords = ({ hand, action }: Pick<Doubt, 'hand' | 'action'>): string =>
  action === 'grip' || action === 'pinch' ? `the ${hand} ${action}` : `the ${hand} ${GROUP_OF[action]}`;

/** The one measurement on which most doubtful findings hang. */
export interface Decides extends Pick<Doubt, 'hand' | 'action'> {
  /** Findings that it decides, and how many are in doubt. */
  readonly decides: number;
  readonly of: number;
}

/** The measurement that would settle most of what is in doubt; null when nothing is. */
export function whatToMeasure(doubts: readonly Doubt[]): Decides | null {
  const counts = new Map<Action, Decides>();
  // Both hands of one person are of one strength, more or less: a test of one tells of the other.
  for (const { hand, action } of doubts) {
    const before = counts.get(action);
    counts.set(action, { hand: before?.hand ?? hand, action, decides: (before?.decides ?? 0) + 1, of: doubts.length });
  }
  return [...counts.values()].reduce<Decides | null>((best, each) => (best && best.decides >= each.decides ? best : each), null);
}

/** What is said of it. @example decidesWords({ hand: 'left', action: 'wrist flexion', decides: 6, of: 8 }) → 'Test the left wrist flexors to decide 6 of 8 findings.' */
export const decidesWords = (measure: Decides): string =>
  measure.of === 1
    ? `Test ${measureWords(measure)} to decide.`
    : `Test ${measureWords(measure)} to decide ${measure.decides} of ${measure.of} findings.`;
