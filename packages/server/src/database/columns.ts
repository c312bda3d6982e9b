import { Column } from 'typeorm';

/** Characters of a UUID. */
const ID_LENGTH = 36;
/** Characters of an ISO day. */
const DAY_LENGTH = 10;

interface Choices {
  nullable?: true;
}

/** A column with the id of another row. */
export const IdColumn = (name: string, choices: Choices = {}): PropertyDecorator => Column('char', { name, length: ID_LENGTH, ...choices });

/** A column with a calendar day of the studio, ISO 8601. */
export const DayColumn = (name: string, choices: Choices = {}): PropertyDecorator =>
  Column('char', { name, length: DAY_LENGTH, ...choices });
