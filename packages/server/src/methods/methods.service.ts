import type { MethodInput, StoredMethod } from '@clay-pot/contracts';
import { checkMethod, type Method, same } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { etagOf } from '../http/etag.js';
import { invalid } from '../http/problem.js';
import { raiseEvidenceOfAll } from '../kept/evidence-revision.js';
import { MethodRow } from './method.entity.js';

const METHODS_KEPT = new VersionedRows(MethodRow, 'method');

/** Keeps methods of the studio’s own. */
@Injectable()
export class MethodsService {
  constructor(private readonly clock: Clock) {}

  /** The studio's own, removed ones too. */
  async list(scope: StudioScope): Promise<StoredMethod[]> {
    return (await scope.of(MethodRow).find({ order: { name: 'ASC' } })).map(methodView);
  }

  async get(scope: StudioScope, id: string): Promise<StoredMethod> {
    return methodView(await scope.of(MethodRow).get(id, 'method'));
  }

  /** Creates or replaces; see `VersionedRows.put` for the rules. */
  async put(scope: StudioScope, id: string, input: MethodInput, ifMatch: string | undefined): Promise<StoredMethod> {
    const document: Method = { id, ...input };
    const faults = checkMethod(document);
    if (faults.length) throw invalid(faults);
    return METHODS_KEPT.put(scope, id, {
      ifMatch,
      content: { name: document.name, document, updatedAt: this.clock.now() },
      fresh: { removedAt: null },
      get: (of) => this.get(of, id),
      isSame: (stored) => same(stored.method, document),
      written: raiseEvidenceOfAll,
    });
  }

  /** Takes it off the list, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredMethod> {
    await METHODS_KEPT.setRemovedAt(scope, id, removed ? this.clock.now() : null, raiseEvidenceOfAll);
    return this.get(scope, id);
  }
}

function methodView({ id, rowVersion, updatedAt, removedAt, document }: MethodRow): StoredMethod {
  const removed = removedAt !== null;
  return { id, etag: etagOf(rowVersion), updatedAt: updatedAt.toISOString(), removed, method: document };
}
