import { amountOf, type Dose, setGroupsOf, withAmount } from '../model/dose.js';
import type { Block } from '../model/sequence.js';
import { rememberer } from './known.js';
import type { PieceLoad } from './piece-figures.js';

/** The block of a plan that a block was made from: the same in all but its sets and their amount. */
const sources = new WeakMap<Block, Block>();

/** A block with as much of its work as a day holds. */
export function inAnotherAmount(block: Block, dose: Dose): Block {
  const made = { ...block, dose };
  sources.set(made, sources.get(block) ?? block);
  return made;
}

/** What a block comes to once, with each set, and with each repetition, second, breath or metre. */
interface Parts {
  readonly moves: PieceLoad['moves'];
  readonly once: Float64Array;
  readonly perSet: Float64Array;
  readonly perUnit: Float64Array;
}

/** A metre takes no whole milliseconds: what is rounded is measured over many. */
const FAR = 50;

/**
 * What a block comes to that was made from the block of a plan. Every figure of it rises evenly with the sets and with what all of them hold, so that three
 * computed doses give all the others, to rounding; null for open sets, which end where the athlete lets go.
 * @param parts what else the figures rest on @param exact computes a block by itself
 */
export function loadByAmount(block: Block, parts: readonly unknown[], exact: (block: Block) => PieceLoad): PieceLoad | null {
  const source = sources.get(block);
  if (!source || source.dose.then || source.dose.work.open) return null;
  const { moves, once, perSet, perUnit } = remember(source, parts, () => partsOf(source, exact));
  let [sets, units] = [0, 0];
  for (const group of setGroupsOf(block.dose)) {
    sets += group.sets;
    units += group.sets * amountOf(group.work);
  }
  return { moves, figures: once.map((each, index) => each + sets * (perSet[index] ?? 0) + units * (perUnit[index] ?? 0)) };
}
const remember = rememberer<Parts>();

function partsOf(source: Block, exact: (block: Block) => PieceLoad): Parts {
  const { work } = source.dose;
  const [amount, stride] = [amountOf(work), work.kind === 'distance' ? FAR : 1];
  const load = (sets: number, more: number) => exact({ ...source, dose: { ...source.dose, sets, work: withAmount(work, amount + more) } });
  const [one, two, longer] = [load(1, 0), load(2, 0), load(1, stride)];
  const perUnit = one.figures.map((each, index) => ((longer.figures[index] ?? 0) - each) / stride);
  const perSet = one.figures.map((each, index) => (two.figures[index] ?? 0) - each - amount * (perUnit[index] ?? 0));
  const once = one.figures.map((each, index) => each - (perSet[index] ?? 0) - amount * (perUnit[index] ?? 0));
  return { moves: one.moves, once, perSet, perUnit };
}
