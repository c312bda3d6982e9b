import {
  type Block,
  BLOCK,
  BLOCK_LIMITS,
  type Equipment,
  EQUIPMENT,
  list,
  oneOf,
  type Place,
  PLACES,
  type Round,
  ROUND,
  SEQUENCE,
  SEQUENCE_LIMITS,
  type Sequence,
  text,
} from '@clay-pot/core';
import { GOAL_NAMES } from '@clay-pot/core/library';
import { PersonInput } from './mechanics.js';
import { IsInstant, IsText, IsWholeWithin, IsWord, IsYesNo } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

export type { ComposeAnswer, ComposeWork, SwapAnswer } from '@clay-pot/core/answers';

/** So many movements are left out at most. */
const MOST_LEFT_OUT = 200;

/** For whom and for what something is composed. */
class Wanted extends PersonInput {
  /** What the session is for: the id of a goal. */
  @IsWord(GOAL_NAMES, 'Goal')
  readonly goal: string;
  @IsWholeWithin(SEQUENCE_LIMITS.budgetMin, 'Minutes')
  readonly minutes: number;
  /** Things at hand; those on the athlete’s record where it is left out, else what is found in any room. */
  @OptionalField()
  @IsDocument(list(oneOf(EQUIPMENT, 'Equipment'), { max: EQUIPMENT.length, unique: true }))
  readonly equipment?: readonly Equipment[];
  @OptionalField()
  @IsText(SEQUENCE_LIMITS.methodIdLength, 1, 'Method')
  readonly methodId?: string;
  /** Where nobody can be today. */
  @OptionalField()
  @IsDocument(list(oneOf(PLACES, 'Place'), { max: PLACES.length, unique: true }))
  readonly notAt?: readonly Place[];
  /** Movements that are left out, for this once. */
  @OptionalField()
  @IsDocument(list(text(BLOCK_LIMITS.nameLength, 1), { max: MOST_LEFT_OUT, unique: true }))
  readonly leftOut?: readonly string[];
  /** A light day: nothing in it is so hard that days are spaced by it. */
  @OptionalField()
  @IsYesNo()
  readonly isLight?: boolean;
  /** Blocks that stay as they are, and the rounds that they are taken in. */
  @OptionalField()
  @IsDocument(list(BLOCK, { max: SEQUENCE_LIMITS.blocks }))
  readonly locked?: readonly Block[];
  @OptionalField()
  @IsDocument(list(ROUND, { max: SEQUENCE_LIMITS.rounds }))
  readonly rounds?: readonly Round[];
  /** When a sequence is refitted: whether other movements may come in. */
  @OptionalField()
  @IsYesNo()
  readonly others?: boolean;
  /** When the session would begin; now when left out. */
  @OptionalField()
  @IsInstant()
  readonly at?: string;
}

/** For whom and for what a sequence is composed. */
export class ComposeQuestion extends Wanted {
  /** A sequence to refit: its movements are kept where possible. */
  @OptionalField()
  @IsDocument(SEQUENCE)
  readonly from?: Sequence;
}

/** Which block of a sequence is to be another movement, and for whom. */
export class SwapQuestion extends Wanted {
  @IsDocument(SEQUENCE)
  readonly from: Sequence;
  @IsText(BLOCK_LIMITS.idLength, 1, 'Block')
  readonly blockId: string;
}
