import { Ajv, type ErrorObject } from 'ajv';
import { type Node, type ParseError, findNodeAtLocation, parseTree, printParseErrorCode } from 'jsonc-parser';
import { SEQUENCE_FORMAT, SEQUENCE_FORMAT_VERSION, SEQUENCE_SCHEMA } from './sequence-schema.js';
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

export class FileError extends Error {
  override readonly name = 'FileError';
  constructor(readonly faults: readonly FileFault[]) {
    super(faults.map((fault) => `Line ${fault.line}, ${fault.pointer || 'the file'}: ${fault.message}`).join('\n'));
  }
}

const validate = new Ajv({ allErrors: true, discriminator: true, strict: true, strictRequired: false }).compile(
  SEQUENCE_SCHEMA,
);

/** The text of a sequence file: versioned JSON, indented so that a person can read and compare it. */
export function encodeSequence(sequence: Sequence): string {
  const { title, purpose, budgetMin, pacing, blocks, methodId, mutes } = sequence;
  const head = { format: SEQUENCE_FORMAT, version: SEQUENCE_FORMAT_VERSION };
  const file = { ...head, title, purpose, budgetMin, pacing, blocks, methodId, mutes };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * Reads a sequence file.
 * @throws FileError with line, column and field of everything that is wrong: broken JSON, a field outside the schema,
 *   a movement or level that this studio does not have.
 */
export function decodeSequence(text: string, lookup: MovementLookup): Sequence {
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
  if (!validate(value)) {
    throw new FileError(readable(validate.errors ?? []).map(({ pointer, message }) => place(pointer, message)));
  }
  const {
    format: _format,
    version: _version,
    ...sequence
  } = value as unknown as Sequence & { format: string; version: number };
  const faults = [...checkSequence(sequence, lookup), ...checkMutes(sequence)];
  if (faults.length) throw new FileError(faults.map(({ pointer, message }) => place(pointer, message)));
  return sequence;
}

/** The schema checker's findings in words, without the echoes it gives for an enclosing rule. */
function readable(errors: readonly ErrorObject[]): { pointer: string; message: string }[] {
  return errors.map((error) => {
    const { instancePath, keyword, params } = error;
    switch (keyword) {
      case 'additionalProperties':
        return {
          pointer: `${instancePath}/${params['additionalProperty']}`,
          message: 'This field is not known here: remove it or check its spelling.',
        };
      case 'required':
        return { pointer: instancePath, message: `The field “${params['missingProperty']}” is missing.` };
      case 'const':
        return { pointer: instancePath, message: `This must be ${JSON.stringify(params['allowedValue'])}.` };
      case 'enum':
        return {
          pointer: instancePath,
          message: `This must be one of ${(params['allowedValues'] as string[]).join(', ')}.`,
        };
      case 'discriminator':
        return { pointer: `${instancePath}/kind`, message: 'This must be one of repetitions, time, breaths.' };
      default:
        return { pointer: instancePath, message: `This ${error.message}.` };
    }
  });
}

function placer(text: string, tree: Node | undefined) {
  return (pointer: string, message: string): FileFault => {
    const path = pointer
      .split('/')
      .slice(1)
      .map((step) => (/^\d+$/.test(step) ? Number(step) : step.replaceAll('~1', '/').replaceAll('~0', '~')));
    const node = tree && findNodeAtLocation(tree, path);
    // The name of a field is where the eye should land, not its value three lines further.
    const offset = (node?.parent?.type === 'property' ? node.parent.offset : node?.offset) ?? 0;
    return { ...position(text, offset), pointer, message };
  };
}

function position(text: string, offset: number): { line: number; column: number } {
  const before = text.slice(0, offset).split('\n');
  return { line: before.length, column: before[before.length - 1]!.length + 1 };
}

const spaced = (code: string) => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
