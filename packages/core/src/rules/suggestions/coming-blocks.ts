import { findLevel, type Level, type Movement } from '../../model/movement.js';
import type { Block } from '../../model/sequence.js';
import { type Hand, handsWorking } from '../../vocabulary/hands.js';
import { groupedBy } from '../../vocabulary/lists.js';
import { lowered } from '../../vocabulary/text.js';
import { setsWords } from '../../model/dose-words.js';
import type { LevelStanding } from '../progress/level-standing.js';
import type { WorkDone } from '../progress/work-done.js';
import type { SuggestionEvidence, PlanEdits } from './suggestion.js';
import type { SuggestionQuestion, ComingPlan } from './question.js';

/** A block that comes next, at the level at which its hands stand. */
export interface ComingBlock {
  readonly plan: ComingPlan;
  readonly block: Block;
  readonly movement: Movement;
  readonly level: Level;
  /** Of the hands that it works; all of them did this level last. */
  readonly standings: readonly LevelStanding[];
}

/** The blocks that come next and are what was done last, by movement. What is planned otherwise already waits for no suggestion. */
export function comingBlocks({ coming, standings, lookup }: SuggestionQuestion): Map<string, ComingBlock[]> {
  const found = coming.flatMap((plan) =>
    plan.sequence.blocks.flatMap((block): ComingBlock[] => {
      const movement = lookup(block.movementId);
      const level = movement && findLevel(movement, block.levelId);
      if (!movement || !level) return [];
      const hands = handsWorking(block.dose.sides);
      const mine = standings.filter(
        ({ movementId, levelId, hand }) => movementId === movement.id && levelId === level.id && hands.includes(hand),
      );
      return mine.length === hands.length ? [{ plan, block, movement, level, standings: mine }] : [];
    }),
  );
  return groupedBy(found, ({ movement }) => movement.id);
}

/** The most sessions listed as evidence of a suggestion. */
const SHOWN = 3;

/** The sessions that standings rest on, the newest first; each once, as the hand in which it went worst. */
export function sessionsOf(standings: readonly LevelStanding[]): SuggestionEvidence[] {
  const all = standings.flatMap(({ history }) => history);
  const worst = [...groupedBy(all, ({ sessionId }) => sessionId).values()].map((works) => ({
    ...works.reduce((one, other) => ((other.discomfort ?? 0) > (one.discomfort ?? 0) ? other : one)),
    formFaults: [...new Set(works.flatMap(({ formFaults }) => formFaults))],
  }));
  return worst
    .sort((a, b) => b.endedAt.localeCompare(a.endedAt))
    .slice(0, SHOWN)
    .map((done) => ({
      of: 'session',
      sessionId: done.sessionId,
      onDay: done.onDay,
      text: doneWords(done),
    }));
}

/** What was done and how it felt. */
function doneWords({ sets, amount, unit, effortPercent, isWhole, discomfort, exertion, formFaults }: WorkDone): string {
  const dose = `${setsWords({ sets, amount, unit })}${effortPercent === null ? '' : ` at ${effortPercent} %`}`;
  const felt = [
    ...(isWhole ? [] : ['not completed']),
    discomfort === null ? 'no rating' : `discomfort ${discomfort}`,
    ...(exertion === null ? [] : [`effort (RPE) ${exertion}`]),
    ...formFaults.map(lowered),
  ];
  return `${dose}, ${felt.join(', ')}`;
}

/** The newest session among standings. */
export const newestOf = (standings: readonly LevelStanding[]): WorkDone =>
  standings.map(({ last }) => last).reduce((one, other) => (other.endedAt > one.endedAt ? other : one));

/** The hands of standings, each once. */
export const handsIn = (standings: readonly LevelStanding[]): Hand[] => [...new Set(standings.map(({ hand }) => hand))];

/** Changes of blocks, by the plan that they stand in. */
export const inPlans = (changes: readonly { readonly plan: ComingPlan; readonly edits: PlanEdits['edits'] }[]): PlanEdits[] =>
  [...groupedBy(changes, ({ plan }) => plan).entries()].map(([{ place }, mine]) => ({
    place,
    edits: mine.flatMap(({ edits }) => edits),
  }));
