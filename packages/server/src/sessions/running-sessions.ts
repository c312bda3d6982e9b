import type { SessionPage } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { ask } from '../database/quick-query.js';
import { TogetherLookup } from '../database/together-lookup.js';
import type { RestsOn } from '../http/unchanged.interceptor.js';

/** Sessions that are going on change their entry in lists with each set, without a word to anybody else: each record raises their own revision. */
@Injectable()
export class RunningSessions implements RestsOn<SessionPage> {
  private readonly versions: TogetherLookup<string>;

  constructor(source: DataSource) {
    this.versions = new TogetherLookup(async (keys) => {
      const ids = [...new Set(keys.flatMap((key) => key.split(' ')))];
      const rows = await ask<{ id: string; revision: number }>(source.manager, 'SELECT id, revision FROM sessions WHERE id IN (?)', [ids]);
      const revisionOf = new Map(rows.map(({ id, revision }) => [id, revision]));
      return new Map(
        keys.map((key) => [
          key,
          key
            .split(' ')
            .map((id) => revisionOf.get(id))
            .join(' '),
        ]),
      );
    });
  }

  idsIn({ items }: SessionPage): string[] {
    return items.filter(({ ending }) => ending === null).map(({ id }) => id);
  }

  async versionOf(ids: readonly string[]): Promise<string> {
    return (await this.versions.of(ids.join(' '))) ?? '';
  }
}
