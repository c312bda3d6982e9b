import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser';
import { lastOf } from '../vocabulary/lists.js';
import { isNestedBeyond, MOST_NESTING } from './nesting.js';

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

/** The content of one of our files: its value, and where each fault is in the text. */
export interface JsonFile {
  readonly value: unknown;
  readonly place: (pointer: string, message: string) => FileFault;
}

/** A format of files, and the version that is written. */
export interface FileFormat {
  readonly format: string;
  readonly version: number;
  /** What such a file is called in a sentence: “sequence file”. */
  readonly what: string;
}

/** Reads the text of a file. @throws FileError where it is no JSON, is nested too deep, or was written by a later version */
export function readJsonFile(text: string, format: FileFormat): JsonFile {
  if (isNestedBeyond(text, MOST_NESTING)) {
    const message = `Brackets are nested deeper than ${MOST_NESTING}, so this isn’t a ${format.what}.`;
    throw new FileError([{ line: 1, column: 1, pointer: '', message }]);
  }
  const broken: ParseError[] = [];
  const tree = parseTree(text, broken, { allowTrailingComma: false, disallowComments: true });
  const place = placer(text, tree);
  if (broken.length || !tree) {
    const faults = broken.slice(0, 5).map((error) => ({
      ...position(text, error.offset),
      pointer: '',
      message: `Not valid JSON here: ${spaced(printParseErrorCode(error.error))}.`,
    }));
    throw new FileError(faults.length ? faults : [{ line: 1, column: 1, pointer: '', message: 'The file is empty.' }]);
  }
  const value: unknown = JSON.parse(text);
  const version = futureVersion(value, format);
  if (version !== null) {
    const message = `This file has version ${version}; this Clay Pot reads up to version ${format.version}. Open it with the newer Clay Pot that wrote it.`;
    throw new FileError([place('/version', message)]);
  }
  return { value, place };
}

/** The version of a file that a later Clay Pot wrote; null for any other, broken ones too. */
function futureVersion(value: unknown, knownFormat: FileFormat): number | null {
  if (typeof value !== 'object' || value === null) return null;
  const { format, version } = value as Record<string, unknown>;
  const isLater = format === knownFormat.format && Number.isInteger(version) && Number(version) > knownFormat.version;
  return isLater ? Number(version) : null;
}

function placer(text: string, tree: Node | undefined) {
  return (pointer: string, message: string): FileFault => {
    const path = pointer
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step.replaceAll('~1', '/').replaceAll('~0', '~')));
    // A missing field is reported where it belongs.
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
