import {
  compileTimeline,
  faultsOf,
  type Method,
  type Movement,
  type MovementLookup,
  must,
  type Sequence,
  SEQUENCE,
  SequenceError,
} from '@clay-pot/core';
import { readStoredSequence } from '@clay-pot/core/exchange';
import { type StudioLibrary, libraryWith, methodOf } from '@clay-pot/core/library';
import type { DataSource } from 'typeorm';
import { StudioRow } from '../accounts/entities.js';
import { MethodRow } from '../methods/method.entity.js';
import { MovementRow } from '../movements/movement.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { sumsOfSequence } from '../sequences/sequence-sums.js';
import { SessionRow } from '../sessions/session.entities.js';
import { complaintsOf, reportsOf, setsOf } from '../sessions/session-rows.js';
import { sumsOfSession } from '../sessions/session-sums.js';
import { StudioScope } from './studio-scope.js';

/** Raised when this code computes something differently: what is stored is then recomputed once, when the server starts. */
const VERSIONS = { sums: 1, lengths: 1 } as const;
type Derived = keyof typeof VERSIONS;

/**
 * Recomputes what is stored beside documents so that lists compile nothing, where it is of an earlier version: the sums of sequences and
 * sessions, or their lengths alone. What was stored by looser rules than today's keeps its row as it is, rather than keeping the house from opening.
 */
export async function refreshDerived(source: DataSource): Promise<void> {
  const kept: { name: Derived; version: number }[] = await source.query('SELECT name, version FROM derived_values');
  const stale = kept.filter(({ name, version }) => version < VERSIONS[name]).map(({ name }) => name);
  if (stale.length === 0) return;
  for (const { id, timeZone } of await source.getRepository(StudioRow).find()) {
    // In one go: tens of thousands of sessions would wait for as many commits.
    await new StudioScope(id, timeZone, source.manager).transaction(async (held) => {
      const library = await knownIn(held);
      const documentOf = documentsIn(source);
      await refreshSequences(held, library, documentOf);
      await refreshSessions(held, library, documentOf, stale.includes('sums'));
    });
  }
  for (const name of stale) await source.query('UPDATE derived_values SET version = ? WHERE name = ?', [VERSIONS[name], name]);
}

type DocumentOf = (table: 'sequences' | 'plans', id: string) => Promise<Sequence>;

/** Documents as they lie in the database: whoever reads one as a sequence of today fails at what is none. */
const documentsIn =
  (source: DataSource): DocumentOf =>
  async (table, id) => {
    const [row]: { document: Sequence | string }[] = await source.query(`SELECT document FROM ${table} WHERE id = ?`, [id]);
    const { document } = must(row, 'a document for an id just read');
    // A JSON column comes as text or as what it says, by the driver's version.
    return typeof document === 'string' ? (JSON.parse(document) as Sequence) : document;
  };

/** What a studio knows: what is shipped, with its own. */
async function knownIn(scope: StudioScope): Promise<StudioLibrary> {
  const movements: { document: Movement }[] = await scope.of(MovementRow).find({});
  const methods: { document: Method }[] = await scope.of(MethodRow).find({});
  const own = <T>({ document }: { document: T }) => ({ removed: false, document });
  return libraryWith(movements.map(own), methods.map(own));
}

async function refreshSequences(scope: StudioScope, { movement }: StudioLibrary, documentOf: DocumentOf): Promise<void> {
  for (const { id } of await scope.of(SequenceRow).find({ select: { id: true } })) {
    const document = await documentOf('sequences', id);
    const sums = whereSound(document, movement, (sound) => sumsOfSequence(sound, compileTimeline(sound, movement).plannedMs));
    if (sums) await scope.of(SequenceRow).update({ id }, sums);
  }
}

async function refreshSessions(scope: StudioScope, library: StudioLibrary, documentOf: DocumentOf, isWhole: boolean): Promise<void> {
  const { movement } = library;
  const sessions = await scope.of(SessionRow).find({ select: { id: true, planId: true, toldExertion: true } });
  // Hundreds of sessions lead one plan: each is read and compiled once.
  const plans = new Map<string, ReturnType<typeof planned>>();
  const planned = (document: Sequence) =>
    whereSound(document, movement, (plan) => ({
      title: plan.title,
      timeline: compileTimeline(plan, movement),
      discomfortPolicy: methodOf(plan, library.method).discomfort,
    }));
  for (const { id, planId, toldExertion: exertion } of sessions) {
    if (!plans.has(planId)) plans.set(planId, planned(await documentOf('plans', planId)));
    const plan = plans.get(planId);
    if (!plan) continue;
    const { title, timeline, discomfortPolicy } = plan;
    const recorded = isWhole && {
      sets: await setsOf(scope, id),
      reports: await reportsOf(scope, id),
      complaints: await complaintsOf(scope, id),
    };
    const sums = recorded
      ? { ...sumsOfSession(title, timeline, { ...recorded, exertion }), discomfortPolicy }
      : { plannedMs: timeline.plannedMs };
    await scope.of(SessionRow).update({ id }, sums);
  }
}

/** What is worked out of a document as it is written today; null where it is none. */
function whereSound<T>(document: Sequence, movement: MovementLookup, work: (sound: Sequence) => T): T | null {
  if (faultsOf(SEQUENCE, document).length > 0) return null;
  try {
    return work(readStoredSequence(document, movement));
  } catch (error) {
    if (error instanceof SequenceError) return null;
    throw error;
  }
}
