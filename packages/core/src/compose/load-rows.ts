import { WORTH_COMPARING } from '../effort/balance.js';
import { HARD_FROM } from '../effort/past.js';
import { hoursSinceHard } from '../rules/checks/hard-spacing.js';
import { STRETCH_BEFORE_MAX_S } from '../rules/checks/stretch-before-strength.js';
import { weekRooms } from '../rules/checks/weekly-growth.js';
import type { Method } from '../model/method.js';
import { PAIR_NAMES } from '../vocabulary/actions.js';
import { working } from '../vocabulary/constant.js';
import { otherHand } from '../vocabulary/hands.js';
import { MUSCLE_GROUPS, type MuscleGroup, pairOf } from '../vocabulary/muscles.js';
import type { Candidate } from './candidate.js';
import type { ProgrammeWriter } from './programme-writer.js';
import type { Amounts } from './structure.js';

/** Endurance dose of one group and hand in a session: 1 is a hold to failure’s worth. */
const SESSION_DOSE: Record<Method['effort'], number> = {
  gentle: working('Session dose, gentle', 0.8, 'holds to failure', 'less than one hold to failure’s worth', [0.4, 1]).value,
  medium: working('Session dose, medium', 1.5, 'holds to failure', 'tired, and fresh again next day', [1, 2]).value,
  maximal: working('Session dose, maximal', 2.5, 'holds to failure', 'a hard session of one group', [1.5, 4]).value,
};
/** What is computed of a block by itself and what it is among others differ by little; rows keep so far off their bounds. */
const MARGIN = 0.03;
/** More than any session’s doses of a pair. */
const MUCH = 12;
/** Close enough to the ratio that a check asks for (0.95 of it). */
const MORE_FOR_THE_WEAKER = 0.96;

/** How much of one muscle: in this session, this week, after hard days, beside its opposite, on the weaker hand. */
export function loadRows(programme: ProgrammeWriter): void {
  const { composing } = programme;
  const { method, weaker } = composing;
  const doses = (groups: readonly MuscleGroup[]) =>
    programme.sum((each) => groups.reduce((sum, group) => sum + (each.doses[group] ?? 0), 0));
  for (const group of MUSCLE_GROUPS) {
    // Doses are of both hands.
    programme.limit('session-dose', doses([group]), { max: 2 * SESSION_DOSE[method.effort] }, group);
    programme.limit(
      'stretch-before-strength',
      programme.sum((each) => (each.phase === 'settle' ? 0 : (each.stretchS[group] ?? 0))),
      { max: STRETCH_BEFORE_MAX_S },
      group,
    );
  }
  for (const { group, week, most } of weekRooms(composing)) {
    // A week that is over already is over whatever is added.
    if (most > week) programme.limit('weekly-growth', doses([group]), { max: (most - week) * (1 - MARGIN) }, group);
  }
  for (const group of MUSCLE_GROUPS) {
    const isLight = composing.isLight === true;
    if (!isLight && hoursSinceHard(composing, group) >= method.hardSpacingH) continue;
    programme.limit(
      isLight ? 'light-day' : 'hard-spacing',
      programme.sum((each) => each.hardS[group] ?? 0),
      { max: HARD_FROM.value * (1 - MARGIN) },
      group,
    );
  }
  for (const name of PAIR_NAMES) balanceRows(programme, name);
  if (weaker && method.sides === 'weaker first' && method.weakerSideRatio > 1) {
    const ratio = MORE_FOR_THE_WEAKER * method.weakerSideRatio;
    const missing = (each: Candidate) =>
      each.level.loading === 'resisted' && each.phase !== 'prepare' ? each.workS[weaker] - ratio * each.workS[otherHand(weaker)] : 0;
    programme.limit('weaker-side-more', programme.sum(missing), { min: 0 }, weaker);
    for (const { candidate, y } of programme.where(({ extra }) => extra === true)) {
      const both = programme.where(({ extra, movement }) => !extra && movement.id === candidate.movement.id);
      programme.answered('weaker-side-more', `extra work for the ${weaker} hand`, [{ candidate, y }], both);
    }
  }
}

/** Opposites stay within the band of the method, or there is too little of both to compare. */
function balanceRows(programme: ProgrammeWriter, name: (typeof PAIR_NAMES)[number]): void {
  const {
    writer,
    composing: { method },
  } = programme;
  const dosesOf = (group: MuscleGroup): Amounts => programme.sum((each) => each.doses[group] ?? 0).filter(([, dose]) => dose > 0);
  const [one, other] = pairOf(name);
  const [first, second] = [dosesOf(one), dosesOf(other)];
  const band = method.balanceBand * (1 - MARGIN);
  const worthComparing = WORTH_COMPARING * (1 - MARGIN);
  // Opening without gripping is no fault.
  const bothWays = name !== 'grip : opening';
  programme.recorded.pairs.push({ about: name, first, second, band, bothWays, worthComparing });
  const compared = writer.unknown({ whole: true });
  writer.row('balance', [...first, ...second, [compared, -MUCH]], { max: worthComparing }, name);
  const keepBetween = (more: Amounts, less: Amounts) =>
    writer.row('balance', [...more, ...less.map(([at, dose]) => [at, -band * dose] as const), [compared, MUCH]], { max: MUCH }, name);
  keepBetween(first, second);
  if (bothWays) keepBetween(second, first);
}
