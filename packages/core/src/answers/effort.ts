import type { Balance, Ratio } from '../effort/balance.js';
import { type BlockGroup, blockGroups } from '../effort/block-groups.js';
import { blockChances } from '../effort/chances.js';
import type { Coverage } from '../effort/coverage.js';
import { decidesWords, whatToMeasure } from '../effort/doubt.js';
import { type CarriedOut, type PastSession, pastSessions } from '../effort/past.js';
import type { BlockAccount, HandAccount } from '../effort/session-account.js';
import { type SessionQuestion, type SessionView, viewOf } from '../effort/session-view.js';
import type { Person } from '../mechanics/capacity.js';
import type { Edit } from '../model/edits.js';
import type { Method } from '../model/method.js';
import type { Sequence } from '../model/sequence.js';
import { potOf, potWords } from '../picture/pot.js';
import type { Severity } from '../rules/checks/finding.js';
import { type Finding, findingsOf } from '../rules/checks/index.js';
import { offersFor } from '../rules/fixes/offered.js';
import type { EventKind } from '../timeline/timeline.js';
import type { Action } from '../vocabulary/actions.js';
import type { Hand, WorkingSide } from '../vocabulary/hands.js';
import { type MuscleGroup, partsOf } from '../vocabulary/muscles.js';
import { same } from '../vocabulary/same.js';
import type { Sentence } from '../vocabulary/sentence.js';
import { type OwnShelf, shelfOf } from './own-shelf.js';

/** One muscle group on one side over the session. */
export interface GroupFatigue {
  hand: Hand;
  group: MuscleGroup;
  /** Share of the rested maximum left, 1 is rested; at the start and after each change of effort. */
  course: { atMs: number; capacityLeft: number }[];
  lowestCapacityLeft: number;
  /** Σ time / endurance time: 1 is one hold to failure's worth. */
  enduranceDose: number;
  underLoadS: number;
  /** The first work of each block that cannot be held to its end. */
  failures: { blockId: string; atMs: number; heldS: number; neededS: number; asks: number; restS: number | null }[];
}

/** How each muscle group fares over the session. */
export interface EffortTimelineAnswer {
  durationMs: number;
  events: { kind: EventKind; blockId: string; startMs: number; durationMs: number; side: WorkingSide; set: number }[];
  groups: GroupFatigue[];
  /** Blocks that this body cannot take, with the reason. */
  impossible: { blockId: string; message: string }[];
  estimated: string[];
}

/** What one block comes to, hand by hand and group by group. */
export interface BlockAnswer extends BlockAccount {
  /** Every muscle group that works in it, the hardest first. */
  groups: BlockGroup[];
  /** How likely it is carried to its end, 0–1: the least of its groups. */
  chanceOfCompletion: number;
}

/** What a check says, with the edits that would answer it. */
export interface SessionFinding {
  check: string;
  title: string;
  severity: Severity;
  text: Sentence;
  why: string;
  source: string;
  blockIds: string[];
  /** The reason for which the sequence leaves it unheeded. */
  muted: string | null;
}

/** What would answer a finding without raising another as grave, the gentlest first. */
export interface OffersAnswer {
  offers: { label: Sentence; edits: Edit[] }[];
}

/** What a session comes to: loads, doses, balance, and what the checks find. */
export interface EffortSessionAnswer extends EffortTimelineAnswer {
  /** The method that it was judged by. */
  method: { id: string; name: string };
  account: { hands: Record<Hand, HandAccount>; blocks: BlockAnswer[] };
  /** The one measurement that would settle most of what is in doubt. */
  whatToMeasure: { hand: Hand; action: Action; decides: number; of: number; words: string } | null;
  /** Doses of opposites; a ratio is null when there is too little to compare, or nothing on the other side. */
  balance: Balance;
  coverage: Coverage;
  /** What the pot's shape says. */
  shape: string[];
  findings: SessionFinding[];
}

/** Everything that a sequence is looked at with, as plain data: for a thread of its own. */
export interface EffortWork extends OwnShelf {
  readonly sequence: Sequence;
  readonly person: Person;
  readonly method: Method;
  readonly athlete: SessionQuestion['athlete'];
  readonly past: readonly PastSession[];
  readonly now: string;
  /** What of the person is taken from a norm, in words. */
  readonly estimated: readonly string[];
}

const viewIn = ({ own, removedIds, estimated: _estimated, ...question }: EffortWork): SessionView =>
  viewOf({ ...question, ...shelfOf({ own, removedIds }) });

/** Compiles a sequence with its fatigue, away from the event loop. */
export const answerTimeline = (work: EffortWork): EffortTimelineAnswer => timelineAnswer(viewIn(work), work.estimated);

/** Judges a sequence, away from the event loop. */
export const answerSession = (work: EffortWork): EffortSessionAnswer => sessionAnswer(viewIn(work), work.estimated);

/** What would answer one finding, away from the event loop; null where the sequence has no such finding. */
export function answerOffers({
  check,
  blockIds,
  ...work
}: EffortWork & { check: string; blockIds: readonly string[] }): OffersAnswer | null {
  const view = viewIn(work);
  const findings = findingsOf(view);
  const finding = findings.find((each) => each.check.id === check && same(each.blockIds, blockIds));
  if (!finding) return null;
  return { offers: offersFor(view, finding, findings).map(({ label, edits }) => ({ label, edits: [...edits] })) };
}

/** Sums up sessions, away from the event loop. */
export const answerPast = ({
  person,
  carried,
  ...own
}: OwnShelf & { readonly person: Person; readonly carried: readonly CarriedOut[] }): PastSession[] =>
  pastSessions(person, carried, shelfOf(own).lookup);

/** Fatigue over a session, as the API tells it. */
export function timelineAnswer({ timeline, courses, efforts }: SessionView, estimated: readonly string[]): EffortTimelineAnswer {
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
export function sessionAnswer(view: SessionView, estimated: readonly string[]): EffortSessionAnswer {
  const { account, balance, coverage, method } = view;
  const groups = blockGroups(view);
  const chances = blockChances(view.chances(), view.efforts.impossible);
  const findings = findingsOf(view);
  const measure = whatToMeasure(findings.flatMap(({ doubt }) => doubt ?? []));
  return {
    ...timelineAnswer(view, estimated),
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
