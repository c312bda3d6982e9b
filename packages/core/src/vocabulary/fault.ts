import { capital } from './text.js';

/** Something wrong in a document: where (RFC 6901 JSON pointer) and what would be right. */
export interface Fault {
  readonly pointer: string;
  /** What would be right, to stand after the name of the field: “must be within 1–20 sets, not 99”. */
  readonly message: string;
  /** What people call the field. */
  readonly label?: string;
}

/** A fault as a person reads it away from its field. @example sentence({ pointer: '/sets', message: 'must be …', label: 'Sets' }) → 'Sets must be ….' */
export function sentence({ label, message }: Fault): string {
  const text = label === undefined ? capital(message) : `${label} ${message}`;
  return /[.!?]$/.test(text) ? text : `${text}.`;
}

/** Faults of a part, with pointers from the whole that contains it. @example under('/dose', [{ pointer: '/sets', message: 'no' }]) → [{ pointer: '/dose/sets', message: 'no' }] */
export const under = (at: string, faults: readonly Fault[]): Fault[] => faults.map((fault) => ({ ...fault, pointer: at + fault.pointer }));
