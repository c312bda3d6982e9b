import type { StoredMovement, StoredSequence } from '@clay-pot/contracts';
import {
  applyEdits,
  type Block,
  checkMovement,
  type Dose,
  doseFor,
  firstOf,
  freshBlockId,
  gate,
  type GateSubject,
  insertLevel,
  type Level,
  type Movement,
  movementFor,
  nameFor,
  type Person,
  sentenceText,
  type Sequence,
  USUAL_PHASE,
  weakerHand,
} from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { useSaveMovement } from '../../api/own-queries.js';
import { fetchSequence, putSequence } from '../../api/queries.js';
import type { NamedSubject } from '../../domain/athlete/named-subject.js';
import type { Subject } from '../../domain/movement/subject.js';
import { methodFor } from '../../store/library.js';
import { useOwnMovements } from '../../store/own-movements.js';

/** A block that the bench was opened from. */
export interface FromBlock {
  readonly sequenceId: string;
  readonly blockId: string;
}

/** The subject of the bench, and what it was made from. */
export interface Keeping {
  readonly who: NamedSubject;
  readonly movement: Movement;
  /** The level that the subject came from: its dose, words and things are kept. */
  readonly level: Level;
  readonly subject: Subject;
}

/** A level that could be kept, as a movement to store. */
interface Kept {
  readonly stored: StoredMovement;
  readonly level: Level;
}

/** Whether a level kept now joins a movement of the studio's own, and which: that of the person it is for, else the one it came from. */
export function useOwnTarget({ who, movement }: Pick<Keeping, 'who' | 'movement'>): StoredMovement | undefined {
  return useOwnMovements((state) =>
    state.stored.find(({ id, movement: { name, madeFor } }) => {
      if (who.athleteId === undefined || id === movement.id) return id === movement.id;
      return madeFor?.name === who.name && name === nameFor(movement, who.name);
    }),
  );
}

/** Saves the subject of the bench under a name. @throws Error with the reason against it, in words */
export function useKeep(keeping: Keeping): (name: string) => Promise<Kept> {
  const { who, movement, level, subject } = keeping;
  const own = useOwnTarget(keeping);
  const save = useSaveMovement();
  return async (name) => {
    const fresh: Level = {
      ...level,
      ...subject,
      id: uuid(),
      name,
      description: `Made from ${level.name} on the load bench.`,
    };
    const next = own ? insertLevel({ ...own.movement, id: own.id }, fresh) : firstOfIts(who, movement, fresh);
    const fault = checkMovement(next)[0];
    if (fault) throw new Error(`This level can’t join the progression: ${fault.message}.`);
    const { id, ...input } = next;
    const stored = await save.mutateAsync({ id, input, ...(own && { etag: own.etag }) });
    return { stored, level: fresh };
  };
}

/** A movement of the studio's own made from a shipped one: for the person at the bench, or for anybody. */
function firstOfIts({ athleteId, person, name }: NamedSubject, movement: Movement, level: Level): Movement {
  const id = uuid();
  if (athleteId !== undefined) return { ...movementFor(movement, level, person, name), id };
  return insertLevel({ ...movement, id, name: `${movement.name} (custom)` }, level);
}

/** For whom a level goes into a sequence: nobody in particular without what is on record. */
export interface LevelFor {
  readonly person: Person;
  readonly athlete: GateSubject['athlete'];
}

/** Refuses what the gate does. @throws Error that says why, and that the level itself is kept */
function mustPass(subject: LevelFor, document: Sequence, movement: Movement, level: Level, dose: Dose): void {
  const answer = gate({ ...subject, method: methodFor(document) }, movement, level, dose);
  if (answer.verdict !== 'not') return;
  const why = sentenceText(firstOf(answer.refusals).why).replace(/\.$/, '');
  throw new Error(`The level is saved, but it wasn’t added to the sequence: ${why}.`);
}

/** The block keeps its dose and takes the level. @throws Error where the gate lets it not through */
export async function intoBlock(subject: LevelFor, { sequenceId, blockId }: FromBlock, { stored, level }: Kept): Promise<StoredSequence> {
  const movement: Movement = { ...stored.movement, id: stored.id };
  return changed(sequenceId, (document) =>
    document.blocks.map((block) => {
      if (block.id !== blockId) return block;
      mustPass(subject, document, movement, level, block.dose);
      return { ...block, movementId: stored.id, levelId: level.id };
    }),
  );
}

/**
 * A new block with the level, in the phase where such movements usually stand, dosed as the sequence's method would for this person.
 * @throws Error where the gate lets it not through
 */
export function intoSequence(sequenceId: string, subject: LevelFor, { stored, level }: Kept): Promise<StoredSequence> {
  const movement: Movement = { ...stored.movement, id: stored.id };
  return changed(sequenceId, (document) => {
    const dose = doseFor(movement, level, methodFor(document), weakerHand(subject.person), subject.athlete?.cautions);
    mustPass(subject, document, movement, level, dose);
    const id = freshBlockId(document, stored.id);
    const fresh: Block = { id, phase: USUAL_PHASE[movement.family], movementId: stored.id, levelId: level.id, dose };
    return applyEdits(document, [{ kind: 'add', block: fresh, before: null }]).blocks;
  });
}

async function changed(sequenceId: string, blocksOf: (document: Sequence) => readonly Block[]): Promise<StoredSequence> {
  const { document, etag } = await fetchSequence(sequenceId);
  return putSequence(sequenceId, { ...document, blocks: [...blocksOf(document)] }, etag);
}
