import { lastOf } from '../vocabulary/lists.js';
import { type Node, type ParseError, findNodeAtLocation, parseTree, printParseErrorCode } from 'jsonc-parser';
import { upgradeSequence } from './upgrade-sequence.js';
import { isNestedBeyond, MOST_NESTING } from './nesting.js';
import { SEQUENCE_FILE, SEQUENCE_FORMAT, SEQUENCE_FORMAT_VERSION } from './sequence-schema.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Of } from '../vocabulary/schema.js';
import { checkSequence } from '../model/check-sequence.js';
import type { MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import { checkMutes } from '../rules/checks/check-mutes.js';

/** Something wrong in a file: the line a person can go to, the field, and what would be right. */
export interface FileFault {
  /** 1-based line and column. */
  readonly line: number;
  readonly column: number;
  readonly pointer: string;
  readonly message: string;
}

/** A file that cannot be read, with every fault by line and field. */
export class FileError extends Error {
  override readonly name = 'FileError';
  constructor(readonly faults: readonly FileFault[]) {
    super(faults.map((fault) => `Line ${fault.line}, ${fault.pointer || 'the file'}: ${fault.message}`).join('\n'));
  }
}

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
  if (isNestedBeyond(text, MOST_NESTING)) {
    const message = `Brackets are nested deeper than ${MOST_NESTING}: this is no sequence file.`;
    throw new FileError([{ line: 1, column: 1, pointer: '', message }]);
  }
  const broken: ParseError[] = [];
  const tree = parseTree(text, broken, { allowTrailingComma: false, disallowComments: true });
  const place = placer(text, tree);
  if (broken.length || !tree) {
    const faults = broken.slice(0, 5).map((error) => ({
      ...position(text, error.offset),
      pointer: '',
      message: `This is not valid JSON here: ${spaced(printParseErrorCode(error.error))}.`,
    }));
    throw new FileError(faults.length ? faults : [{ line: 1, column: 1, pointer: '', message: 'The file is empty.' }]);
  }
  const value: unknown = JSON.parse(text);
  const version = futureVersion(value);
  if (version !== null) {
    const message = `This file is of version ${version}; here versions up to ${SEQUENCE_FORMAT_VERSION} are read. Open it with the newer Clay Pot that wrote it.`;
    throw new FileError([place('/version', message)]);
  }
  const shape = faultsOf(SEQUENCE_FILE, value);
  if (shape.length > 0) throw new FileError(shape.map(({ pointer, message }) => place(pointer, message)));
  const { format: _format, version: of, ...written } = value as Of<typeof SEQUENCE_FILE>;
  const sequence = upgradeSequence(written, of, lookup);
  const faults = [...checkSequence(sequence, lookup), ...checkMutes(sequence)];
  if (faults.length) throw new FileError(faults.map(({ pointer, message }) => place(pointer, message)));
  return sequence;
}

/** The version of a file that a later Clay Pot wrote; null for any other, broken ones too. */
function futureVersion(value: unknown): number | null {
  if (typeof value !== 'object' || value === null) return null;
  const { format, version } = value as Record<string, unknown>;
  const isLater = format === SEQUENCE_FORMAT && Number.isInteger(version) && Number(version) > SEQUENCE_FORMAT_VERSION;
  return isLater ? Number(version) : null;
}

function placer(text: string, tree: Node | undefined) {
  return (pointer: string, message: string): FileFault => {
    const path = pointer
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step.replaceAll('~1', '/').replaceAll('~0', '~')));
    // What is missing is told where it belongs.
    const node = tree && (findNodeAtLocation(tree, path) ?? findNodeAtLocation(tree, path.slice(0, -1)));
    // The name of a field is where the eye should land, not its value three lines further.
    const offset = (node?.parent?.type === 'property' ? node.parent.offset : node?.offset) ?? 0;
    return { ...position(text, offset), pointer, message };
  };
}

function position(text: string, offset: number): { line: number; column: number } {
  const before = text.slice(0, offset).split('\n');
  return { line: before.length, column: lastOf(before).length + 1 };
}

const spaced = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
