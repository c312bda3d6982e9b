import { PHASE_NAMES } from '../../vocabulary/phases.js';
import type { Dose } from '../../model/dose.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { printDose, printOwnLoad, printSets } from '../../model/dose-shorthand.js';
import { findLevel, type MovementLookup } from '../../model/movement.js';
import { roundChanges } from '../../model/round-words.js';
import type { Block, Sequence } from '../../model/sequence.js';
import { same } from '../../vocabulary/same.js';
import { capital, counted, lowered } from '../../vocabulary/text.js';

/** How many changes are told one by one. */
const TOLD = 2;

/**
 * Exactly what edits change, in a line for a button: the blocks by name, the doses by what is different in them.
 */
export function editWords(sequence: Sequence, edits: readonly Edit[], lookup: MovementLookup): string {
  const changes = editChanges(sequence, edits, lookup, TOLD);
  const more = changes.length - TOLD;
  return more > 0 ? `${changes.slice(0, TOLD).join('; ')}; and ${more} more` : changes.join('; ');
}

/**
 * What edits change, one change to a line.
 * @param named how many blocks that go out are named before they are only counted
 */
export function editChanges(sequence: Sequence, edits: readonly Edit[], lookup: MovementLookup, named = Infinity): string[] {
  const after = applyEdits(sequence, edits);
  return [
    ...budgetChange(sequence, after),
    ...blockChanges(sequence, after, lookup, named),
    ...roundChanges(sequence, after, (block) => lookup(block.movementId)?.name ?? block.movementId),
  ];
}

const budgetChange = (before: Sequence, after: Sequence): string[] =>
  before.budgetMin === after.budgetMin ? [] : [`${before.budgetMin} → ${after.budgetMin} min`];

function blockChanges(before: Sequence, after: Sequence, lookup: MovementLookup, named: number): string[] {
  const was = new Map(before.blocks.map((block, index) => [block.id, { block, index }]));
  const is = new Set(after.blocks.map(({ id }) => id));
  const name = (block: Block) => lookup(block.movementId)?.name ?? block.movementId;
  const gone = before.blocks.filter(({ id }) => !is.has(id));
  const out = gone.length > named ? [`remove ${counted(gone.length, 'block')}`] : gone.map((block) => `remove ${lowered(name(block))}`);
  const changed = after.blocks.flatMap((block) => {
    const old = was.get(block.id)?.block;
    if (!old) return [`add ${lowered(name(block))}, ${levelName(block, lookup)}, ${printDose(block.dose)}`];
    return blockChange(old, block, lookup);
  });
  const moved = movedBlocks(before, after).map((block) => `move ${lowered(name(block))} ${placeOf(block, after, name)}`);
  return [...changed, ...moved, ...out].map(capital);
}

function levelName({ movementId, levelId }: Dosed, lookup: MovementLookup): string {
  const movement = lookup(movementId);
  return lowered((movement && findLevel(movement, levelId)?.name) ?? levelId);
}

/** What a block is dosed with, at which level of which movement. */
type Dosed = Pick<Block, 'movementId' | 'levelId' | 'dose'>;

/** What is different in a block, in a line; nothing where nothing is. */
export function blockChange(old: Dosed, block: Dosed, lookup: MovementLookup): string[] {
  const name = lookup(old.movementId)?.name ?? old.movementId;
  const dose = doseWords(old.dose, block.dose);
  if (old.movementId !== block.movementId) {
    const other = lookup(block.movementId)?.name ?? block.movementId;
    return [`${name} → ${lowered(other)}, ${levelName(block, lookup)}, ${printDose(block.dose)}`];
  }
  if (old.levelId !== block.levelId) {
    const level = `${name}: ${levelName(old, lookup)} → ${levelName(block, lookup)}`;
    return [dose ? `${level}, ${dose}` : level];
  }
  return dose ? [`${name}: ${dose}`] : [];
}

/**
 * What is different in a dose, part by part.
 * @example doseWords(parseDose('2x8 rest30'), parseDose('2x5 rest60')) → '2×8 → 2×5, rest 30 → 60 s'
 */
export function doseWords(before: Dose, after: Dose): string {
  return [...amountChanges(before, after), ...wayChanges(before, after)].filter(Boolean).join(', ');
}

/** How much, how hard and with what. */
function amountChanges(before: Dose, after: Dose): (string | false)[] {
  const amount = (dose: Dose) => printSets(dose).replaceAll(/(?<=\d)x/g, '×');
  const load = (dose: Dose) => printOwnLoad(dose.load).join(' ') || 'the level’s default';
  return [
    amount(before) !== amount(after) && `${amount(before)} → ${amount(after)}`,
    before.effortPercent !== after.effortPercent &&
      `effort ${before.effortPercent ?? 'open'} → ${after.effortPercent ?? 'open'}${after.effortPercent === undefined ? '' : ' %'}`,
    load(before) !== load(after) && `load ${load(before)} → ${load(after)}`,
  ];
}

/** At which pace, with which hands. */
function wayChanges(before: Dose, after: Dose): (string | false)[] {
  const tempo = ({ tempo: pace }: Dose) => (pace ? `${pace.outS}-${pace.backS}` : 'usual');
  return [
    before.holdS !== after.holdS && `hold ${before.holdS ?? 0} → ${after.holdS ?? 0} s`,
    before.pauseS !== after.pauseS && `pause ${before.pauseS ?? 0} → ${after.pauseS ?? 0} s`,
    !same<unknown>(before.tempo, after.tempo) && `tempo ${tempo(before)} → ${tempo(after)}`,
    before.restS !== after.restS && `rest ${before.restS} → ${after.restS} s`,
    before.sides !== after.sides && `hands ${inWords(before.sides)} → ${inWords(after.sides)}`,
    before.directions !== after.directions && `${inWords(before.directions)} → ${inWords(after.directions)} direction`,
  ];
}

const inWords = (plan: string) => plan.replaceAll('-', ' ');

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
