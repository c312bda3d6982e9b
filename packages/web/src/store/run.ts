import {
  advance,
  applyEdits,
  AT_START,
  back,
  cautionsOfComplaint,
  type ComplaintContext,
  type Edit,
  extend,
  finish,
  type Hand,
  isOver,
  itemAt,
  type LookAnswer,
  momentMs,
  pastBonus,
  type Move,
  type Playhead,
  type RecordedCaution,
  rejoin,
  type Sequence,
  skip,
  skipBlock,
  standingSets,
  timelineOf,
  timesOf,
  stopCaution,
  type StopSign,
  type Timeline,
  withFelt,
  type WorkingSide,
} from '@clay-pot/core';
import type { BlockReportInput, ComplaintInput, Ending } from '@clay-pot/contracts';
import { useToast } from '../ui/toast.js';
import { isoToday } from '../ui/today.js';
import { movementById } from './library.js';
import { bandPercentOf } from './bands.js';
import { keepStop } from './own-stops.js';
import { v7 as uuid } from 'uuid';
import { takeElapsedMs } from './elapsed.js';
import { leadsHere, takeLead } from './lead.js';
import { useOutbox } from './outbox.js';
import { movePlayhead, usePlayhead } from './playhead.js';
import { type RecordedSet, type Run, useRun } from './run-state.js';

export { type RecordedSet, type Run, useRun };

/** The timeline of what is led. */
export const ledTimeline = (sequence: Sequence): Timeline => timelineOf(sequence, movementById);

const send = (path: string, body: unknown) => useOutbox.getState().add({ path, body });
const now = () => new Date().toISOString();

type Led = Pick<Run, 'athleteId' | 'athleteName' | 'cautions' | 'equipment' | 'leftOut' | 'sequenceId' | 'sequence'>;

/** Starts leading; the server hears of it as soon as it can. */
export function beginRun(who: Led): void {
  const startedAt = now();
  const id = uuid();
  takeLead(() => undefined);
  const fresh = { head: AT_START, paused: false, sets: [], reports: {}, hurt: {}, looks: [], form: [], toRate: [], ended: null };
  useRun.setState({ run: { ...who, id, startedAt, ...fresh } });
  const { athleteId, sequenceId, sequence: plan } = who;
  send(`/sessions/${id}`, { athleteId, sequenceId, plan, startedAt });
}

/** Leads in this tab, from what the tab that led until now has recorded. */
export const leadHere = (): void => takeLead(() => void useRun.persist.rehydrate());

function update(make: (run: Run) => Partial<Run>): void {
  useRun.setState(({ run }) => (run ? { run: { ...run, ...make(run) } } : {}));
}

/** Whoever does something leads from here on, and does it now, not when the clock was last looked at. */
function change(make: (run: Run) => Partial<Run>): void {
  leadHere();
  tick(takeElapsedMs());
  update(make);
}

/** The session at the moment where its clock is. */
const head = (): Playhead => usePlayhead.getState().head;

/** Moves the playhead; what ended on the way is recorded and sent, and finished blocks ask to be rated. */
function moveBy(make: (timeline: Timeline, head: Playhead) => Move, by: typeof change = change): void {
  by((run) => {
    const timeline = ledTimeline(run.sequence);
    const { head: moved, ended } = make(timeline, head());
    const to = pastBonus(run.sequence, timeline, moved, Date.now() - Date.parse(run.startedAt));
    if (to !== moved) useToast.getState().show({ text: 'Bonus left out: the time is up.' });
    const sets = ended.flatMap(({ stint, done }) =>
      done.map(({ side, amount }): RecordedSet => {
        const { blockId, levelId, round, set, direction, unit, plannedAmount } = stint;
        const { movementId } = itemAt(run.sequence.blocks, stint.blockIndex);
        const inRounds = timesOf(run.sequence, blockId) > 1 && { round };
        const where = { blockId, movementId, levelId, ...inRounds, set, side, direction, unit };
        return { id: uuid(), ...where, plannedAmount, doneAmount: amount, endedAt: now(), corrects: null };
      }),
    );
    for (const { id, ...set } of sets) send(`/sessions/${run.id}/sets/${id}`, set);
    const all = [...run.sets, ...sets];
    const over = isOver(timeline, to);
    return {
      head: to,
      sets: all,
      toRate: blocksToRate(run, timeline, to, all),
      ...(over && !run.ended && { ended: { ending: 'completed' as const, at: now() } }),
    };
  });
}

/** Blocks whose last turn lies behind the playhead, that were worked on, and have not been rated. */
function blocksToRate(run: Run, timeline: Timeline, head: Playhead, sets: readonly RecordedSet[]): string[] {
  const ahead = new Set(timeline.events.slice(head.event).map(({ blockId }) => blockId));
  return run.sequence.blocks
    .map((block) => block.id)
    .filter((id) => !ahead.has(id) && !run.reports[id] && sets.some((set) => set.blockId === id));
}

/** Lets time pass. Within an event only the clock moves; the session itself changes with the next event. */
export function tick(deltaMs: number): void {
  const { run } = useRun.getState();
  if (!run || !leadsHere()) return;
  const move = advance(ledTimeline(run.sequence), head(), deltaMs);
  if (move.head.event === run.head.event) movePlayhead(run.id, move.head);
  else moveBy(() => move, update);
}
/** On to the next piece of work; what was begun is recorded as far as it went. */
export const skipStint = () => moveBy(skip);
/** It is over: a distance was walked, an open set ended, hands were compared. */
export const finishNow = () => moveBy(finish);
/** On to the next block. */
export const skipWholeBlock = () => moveBy(skipBlock);
/** Back to the beginning of this piece, or of the one before. */
export const goBack = () => change((run) => ({ head: back(ledTimeline(run.sequence), head()) }));
/** Makes the current piece longer. */
export const addTime = (seconds: number) => change((run) => ({ head: extend(ledTimeline(run.sequence), head(), seconds * 1000) }));
/** Pauses the clock, or lets it go on. */
export const setPaused = (paused: boolean) => change(() => ({ paused, head: head() }));

/**
 * Changes what is still to come. What lies behind stays as it was led; a block that goes out in the middle of its work is left as far as it
 * went, and one that was not begun is not there any more.
 */
export function changeAhead(edits: readonly Edit[]): void {
  const run = useRun.getState().run;
  const current = run && currentBlock(run);
  if (!run || !current) return;
  const timeline = ledTimeline(run.sequence);
  const ahead = new Set(timeline.events.slice(run.head.event).map(({ blockId }) => blockId));
  const out = new Set(edits.flatMap((edit) => (edit.kind === 'remove' ? edit.blockId : [])));
  if ([...ahead].every((id) => out.has(id))) {
    endRun('ended early');
    return;
  }
  if (out.has(current)) skipWholeBlock();
  change((now) => {
    const done = new Set(now.sets.map(({ blockId }) => blockId));
    const stillOpen = edits.filter((edit) => {
      if (edit.kind === 'remove') return ahead.has(edit.blockId) && !done.has(edit.blockId);
      return edit.kind === 'change' && ahead.has(edit.blockId);
    });
    const sequence = applyEdits(now.sequence, stillOpen);
    return { sequence, head: rejoin(ledTimeline(now.sequence), ledTimeline(sequence), head()) };
  });
}

/** The block that is being done or comes next. */
export const currentBlock = (run: Run): string | undefined => ledTimeline(run.sequence).events[run.head.event]?.blockId;

/** How long the question about a finished block is shown, milliseconds of the session’s clock; unanswered it comes again at the end. */
const ASKED_MS = 30_000;

/** The block to rate now: the last one that just ended without a rating. */
export function ratingDueNow(run: Run, { head }: { head: Playhead }): string | undefined {
  const timeline = ledTimeline(run.sequence);
  const nowMs = momentMs(timeline, head);
  const recent = timeline.blocks.filter(({ endMs }) => endMs <= nowMs && nowMs - endMs < ASKED_MS);
  return recent.findLast(({ blockId }) => run.toRate.includes(blockId))?.blockId;
}

/** What was seen of a hand at the stop to look again. */
export function look(hand: Hand, answer: LookAnswer): void {
  change((run) => {
    const event = ledTimeline(run.sequence).events[run.head.event];
    if (!event?.look) return {};
    const { blockId, round, look: stop } = event;
    const seen = { blockId, ...(timesOf(run.sequence, blockId) > 1 && { round }), stop, hand, answer, at: now() };
    send(`/sessions/${run.id}/looks/${uuid()}`, seen);
    return { looks: [...run.looks, seen] };
  });
}

/** A fault of form was seen of a hand in a block, or was none after all. */
export function tickForm(blockId: string, hand: Hand, fault: string, seen: boolean): void {
  change((run) => {
    const ticked = { blockId, hand, fault, seen, at: now() };
    send(`/sessions/${run.id}/form/${uuid()}`, ticked);
    return { form: [...run.form, ticked] };
  });
}

/** What a gauge measured in a block goes along with how it felt. */
function bandTold(sessionId: string, blockId: string): { bandPercent?: number } {
  const bandPercent = bandPercentOf(sessionId, blockId);
  return bandPercent === null ? {} : { bandPercent };
}

/** How a block felt. */
export function rate(blockId: string, answer: Pick<BlockReportInput, 'discomfort' | 'exertion' | 'note'>): void {
  change((run) => {
    const report = { blockId, ...answer, ...bandTold(run.id, blockId), at: now() };
    send(`/sessions/${run.id}/reports/${uuid()}`, report);
    return { reports: { ...run.reports, [blockId]: report }, toRate: run.toRate.filter((id) => id !== blockId) };
  });
}

/** Nothing hurt in these blocks; how hard they were stays untold. Where something did, that is what is recorded. */
export function allFine(blockIds: readonly string[]): void {
  const hurt = useRun.getState().run?.hurt ?? {};
  for (const id of blockIds) rate(id, { discomfort: hurt[id] ?? 0, exertion: null, note: '' });
}

/**
 * What hurts in the middle of a block and does not end the session: recorded, and from here on it limits what is led, as it will what is planned.
 * @param who of whom it is, for what follows from age
 * @returns what it leaves behind
 */
export function complain(
  what: Omit<ComplaintInput, 'blockId' | 'at'>,
  { ageYears, sex }: Pick<ComplaintContext, 'ageYears' | 'sex'>,
): readonly RecordedCaution[] {
  const { run } = useRun.getState();
  const blockId = run && currentBlock(run);
  if (!run || !blockId) return [];
  send(`/sessions/${run.id}/complaints/${uuid()}`, { blockId, ...what, at: now() });
  const felt = cautionsOfComplaint(what, { sessionId: run.id, onDay: isoToday(), ageYears, sex });
  if (felt.length > 0) {
    change(({ hurt, cautions }) => ({
      hurt: { ...hurt, [blockId]: Math.max(hurt[blockId] ?? 0, what.discomfort) },
      cautions: withFelt(cautions, felt),
    }));
  }
  return felt;
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
export const setsOfBlock = (run: Run, blockId: string) => standingSets(run.sets).filter((set) => set.blockId === blockId);

/** Ends before the plan does; what was begun is recorded with what was done of it. */
export function endRun(ending: Exclude<Ending, 'completed'>, stop?: { sign: StopSign; hand: WorkingSide }): void {
  moveBy((timeline, head) => {
    const { ended } = skip(timeline, head);
    return { head, ended: ended.filter(({ done }) => done.some(({ amount }) => amount > 0)) };
  });
  change((run) => {
    const timeline = ledTimeline(run.sequence);
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

/** Hands the record over and clears the player. @param exertion how hard it was all in all, 0–10; null when nobody said. @returns the session's id. */
export function finishRun(note: string, exertion: number | null = null): string | null {
  const { run } = useRun.getState();
  if (!run?.ended) return null;
  const { ending, stopSign, stopHand, at: endedAt } = run.ended;
  const why = { ...(stopSign && { stopSign }), ...(stopHand && { stopHand }) };
  const details = { ...(exertion !== null && { exertion }), note };
  send(`/sessions/${run.id}/end`, { ending, ...why, ...details, endedAt });
  useRun.setState({ run: null });
  return run.id;
}
