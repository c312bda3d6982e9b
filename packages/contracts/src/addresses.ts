import { LIST_PAGE, PAST_DAYS, SESSION_PAGE } from './limits.js';
import { IsId, IsText, IsWholeWithin, IsWord, IsWordId } from './validation/fields.js';
import { OptionalField } from './validation/optional-field.js';

/** Ids and words in the addresses of routes. What is no id doesn't exist. */
const WORD_LENGTH = 100;

/** One thing of the studio. */
export class ById {
  @IsId('an entry')
  readonly id: string;
}
/** A reading of an athlete. */
export class ReadingAddress extends ById {
  @IsId('a reading')
  readonly readingId: string;
}
/** A picture of an athlete’s hand. */
export class PictureAddress extends ById {
  @IsId('a picture')
  readonly pictureId: string;
}
/** Answers that an athlete gave before training. */
export class IntakeAddress extends ById {
  @IsId('answers')
  readonly intakeId: string;
}
/** An answer to a suggestion of an athlete. */
export class SuggestionAnswerAddress extends ById {
  @IsId('an answer')
  readonly answerId: string;
}
/** A set of a session. */
export class SetAddress extends ById {
  @IsId('a set')
  readonly setId: string;
}
/** A report of a session. */
export class ReportAddress extends ById {
  @IsId('a report')
  readonly reportId: string;
}
/** A look at a hand in a session. */
export class LookAddress extends ById {
  @IsId('a look')
  readonly lookId: string;
}
/** A tick of a fault of form in a session. */
export class TickAddress extends ById {
  @IsId('a tick')
  readonly tickId: string;
}
/** A complaint in a session. */
export class ComplaintAddress extends ById {
  @IsId('a complaint')
  readonly complaintId: string;
}
/** A movement, shipped or the studio’s own. */
export class MovementAddress {
  @IsWordId(WORD_LENGTH)
  readonly movementId: string;
}
/** A calendar by its private address. */
export class CalendarAddress {
  @IsWordId(WORD_LENGTH)
  readonly file: string;
}

/** What sessions can be narrowed to: those that hurt, that ended before their end, that were started despite a safety rule. */
export const SESSION_FILTERS = ['hurt', 'unfinished', 'despite-rule'] as const;
/** What sessions can be narrowed to. */
export type SessionFilter = (typeof SESSION_FILTERS)[number];

/** Which sessions are listed. */
export class SessionsQuery {
  /** Of one athlete; of the whole studio where it is left out. */
  @OptionalField()
  @IsId('an athlete')
  readonly athlete?: string;
  /** As a page gave it as `nextBefore`. */
  @OptionalField()
  @IsText(WORD_LENGTH, 1)
  readonly before?: string;
  /** Words of the sequence or the athlete; each has to be there. */
  @OptionalField()
  @IsText(WORD_LENGTH, 1)
  readonly find?: string;
  @OptionalField()
  @IsWord(SESSION_FILTERS)
  readonly only?: SessionFilter;
  @OptionalField()
  @IsWholeWithin(SESSION_PAGE)
  readonly limit?: number;
}
/** How far is looked back. */
export class PastQuery {
  @OptionalField()
  @IsWholeWithin(PAST_DAYS)
  readonly days?: number;
}
const PLACE_LENGTH = 2000;

/** Which page of a list. Its answer names the next page in a `Link` header, where there is one. */
export class PageQuery {
  /** Where the page before ended, as its `Link` header gave it. */
  @OptionalField()
  @IsText(PLACE_LENGTH, 1)
  readonly after?: string;
  @OptionalField()
  @IsWholeWithin(LIST_PAGE)
  readonly limit?: number;
}
/** Which page of what fits some words. */
class SearchQuery extends PageQuery {
  /** Words; each has to be there. */
  @OptionalField()
  @IsText(WORD_LENGTH, 1)
  readonly find?: string;
}
/** What people are sorted by. */
export const ATHLETE_ORDERS = ['name', 'last-session'] as const;
/** What people are sorted by. */
export type AthleteOrder = (typeof ATHLETE_ORDERS)[number];
/** Which people are listed, found by name and practice. */
export class AthletesQuery extends SearchQuery {
  @OptionalField()
  @IsWord(ATHLETE_ORDERS)
  readonly sort?: AthleteOrder;
}
/** What sequences are sorted by. */
export const SEQUENCE_SORTS = ['title', 'updated', 'last-used'] as const;
/** What sequences are sorted by. */
export type SequenceSort = (typeof SEQUENCE_SORTS)[number];
/** Which sequences are listed, found by title, purpose and tags. */
export class SequencesQuery extends SearchQuery {
  @OptionalField()
  @IsWord(SEQUENCE_SORTS)
  readonly sort?: SequenceSort;
}
/** What programmes are sorted by. */
export const PROGRAMME_SORTS = ['last-day', 'title'] as const;
/** What programmes are sorted by. */
export type ProgrammeSort = (typeof PROGRAMME_SORTS)[number];
/** Whose programmes are listed, found by title and name. */
export class ProgrammesQuery extends SearchQuery {
  @OptionalField()
  @IsId('an athlete')
  readonly athleteId?: string;
  @OptionalField()
  @IsWord(PROGRAMME_SORTS)
  readonly sort?: ProgrammeSort;
}
/** Whose assignments are listed. */
export class AssignmentsQuery extends PageQuery {
  @OptionalField()
  @IsId('an athlete')
  readonly athleteId?: string;
}
