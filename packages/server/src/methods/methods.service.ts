import type { MethodInput, StoredMethod } from '@clay-pot/contracts';
import { checkMethod, type Method, same } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { etagOf, versionOf } from '../http/etag.js';
import { invalid, staleEdit, versionNeeded } from '../http/problem.js';
import { raiseEvidenceOfAll } from '../kept/evidence-revision.js';
import { MethodRow } from './method.entity.js';

/** Keeps methods of the studio’s own. */
@Injectable()
export class MethodsService {
  constructor(private readonly clock: Clock) {}

  /** The studio's own, removed ones too. */
  async list(scope: StudioScope): Promise<StoredMethod[]> {
    return (await scope.of(MethodRow).find({ order: { name: 'ASC' } })).map(present);
  }

  async get(scope: StudioScope, id: string): Promise<StoredMethod> {
    return present(await scope.of(MethodRow).get(id, 'method'));
  }

  /** Creates or replaces; see `AthletesService.put` for the rules. */
  async put(scope: StudioScope, id: string, input: MethodInput, ifMatch: string | undefined): Promise<StoredMethod> {
    const document: Method = { id, ...input };
    const faults = checkMethod(document);
    if (faults.length) throw invalid(faults);
    const content = { name: document.name, document, updatedAt: this.clock.now() };
    if (ifMatch === undefined) {
      const isNew = await scope.transaction(async (held) => {
        const isIn = await held.of(MethodRow).insert({ id, rowVersion: 1, removedAt: null, ...content }, 'method');
        if (isIn) await raiseEvidenceOfAll(held);
        return isIn;
      });
      if (isNew) return this.get(scope, id);
      const existing = await this.get(scope, id);
      if (same(existing.method, document)) return existing;
      throw versionNeeded();
    }
    await scope.of(MethodRow).get(id, 'method');
    const rowVersion = versionOf(ifMatch);
    const changed = await scope.transaction(async (held) => {
      const replaced = await held.of(MethodRow).update({ id, rowVersion }, { ...content, rowVersion: rowVersion + 1 });
      if (replaced > 0) await raiseEvidenceOfAll(held);
      return replaced;
    });
    const current = await this.get(scope, id);
    if (changed === 0) throw staleEdit({ current }, current.etag);
    return current;
  }

  /** Takes it off the list, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredMethod> {
    await scope.of(MethodRow).get(id, 'method');
    await scope.transaction(async (held) => {
      await held.of(MethodRow).update({ id }, { removedAt: removed ? this.clock.now() : null });
      await raiseEvidenceOfAll(held);
    });
    return this.get(scope, id);
  }
}

function present({ id, rowVersion, updatedAt, removedAt, document }: MethodRow): StoredMethod {
  const removed = removedAt !== null;
  return { id, etag: etagOf(rowVersion), updatedAt: updatedAt.toISOString(), removed, method: document };
}
