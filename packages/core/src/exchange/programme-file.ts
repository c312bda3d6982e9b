import { checkSequence } from '../model/check-sequence.js';
import type { MovementLookup } from '../model/movement.js';
import { checkProgramme, type Programme, PROGRAMME_FIELDS, PROGRAMME_LIMITS } from '../model/programme.js';
import { SEQUENCE, type Sequence } from '../model/sequence.js';
import { checkMutes } from '../rules/checks/check-mutes.js';
import { under } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { list, type Of, oneOf, record, text } from '../vocabulary/schema.js';
import { FileError, readJsonFile } from './json-file.js';

/** Identifies the format and its version inside a file. */
export const PROGRAMME_FORMAT = 'clay-pot/programme';
/** Version of the file format that is written and read. */
export const PROGRAMME_FORMAT_VERSION = 1;

/** The published schema of a programme file: the document, and the sequences of its plans beside it. */
export const PROGRAMME_FILE = record(
  {
    format: oneOf([PROGRAMME_FORMAT]),
    version: oneOf([PROGRAMME_FORMAT_VERSION]),
    ...PROGRAMME_FIELDS,
    sequences: list(record({ planId: text(PROGRAMME_LIMITS.idLength, 1), sequence: SEQUENCE }), {
      max: PROGRAMME_LIMITS.plans,
    }),
  },
  {
    $schema: 'http://json-schema.org/draft-07/schema#',
    $id: 'urn:clay-pot:programme:1',
    title: 'Clay Pot programme, version 1',
    description: 'Sequences over weeks. Days are calendar days without a time zone; amounts are percent of loading work.',
    what: 'a programme file: an object',
  },
);

/** The text of a programme file: versioned JSON with the sequences of its plans, by plan. */
export function encodeProgramme(programme: Programme, sequences: ReadonlyMap<string, Sequence>): string {
  const file = {
    format: PROGRAMME_FORMAT,
    version: PROGRAMME_FORMAT_VERSION,
    ...programme,
    sequences: [...sequences].map(([planId, sequence]) => ({ planId, sequence })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * Reads a programme file.
 * @throws FileError with line, column and field of everything that is wrong: broken JSON, a field outside the schema, a day outside the weeks, a plan without its
 *   sequence, a movement or level that this studio does not have.
 */
export function decodeProgramme(file: string, lookup: MovementLookup): { programme: Programme; sequences: Map<string, Sequence> } {
  const { value, place } = readJsonFile(file, { format: PROGRAMME_FORMAT, version: PROGRAMME_FORMAT_VERSION, what: 'programme file' });
  const shape = faultsOf(PROGRAMME_FILE, value);
  if (shape.length > 0) throw new FileError(shape.map(({ pointer, message }) => place(pointer, message)));
  const { format: _format, version: _version, sequences: listed, ...programme } = value as Of<typeof PROGRAMME_FILE>;
  const faults = [
    ...checkProgramme(programme),
    ...listed.flatMap(({ sequence }, index) =>
      under(`/sequences/${index}/sequence`, [...checkSequence(sequence, lookup), ...checkMutes(sequence)]),
    ),
    ...programme.plans.flatMap(({ id }, index) =>
      listed.some(({ planId }) => planId === id)
        ? []
        : [
            {
              pointer: `/plans/${index}`,
              message: `The file has no sequence for the plan “${id}”. Add it to “sequences”.`,
            },
          ],
    ),
  ];
  if (faults.length > 0) throw new FileError(faults.map(({ pointer, message }) => place(pointer, message)));
  return { programme, sequences: new Map(listed.map(({ planId, sequence }) => [planId, sequence])) };
}
