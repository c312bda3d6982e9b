import { PHASE_NAMES } from '../../vocabulary/phases.js';
import { kilogramsOf } from '../../mechanics/as-dosed.js';
import { type Dose, setGroupsOf } from '../../model/dose.js';
import { doseChanges } from '../../model/dose-changes.js';
import { amountWords, doseSentence } from '../../model/dose-words.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { findLevel, type MovementLookup } from '../../model/movement.js';
import { withOwnSet } from '../../model/effort-or-load.js';
import { kilogramsNameOf } from '../../model/own-load.js';
import { roundChanges } from '../../model/round-words.js';
import type { Block, Sequence } from '../../model/sequence.js';
import { capitalSentence, joinSentences, say, type Sentence } from '../../vocabulary/sentence.js';
import { counted, lowered } from '../../vocabulary/text.js';

/** How many changes are listed one by one. */
const TOLD = 2;

/**
 * Exactly what edits change, in a line for a button: the blocks by name, the doses by what is different in them.
 */
export function editWords(sequence: Sequence, edits: readonly Edit[], lookup: MovementLookup): Sentence {
  const changes = editChanges(sequence, edits, lookup, TOLD);
  const more = changes.length - TOLD;
  const changesText = joinSentences(changes.slice(0, TOLD), '; ');
  return more > 0 ? say`${changesText}; and ${more} more` : changesText;
}

/**
 * What edits change, one change to a line.
 * @param named how many blocks that go out are named before they are only counted
 */
export function editChanges(sequence: Sequence, edits: readonly Edit[], lookup: MovementLookup, named = Infinity): Sentence[] {
  const after = applyEdits(sequence, edits);
  return [
    ...budgetChange(sequence, after),
    ...blockChanges(sequence, after, lookup, named),
    ...roundChanges(sequence, after, (block) => lookup(block.movementId)?.name ?? block.movementId),
  ];
}

const budgetChange = (before: Sequence, after: Sequence): string[] =>
  before.budgetMin === after.budgetMin ? [] : [`${before.budgetMin} → ${after.budgetMin} min`];

function blockChanges(before: Sequence, after: Sequence, lookup: MovementLookup, named: number): Sentence[] {
  const was = new Map(before.blocks.map((block, index) => [block.id, { block, index }]));
  const is = new Set(after.blocks.map(({ id }) => id));
  const name = (block: Block) => lookup(block.movementId)?.name ?? block.movementId;
  const removed = before.blocks.filter(({ id }) => !is.has(id));
  const out =
    removed.length > named ? [`remove ${counted(removed.length, 'block')}`] : removed.map((block) => `remove ${lowered(name(block))}`);
  const changed = after.blocks.flatMap((block): Sentence[] => {
    const old = was.get(block.id)?.block;
    if (!old) return [say`add ${lowered(name(block))}, ${levelAndDose(block, lookup)}`];
    return blockChange(old, block, lookup);
  });
  const moved = movedBlocks(before, after).map((block) => `move ${lowered(name(block))} ${placeOf(block, after, name)}`);
  return [...changed, ...moved, ...out].map(capitalSentence);
}

function levelName({ movementId, levelId }: Dosed, lookup: MovementLookup): string {
  const movement = lookup(movementId);
  return lowered((movement && findLevel(movement, levelId)?.name) ?? levelId);
}

function levelAndDose(block: Dosed, lookup: MovementLookup): Sentence {
  const movement = lookup(block.movementId);
  const level = movement && findLevel(movement, block.levelId);
  if (!level) return `${levelName(block, lookup)}, ${amountWords(setGroupsOf(block.dose))}`;
  return say`${lowered(level.name)}, ${doseSentence(block.dose, movement, level)}`;
}

/** What a block is dosed with, at which level of which movement. */
type Dosed = Pick<Block, 'movementId' | 'levelId' | 'dose'>;

/** What is different in a block, in a line; nothing where nothing is. */
export function blockChange(old: Dosed, block: Dosed, lookup: MovementLookup): Sentence[] {
  const movement = lookup(old.movementId);
  const name = movement?.name ?? old.movementId;
  if (old.movementId !== block.movementId) {
    const other = lookup(block.movementId)?.name ?? block.movementId;
    return [say`${name} → ${lowered(other)}, ${levelAndDose(block, lookup)}`];
  }
  const changes = doseChanges(withKilograms(old, lookup), withKilograms(block, lookup), movement?.strokes);
  if (old.levelId !== block.levelId) {
    return [joinSentences([`${name}: ${levelName(old, lookup)} → ${levelName(block, lookup)}`, ...changes], ', ')];
  }
  return changes.length > 0 ? [say`${name}: ${joinSentences(changes, ', ')}`] : [];
}

/** A dose that names the kilograms of its level where it has none of its own. */
function withKilograms({ movementId, levelId, dose }: Dosed, lookup: MovementLookup): Dose {
  const movement = lookup(movementId);
  const level = movement && findLevel(movement, levelId);
  const name = level && kilogramsNameOf(level, movement);
  const kg = level && kilogramsOf(level);
  const isNamed = dose.effortPercent !== undefined || (name && dose.load?.[name] !== undefined);
  return !name || kg === undefined || isNamed ? dose : withOwnSet(dose, name, kg);
}

/** Blocks that stand elsewhere among those that stay: the fewest whose move tells it. */
function movedBlocks(before: Sequence, after: Sequence): Block[] {
  const order = before.blocks.map(({ id }) => id).filter((id) => after.blocks.some((block) => block.id === id));
  const phaseOf = new Map(before.blocks.map(({ id, phase }) => [id, phase]));
  const now = after.blocks.filter(({ id }) => phaseOf.has(id));
  const stays = longestRun(now.map(({ id }) => order.indexOf(id)));
  return now.filter((block, index) => !stays.has(index) || phaseOf.get(block.id) !== block.phase);
}

/** Places of the longest rising run within a list: what need not be said to have moved. */
function longestRun(values: readonly number[]): Set<number> {
  const best: number[][] = [];
  values.forEach((value, index) => {
    const before = best.filter((run) => (values[run.at(-1) ?? -1] ?? -1) < value);
    const longest = before.reduce<number[]>((most, run) => (run.length > most.length ? run : most), []);
    best.push([...longest, index]);
  });
  return new Set(best.reduce<number[]>((most, run) => (run.length > most.length ? run : most), []));
}

function placeOf(block: Block, { blocks }: Sequence, name: (block: Block) => string): string {
  const next = blocks[blocks.indexOf(block) + 1];
  return next?.phase === block.phase ? `before ${lowered(name(next))}` : `to the end of “${PHASE_NAMES[block.phase]}”`;
}
