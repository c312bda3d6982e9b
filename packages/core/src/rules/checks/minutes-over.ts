import { quantity, say } from '../../vocabulary/sentence.js';
import { itemAt, must } from '../../vocabulary/lists.js';
import type { SessionView } from '../../effort/session-view.js';
import { type Dose, oneSetLess } from '../../model/dose.js';
import type { Edit } from '../../model/edits.js';
import { resolveBlock } from '../../model/check-sequence.js';
import { type Round, ROUND_LIMITS } from '../../model/round.js';
import { aloneIn, timesOf, turnKey } from '../../model/rounds.js';
import { type Block, type Sequence, SEQUENCE_LIMITS } from '../../model/sequence.js';
import type { Check } from './finding.js';
import { unusualInDose } from '../doses/usual-dose.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { LOOK_S, milliseconds } from '../../timeline/timeline.js';

/** Finds sequences that take longer than their minutes. */
export const minutesOver: Check = {
  id: 'minutes-over',
  title: 'Longer than the time available',
  severity: 'mend',
  why: 'What runs over gets rushed, and it’s usually the cool-down.',
  source: 'the time available',
  find: (view) => {
    const overMs = view.timeline.plannedMs - view.sequence.budgetMin * 60_000;
    if (overMs <= 0) return [];
    const edits = trimmed(view, overMs);
    const text = say`${quantity(Math.ceil(overMs / 1000), 's')} over the ${view.sequence.budgetMin} minutes.`;
    if (edits) return [{ blockIds: [], text, fix: { label: fewerLabel(edits), edits } }];
    const budgetMin = Math.ceil(view.timeline.plannedMs / 60_000);
    if (budgetMin > SEQUENCE_LIMITS.budgetMin.max)
      return [{ blockIds: [], text: say`${text} The longest possible is ${SEQUENCE_LIMITS.budgetMin.max} minutes.` }];
    return [{ blockIds: [], text, fix: { label: say`Set the time to ${budgetMin} minutes`, edits: [{ kind: 'budget', budgetMin }] } }];
  },
};

const fewerLabel = ([first]: readonly Edit[]) =>
  first?.kind === 'round' ? 'Cut rounds where there are most' : 'Cut sets where there are most';

/** Sets taken until it is given up. */
const MOST_TAKEN = 60;

/** A block that may lose sets: how long it takes, and its dose, as sets are taken from it. */
interface Trimmed {
  readonly block: Block;
  readonly ms: number;
  readonly dose: Dose;
}

/** Takes a set from the longest block with several, until it fits; a round where that is not enough; null when neither is. */
function trimmed(view: SessionView, overMs: number): Edit[] | null {
  return fewerSets(view, overMs) ?? fewerRounds(view, overMs);
}

/** Takes a round from what has most of them, down to two, until it fits. */
function fewerRounds({ sequence, lookup, timeline }: SessionView, overMs: number): Edit[] | null {
  const lastRoundMs = roundLengths(timeline, sequence);
  let rounds = sequence.rounds ?? [];
  let leftMs = overMs;
  for (;;) {
    const most = rounds.reduce<Round | null>((a, b) => (a && a.times >= b.times ? a : b), null);
    if (!most || most.times <= ROUND_LIMITS.times.min) return null;
    leftMs -= lastRoundMs(most);
    rounds = rounds.map((round) => (round === most ? { ...round, times: round.times - 1 } : round));
    // Where a round ends at another level, the way to what follows is another, too: what the sums say is held against the clock.
    if (leftMs <= 0 && timeline.durationMs - compileTimeline({ ...sequence, rounds }, lookup).durationMs >= overMs) break;
  }
  return rounds.filter((round) => !sequence.rounds?.includes(round)).map((round) => ({ kind: 'round', round }));
}

/** What the last of its rounds takes, without the looks after it: those move to the one before. */
function roundLengths({ turns }: SessionView['timeline'], { blocks }: Sequence): (round: Round) => number {
  const lengthOf = new Map(turns.map((turn) => [turnKey(turn), turn.endMs - turn.startMs]));
  const indexOf = new Map(blocks.map(({ id }, index) => [id, index]));
  const lastOf = new Map(turns.map(({ blockIndex, round }) => [blockIndex, round]));
  return ({ blockIds, times }) =>
    blockIds.reduce((sum, id) => {
      const blockIndex = must(indexOf.get(id), 'a block of the round');
      const looks = lastOf.get(blockIndex) === times && itemAt(blocks, blockIndex).lookAgain?.includes('after');
      return sum + must(lengthOf.get(turnKey({ blockIndex, round: times })), 'a turn of the round') - (looks ? milliseconds(LOOK_S) : 0);
    }, 0);
}

function fewerSets(view: SessionView, overMs: number): Edit[] | null {
  const spans = view.timeline.blocks;
  const blocks = view.sequence.blocks.map((block, index): Trimmed => ({
    block,
    ms: itemAt(spans, index).lengthMs,
    dose: block.dose,
  }));
  let leftMs = overMs;
  for (let taken = 0; leftMs > 0; taken++) {
    const longest = longestToTrim(view, blocks);
    if (longest === undefined || taken === MOST_TAKEN) return null;
    const { block, ms, dose } = itemAt(blocks, longest);
    const fewer = must(oneSetLess(dose), 'a set to take from what has several');
    const savedMs = (msAlone(view, block, dose) - msAlone(view, block, fewer)) * timesOf(view.sequence, block.id);
    blocks[longest] = { block, ms: ms - savedMs, dose: fewer };
    leftMs -= savedMs;
  }
  return blocks.filter(({ block, dose }) => dose !== block.dose).map(({ block, dose }) => ({ kind: 'change', blockId: block.id, dose }));
}

/** The first of the longest blocks from which a set can be taken without its dose becoming unusual. */
function longestToTrim(view: SessionView, blocks: readonly Trimmed[]): number | undefined {
  let longest: number | undefined;
  for (const [index, { ms, block, dose }] of blocks.entries()) {
    const isLonger = longest === undefined || ms > itemAt(blocks, longest).ms;
    if (isLonger && oneSetLess(dose) && staysUsual(view, block, dose)) longest = index;
  }
  return longest;
}

/** What a block takes by itself: of two doses the difference is what it makes anywhere, since sets change nothing around the block. */
function msAlone({ sequence, lookup }: SessionView, block: Block, dose: Dose): number {
  return compileTimeline(aloneIn(sequence, { ...block, dose }), lookup).durationMs;
}

/** Whether a set less is not less than usual. */
function staysUsual(view: SessionView, { movementId, levelId }: Block, dose: Dose): boolean {
  const { dosing } = resolveBlock({ movementId, levelId }, view.lookup).level;
  const fewer = oneSetLess(dose);
  return fewer !== null && unusualInDose(fewer, dosing).length <= unusualInDose(dose, dosing).length;
}
