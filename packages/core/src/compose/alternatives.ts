import type { Sentence } from '../vocabulary/sentence.js';
import { viewOf } from '../effort/session-view.js';
import type { Edit } from '../model/edits.js';
import type { Sequence } from '../model/sequence.js';
import { objectionsTo } from '../rules/fixes/objections.js';
import { firstOf, groupedBy, itemAt } from '../vocabulary/lists.js';
import { type Candidate, candidateFor, possibleOf } from './candidate.js';
import { candidatesFor } from './candidates.js';
import { Choice } from './choice.js';
import { integerProgrammeOf } from './integer-programme.js';
import { type ComposeQuestion, type Composing, composingOf, examined } from './question.js';

/** Another movement for a block, and what that changes. */
export interface Alternative {
  readonly candidate: Candidate;
  readonly edits: readonly Edit[];
  /** Points of a hundred, more or less than as it is. */
  readonly points: number;
  /** Seconds that the block takes longer, or shorter. */
  readonly seconds: number;
  /** What the wants of the goal get more or less. */
  readonly text: Sentence;
}

const MOST = 5;
/** More are tried than are shown: some raise a finding among the others. */
const TRIED = 50;

/** Up to five other movements for a block of a sequence, what loses least first; none raises a finding that was not there. */
export function alternativesFor(question: ComposeQuestion, sequence: Sequence, blockId: string): Alternative[] {
  const composing = composingOf(question);
  const view = viewOf(examined(composing, sequence.blocks, sequence.rounds));
  const at = sequence.blocks.findIndex(({ id }) => id === blockId);
  const block = itemAt(sequence.blocks, at);
  const standing = view.blocks.map(({ movement, level, block: { id, dose, phase } }, index) => ({
    ...candidateFor(possibleOf(view, { movement, level, dose, phase }, index), composing.goal),
    key: id,
    // All others stay; their rules are not asked of what leaves.
    ...(index !== at && { locked: true as const }),
  }));
  const others = candidatesFor(composing).candidates.filter(
    ({ movement, phase }) => phase === block.phase && !sequence.blocks.some(({ movementId }) => movementId === movement.id),
  );
  const candidates = [...standing, ...others];
  const choice = Choice.of(integerProgrammeOf(composing, candidates).structure, standing.keys());
  const before = choice.worth();
  choice.toggle(at);
  const ranked = others
    .map((candidate, index) => {
      choice.toggle(standing.length + index);
      const points = choice.worth() - before;
      const rank = points - choice.broken();
      choice.toggle(standing.length + index);
      return { candidate, points, rank };
    })
    .sort((a, b) => b.rank - a.rank);
  const found: Alternative[] = [];
  // The best dose of each movement, the best movement first.
  const best = [...groupedBy(ranked, ({ candidate }) => candidate.movement.id).values()].map(firstOf);
  for (const { candidate, points } of best.slice(0, TRIED)) {
    if (found.length === MOST) break;
    const { movement, level, dose } = candidate;
    const edits: Edit[] = [{ kind: 'change', blockId, movementId: movement.id, levelId: level.id, dose }];
    if (objectionsTo(view, edits, { upTo: 'look' }).length > 0) continue;
    const was = itemAt(standing, at);
    found.push({
      candidate,
      edits,
      points,
      seconds: candidate.seconds - was.seconds,
      text: changeWords(composing, was, candidate),
    });
  }
  return found;
}

/** As “24 s less for time to settle, 12 s more for the whole hand moved freely; 15 s longer”. */
function changeWords({ goal }: Composing, was: Candidate, is: Candidate): string {
  const wants = goal.wants.flatMap(({ words }, index) => {
    const more = Math.round((is.gives[index] ?? 0) - (was.gives[index] ?? 0));
    return more === 0 ? [] : [`${Math.abs(more)} s ${more > 0 ? 'more' : 'less'} for ${words}`];
  });
  const longer = Math.round(is.seconds - was.seconds);
  const time = longer === 0 ? 'as long' : `${Math.abs(longer)} s ${longer > 0 ? 'longer' : 'shorter'}`;
  return [wants.join(', ') || 'as much for the goal', time].join('; ');
}
