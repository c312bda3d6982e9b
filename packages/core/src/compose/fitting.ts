import { freshBlockId } from '../model/edits.js';
import type { Round } from '../model/round.js';
import type { Block, Sequence } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { itemAt, must } from '../vocabulary/lists.js';
import type { Sentence } from '../vocabulary/sentence.js';
import { arranged } from './arrange.js';
import { type Candidate, candidateFor, possibleOf } from './candidate.js';
import type { Composed, Frame } from './composed.js';
import { exchanged } from './exchange.js';
import { heldBack, isLittle } from './held-back.js';
import { judged, type Mended, mended } from './mend.js';
import { rested } from './rested.js';
import { type ComposeQuestion, type Composing, composingOf } from './question.js';
import { type Reason, reasonsFor } from './reasons.js';
import type { Structure } from './structure.js';
import { blockOf } from './suitable.js';
import { goalPercent, wantWorths, worthOf } from './worth.js';

/** Tries to fit a choice that turns out longer than its minutes, before sets are taken from it. */
const MOST_FITTINGS = 3;

/** A choice as a sequence. The ways from place to place are known exactly only now: where they are longer than was thought, the choice is exchanged for a shorter one. */
export function fitting(
  composing: Composing,
  structure: Structure,
  chosen: readonly number[],
  among: readonly number[],
  frame: Frame,
): Composed {
  let [best, indices, { secondsMost }] = [null as Composed | null, chosen, structure];
  for (let tries = 0; tries < MOST_FITTINGS; tries++) {
    const sequence = rested(
      composing,
      asSequence(
        composing,
        indices.map((at) => itemAt(structure.candidates, at)),
      ),
    );
    const overS = compileTimeline(sequence, composing.lookup).durationMs / 1000 - 60 * composing.minutes;
    const next = summedUp(composing, mended(composing, sequence), frame);
    if (!best || next.worth > best.worth) best = next;
    if (overS <= 0) break;
    secondsMost -= overS;
    const shorter = exchanged({ ...structure, secondsMost }, indices, among);
    if (!shorter) break;
    indices = shorter.chosen;
  }
  return must(best, 'a sequence of a choice');
}

function asSequence(composing: Composing, chosen: readonly Candidate[]): Sequence {
  const { locked = [], rounds = [] } = composing;
  const blocks = inGivenOrder(composing, arranged(chosen, composing.method)).map(
    (candidate) => locked.find(({ id }) => candidate.locked && id === candidate.key) ?? freshBlock(candidate, locked),
  );
  const inRounds = rounds.reduce(gathered, blocks);
  return { ...composing.frame, blocks: inRounds, ...(rounds.length > 0 && { rounds: [...rounds] }) };
}

/** Blocks that the coach had in an order keep it among themselves: locked ones, and those of a sequence that is fitted to other minutes. */
function inGivenOrder({ locked = [], keep = [] }: Composing, order: readonly Candidate[]): Candidate[] {
  const given = [...keep, ...locked];
  const placeOf = ({ locked: isLocked, key, movement, level }: Candidate) =>
    isLocked
      ? given.findIndex(({ id }) => id === key)
      : keep.findIndex(({ movementId, levelId }) => movementId === movement.id && levelId === level.id);
  const inOrder = order.filter((each) => placeOf(each) >= 0).toSorted((a, b) => placeOf(a) - placeOf(b));
  return order.map((each) => (placeOf(each) >= 0 ? must(inOrder.shift(), 'as many as there were') : each));
}

/** The blocks of a round stay together, in their own order, at the position of the first. */
function gathered(blocks: readonly Block[], { blockIds }: Round): Block[] {
  const mine = blockIds.map((id) =>
    must(
      blocks.find((block) => block.id === id),
      `a block ${id} of a round`,
    ),
  );
  const first = blocks.findIndex(({ id }) => blockIds.includes(id));
  const others = (list: readonly Block[]) => list.filter(({ id }) => !blockIds.includes(id));
  return [...others(blocks.slice(0, first)), ...mine, ...others(blocks.slice(first))];
}

/** A block of a candidate; its id is made from the movement, so that the same answer is the same document. */
function freshBlock({ movement, level, dose, phase, extra }: Candidate, locked: readonly Block[]): Block {
  const id = freshBlockId({ blocks: locked } as Sequence, movement.id);
  return { ...blockOf(movement, level, dose, phase), id: extra ? `${id}-more` : id };
}

/** What a sequence comes to that somebody has changed: the same figures as of a composed one, nothing mended. @param before what was composed */
export const assessed = (question: ComposeQuestion, sequence: Sequence, before: Frame): Composed => {
  const composing = composingOf(question);
  return summedUp(composing, judged(composing, sequence), before);
};

/** What a judged sequence comes to. */
function summedUp(composing: Composing, { view, findings }: Mended, frame: Frame): Composed {
  const chosen = view.blocks.map(({ movement, level, block }, index) =>
    candidateFor(possibleOf(view, { movement, level, dose: block.dose, phase: block.phase }, index), composing.goal),
  );
  const worth = worthOf(chosen, composing);
  const wants = wantWorths(composing).map(({ targetS }, index) => ({
    words: itemAt(composing.goal.wants, index).words,
    gotS: chosen.reduce((sum, { gives }) => sum + (gives[index] ?? 0), 0),
    targetS,
  }));
  let reasons: readonly Reason[] | undefined;
  let held: readonly (Sentence | null)[] | undefined;
  return {
    ...frame,
    sequence: view.sequence,
    durationMs: view.timeline.durationMs,
    worth,
    goalPercent: goalPercent(
      wants.map(({ gotS }) => gotS),
      composing,
    ),
    gapPercent: gapOf(worth, frame.bound),
    findings,
    wants,
    // Found when somebody reads them: most of what is tried on the way nobody does.
    reasons: () => (reasons ??= reasonsFor(composing, view, chosen)),
    heldBack: () =>
      (held ??= wants.map(({ gotS, targetS }, index) => (isLittle(gotS, targetS) ? heldBack(composing, chosen, index) : null))),
  };
}

/** How much better than a worth the best could still be, percent; below 0 where a coach’s own change is worth more than what the rules allow. @example gapOf(99, 100) → 1 */
export const gapOf = (worth: number, bound: number): number => (bound > 0 ? (100 * (bound - worth)) / bound : 0);
