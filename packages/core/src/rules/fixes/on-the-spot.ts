import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Contact } from '../../vocabulary/contacts.js';
import { take } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import type { Sentence } from '../../vocabulary/sentence.js';
import type { Edit } from '../../model/edits.js';
import type { EaseReason } from '../gate/asks-no-more.js';
import { blockOf } from '../checks/block-views.js';
import { editChanges } from './edit-words.js';
import { type Answer, gentlerOf } from './gentler.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { workIn } from '../gate/moments.js';
import { isAgainst } from '../gate/restrictions.js';
import { stopsOf } from '../safety/may-begin.js';
import { objectionsTo } from './objections.js';

/** A change for the rest of a session: what becomes of each block, and the edits that do it. */
export interface Ease {
  readonly changes: readonly Sentence[];
  readonly edits: readonly Edit[];
}

/** What is tried first: where it hurts, another hold before another level; where it is only too hard, the other way round. */
const ORDER: Record<EaseReason, readonly Answer['kind'][]> = {
  hurts: ['hand', 'incline', 'level', 'other', 'less', 'side'],
  hard: ['level', 'less', 'hand', 'incline', 'other'],
};
/** How many gentler forms of one block stand beside leaving it out. */
const FORMS = 2;

/**
 * What can be done in the middle of a session about blocks that hurt or are too hard, at the lowest level too: gentler forms of one block to
 * choose from, or one gentler form for each of several; leaving them out comes last and is always there. Each says all that it changes.
 */
export function easesFor(view: SessionView, blockIds: readonly string[], reason: EaseReason): Ease[] {
  const [only] = blockIds;
  if (only === undefined) return [];
  const forms = blockIds.length === 1 ? take(formsOf(view, only, reason), FORMS) : [eachEased(view, blockIds, reason)];
  const out = blockIds.map((blockId): Edit => ({ kind: 'remove', blockId }));
  const eases = [...forms, out].map((edits) => ({ changes: editChanges(view.sequence, edits, view.lookup), edits }));
  return eases.filter(({ changes }, index) => eases.findIndex((other) => same(other.changes, changes)) === index);
}

/** Each block's gentlest form, one after the other; what has none goes out. */
function eachEased(view: SessionView, blockIds: readonly string[], reason: EaseReason): Edit[] {
  return blockIds.flatMap((blockId) => {
    const [form] = formsOf(view, blockId, reason);
    return form ?? [{ kind: 'remove', blockId }];
  });
}

/** One gentler form of each kind that is not too much for this person, looked for only as far as it is asked: each is held against the whole sequence. */
export function* formsOf(view: SessionView, blockId: string, reason: EaseReason): Generator<readonly Edit[]> {
  for (const kind of ORDER[reason]) {
    const tries = gentlerOf(kind, view, blockOf(view, blockId), reason);
    const form = tries.find((edits) => objectionsTo(view, edits, { upTo: 'stop', isEasing: true }).length === 0);
    if (form) yield form;
  }
}

/** What can be done about one of several blocks: gentler forms, and leaving it out at last. */
export interface BlockEases {
  readonly blockId: string;
  /** The first is proposed. */
  readonly eases: readonly Ease[];
  /** Whether it may also stay as it is: nothing forbids it. */
  readonly mayStay: boolean;
}

/** Each of several blocks with what can be done about it: shown before anything is changed, and chosen one by one. */
export function easesOfEach(view: SessionView, blockIds: readonly string[], reason: EaseReason): BlockEases[] {
  const stopped = new Set(stopsOf(view).flatMap(({ blockIds: ids }) => ids));
  const there = new Set(view.blocks.map(({ movement: { id } }) => id));
  return blockIds.map((blockId) => {
    // The same movement again and again is no answer: what comes already goes last.
    const isNew = ({ edits }: Ease) => edits.every((edit) => edit.kind !== 'change' || !edit.movementId || !there.has(edit.movementId));
    const all = easesFor(view, [blockId], reason);
    const eases = [...all.filter(isNew), ...all.filter((ease) => !isNew(ease))];
    for (const edit of eases[0]?.edits ?? []) if (edit.kind === 'change' && edit.movementId) there.add(edit.movementId);
    return { blockId, eases, mayStay: !stopped.has(blockId) };
  });
}

/**
 * Blocks that what hurts concerns: those of the kind in which it was felt, and all that the sore place limits or forbids, wherever it is loaded.
 * @param felt what the complaint leaves behind (`cautionsOfComplaint`)
 * @returns their ids in order
 */
export function affectedBy(view: SessionView, blockId: string, felt: readonly RecordedCaution[]): string[] {
  const kind = new Set(kindOf(view, blockId));
  return view.blocks
    .filter((seen) => kind.has(seen.block.id) || felt.some((entry) => isAgainst(entry, workIn(seen))))
    .map(({ block }) => block.id);
}

/**
 * Blocks that ask of the hand what one block asks: the same movement, the same contact under load, or without any a like movement for the same muscles. What
 * pain in one of them counts in all.
 * @returns their ids in order, that of the block itself among them
 */
export function kindOf(view: SessionView, blockId: string): string[] {
  const like = blockOf(view, blockId);
  return view.blocks.filter((other) => isOfKind(like, other)).map(({ block }) => block.id);
}

/** Both bear with the wrist bent back. */
const PALM: readonly Contact[] = ['open palm', 'raised palm'];

function isOfKind(like: BlockView, other: BlockView): boolean {
  if (like.movement.id === other.movement.id) return true;
  const [mine, its] = [like.level.contact, other.level.contact];
  if (mine === 'none') {
    const shared = other.movement.trains.some((group) => like.movement.trains.includes(group));
    return its === 'none' && like.movement.family === other.movement.family && shared;
  }
  return mine === its || (PALM.includes(mine) && PALM.includes(its));
}
