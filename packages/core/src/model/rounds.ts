import type { Fault } from '../vocabulary/fault.js';
import type { Round } from './round.js';
import type { Block, Sequence } from './sequence.js';

type Grouped = Pick<Sequence, 'blocks' | 'rounds'>;

/** The round that a block belongs to; undefined for one that is done once. */
export const roundOf = ({ rounds }: Pick<Sequence, 'rounds'>, blockId: string): Round | undefined =>
  rounds?.find(({ blockIds }) => blockIds.includes(blockId));

/** A sequence of one block, done once: what it comes to by itself. */
export function aloneIn({ rounds: _rounds, ...sequence }: Sequence, block: Block): Sequence {
  return { ...sequence, blocks: [block] };
}

/** How many times a block is done. */
export const timesOf = (sequence: Pick<Sequence, 'rounds'>, blockId: string): number => roundOf(sequence, blockId)?.times ?? 1;

/** Once through one block, in the order of the clock. */
export interface Turn {
  readonly blockIndex: number;
  /** 1-based; 1 where there are no rounds. */
  readonly round: number;
}

/** The key of a turn, wherever something is stored by turn. */
export const turnKey = ({ blockIndex, round }: Turn) => `${blockIndex} ${round}`;

/** The order in which blocks are done, rounds unrolled: of a and twice (b, c) it is a b c b c. */
export function turnsOf(sequence: Grouped): Turn[] {
  const turns: Turn[] = [];
  const { blocks } = sequence;
  for (let index = 0; index < blocks.length;) {
    const block = blocks[index];
    const round = block && roundOf(sequence, block.id);
    const count = round?.blockIds.length ?? 1;
    for (let number = 1; number <= (round?.times ?? 1); number++) {
      for (let at = 0; at < count; at++) turns.push({ blockIndex: index + at, round: number });
    }
    index += count;
  }
  return turns;
}

/** What keeps the rounds of a sequence from being done. Pointers are relative to the sequence. */
export function checkRounds({ blocks, rounds = [] }: Grouped): Fault[] {
  const faults: Fault[] = [];
  const placeOf = new Map(blocks.map(({ id }, index) => [id, index]));
  const taken = new Set<string>();
  rounds.forEach((round, index) => {
    const at = `/rounds/${index}`;
    const unknown = round.blockIds.find((id) => !placeOf.has(id));
    if (unknown !== undefined) {
      faults.push({ pointer: `${at}/blockIds`, message: `There is no block “${unknown}” for this round.` });
      return;
    }
    if (round.blockIds.length === 0) {
      faults.push({ pointer: `${at}/blockIds`, message: 'A round needs at least one block.' });
    }
    if (round.blockIds.some((id) => taken.has(id))) {
      faults.push({ pointer: `${at}/blockIds`, message: 'Rounds can’t overlap: each block can be in only one.' });
    }
    round.blockIds.forEach((id) => taken.add(id));
    const places = round.blockIds.map((id) => placeOf.get(id) ?? -1);
    if (places.some((place, step) => step > 0 && place !== (places[step - 1] ?? 0) + 1)) {
      faults.push({ pointer: `${at}/blockIds`, message: 'The blocks of a round must follow one another; name them in their order.' });
    }
    if (new Set(places.map((place) => blocks[place]?.phase)).size > 1) {
      faults.push({ pointer: `${at}/blockIds`, message: 'The blocks of a round must be in one phase.' });
    }
  });
  return faults;
}

/**
 * Rounds as they are once blocks were moved, added or taken out: each keeps the longest run of its blocks that still are neighbours in one phase, takes
 * in what was put between them, and is gone with its last block.
 */
export function keptRounds(blocks: readonly Block[], rounds: readonly Round[] | undefined): Round[] | undefined {
  const kept = (rounds ?? []).flatMap((round): Round[] => {
    const mine = new Set(round.blockIds);
    const others = new Set(rounds?.flatMap(({ id, blockIds }) => (id === round.id ? [] : blockIds)));
    const best = runsOf(blocks, mine, others).reduce<Block[]>((most, run) => (run.length > most.length ? run : most), []);
    if (best.length === 0) return [];
    const ids = best.map(({ id }) => id);
    const isSame = ids.length === round.blockIds.length && ids.every((id, index) => id === round.blockIds[index]);
    return [isSame ? round : { ...round, blockIds: ids }];
  });
  if (kept.length === 0) return undefined;
  // In the order of their blocks, so that the same rounds make the same document.
  const placeOf = (round: Round) => blocks.findIndex(({ id }) => id === round.blockIds[0]);
  return kept.toSorted((a, b) => placeOf(a) - placeOf(b));
}

/** Stretches of blocks from one of a round to another of it, within one phase and with at most one stranger in between. */
function runsOf(blocks: readonly Block[], mine: ReadonlySet<string>, others: ReadonlySet<string>): Block[][] {
  const runs: Block[][] = [];
  let run: Block[] = [];
  let strangers: Block[] = [];
  const close = () => {
    if (run.length > 0) runs.push(run);
    [run, strangers] = [[], []];
  };
  for (const block of blocks) {
    if (others.has(block.id) || block.phase !== run[0]?.phase) close();
    if (mine.has(block.id)) {
      run.push(...strangers, block);
      strangers = [];
    } else if (run.length > 0) {
      strangers.push(block);
      if (strangers.length > 1) close();
    }
  }
  close();
  return runs;
}

/** A round where nobody has said how it goes. */
const USUAL_ROUND = { times: 3, restS: 60 } as const;

/**
 * A sequence in which the blocks from one to another are taken in rounds: as many as follow the first one in its phase. Rounds that it touches are taken
 * in, and the first of them says how it goes.
 */
export function withRoundOver(sequence: Sequence, fromId: string, toId: string, id: string): Sequence {
  const { blocks, rounds = [] } = sequence;
  const placeOf = (blockId: string) => blocks.findIndex((block) => block.id === blockId);
  const from = placeOf(fromId);
  const phase = blocks[from]?.phase;
  if (phase === undefined || placeOf(toId) < 0) return sequence;
  const step = placeOf(toId) < from ? -1 : 1;
  const chosen = new Set<string>();
  // A phase may come twice: only what follows the first without a gap is taken with it.
  for (let place = from; blocks[place]?.phase === phase; place += step) {
    chosen.add(blocks[place]?.id ?? '');
    if (place === placeOf(toId)) break;
  }
  const touched = rounds.filter(({ blockIds }) => blockIds.some((blockId) => chosen.has(blockId)));
  for (const { blockIds } of touched) for (const blockId of blockIds) chosen.add(blockId);
  const blockIds = blocks.flatMap((block) => (chosen.has(block.id) ? [block.id] : []));
  const round: Round = { ...(touched[0] ?? { id, ...USUAL_ROUND }), blockIds };
  const others = rounds.filter((other) => !touched.includes(other));
  return {
    ...sequence,
    rounds: [...others, round].toSorted((a, b) => placeOf(a.blockIds[0] ?? '') - placeOf(b.blockIds[0] ?? '')),
  };
}
