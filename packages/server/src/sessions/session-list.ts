import type { SessionFilter, SessionListItem, SessionPage } from '@clay-pot/contracts';
import { type DiscomfortPolicy, easesFrom, isInstant, POLICIES } from '@clay-pot/core';
import { In, MoreThanOrEqual } from 'typeorm';
import { validate as isUuid } from 'uuid';
import { namesOf } from '../athletes/names.js';
import { afterPlace, sqlInstant, wordsIn } from '../database/paging.js';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { SessionRow } from './session.entities.js';

/** What a list reads: neither the plan nor the note. */
const LISTED = {
  id: true,
  athleteId: true,
  sequenceId: true,
  startedAt: true,
  endedAt: true,
  onDay: true,
  ending: true,
  stopSign: true,
  stopHand: true,
  title: true,
  plannedMs: true,
  completion: true,
  maxDiscomfort: true,
  exertion: true,
  discomfortPolicy: true,
  begunAgainst: true,
  morning: true,
  morningBefore: true,
} as const satisfies Partial<Record<keyof SessionRow, true>>;
/** A session as lists read it, without its plan. */
export type ListedSession = Pick<SessionRow, keyof typeof LISTED>;

/** Where a page ended: the instant at which its last session began, and that session's id, since several may begin at once. */
interface PageEnd {
  readonly startedAt: Date;
  readonly id: string;
}

/** Reads the end of a page as the page before gave it. @throws 422 */
export function pageEndOf(text: string): PageEnd {
  const [instant = '', id = ''] = text.split(',');
  if (!isInstant(instant) || !isUuid(id)) {
    throw invalid([{ pointer: '/before', message: 'must be what a page gave as nextBefore' }]);
  }
  return { startedAt: new Date(instant), id };
}
const written = ({ startedAt, id }: PageEnd) => `${startedAt.toISOString()},${id}`;

/** Which page of which sessions. */
interface PageRequest {
  readonly athleteId: string | null;
  readonly before: PageEnd | null;
  readonly limit: number;
  /** Words of the sequence's title or the athlete's name. */
  readonly find?: string | undefined;
  readonly only?: SessionFilter | undefined;
}

/** Each policy with the score from which it asks to ease or stop. */
const HURT = (Object.keys(POLICIES.discomfort.options) as DiscomfortPolicy[])
  .map((policy) => `(discomfort_policy = '${policy}' AND max_discomfort >= ${easesFrom(policy)})`)
  .join(' OR ');
const ONLY: Record<SessionFilter, string> = {
  hurt: `(${HURT})`,
  unfinished: "ending IN ('stopped', 'ended early')",
  'despite-rule': 'JSON_LENGTH(begun_against) > 0',
};
const LATEST = [
  { column: 'started_at', direction: 'DESC' },
  { column: 'id', direction: 'DESC' },
] as const;
const ATHLETE_NAME = '(SELECT athletes.name FROM athletes WHERE athletes.id = sessions.athlete_id)';

/** Sessions of a studio or of one athlete, the latest first; those that began at the same instant by their ids. */
export async function pageOf(scope: StudioScope, { athleteId, before, limit, find = '', only }: PageRequest): Promise<SessionPage> {
  const also = wordsIn(find, ['title', ATHLETE_NAME]);
  if (only) also.push({ text: ONLY[only], parameters: [] });
  if (before) also.push(afterPlace(LATEST, [sqlInstant(before.startedAt), before.id]));
  const rows = await scope.of(SessionRow).find({
    select: LISTED,
    where: athleteId === null ? {} : { athleteId },
    also,
    sort: LATEST,
    take: limit + 1,
  });
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { items: await listed(scope, shown), nextBefore: rows.length > limit && last ? written(last) : null };
}

/** Sessions of some athletes that began since an instant, the latest first. */
export async function sessionsSince(scope: StudioScope, since: Date, athleteIds: readonly string[]): Promise<SessionListItem[]> {
  const rows = await scope.of(SessionRow).find({
    select: LISTED,
    where: { athleteId: In([...athleteIds]), startedAt: MoreThanOrEqual(since) },
    order: { startedAt: 'DESC', id: 'DESC' },
  });
  return listed(scope, rows);
}

/** The last ended session of each of some athletes who has one: one step into the index for each, whatever lies before. */
export async function latestEnded(scope: StudioScope, athleteIds: readonly string[]): Promise<Map<string, SessionListItem>> {
  const latest = await scope.select<{ id: string | null }>(
    `SELECT (SELECT session.id FROM sessions session WHERE session.studio_id = athlete.studio_id
      AND session.athlete_id = athlete.id AND session.ending IS NOT NULL
      ORDER BY session.started_at DESC, session.id DESC LIMIT 1) AS id
      FROM athletes athlete WHERE athlete.studio_id = ? AND athlete.id IN (?)`,
    [athleteIds],
  );
  const rows = await scope.of(SessionRow).find({ select: LISTED, where: { id: In(latest.flatMap(({ id }) => id ?? [])) } });
  return new Map((await listed(scope, rows)).map((session) => [session.athleteId, session]));
}

/** Rows as list items, with the names of their athletes. */
export async function listed(scope: StudioScope, rows: readonly ListedSession[]): Promise<SessionListItem[]> {
  if (!rows.length) return [];
  const nameOf = await namesOf(scope, rows);
  return rows.map(({ startedAt, endedAt, begunAgainst, ...row }) => ({
    id: row.id,
    athleteId: row.athleteId,
    athleteName: nameOf.get(row.athleteId) ?? '',
    sequenceId: row.sequenceId,
    title: row.title,
    startedAt: startedAt.toISOString(),
    endedAt: endedAt?.toISOString() ?? null,
    onDay: row.onDay,
    ending: row.ending,
    stopSign: row.stopSign,
    stopHand: row.stopHand,
    plannedMs: row.plannedMs,
    completion: row.completion,
    maxDiscomfort: row.maxDiscomfort,
    exertion: row.exertion,
    discomfortPolicy: row.discomfortPolicy,
    begunAgainst: begunAgainst.map(({ text }) => text),
    morning: row.morning,
    morningBefore: row.morningBefore,
  }));
}
