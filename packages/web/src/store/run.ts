import {
  advance,
  AT_START,
  back,
  compileTimeline,
  extend,
  isOver,
  itemAt,
  type Move,
  neighbourLevel,
  type Playhead,
  rejoin,
  type Sequence,
  skip,
  skipBlock,
  standingSets,
  stopCaution,
  type StopSign,
  type Timeline,
  type WorkingSide,
} from '@clay-pot/core';
import type { BlockReportInput, Ending } from '@clay-pot/contracts';
import { isoToday } from '../ui/today.js';
import { knownMovement } from './library.js';
import { keepStop } from './own-stops.js';
import { v7 as uuid } from 'uuid';
import { useOutbox } from './outbox.js';
import { type RecordedSet, type Run, useRun } from './run-state.js';

export { type RecordedSet, type Run, useRun };

const compiled = new WeakMap<Sequence, Timeline>();

/** The timeline of what is led, compiled once per version of it. */
export function timelineOf(sequence: Sequence): Timeline {
  const known = compiled.get(sequence);
  if (known) return known;
  const timeline = compileTimeline(sequence, knownMovement);
  compiled.set(sequence, timeline);
  return timeline;
}

const send = (path: string, body: unknown) => useOutbox.getState().add({ path, body });
const now = () => new Date().toISOString();

/** Starts leading; the server hears of it as soon as it can. */
export function beginRun(who: Pick<Run, 'athleteId' | 'athleteName' | 'cautions' | 'sequenceId' | 'sequence'>): void {
  const startedAt = now();
  const id = uuid();
  const fresh = { head: AT_START, paused: false, sets: [], reports: {}, toRate: [], ended: null };
  useRun.setState({ run: { ...who, id, startedAt, ...fresh } });
  const { athleteId, sequenceId, sequence: plan } = who;
  send(`/sessions/${id}`, { athleteId, sequenceId, plan, startedAt });
}

function change(make: (run: Run) => Partial<Run>): void {
  useRun.setState(({ run }) => (run ? { run: { ...run, ...make(run) } } : {}));
}

/** Moves the playhead; what ended on the way is recorded and sent, and finished blocks ask to be rated. */
function moveBy(make: (timeline: Timeline, head: Playhead) => Move): void {
  change((run) => {
    const timeline = timelineOf(run.sequence);
    const { head, ended } = make(timeline, run.head);
    const sets = ended.flatMap(({ stint, done }) =>
      done.map(({ side, amount }): RecordedSet => {
        const { blockId, set, direction, unit, plannedAmount } = stint;
        const { movementId, levelId } = itemAt(run.sequence.blocks, stint.blockIndex);
        const where = { blockId, movementId, levelId, set, side, direction, unit };
        return { id: uuid(), ...where, plannedAmount, doneAmount: amount, endedAt: now(), corrects: null };
      }),
    );
    for (const { id, ...set } of sets) send(`/sessions/${run.id}/sets/${id}`, set);
    const all = [...run.sets, ...sets];
    const over = isOver(timeline, head);
    return {
      head,
      sets: all,
      toRate: blocksToRate(run, timeline, head, all),
      ...(over && !run.ended && { ended: { ending: 'completed' as const, at: now() } }),
    };
  });
}

/** Blocks that lie behind the playhead, were worked on, and have not been rated. */
function blocksToRate(run: Run, timeline: Timeline, head: Playhead, sets: readonly RecordedSet[]): string[] {
  const reached = timeline.events[head.event]?.blockIndex ?? run.sequence.blocks.length;
  return run.sequence.blocks
    .slice(0, reached)
    .map((block) => block.id)
    .filter((id) => !run.reports[id] && sets.some((set) => set.blockId === id));
}

/** Lets time pass. */
export const tick = (deltaMs: number) => moveBy((timeline, head) => advance(timeline, head, deltaMs));
/** On to the next piece of work; what was begun is recorded as far as it went. */
export const skipStint = () => moveBy(skip);
/** On to the next block. */
export const skipWholeBlock = () => moveBy(skipBlock);
/** Back to the beginning of this piece, or of the one before. */
export const goBack = () => change((run) => ({ head: back(timelineOf(run.sequence), run.head) }));
/** Makes the current piece longer. */
export const addTime = (seconds: number) =>
  change((run) => ({ head: extend(timelineOf(run.sequence), run.head, seconds * 1000) }));
/** Stands the clock, or lets it go on. */
export const setPaused = (paused: boolean) => change(() => ({ paused }));

/** Takes the current block a level easier from here on; the dose stays. */
export function easeLevel(): void {
  change((run) => {
    const timeline = timelineOf(run.sequence);
    const index = timeline.events[run.head.event]?.blockIndex;
    const block = index === undefined ? undefined : run.sequence.blocks[index];
    const movement = block && knownMovement(block.movementId);
    const easier = movement && neighbourLevel(movement, block.levelId, -1);
    if (!block || !easier) return {};
    const blocks = run.sequence.blocks.map((other) => (other === block ? { ...block, levelId: easier.id } : other));
    const sequence = { ...run.sequence, blocks };
    return { sequence, head: rejoin(timeline, timelineOf(sequence), run.head) };
  });
}

/** How a block felt. */
export function rate(blockId: string, answer: Pick<BlockReportInput, 'discomfort' | 'exertion' | 'note'>): void {
  change((run) => {
    const report = { blockId, ...answer, at: now() };
    send(`/sessions/${run.id}/reports/${uuid()}`, report);
    return { reports: { ...run.reports, [blockId]: report }, toRate: run.toRate.filter((id) => id !== blockId) };
  });
}

/** Puts a count right: the row stays, another one says what holds. */
export function correct(setId: string, doneAmount: number): void {
  change((run) => {
    const wrong = run.sets.find((set) => set.id === setId);
    if (!wrong || wrong.doneAmount === doneAmount) return {};
    const { id: corrects, ...rest } = wrong;
    const fixed = { ...rest, doneAmount, endedAt: now(), corrects };
    const id = uuid();
    send(`/sessions/${run.id}/sets/${id}`, fixed);
    return { sets: [...run.sets, { id, ...fixed }] };
  });
}

/** Sets of a block as they stand. */
export const setsOfBlock = (run: Run, blockId: string) =>
  standingSets(run.sets).filter((set) => set.blockId === blockId);

/** Ends before the plan does; what was begun is recorded with what was done of it. */
export function endRun(ending: Exclude<Ending, 'completed'>, stop?: { sign: StopSign; hand: WorkingSide }): void {
  moveBy((timeline, head) => {
    const { ended } = skip(timeline, head);
    return { head, ended: ended.filter(({ done }) => done.some(({ amount }) => amount > 0)) };
  });
  change((run) => {
    const timeline = timelineOf(run.sequence);
    const behind = { ...run.head, event: timeline.events.length };
    const toRate = blocksToRate(run, timeline, behind, run.sets);
    const why = stop && { stopSign: stop.sign, stopHand: stop.hand };
    return { paused: true, toRate, ended: { ending, ...why, at: now() } };
  });
  const { run } = useRun.getState();
  if (run && stop) keepStop(run.athleteId, stopCaution(run.id, { ...stop, onDay: isoToday() }));
}

/** Back to the clock after all. A session that was stopped for a sign stays stopped. */
export function resumeRun(): void {
  change((run) => (run.ended?.ending === 'ended early' ? { ended: null, paused: true } : {}));
}

/** Hands the record over and clears the player. @returns the session's id. */
export function finishRun(note: string): string | null {
  const { run } = useRun.getState();
  if (!run?.ended) return null;
  const { ending, stopSign, stopHand, at: endedAt } = run.ended;
  const why = { ...(stopSign && { stopSign }), ...(stopHand && { stopHand }) };
  send(`/sessions/${run.id}/end`, { ending, ...why, note, endedAt });
  useRun.setState({ run: null });
  return run.id;
}
