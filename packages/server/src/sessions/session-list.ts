import type { SessionFilter, SessionListItem, SessionPage } from '@clay-pot/contracts';
import { type DiscomfortPolicy, easesFrom, isInstant, POLICIES } from '@clay-pot/core';
import { In } from 'typeorm';
import { validate as isUuid } from 'uuid';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { SessionRow } from './session.entities.js';

/** What a list reads: neither the plan nor the note. */
const LISTED = [
  'id',
  'athleteId',
  'sequenceId',
  'startedAt',
  'endedAt',
  'onDay',
  'ending',
  'stopSign',
  'stopHand',
  'title',
  'plannedMs',
  'completion',
  'maxDiscomfort',
  'exertion',
  'discomfortPolicy',
  'begunAgainst',
  'morning',
  'morningBefore',
] as const satisfies readonly (keyof SessionRow)[];
/** A session as lists read it, without its plan. */
export type ListedSession = Pick<SessionRow, (typeof LISTED)[number]>;
const COLUMNS = LISTED.map((column) => `session.${column}`);

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
  .map((policy) => `(session.discomfort_policy = '${policy}' AND session.max_discomfort >= ${easesFrom(policy)})`)
  .join(' OR ');
const ONLY: Record<SessionFilter, string> = {
  hurt: `(${HURT})`,
  unfinished: "session.ending IN ('stopped', 'ended early')",
  'despite-rule': 'JSON_LENGTH(session.begun_against) > 0',
};
/** Typed text as LIKE reads it: its own wildcards are letters. */
const likeText = (word: string) => `%${word.replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** Sessions of a studio or of one athlete, the latest first; those that began at the same instant by their ids. */
export async function pageOf(scope: StudioScope, { athleteId, before, limit, find = '', only }: PageRequest): Promise<SessionPage> {
  const query = scope
    .of(SessionRow)
    .query('session')
    .select(COLUMNS)
    .orderBy('session.startedAt', 'DESC')
    .addOrderBy('session.id', 'DESC')
    .take(limit + 1);
  if (athleteId) query.andWhere('session.athlete_id = :athleteId', { athleteId });
  if (only) query.andWhere(ONLY[only]);
  for (const [index, word] of find.split(/\s+/).filter(Boolean).entries()) {
    query.andWhere(
      `(session.title LIKE :word${index} OR EXISTS (SELECT 1 FROM athletes athlete
        WHERE athlete.id = session.athlete_id AND athlete.name LIKE :word${index}))`,
      { [`word${index}`]: likeText(word) },
    );
  }
  if (before) {
    query.andWhere('(session.started_at < :at OR (session.started_at = :at AND session.id < :id))', {
      at: before.startedAt,
      id: before.id,
    });
  }
  const rows = await query.getMany();
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { items: await listed(scope, shown), nextBefore: rows.length > limit && last ? written(last) : null };
}

/** Sessions that began since an instant, the latest first. */
export async function sessionsSince(scope: StudioScope, since: Date): Promise<SessionListItem[]> {
  const rows = await scope
    .of(SessionRow)
    .query('session')
    .select(COLUMNS)
    .andWhere('session.started_at >= :since', { since })
    .orderBy('session.startedAt', 'DESC')
    .addOrderBy('session.id', 'DESC')
    .getMany();
  return listed(scope, rows);
}

/** The last ended session of every athlete who has one: one step into the index for each, whatever lies before. */
export async function latestOfEach(scope: StudioScope): Promise<SessionListItem[]> {
  const latest = await scope
    .of(AthleteRow)
    .query('athlete')
    .select(
      `(SELECT session.id FROM sessions session WHERE session.studio_id = athlete.studio_id
        AND session.athlete_id = athlete.id AND session.ending IS NOT NULL
        ORDER BY session.started_at DESC, session.id DESC LIMIT 1)`,
      'id',
    )
    .getRawMany<{ id: string | null }>();
  const ids = latest.flatMap(({ id }) => id ?? []);
  if (!ids.length) return [];
  const rows = await scope
    .of(SessionRow)
    .query('session')
    .select(COLUMNS)
    .andWhere({ id: In(ids) })
    .getMany();
  return listed(scope, rows);
}

/** Rows as list items, with the names of their athletes. */
export async function listed(scope: StudioScope, rows: readonly ListedSession[]): Promise<SessionListItem[]> {
  if (!rows.length) return [];
  const ids = [...new Set(rows.map(({ athleteId }) => athleteId))];
  const athletes = await scope.of(AthleteRow).find({ select: { id: true, name: true }, where: { id: In(ids) } });
  const nameOf = new Map(athletes.map(({ id, name }) => [id, name]));
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
