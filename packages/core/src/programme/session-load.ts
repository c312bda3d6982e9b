import { HARD_FROM, type PastLoad } from '../effort/past.js';
import type { HandAccount } from '../effort/session-account.js';
import type { Person } from '../mechanics/capacity.js';
import type { MovementLookup } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { AT_THE_START, milliseconds } from '../timeline/timeline.js';
import type { Equipment } from '../vocabulary/places.js';
import { isFree, WORK } from '../rules/checks/block-views.js';
import { resolveBlock } from '../model/check-sequence.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { type GroupDoses, type MuscleGroup, partsOf, type SideGroup } from '../vocabulary/muscles.js';
import { movementsOf, rememberer } from './known.js';
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

const NO_WORK: HandAccount = { workS: 0, underLoadS: 0, impulseNs: 0, repetitions: 0, carryM: 0 };

/** Adds up the pieces of a sequence: the same sums as of its whole timeline, of which only what is new is computed. @throws SequenceError when it is not sound */
export const sessionLoad = (person: Person, sequence: Sequence, lookup: MovementLookup): SessionLoad =>
  remember(sequence, [person, ...movementsOf(sequence, lookup)], () => added(person, sequence, lookup));
const remember = rememberer<SessionLoad>();

function added(person: Person, sequence: Sequence, lookup: MovementLookup): SessionLoad {
  const doses: Partial<Record<SideGroup, number>> = {};
  const workDoses: Partial<Record<MuscleGroup, number>> = {};
  const hardS = new Map<SideGroup, number>();
  const hands = { left: { ...NO_WORK }, right: { ...NO_WORK } };
  let durationMs = sequence.blocks.length > 0 ? milliseconds(sequence.pacing.readyS ?? USUAL_PACING.readyS) : 0;
  const piecesNeed: Equipment[] = [];
  let whereabouts = AT_THE_START;
  for (const piece of piecesOfSequence(sequence)) {
    const load = pieceLoad(person, sequence, piece, lookup);
    const { ms, to } = movesFrom(whereabouts, load.moves);
    durationMs += load.lengthMs + ms;
    whereabouts = to;
    piecesNeed.push(...load.moves.flatMap(([, needs]) => needs));
    const isWork = piece.blocks.some(({ phase }) => WORK.includes(phase));
    for (const [key, dose] of load.doses) {
      doses[key] = (doses[key] ?? 0) + dose;
      const { group } = partsOf(key);
      if (isWork) workDoses[group] = (workDoses[group] ?? 0) + dose;
    }
    for (const [key, seconds] of load.hardS) hardS.set(key, (hardS.get(key) ?? 0) + seconds);
    for (const hand of HANDS) addTo(hands[hand], load.hands[hand]);
  }
  const hard = [...hardS].filter(([, seconds]) => seconds >= HARD_FROM.value).map(([key]) => key);
  const equipment = new Set(piecesNeed);
  const isLoading = sequence.blocks.some((block) => WORK.includes(block.phase) && !isFree(resolveBlock(block, lookup)));
  return { durationMs, doses, workDoses, hard, hands, equipment: [...equipment], isLoading };
}

function addTo(sum: { -readonly [K in keyof HandAccount]: HandAccount[K] }, of: HandAccount): void {
  for (const name of Object.keys(NO_WORK) as (keyof HandAccount)[]) sum[name] += of[name];
}
