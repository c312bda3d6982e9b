import { BLOCK_LIMITS, list, type Sequence, SEQUENCE, SEQUENCE_LIMITS, text } from '@clay-pot/core';
import { PersonInput } from './mechanics.js';
import { IsInstant, IsText } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

export type {
  BlockAnswer,
  EffortSessionAnswer,
  EffortTimelineAnswer,
  GroupFatigue,
  OffersAnswer,
  SessionFinding,
} from '@clay-pot/core/answers';

const CHECK_ID_LENGTH = 60;

/** A sequence and for whom: an athlete of the studio, a body, or nobody in particular. */
export class EffortQuestion extends PersonInput {
  @IsDocument(SEQUENCE)
  readonly sequence: Sequence;
  /** When the session would begin, for what earlier ones have left; now when left out. */
  @OptionalField()
  @IsInstant()
  readonly at?: string;
}

/** Which finding of a sequence is to be answered, and whom it is about. */
export class OffersQuestion extends EffortQuestion {
  @IsText(CHECK_ID_LENGTH, 1)
  readonly check: string;
  /** Of which blocks, as the finding names them. */
  @IsDocument(list(text(BLOCK_LIMITS.idLength, 1), { max: SEQUENCE_LIMITS.blocks }))
  readonly blockIds: readonly string[];
}
