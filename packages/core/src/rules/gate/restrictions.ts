import type { RecordedCaution } from '../../model/athlete.js';
import { type Hand, HAND_WORDS } from '../../vocabulary/hands.js';
import { goesToFailure } from '../doses/open-ends.js';
import { brokenLimit } from '../safety/caution-limits.js';
import { handsOf } from '../safety/cautions.js';
import { concernsOf, mustWait, otherHandWaits } from '../safety/clearance.js';
import { handsUsed } from '../safety/hands-used.js';
import { type Moment, momentsOf, type Work } from './moments.js';

type Planned = Pick<Work, 'movement' | 'level' | 'dose'>;

/** Whether a block waits for a clearance: it loads a hand that nobody has cleared, or uses one that rests. */
export const waitsFor = (entry: RecordedCaution, { movement, level, dose: { sides } }: Planned): boolean =>
  mustWait(entry, level, handsUsed(level, sides)) || otherHandWaits(entry, movement, level, sides);

/** Whether a restriction keeps work off, or limits it to less. */
export const isAgainst = (entry: RecordedCaution, work: Work): boolean => waitsFor(entry, work) || limitBroken(entry, work) !== null;

/** Why a movement is left out with somebody’s restrictions, in its own words; empty where it need not be. */
export const leftOutBy = (cautions: readonly RecordedCaution[], { movement, level, dose }: Planned): readonly string[] =>
  concernsOf(movement, level, cautions, handsUsed(level, dose.sides)).avoid;

/** A limit that a block passes, for the hand that passes it furthest. */
export interface BrokenLimit {
  readonly hand: Hand;
  readonly broken: string;
}

/** How a block passes the limits of one restriction, or of its clearance; null where it keeps them. */
export function limitBroken(entry: RecordedCaution, work: Work): BrokenLimit | null {
  const toFailure = goesToFailure(work.dose);
  const moments = momentsOf(work)
    .filter(({ hand }) => handsOf(entry).includes(hand))
    // The hand that works hardest is the one that is spoken of.
    .sort((a, b) => b.demand.effortPercent - a.demand.effortPercent);
  for (const { hand, form, demand } of moments) {
    const broken = brokenLimit(entry, { level: form.level, demand, toFailure });
    if (broken) return { hand, broken: isHardest(work, demand) ? broken : `${HAND_WORDS[hand]} ${broken}` };
  }
  return null;
}

/** What is shown of a block is its hardest hand; where another one is meant, it is named. */
const isHardest = (work: Work, { effortPercent }: Moment['demand']): boolean =>
  momentsOf(work).every(({ demand }) => demand.effortPercent <= effortPercent + 0.5);
