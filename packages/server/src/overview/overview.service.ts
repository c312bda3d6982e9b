import { CLASS_THINGS } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { ReadingsService } from '../readings/readings.service.js';
import { decidedSessions } from '../suggestions/decided-sessions.js';
import { type Overview, overviewOf } from './overview.js';
import { materialOf } from './overview-material.js';

/** So many are put together in one go: the event loop is free between them. */
const AT_ONCE = 20;
/** Studios whose overviews are kept in memory. */
const MOST_STUDIOS = 30;

interface Kept {
  readonly evidenceRevision: number;
  readonly overview: Overview;
}

/** The overviews of a studio, each made again when something about its athlete was written. */
@Injectable()
export class OverviewService {
  private readonly kept = new LRUCache<string, { readonly day: string; readonly of: Map<string, Kept> }>({ max: MOST_STUDIOS });

  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
  ) {}

  /** Who needs a look first; whom nothing asks for last, by name. */
  async ofStudio(scope: StudioScope): Promise<Overview[]> {
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const kept = this.keptOf(scope, today);
    const athletes = await scope.of(AthleteRow).find({ select: { id: true, evidenceRevision: true } });
    const decided = await decidedSessions(
      scope,
      [...kept.values()].flatMap(({ overview }) => overview.latestId ?? []),
    );
    const stale = athletes.filter(({ id, evidenceRevision }) => {
      const entry = kept.get(id);
      if (!entry || entry.evidenceRevision !== evidenceRevision) return true;
      const { latestId, isDecided } = entry.overview;
      return latestId !== null && decided.has(latestId) !== isDecided;
    });
    if (stale.length > 0) {
      const repeats = await this.readings.repeatsOf(scope, CLASS_THINGS);
      const revisionOf = new Map(stale.map(({ id, evidenceRevision }) => [id, evidenceRevision]));
      for (let start = 0; start < stale.length; start += AT_ONCE) {
        const ids = stale.slice(start, start + AT_ONCE).map(({ id }) => id);
        for (const material of await materialOf(scope, this.readings, ids, { now, today })) {
          const { id } = material.athlete;
          const overview = overviewOf(material, { today, timeZone: scope.timeZone, repeats });
          // The revision is the one of before the first look: what was written meanwhile makes it stale.
          kept.set(id, { evidenceRevision: revisionOf.get(id) ?? -1, overview });
        }
      }
    }
    const overviews = athletes.flatMap(({ id }) => kept.get(id)?.overview ?? []);
    return overviews.sort(({ row: a }, { row: b }) => b.weight - a.weight || a.name.localeCompare(b.name));
  }

  private keptOf({ studioId }: StudioScope, day: string): Map<string, Kept> {
    const before = this.kept.get(studioId);
    const entry = before?.day === day ? before : { day, of: new Map<string, Kept>() };
    this.kept.set(studioId, entry);
    return entry.of;
  }
}
