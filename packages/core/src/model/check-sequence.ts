import { checkFit } from './fit.js';
import { checkDose } from './check-dose.js';
import { piecesOf } from './dose.js';
import { findLevel, type Level, type Movement, type MovementLookup } from './movement.js';
import { handsInTurn } from '../vocabulary/hands.js';
import { type Block, type Sequence, SEQUENCE_LIMITS } from './sequence.js';
import { checkRounds, timesOf } from './rounds.js';
import { type Fault, under } from '../vocabulary/fault.js';

/** Thrown where a sequence must be sound and is not. Carries every fault with its pointer. */
export class SequenceError extends Error {
  override readonly name = 'SequenceError';
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((fault) => `${fault.pointer}: ${fault.message}`).join('\n'));
  }
}

/** Everything in a sequence that cannot be carried out as written, with pointers into the document. */
export function checkSequence(sequence: Sequence, lookup: MovementLookup): Fault[] {
  const faults: Fault[] = [];
  const seen = new Map<string, number>();
  sequence.blocks.forEach((block, index) => {
    const at = `/blocks/${index}`;
    const twin = seen.get(block.id);
    if (twin !== undefined) {
      faults.push({ pointer: `${at}/id`, message: `Block ${twin + 1} has the same id. Each block needs its own.` });
    }
    seen.set(block.id, index);
    faults.push(...under(at, checkBlock(block, lookup)));
  });
  const pieces = sequence.blocks.reduce(
    (sum, { id, dose, movementId }) => sum + piecesOf(dose, positionCount(movementId, lookup)) * timesOf(sequence, id),
    0,
  );
  if (pieces > SEQUENCE_LIMITS.pieces) {
    const message = `All blocks together have ${pieces} repetitions, breaths and timed pieces. The maximum is ${SEQUENCE_LIMITS.pieces}.`;
    faults.push({ pointer: '/blocks', message });
  }
  faults.push(...checkRounds(sequence));
  return faults;
}

const positionCount = (movementId: string, lookup: MovementLookup): number => lookup(movementId)?.positions?.length ?? 1;

function checkBlock(block: Block, lookup: MovementLookup): Fault[] {
  const dose = under('/dose', checkDose(block.dose));
  const found = placed(block, lookup);
  return 'fault' in found ? [...dose, found.fault] : [...dose, ...checkFit(block.dose, found.movement, found.level), ...checkLooks(block)];
}

/** Hands can be compared before they change only where they do. */
function checkLooks({ lookAgain = [], dose }: Block): Fault[] {
  if (!lookAgain.includes('between hands') || handsInTurn(dose.sides).length > 1) return [];
  const message = 'Hands can only be compared when one follows the other. Choose left then right.';
  return [{ pointer: '/lookAgain', message }];
}

/** What a block names. */
type Place = Pick<Block, 'movementId' | 'levelId'>;
type Placed = { readonly movement: Movement; readonly level: Level };

function placed({ movementId, levelId }: Place, lookup: MovementLookup): Placed | { fault: Fault } {
  const movement = lookup(movementId);
  if (!movement) {
    return { fault: { pointer: '/movementId', message: `There is no movement “${movementId}” in this studio.` } };
  }
  const level = findLevel(movement, levelId);
  if (level) return { movement, level };
  const ids = movement.ladder.map((entry) => entry.id).join(', ');
  const message = `“${movement.name}” has no level “${levelId}”. Its levels are ${ids}.`;
  return { fault: { pointer: '/levelId', message } };
}

/** The movement and level of a block of a sound sequence. @throws SequenceError when they are unknown. */
export function resolveBlock(block: Place, lookup: MovementLookup): Placed {
  const found = placed(block, lookup);
  if ('fault' in found) throw new SequenceError([found.fault]);
  return found;
}
