import type {
  EffortQuestion,
  EffortSessionAnswer,
  EffortTimelineAnswer,
  OffersAnswer,
  OffersQuestion,
  SessionFinding,
} from '@clay-pot/contracts';
import {
  blockChances,
  blockGroups,
  decidesWords,
  findingsOf,
  type Subject,
  type Finding,
  offersStepwise,
  same,
  partsOf,
  potOf,
  potWords,
  type Ratio,
  type SessionQuestion,
  type SessionView,
  viewOf,
  whatToMeasure,
} from '@clay-pot/core';
import { LIBRARY, methodOf, USUAL_METHOD } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { setImmediate } from 'node:timers/promises';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { CircumstancesService } from './circumstances.service.js';
import { soundSequence } from '../sequences/sound-sequence.js';

/** What a sequence does to somebody's muscles, asked by another program. */
@Injectable()
export class EffortService {
  constructor(private readonly circumstances: CircumstancesService) {}

  async timeline(scope: StudioScope, question: EffortQuestion): Promise<EffortTimelineAnswer> {
    const { view, estimated } = await this.view(scope, question);
    return answerTimeline(view, estimated);
  }

  async session(scope: StudioScope, question: EffortQuestion): Promise<EffortSessionAnswer> {
    const { view, estimated } = await this.view(scope, question);
    return answerSession(view, estimated);
  }

  /** What would answer one finding: each answer is carried out once, so one finding is asked about at a time. */
  async offers(scope: StudioScope, { check, blockIds, ...question }: OffersQuestion): Promise<OffersAnswer> {
    const { view } = await this.view(scope, question);
    const findings = findingsOf(view);
    const finding = findings.find((each) => each.check.id === check && same(each.blockIds, blockIds));
    if (!finding) throw invalid([{ pointer: '/check', message: 'finds nothing in these blocks of this sequence' }]);
    const offers = await answered(offersStepwise(view, finding, findings));
    return { offers: offers.map(({ label, edits }) => ({ label, edits: [...edits] })) };
  }

  private async view(scope: StudioScope, question: EffortQuestion): Promise<{ view: SessionView; estimated: readonly string[] }> {
    const { library, subject, athlete, past, now } = await this.circumstances.of(scope, question);
    const sequence = soundSequence(question.sequence, library, '/sequence');
    const view = viewOf({
      ...sessionFor(subject, sequence),
      lookup: library.movement,
      shelf: library.shelf,
      method: methodOf(sequence, library.method),
      athlete,
      past,
      now,
    });
    return { view, estimated: subject.estimated };
  }
}

/** Runs something in steps; between two of them other requests have their turn. */
async function answered<T>(steps: Generator<undefined, T>): Promise<T> {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    await setImmediate();
  }
}

/** A question about nobody in particular, by the usual method. */
export function sessionFor({ person }: Subject, sequence: SessionQuestion['sequence']): Omit<SessionQuestion, 'lookup'> {
  const now = `${person.today}T00:00:00.000Z`;
  return { sequence, person, shelf: LIBRARY, method: USUAL_METHOD, athlete: null, past: [], now };
}

/** Fatigue over a session, as the API tells it. */
export function answerTimeline({ timeline, courses, efforts }: SessionView, estimated: readonly string[]): EffortTimelineAnswer {
  const groups = [...courses].map(([key, { points, lowest, enduranceDose, underLoadS, failures }]) => ({
    ...partsOf(key),
    course: points.map(({ atMs, left }) => ({ atMs, capacityLeft: left })),
    lowestCapacityLeft: lowest,
    enduranceDose,
    underLoadS,
    failures: [...failures],
  }));
  const events = timeline.events.map(({ kind, blockId, startMs, durationMs, side, set }) => ({
    kind,
    blockId,
    startMs,
    durationMs,
    side,
    set,
  }));
  return {
    durationMs: timeline.durationMs,
    events,
    groups,
    impossible: [...efforts.impossible],
    estimated: [...estimated],
  };
}

/** A session’s sums and findings, as the API tells them. */
export function answerSession(view: SessionView, estimated: readonly string[]): EffortSessionAnswer {
  const { account, balance, coverage, method } = view;
  const groups = blockGroups(view);
  const chances = blockChances(view.chances(), view.efforts.impossible);
  const findings = findingsOf(view);
  const measure = whatToMeasure(findings.flatMap(({ doubt }) => doubt ?? []));
  return {
    ...answerTimeline(view, estimated),
    method: { id: method.id, name: method.name },
    account: {
      hands: account.hands,
      blocks: account.blocks.map((block) => ({
        ...block,
        groups: [...(groups.get(block.blockId) ?? [])],
        chanceOfCompletion: chances.get(block.blockId) ?? 1,
      })),
    },
    whatToMeasure: measure && { ...measure, words: decidesWords(measure) },
    balance: { ...balance, pairs: balance.pairs.map(finite), sides: finite(balance.sides) },
    coverage,
    shape: potWords(potOf(view, 'effort')),
    findings: findings.map(findingView),
  };
}

/** JSON has no Infinity: with nothing on the other side there is no ratio. */
const finite = (ratio: Ratio): Ratio => (Number.isFinite(ratio.ratio) ? ratio : { ...ratio, ratio: null });

function findingView({ check: { id, title, severity, why, source }, text, blockIds, muted }: Finding): SessionFinding {
  return {
    check: id,
    title,
    severity,
    text,
    why,
    source,
    blockIds: [...blockIds],
    muted,
  };
}
