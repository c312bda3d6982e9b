import type { Programme } from '../model/programme.js';
import { editProgramme } from './edits.js';
import { evaluateProgramme } from './evaluate.js';
import type { ProgrammeQuestion } from './seen.js';
import { growth } from './rules/growth.js';

/** A week is made less by so many steps at most before the next is looked at. */
const MOST_STEPS = 12;
/** Small doses cannot grow by a fifth, only by a repetition: a building week goes on from the one before by so many points at least. */
const LEAST_STEP_PERCENT = 10;

/**
 * A new programme whose weeks start at the person’s present load: each grows as much as the method allows, until the plan is reached.
 * What cannot be made little enough stays, and the rule tells of it.
 */
export function ramped(question: ProgrammeQuestion): Programme {
  let { programme } = question;
  let reached = 0;
  for (let index = 0; index < programme.weeks.length; index++) {
    const planned = programme.weeks[index];
    if (planned?.kind !== 'build') continue;
    for (let step = 0; step < MOST_STEPS; step++) {
      const view = evaluateProgramme({ ...question, programme });
      const monday = view.weeks[index]?.monday;
      const fix = growth.find(view).find(({ day }) => day === monday)?.fix;
      if (!fix) break;
      programme = editProgramme(programme, fix.edits);
    }
    const amountPercent = Math.min(
      planned.amountPercent,
      Math.max(reached + LEAST_STEP_PERCENT, programme.weeks[index]?.amountPercent ?? 0),
    );
    programme = editProgramme(programme, [{ kind: 'week', index, week: { kind: 'build', amountPercent } }]);
    reached = amountPercent;
  }
  return programme;
}
