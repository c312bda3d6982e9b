import type { Method } from '@clay-pot/core';

export { METHOD as METHOD_INPUT } from '@clay-pot/core';

/** A studio's own method. Its id is the address it is stored under. */
export type MethodInput = Omit<Method, 'id'>;

/** A method of the studio’s own, with its version; one that was removed is kept for what used it. */
export interface StoredMethod {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the list: kept for the sequences that go by it. */
  removed: boolean;
  method: Method;
}
