import { answerFor, type LoadTable, type LoadKind, type LoadOf } from './load.js';
import type { HandPictureSpec } from './hand-picture.js';
import type { Level, Movement } from './movement.js';
import type { Action } from '../vocabulary/actions.js';
import type { Contact } from '../vocabulary/contacts.js';
import type { HandShapeName } from '../vocabulary/hand-shapes.js';
import { firstOf, lastOf } from '../vocabulary/lists.js';

/** The shapes that a hand goes between. */
export type Shapes = readonly [from: HandShapeName, to: HandShapeName];

/** What is said of how a level's hand is drawn: by the level itself, else by its movement. */
export const handSaid = (movement: Pick<Movement, 'hand'>, level: Pick<Level, 'hand'>): HandPictureSpec => ({
  ...movement.hand,
  ...level.hand,
});

/** The shapes that the hand goes between: named by level or movement, else what follows from the load. */
export function shapesOf(movement: Movement, level: Level): Shapes {
  const drawn = handSaid(movement, level).course?.map(({ shape }) => shape);
  const ends: Shapes | undefined = drawn && [firstOf(drawn), lastOf(drawn)];
  return level.shapes ?? ends ?? movement.shapes ?? answerFor(SHAPES, level.load, level.contact);
}

const kept = (shape: HandShapeName): Shapes => [shape, shape];
const HOLDING = { bar: kept('around a bar'), edge: kept('on an edge'), pinch: kept('pinch') };
const STRETCHED = { curled: kept('fist'), relaxed: kept('open'), straight: kept('together') };
/** Moves that the fingers make, or that leave them free to open and close. */
const OPENS_AND_CLOSES: readonly Action[] = ['grip', 'finger extension', 'shoulder flexion'];

const SHAPES: LoadTable<LoadKind, Shapes, [Contact]> = {
  body: () => kept('spread'),
  hang: ({ on }) => HOLDING[on],
  lift: ({ on }) => HOLDING[on],
  weight: () => kept('around a bar'),
  roller: () => kept('around a bar'),
  press: closing,
  resist: closing,
  move: ({ actions }, contact) => {
    if (contact === 'ball') return kept('around a ball');
    if (contact === 'handle') return kept('around a bar');
    return actions.every((action) => OPENS_AND_CLOSES.includes(action)) ? ['spread', 'fist'] : kept('relaxed');
  },
  stretch: ({ fingers }) => STRETCHED[fingers],
  rest: (_, contact) => kept(contact === 'ball' ? 'around a ball' : 'relaxed'),
};

function closing({ action }: LoadOf<'press' | 'resist'>, contact: Contact): Shapes {
  if (action === 'finger extension') return ['relaxed', 'spread'];
  if (action !== 'grip') return kept('fist');
  if (contact === 'ball') return kept('around a ball');
  return contact === 'handle' ? ['relaxed', 'around a bar'] : kept('hook');
}
