import { ATHLETE_LIMITS } from './athlete.js';
import { DOSE } from './dose.js';
import { BLOCK_LIMITS, SEQUENCE, SEQUENCE_LIMITS } from './sequence.js';
import { SESSION_LIMITS } from './session.js';
import { MOVEMENT_LIMITS } from './movement.js';
import type { Fault } from '../vocabulary/fault.js';
import { HANDS, WORKING_SIDES } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import {
  bounded,
  idOf,
  instant,
  kind,
  kinds,
  list,
  type Of,
  oneOf,
  onlyTrue,
  optional,
  orNull,
  record,
  someOf,
  text,
  trueOrFalse,
} from '../vocabulary/schema.js';
import { SORE_PLACE_IDS } from '../vocabulary/sore-places.js';
import { STOP_SIGN_IDS } from '../vocabulary/stop-signs.js';

/** Bounds of a class that is led together. */
export const CLASS_LIMITS = {
  members: 30,
  /** Forms of one block for one member. */
  forms: 6,
  form: { min: -1, max: 5, step: 1, unit: 'of the forms; −1 sits out' },
  addedS: { min: 5, max: 120, step: 5, unit: 's' },
  event: { min: 0, max: 100_000, step: 1, unit: 'events' },
  /** Milliseconds since 1970. */
  at: { min: 0, max: 8_640_000_000_000, step: 1, unit: 'ms' },
  offsetMs: { min: -8_640_000_000_000, max: 8_640_000_000_000, step: 1, unit: 'ms' },
  /** How long a sign that was pressed by mistake can be taken back. */
  undoMs: 10_000,
  /** Presses of one class that are kept. */
  events: 5000,
} as const satisfies Record<string, Limit | number>;

/** What somebody does in place of a block of the class. */
export const CLASS_FORM = record({
  movementId: text(BLOCK_LIMITS.nameLength, 1),
  levelId: text(BLOCK_LIMITS.nameLength, 1),
  dose: DOSE,
});
/** What somebody does in place of a block of the class. */
export type ClassForm = Of<typeof CLASS_FORM>;

/** One block for one member: its forms from the gentlest on, of which null is the block as the class does it, and the one chosen. */
export const MEMBER_BLOCK = record({
  blockId: text(BLOCK_LIMITS.idLength, 1),
  forms: list(orNull(CLASS_FORM), { max: CLASS_LIMITS.forms }),
  /** Index into `forms`; −1 sits the block out. */
  at: bounded(CLASS_LIMITS.form),
  /** Blocks that load the same places: what hurts in one counts in all. */
  like: list(text(BLOCK_LIMITS.idLength, 1), { max: SEQUENCE_LIMITS.blocks }),
});
/** One block for one member. */
export type MemberBlock = Of<typeof MEMBER_BLOCK>;

/** Somebody in a class. Their id is that of the session that they get from it. */
export const CLASS_MEMBER = record({
  id: idOf('a session'),
  athleteId: idOf('an athlete'),
  name: text(ATHLETE_LIMITS.nameLength, 1, 'Name'),
  /** Whether they come later: nobody waits for them. */
  late: optional(onlyTrue()),
  blocks: list(MEMBER_BLOCK, { max: SEQUENCE_LIMITS.blocks }),
  /** Blocks that they leave out once a place hurts much, by place. */
  sore: list(record({ place: oneOf(SORE_PLACE_IDS), blockIds: list(text(BLOCK_LIMITS.idLength, 1), { max: SEQUENCE_LIMITS.blocks }) }), {
    max: SORE_PLACE_IDS.length,
  }),
});
/** Somebody in a class. */
export type ClassMember = Of<typeof CLASS_MEMBER>;

/** A class as it begins: one sequence for all, and what each does in each block. */
export const CLASS_SESSION = record({
  sequenceId: idOf('a sequence'),
  sequence: SEQUENCE,
  members: someOf(CLASS_MEMBER, { max: CLASS_LIMITS.members }),
  startedAt: instant(),
});
/** A class that is led together. */
export type ClassSession = Of<typeof CLASS_SESSION>;

const of = <K extends string>(name: K) => ({ kind: kind(name), at: bounded(CLASS_LIMITS.at) });
const member = { memberId: idOf('a member') };
const block = { blockId: text(BLOCK_LIMITS.idLength, 1) };
/** The event of the timeline that was on screen: a press that comes when the class has gone on does nothing. */
const seen = { event: bounded(CLASS_LIMITS.event) };

/** One press in a class. `at` is the time of the class, milliseconds since 1970. */
export const CLASS_EVENT = kinds(
  [
    record({ ...of('play') }),
    record({ ...of('pause') }),
    record({ ...of('skip'), ...seen }),
    record({ ...of('skip block'), ...seen }),
    record({ ...of('back'), ...seen }),
    record({ ...of('finish'), ...seen }),
    record({ ...of('add time'), ...seen, seconds: bounded(CLASS_LIMITS.addedS, 'Seconds') }),
    record({ ...of('end') }),
    record({ ...of('arrive'), ...member }),
    record({ ...of('leave'), ...member }),
    record({ ...of('form'), ...member, ...block, form: bounded(CLASS_LIMITS.form) }),
    record({
      ...of('hurts'),
      ...member,
      ...block,
      hand: oneOf(WORKING_SIDES, 'Hand'),
      place: oneOf(SORE_PLACE_IDS, 'Place'),
      discomfort: bounded(SESSION_LIMITS.score, 'Discomfort'),
    }),
    record({ ...of('stop'), ...member, sign: oneOf(STOP_SIGN_IDS, 'Sign'), hand: oneOf(WORKING_SIDES, 'Hand') }),
    record({
      ...of('fault'),
      ...member,
      ...block,
      hand: oneOf(HANDS, 'Hand'),
      fault: text(MOVEMENT_LIMITS.lineLength, 1, 'Fault'),
      seen: trueOrFalse(),
    }),
    record({ ...of('note'), ...member, note: text(SESSION_LIMITS.blockNoteLength, 1, 'Note') }),
    record({
      ...of('rate'),
      ...member,
      discomfort: bounded(SESSION_LIMITS.score, 'Discomfort'),
      exertion: orNull(bounded(SESSION_LIMITS.score, 'Effort')),
    }),
    record({ ...of('undo'), id: idOf('an event') }),
  ],
  'a press in a class, by its kind',
);
/** One press in a class. */
export type ClassEvent = Of<typeof CLASS_EVENT>;
/** A press with the id that it was made under. */
export interface KnownClassEvent {
  readonly id: string;
  readonly event: ClassEvent;
}

/** What no single field of a class can say. */
export function checkClassSession({ members, sequence }: ClassSession): Fault[] {
  const ids = new Set(sequence.blocks.map(({ id }) => id));
  const seenMembers = new Set<string>();
  return members.flatMap(({ athleteId, id, blocks }, index): Fault[] => {
    const pointer = `/members/${index}`;
    const faults: Fault[] = [];
    if (seenMembers.has(athleteId)) faults.push({ pointer: `${pointer}/athleteId`, message: 'is in this class already' });
    if (seenMembers.has(id)) faults.push({ pointer: `${pointer}/id`, message: 'must be an id of its own' });
    seenMembers.add(athleteId).add(id);
    if (blocks.length !== ids.size || new Set(blocks.map(({ blockId }) => blockId)).size !== ids.size) {
      faults.push({ pointer: `${pointer}/blocks`, message: 'must name each block of the sequence once' });
    }
    for (const [at, { blockId, forms, at: chosen }] of blocks.entries()) {
      if (!ids.has(blockId)) faults.push({ pointer: `${pointer}/blocks/${at}/blockId`, message: 'isn’t a block of the sequence' });
      if (chosen >= forms.length) faults.push({ pointer: `${pointer}/blocks/${at}/at`, message: `must be less than ${forms.length}` });
    }
    return faults;
  });
}

/** What a press names that the class doesn’t have. */
export function checkClassEvent(event: ClassEvent, { members, sequence }: ClassSession): Fault[] {
  const who = 'memberId' in event ? members.find(({ id }) => id === event.memberId) : undefined;
  if ('memberId' in event && !who) return [{ pointer: '/memberId', message: 'isn’t a member of this class' }];
  if ('blockId' in event && !sequence.blocks.some(({ id }) => id === event.blockId)) {
    return [{ pointer: '/blockId', message: 'isn’t a block of this class' }];
  }
  if (event.kind === 'form') {
    const count = who?.blocks.find(({ blockId }) => blockId === event.blockId)?.forms.length ?? 0;
    if (event.form >= count) return [{ pointer: '/form', message: `must be less than ${count}` }];
  }
  return [];
}
