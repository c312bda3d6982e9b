import { amountOf, type Dose, withAmount } from '../model/dose.js';
import type { Block } from '../model/sequence.js';
import { rememberer } from './known.js';
import type { PieceLoad } from './piece-load.js';

/** The block of a plan that a block was made from: the same in all but its sets and their amount. */
const sources = new WeakMap<Block, Block>();

/** A block with as much of its work as a day holds. */
export function inAnotherAmount(block: Block, dose: Dose): Block {
  const made = { ...block, dose };
  sources.set(made, sources.get(block) ?? block);
  return made;
}

/** What a block comes to with one and two sets of an amount, and of more. */
interface Corners {
  readonly amount: number;
  /** By so much more. */
  readonly stride: number;
  readonly at: readonly [one: PieceLoad, two: PieceLoad, oneMore: PieceLoad, twoMore: PieceLoad];
}

/** A metre takes no whole milliseconds: what is rounded is measured over many. */
const FAR = 50;

/**
 * What a block comes to that was made from the block of a plan. Every figure of it rises evenly with the sets and with the amount of each, so that four
 * computed doses give all the others, to rounding; null where that is not so: open sets end where somebody lets go, and sets may differ.
 * @param parts what else the figures rest on @param exact computes a block by itself
 */
export function loadByAmount(block: Block, parts: readonly unknown[], exact: (block: Block) => PieceLoad): PieceLoad | null {
  const source = sources.get(block);
  const { dose } = block;
  if (!source || dose.then || dose.work.open) return null;
  const { amount, stride, at } = remember(source, parts, () => cornersOf(source, exact));
  return between(at, dose.sets - 1, (amountOf(dose.work) - amount) / stride);
}
const remember = rememberer<Corners>();

function cornersOf(source: Block, exact: (block: Block) => PieceLoad): Corners {
  const { work } = source.dose;
  const [amount, stride] = [amountOf(work), work.kind === 'distance' ? FAR : 1];
  const load = (sets: number, more: number) => exact({ ...source, dose: { ...source.dose, sets, work: withAmount(work, amount + more) } });
  return { amount, stride, at: [load(1, 0), load(2, 0), load(1, stride), load(2, stride)] };
}

function between([one, two, oneMore, twoMore]: Corners['at'], sets: number, amount: number): PieceLoad {
  const [a, b, c, d] = [one.figures, two.figures, oneMore.figures, twoMore.figures];
  const figures = a.map((at, index) => {
    const [bySet, byAmount] = [b[index]! - at, c[index]! - at];
    return at + sets * bySet + amount * byAmount + sets * amount * (d[index]! - at - bySet - byAmount);
  });
  return { moves: one.moves, figures };
}
