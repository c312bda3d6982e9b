import { upgradeSequence } from './upgrade-sequence.js';
import { FileError, readJsonFile } from './json-file.js';
import { SEQUENCE_FILE, SEQUENCE_FORMAT, SEQUENCE_FORMAT_VERSION } from './sequence-schema.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Of } from '../vocabulary/schema.js';
import { checkSequence } from '../model/check-sequence.js';
import type { MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { checkMutes } from '../rules/checks/check-mutes.js';

/** The text of a sequence file: versioned JSON, indented so that a person can read and compare it. */
export function encodeSequence(sequence: Sequence): string {
  const { title, purpose, budgetMin, pacing, blocks, rounds, methodId, mutes, tests } = sequence;
  const head = { format: SEQUENCE_FORMAT, version: SEQUENCE_FORMAT_VERSION };
  const file = { ...head, title, purpose, budgetMin, pacing, blocks, rounds, methodId, mutes, tests };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * Reads a sequence file.
 * @throws FileError with line, column and field of everything that is wrong: broken JSON, a field outside the schema,
 *   a movement or level that this studio does not have.
 */
export function decodeSequence(text: string, lookup: MovementLookup): Sequence {
  const { value, place } = readJsonFile(text, { format: SEQUENCE_FORMAT, version: SEQUENCE_FORMAT_VERSION, what: 'sequence file' });
  const shape = faultsOf(SEQUENCE_FILE, value);
  if (shape.length > 0) throw new FileError(shape.map(({ pointer, message }) => place(pointer, message)));
  const { format: _format, version: of, ...written } = value as Of<typeof SEQUENCE_FILE>;
  const sequence = upgradeSequence(written, of, lookup);
  const faults = [...checkSequence(sequence, lookup), ...checkMutes(sequence)];
  if (faults.length) throw new FileError(faults.map(({ pointer, message }) => place(pointer, message)));
  return sequence;
}
