import { HARD_FROM, type PastLoad } from '../effort/past.js';
import type { HandAccount } from '../effort/session-account.js';
import type { Person } from '../mechanics/capacity.js';
import type { MovementLookup } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { AT_THE_START, milliseconds } from '../timeline/timeline.js';
import type { Equipment } from '../vocabulary/places.js';
import { isFree } from '../rules/checks/block-views.js';
import { WORK } from '../vocabulary/phases.js';
import { resolveBlock } from '../model/check-sequence.js';
import type { Hand } from '../vocabulary/hands.js';
import { type GroupDoses, type MuscleGroup, partsOf, SIDE_GROUPS } from '../vocabulary/muscles.js';
import { movementsOf, rememberer } from './known.js';
import { FIGURES, handFigures } from './piece-figures.js';
import { movesFrom, pieceLoad, piecesOfSequence } from './piece-load.js';

/** What a planned session comes to: its length, and what it asks of muscles and hands. */
export interface SessionLoad extends Pick<PastLoad, 'doses' | 'hard'> {
  readonly durationMs: number;
  /** What has to be at hand. */
  readonly equipment: readonly Equipment[];
  /** What of the doses is work that a week holds more or less of: of both hands together. */
  readonly workDoses: GroupDoses;
  /** Whether it does more than move and stretch. */
  readonly isLoading: boolean;
  readonly hands: Readonly<Record<Hand, HandAccount>>;
}

/** Adds up the pieces of a sequence: the same sums as of its whole timeline, of which only what is new is computed. @throws SequenceError when it is not sound */
export const sessionLoad = (person: Person, sequence: Sequence, lookup: MovementLookup): SessionLoad =>
  remember(sequence, [person, ...movementsOf(sequence, lookup)], () => added(person, sequence, lookup));
const remember = rememberer<SessionLoad>();

function added(person: Person, sequence: Sequence, lookup: MovementLookup): SessionLoad {
  const [sums, work] = [new Float64Array(FIGURES.count), new Float64Array(FIGURES.count)];
  let movesMs = sequence.blocks.length > 0 ? milliseconds(sequence.pacing.readyS ?? USUAL_PACING.readyS) : 0;
  const equipment = new Set<Equipment>();
  let whereabouts = AT_THE_START;
  for (const piece of piecesOfSequence(sequence)) {
    const { moves, figures } = pieceLoad(person, sequence, piece, lookup);
    const { ms, to } = movesFrom(whereabouts, moves);
    movesMs += ms;
    whereabouts = to;
    for (const [, needs] of moves) for (const thing of needs) equipment.add(thing);
    const isWork = piece.blocks.some(({ phase }) => WORK.includes(phase));
    figures.forEach((figure, index) => {
      sums[index] = (sums[index] ?? 0) + figure;
      if (isWork) work[index] = (work[index] ?? 0) + figure;
    });
  }
  return {
    // Whole milliseconds, as the timeline counts them.
    durationMs: Math.round(movesMs + (sums[FIGURES.lengthMs] ?? 0)),
    doses: Object.fromEntries(SIDE_GROUPS.flatMap((key, index) => some(key, sums[FIGURES.dose + index] ?? 0))),
    workDoses: ofBothHands(work),
    hard: SIDE_GROUPS.filter((_, index) => (sums[FIGURES.hardS + index] ?? 0) >= HARD_FROM.value),
    hands: { left: handFigures(sums, 'left'), right: handFigures(sums, 'right') },
    equipment: [...equipment],
    isLoading: sequence.blocks.some((block) => WORK.includes(block.phase) && !isFree(resolveBlock(block, lookup))),
  };
}

const some = <K>(key: K, value: number): [K, number][] => (value > 0 ? [[key, value]] : []);

function ofBothHands(sums: Float64Array): GroupDoses {
  const doses: Partial<Record<MuscleGroup, number>> = {};
  SIDE_GROUPS.forEach((key, index) => {
    const dose = sums[FIGURES.dose + index] ?? 0;
    const { group } = partsOf(key);
    if (dose > 0) doses[group] = (doses[group] ?? 0) + dose;
  });
  return doses;
}
