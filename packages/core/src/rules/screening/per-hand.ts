import type { RecordedCaution } from '../../model/athlete.js';
import { type Hand, HANDS } from '../../vocabulary/hands.js';
import { same } from '../../vocabulary/same.js';
import { handsOf, keyOfCaution } from '../safety/cautions.js';

/** Entries of one thing together, whosever hand it is of; things in the order in which they are first named. */
export function byThing(entries: readonly RecordedCaution[]): Map<string, RecordedCaution[]> {
  const groups = new Map<string, RecordedCaution[]>();
  for (const entry of entries) {
    const key = keyOfCaution({ ...entry, hand: 'both' });
    const group = groups.get(key);
    if (group) group.push(entry);
    else groups.set(key, [entry]);
  }
  return groups;
}

/** What concerns one hand, of some entries. */
export const ofHand = (entries: readonly RecordedCaution[], hand: Hand): RecordedCaution[] =>
  entries.filter((entry) => handsOf(entry).includes(hand));

/**
 * The result of one answer: a verdict, and the entry in the record for it.
 * @param isWhole whether it is the person’s and no hand’s
 */
export function handByHand(isWhole: boolean, restrictionOf: (hand: Hand) => RecordedCaution | null): RecordedCaution[] {
  const [left, right] = HANDS.map((hand) => {
    const entry = restrictionOf(hand);
    return entry && { ...entry, hand };
  });
  if (left && right && same<RecordedCaution>({ ...left, hand: 'both' }, { ...right, hand: 'both' })) {
    const { hand: _hand, ...rest } = left;
    return [isWhole ? rest : { ...rest, hand: 'both' }];
  }
  return [left, right].filter((entry) => entry !== null && entry !== undefined);
}
