import { expect, test } from '@jest/globals';
import { viewOf } from '../../effort/session-view.js';
import { METHODS } from '../../library/index.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { ask, type Line, person, write } from '../checks/sessions.fixture.js';
import { athleteSuggestions } from '../../programme/athlete-suggestions.js';
import { asking, nextIn, type Went } from '../../programme/suggestions.fixture.js';

const LINES: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist', '1x10'],
  ['strength', 'strength.palm-lift-hold', 'all-fours', '2x15s rest40'],
  ['skill', 'bearing.palm-support', 'all-fours', '2x15s rest40'],
  ['skill', 'bearing.incline-support', 'table', '2x15s rest40'],
];
const plan = write(LINES, { budgetMin: 20 });
const method = METHODS['floor-loading'];

/** What is proposed after three clean sessions of everything. */
function proposed(budgetMin = 20) {
  const sequence = { ...plan, budgetMin };
  const clean: Went[] = [9, 5, 1].map((daysAgo) => ({ daysAgo, plan: sequence, discomfort: 0, exertion: 5 }));
  const { suggestions } = athleteSuggestions(asking(clean, { programmes: [nextIn(1, sequence)], methodOf: () => method }));
  const progress = suggestions.filter(({ kind }) => kind === 'progress');
  const edits = progress.flatMap(({ options: [{ effect }] }): readonly Edit[] =>
    effect.kind === 'blocks' ? effect.plans.flatMap((each) => each.edits) : [],
  );
  const view = viewOf(ask(sequence, { person, method }));
  return { suggestions, progress, view, after: viewOf({ ...view, sequence: applyEdits(sequence, edits) }) };
}

test('steps of one day stay in the band of the method together: muscles that two of them work grow by no more than a week may', () => {
  const { suggestions, progress, view, after } = proposed();
  expect(progress.length).toBeGreaterThan(0);
  const waiting = suggestions.filter(({ cause }) => cause === 'enough for one day');
  expect(waiting.length).toBeGreaterThan(0);
  for (const { kind, options } of waiting) expect([kind, options.map(({ effect }) => effect.kind)]).toEqual(['hold', ['as it is']]);
  // A single step of one movement may be more: it is the smallest there is.
  const most = 1 + method.weeklyGrowthPercent / 100;
  const over = [...after.account.doses].filter(([group, dose]) => dose > (view.account.doses.get(group) ?? 0) * most + 0.05);
  const alone = progress.map(({ options: [{ effect }] }) => {
    const own = effect.kind === 'blocks' ? effect.plans.flatMap((each) => each.edits) : [];
    return viewOf({ ...view, sequence: applyEdits(plan, own) }).account.doses;
  });
  const raisedBy = (group: string) =>
    alone.filter((doses) => (doses.get(group as never) ?? 0) > (view.account.doses.get(group as never) ?? 0));
  for (const [group] of over) expect([group, raisedBy(group).length]).toEqual([group, 1]);
});

test('what no longer fits the minutes waits', () => {
  const tight = Math.ceil(viewOf(ask(plan, { person, method })).timeline.durationMs / 60_000);
  const { after } = proposed(tight);
  expect(after.timeline.durationMs).toBeLessThanOrEqual(
    Math.max(tight * 60_000, viewOf(ask(plan, { person, method })).timeline.durationMs * 1.1),
  );
});
