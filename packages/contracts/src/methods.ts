import { METHOD, type Method } from '@clay-pot/core';
import { bodyOf } from './validation/is-document.js';

/** A studio's own method. Its id is the address it is stored under. */
export class MethodInput extends bodyOf(METHOD) {}

/** A method of the studio’s own, with its version; one that was removed is kept for what used it. */
export interface StoredMethod {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the list: kept for the sequences that go by it. */
  removed: boolean;
  method: Method;
}
