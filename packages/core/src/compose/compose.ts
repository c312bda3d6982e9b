import type { Composed, NotComposed } from './composed.js';
import { candidatesFor, lockedCandidates } from './candidates.js';
import { giveUpOf } from './give-up.js';
import type { Solver } from './linear.js';
import { integerProgrammeOf } from './integer-programme.js';
import { type ComposeQuestion, composingOf } from './question.js';
import { bindingOf, notesFor } from './reasons.js';
import { type Follower, Search } from './search.js';

/** Whether something was composed. */
export const isComposed = (answer: Composed | NotComposed): answer is Composed => 'sequence' in answer;

/**
 * Composes a sequence: a sound answer at once by exchanging, then better ones by the solver until none can be better by more than `GAP_PERCENT`. What it makes keeps
 * the checks wherever the shelf allows it. The same question has the same answer.
 */
export function compose(question: ComposeQuestion, solver: Solver, follower: Follower = {}): Composed | NotComposed {
  const composing = composingOf(question);
  const locked = lockedCandidates(composing);
  const shelf = candidatesFor(composing);
  const candidates = [...locked, ...shelf.candidates.filter(({ movement }) => !locked.some((each) => each.movement.id === movement.id))];
  const notes = notesFor(composing);
  const programme = integerProgrammeOf(composing, candidates);
  const relaxed = solver.relax(programme.linear);
  const binding = relaxed.values ? bindingOf(programme, relaxed) : [];
  const search = new Search(
    { composing, programme, candidates, relaxed, solver },
    { bound: relaxed.bound, excluded: shelf.excluded, notes, binding },
    follower,
  );
  const best = relaxed.values && candidates.length > 0 ? search.run() : null;
  if (best) return best;
  return { giveUp: candidates.length > 0 ? giveUpOf(programme.linear, solver) : [], excluded: shelf.excluded, notes };
}
