import { joinSentences, loweredSentence, say, type Sentence, uniqueSentences } from '../../vocabulary/sentence.js';
import { blockChances } from '../../effort/chances.js';
import { peopleWords } from '../../effort/doubt.js';
import { amountOf, type Dose, withSetGroups, workOf } from '../../model/dose.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import type { Level } from '../../model/movement.js';
import { working } from '../../vocabulary/constant.js';
import { firstOf, groupedBy, isSome } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { WORK } from '../../vocabulary/phases.js';
import { hasGrown } from '../doses/asks-more.js';
import { editWords } from '../fixes/edit-words.js';
import { isProgression, STEP_OF } from '../progress/level-standing.js';
import { doseFor } from '../doses/method-dose.js';
import { grownInRange } from '../progress/in-range.js';
import { doseNow, levelNow } from '../progress/progressed.js';
import { unusualInDose } from '../doses/usual-dose.js';
import type { Suggestion, SuggestionOption } from './suggestion.js';
import { type ComingBlock, comingBlocks, handsIn, inPlans, newestOf, sessionsOf } from './coming-blocks.js';
import type { SuggestionScene, ComingPlan } from './question.js';

/** Less likely than this to be carried to its end, more is not proposed: it is measured first. */
const MORE_LIKELY_THAN_NOT = working('Chance from which more is proposed', 0.5, 'of 1', 'more likely than not', [0.4, 0.7]).value;

/** A change of one block, with the block that it is of. */
interface Change {
  readonly coming: ComingBlock;
  readonly plan: ComingPlan;
  readonly edits: readonly Edit[];
}

/** More of what went clean, or the next level; nothing that asks more of a hand that is barred. */
export function progressSuggestions(scene: SuggestionScene): Suggestion[] {
  const all = [...comingBlocks(scene).values()].map((blocks) =>
    blocks.flatMap((coming): Change[] => {
      // Circles and stretches are not counted upward: what loads is.
      if (!WORK.includes(coming.block.phase)) return [];
      if (coming.standings.some(({ hand }) => scene.barred.has(hand))) return [];
      const edits = progressionOf(scene, coming);
      return edits ? [{ coming, plan: coming.plan, edits }] : [];
    }),
  );
  const chanceOf = chancesOf(scene, all.flat());
  return all.flatMap((changes) => (isSome(changes) ? [suggestionOf(scene, changes, chanceOf)] : []));
}

function suggestionOf(
  scene: SuggestionScene,
  changes: readonly [Change, ...Change[]],
  chanceOf: (changes: readonly Change[]) => number,
): Suggestion {
  const { movement, standings } = firstOf(changes).coming;
  const last = newestOf(standings);
  const chance = chanceOf(changes);
  const { why } = standings.find(({ step }) => isProgression(step)) ?? firstOf(standings);
  const rest = {
    hands: handsIn(standings),
    movementId: movement.id,
    evidence: sessionsOf(standings),
    sessionId: last.sessionId,
  };
  if (chance < MORE_LIKELY_THAN_NOT) {
    return {
      ...rest,
      key: `measure ${movement.id}`,
      kind: 'measure again',
      cause: 'unlikely',
      why: say`${movement.name}: ${loweredSentence(why)} But only ${peopleWords(chance)} would complete it: test before you progress.`,
      evidenceKey: last.sessionId,
      options: [{ id: 'measure', words: 'Test first; keep the dose until then', effect: { kind: 'as it is' } }],
    };
  }
  const proposed: SuggestionOption = {
    id: 'next',
    words: wordsOf(scene, changes),
    effect: { kind: 'blocks', plans: inPlans(changes) },
    chance,
  };
  return {
    ...rest,
    key: `level ${movement.id}`,
    kind: 'progress',
    cause: 'clean',
    why: say`${movement.name}: ${loweredSentence(why)}`,
    evidenceKey: `${last.sessionId} clean`,
    options: [proposed, ...otherOptions(scene, changes)],
  };
}

const wordsOf = ({ lookup }: SuggestionScene, changes: readonly Change[]): Sentence =>
  joinSentences(uniqueSentences(changes.map(({ plan, edits }) => editWords(plan.sequence, edits, lookup))), '; ');

/** A step inside the dose’s own range or toward its goal; else the next level where both hands have passed, else more of this one; null where nothing grows, or the plan has it already. */
function progressionOf({ viewOf, cautions }: SuggestionScene, { plan, block, movement, level, standings }: ComingBlock): Edit[] | null {
  const { method } = viewOf(plan.sequence);
  const inRange = grownInRange(block.dose, standings, method);
  if (inRange) return [{ kind: 'change', blockId: block.id, dose: inRange }];
  const now = levelNow(movement, standings);
  if (now && levelIndex(movement.ladder, now) > levelIndex(movement.ladder, level)) {
    const { weaker } = viewOf(plan.sequence);
    const dose = doseFor(movement, now, method, weaker, cautions);
    return [{ kind: 'change', blockId: block.id, levelId: now.id, dose: { ...dose, sides: block.dose.sides } }];
  }
  if (!standings.some(({ step }) => isProgression(step))) return null;
  const dose = doseNow(block.dose, level, movement.id, standings);
  return hasGrown(dose, block.dose) ? [{ kind: 'change', blockId: block.id, dose }] : null;
}

const levelIndex = (ladder: readonly Level[], { id }: Level) => ladder.findIndex((each) => each.id === id);

/** Another way of more for who does not want the proposed one: a set more, or a little more of each. */
function otherOptions(scene: SuggestionScene, changes: readonly Change[]): SuggestionOption[] {
  const ways: { id: string; more: (dose: Dose) => Dose }[] = [
    { id: 'set', more: (dose) => withSetGroups(dose, [{ sets: dose.sets + 1, work: dose.work }]) },
    {
      id: 'amount',
      more: (dose) =>
        withSetGroups(dose, [{ sets: dose.sets, work: workOf(dose.work.kind, amountOf(dose.work) + STEP_OF[UNIT_OF[dose.work.kind]]) }]),
    },
  ];
  return ways.flatMap(({ id, more }): SuggestionOption[] => {
    const others = changes.flatMap(({ coming, plan, edits }): Change[] => {
      const { block, level } = coming;
      if (block.dose.then) return [];
      const dose = more(block.dose);
      const edit: Edit = { kind: 'change', blockId: block.id, dose };
      return unusualInDose(dose, level.dosing).length > 0 || same<unknown>([edit], edits) ? [] : [{ coming, plan, edits: [edit] }];
    });
    if (others.length < changes.length) return [];
    return [{ id, words: wordsOf(scene, others), effect: { kind: 'blocks', plans: inPlans(others) } }];
  });
}

/** How likely blocks are carried to their end once all that is proposed is made, the least of them. */
function chancesOf({ viewOf }: SuggestionScene, all: readonly Change[]): (changes: readonly Change[]) => number {
  const loads = new Map<ComingPlan, ReadonlyMap<string, number>>();
  for (const [plan, changes] of groupedBy(all, (change) => change.plan)) {
    const view = viewOf(
      applyEdits(
        plan.sequence,
        changes.flatMap(({ edits }) => edits),
      ),
    );
    loads.set(plan, blockChances(view.chances(), view.efforts.impossible));
  }
  return (changes) => Math.min(...changes.map(({ plan, coming }) => loads.get(plan)?.get(coming.block.id) ?? 1));
}
