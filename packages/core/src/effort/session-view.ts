import { itemAt } from '../vocabulary/lists.js';
import { type Balance, balanceOf } from './balance.js';
import { type Chances, chancesOfGroup } from './chances.js';
import { type Coverage, coverageOf, type Visit, visitOf } from './coverage.js';
import { effortTimeline, type EffortTimeline } from './effort-timeline.js';
import type { BlockForm } from './turn-work.js';
import { fatigueCourses, type GroupCourse } from './fatigue-course.js';
import { openEnds, type OpenEnds, untilLetGo } from './open-sets.js';
import { HARD_PERCENT, type PastSession, startStates } from './past.js';
import { accountOf, type BlockAccount, hardestPercent, type SessionAccount } from './session-account.js';
import { FOUR_FIFTHS } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import type { Demand } from '../mechanics/demand.js';
import { weakerHand } from '../mechanics/weaker-hand.js';
import type { RecordedCaution } from '../model/athlete.js';
import { resolveBlock } from '../model/check-sequence.js';
import { applyEdits, type Edit } from '../model/edits.js';
import type { Method } from '../model/method.js';
import type { Level, Movement, MovementLookup } from '../model/movement.js';
import type { Block, Sequence } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import type { Timeline } from '../timeline/timeline.js';
import type { Hand } from '../vocabulary/hands.js';
import type { SideGroup } from '../vocabulary/muscles.js';
import type { Equipment } from '../vocabulary/places.js';

/** What a sequence is examined for. */
export interface SessionQuestion {
  readonly sequence: Sequence;
  readonly lookup: MovementLookup;
  /** Movements that a fix may add. */
  readonly shelf: readonly Movement[];
  readonly person: Person;
  readonly method: Method;
  /** What is on record of an athlete; null for anybody. */
  readonly athlete: {
    readonly cautions: readonly RecordedCaution[];
    readonly equipment: readonly Equipment[];
    /** Movements that nothing proposes for them. */
    readonly leftOut?: readonly string[] | undefined;
  } | null;
  /** Sessions carried out before, oldest first. */
  readonly past: readonly PastSession[];
  /** ISO 8601 instant at which the session would begin. */
  readonly now: string;
}

/** A block with everything known of it. */
export interface BlockView {
  readonly block: Block;
  readonly index: number;
  readonly movement: Movement;
  readonly level: Level;
  /** What its hardest round asks; null where this body cannot take it. */
  readonly demand: Demand | null;
  /** As dosed for this person: more than one where a round changes it. */
  readonly forms: readonly BlockForm[];
  readonly account: BlockAccount;
  /** The hardest group of the hardest hand. */
  readonly effortPercent: number;
  readonly hard: boolean;
  readonly visit: Visit;
}

/** A sequence with all that is computed of it: what screens show, checks judge and the API answers. */
export interface SessionView extends SessionQuestion {
  readonly timeline: Timeline;
  readonly efforts: EffortTimeline;
  readonly courses: ReadonlyMap<SideGroup, GroupCourse>;
  /** When each open set is likely to end before its ceiling, by stint. */
  readonly openEnds: OpenEnds;
  readonly account: SessionAccount;
  readonly balance: Balance;
  readonly coverage: Coverage;
  readonly blocks: readonly BlockView[];
  readonly weaker: Hand | null;
  /** How likely a group carries each block to its end; found when somebody asks. */
  readonly chancesIn: (key: SideGroup) => Chances;
  /** The same of every group that works. */
  readonly chances: () => ReadonlyMap<SideGroup, Chances>;
}

/** Computes a session once. @throws SequenceError when the sequence is not sound */
export function viewOf(question: SessionQuestion, timeline = compileTimeline(question.sequence, question.lookup)): SessionView {
  const { sequence, lookup, person, past, now } = question;
  const effort = effortTimeline(person, sequence, timeline, lookup);
  const starts = startStates(past, now);
  const tried = fatigueCourses(effort, starts);
  const ends = openEnds(tried);
  const efforts = untilLetGo(effort, ends);
  const courses = efforts === effort ? tried : fatigueCourses(efforts, starts);
  const likely = new Map<SideGroup, Chances>();
  const chancesIn = (key: SideGroup): Chances => {
    let ofGroup = likely.get(key);
    if (!ofGroup) likely.set(key, (ofGroup = chancesOfGroup(key, efforts.spans.get(key) ?? [], starts.get(key))));
    return ofGroup;
  };
  const account = accountOf(sequence, timeline, efforts, lookup);
  const blocks = sequence.blocks.map((block, index): BlockView => {
    const { movement, level } = resolveBlock(block, lookup);
    const demand = efforts.demands[index] ?? null;
    const mine = itemAt(account.blocks, index);
    const effortPercent = hardestPercent(mine);
    const visit = visitOf(movement, level, demand);
    return {
      block,
      index,
      movement,
      level,
      demand,
      forms: itemAt(efforts.forms, index),
      account: mine,
      effortPercent,
      hard: effortPercent >= HARD_PERCENT,
      visit,
    };
  });
  const work = blocks.map(({ movement, block: { dose }, account: { left, right } }) => ({
    movement,
    dose,
    workS: left.workS + right.workS,
  }));
  const covered = blocks.map(({ block: { id }, movement, level, demand, visit }) => ({
    id,
    movement,
    level,
    demand,
    visit,
  }));
  const leftOut = question.athlete?.leftOut ?? [];
  return {
    ...question,
    // What is left out for somebody, nothing proposes.
    shelf: leftOut.length > 0 ? question.shelf.filter(({ id }) => !leftOut.includes(id)) : question.shelf,
    timeline,
    efforts,
    courses,
    openEnds: ends,
    account,
    balance: balanceOf(account.doses, work),
    coverage: coverageOf(covered, account),
    blocks,
    weaker: weakerHand(person),
    chancesIn,
    chances: () => new Map([...efforts.spans.keys()].map((key) => [key, chancesIn(key)])),
  };
}

/** Between what a group's strength at its lowest lies for four fifths of people like this: that of the weakest and the strongest tenth, the less first. */
export function lowestBands({ efforts, past, now }: SessionView): ReadonlyMap<SideGroup, readonly [low: number, high: number]> {
  const from = startStates(past, now);
  const [weak, strong] = [fatigueCourses(efforts, from, -FOUR_FIFTHS), fatigueCourses(efforts, from, FOUR_FIFTHS)];
  return new Map(
    [...weak].map(([key, { lowest }]) => {
      const other = strong.get(key)?.lowest ?? lowest;
      return [key, [Math.min(lowest, other), Math.max(lowest, other)] as const];
    }),
  );
}

/** The blocks that could not be held to their end once edits are made. */
export function failingAfter(view: SessionView, edits: readonly Edit[]): ReadonlySet<string> {
  const sequence = applyEdits(view.sequence, edits);
  const efforts = effortTimeline(view.person, sequence, compileTimeline(sequence, view.lookup), view.lookup);
  const courses = fatigueCourses(efforts, startStates(view.past, view.now));
  return new Set([...courses.values()].flatMap(({ failures }) => failures.map(({ blockId }) => blockId)));
}
