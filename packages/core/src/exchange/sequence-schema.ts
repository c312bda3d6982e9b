import { SEQUENCE_FIELDS } from '../model/sequence.js';
import { oneOf, record } from '../vocabulary/schema.js';

/** Identifies the format and its version inside a file. */
export const SEQUENCE_FORMAT = 'clay-pot/sequence';
/** Version of the file format that is written; earlier ones are still read: `upgrade-sequence.ts` says how. */
export const SEQUENCE_FORMAT_VERSION = 3;
/** Every version that there was. */
export const READABLE_VERSIONS = [1, 2, 3] as const;

/** The published schema of a sequence file. Files that it accepts can be imported. */
export const SEQUENCE_FILE = record(
  { format: oneOf([SEQUENCE_FORMAT]), version: oneOf(READABLE_VERSIONS), ...SEQUENCE_FIELDS },
  {
    $schema: 'http://json-schema.org/draft-07/schema#',
    $id: 'urn:clay-pot:sequence:3',
    title: 'Clay Pot sequence, version 3',
    description: 'A sequence of movements with levels and doses. Seconds and minutes are in the names; effort is in percent.',
    what: 'a sequence file: an object',
  },
);
