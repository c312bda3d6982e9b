import { describe, expect, test } from '@jest/globals';
import { METHODS, shippedMovement } from '../library/index.js';
import { printDose } from '../model/dose-shorthand.js';
import { checkProgramme } from '../model/programme.js';
import type { SuggestionEffect } from '../rules/suggestions/index.js';
import { addDays } from '../vocabulary/days.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { athleteSuggestions } from './athlete-suggestions.js';
import { asking, nextIn, planOf, SUPPORT, TODAY, type Went } from './suggestions.fixture.js';
import { carriedOutIn } from './suggestion-edits.js';
import { editProgramme } from './edits.js';
import { sequencesOn } from './session-plan.js';

const CLEAN: readonly Went[] = [{ daysAgo: 7 }, { daysAgo: 2 }];
const standing = nextIn(1);
const { suggestions, coming } = athleteSuggestions(asking(CLEAN, { programmes: [standing] }));
const progress = must(
  suggestions.find(({ kind, movementId }) => kind === 'progress' && movementId === SUPPORT),
  'progress',
);
const carried = (effect: SuggestionEffect) => carriedOutIn('p1', standing.programme, { id: 'a1', reason: 'Why', effect }, coming);

/** The dose of the support in each session of a programme, in their order. */
const dosesOf = (programme = standing.programme, plan = planOf()) =>
  programme.sessions.map((session) => {
    const { blocks } = sequencesOn(programme, shippedMovement, { cautions: [], method: METHODS['floor-loading'] })(session, plan);
    return printDose(itemAt(blocks, 2).dose).split(' ')[0];
  });

describe('what an accepted suggestion does to a programme', () => {
  test('its plan is another from the next session on, and what was before stays', () => {
    const { edits, back } = carried(progress.options[0].effect);
    const after = editProgramme(standing.programme, edits);
    expect(checkProgramme(after)).toEqual([]);
    expect(dosesOf(after)).toEqual(['2x15s', '2x15s', '2x15s', '2x15s', '2x15s', '2x15s', '2x20s', '2x20s']);
    expect(editProgramme(after, back)).toEqual(standing.programme);
  });

  test('the next session that loads is a day later, and back where it was', () => {
    const { edits, back } = carried({ kind: 'later', days: 1 });
    const after = editProgramme(standing.programme, edits);
    expect(after.sessions.map(({ day }) => day)).toContain(addDays(TODAY, 2));
    expect(editProgramme(after, back)).toEqual(standing.programme);
  });

  test('of two programmes only the session that comes first is moved', () => {
    const other = coming.map((plan) => ({ ...plan, day: addDays(TODAY, 3), place: { programmeId: 'p2', planId: 'hard', sequenceId: '' } }));
    const later = { id: 'a', reason: '', effect: { kind: 'later', days: 1 } } as const;
    expect(carriedOutIn('p2', standing.programme, later, [...coming, ...other]).edits).toEqual([]);
    expect(carriedOutIn('p1', standing.programme, later, [...other, ...coming]).edits).toHaveLength(1);
  });

  test('more edits than one change holds are several changes, and nothing is lost', () => {
    const place = itemAt(coming, 0).place;
    const many = Array.from({ length: 45 }, (_, index) => ({ kind: 'remove', blockId: `b${index}` }) as const);
    const { edits, back } = carried({ kind: 'blocks', plans: [{ place, edits: many }] });
    const sizes = edits.map((edit) => (edit.kind === 'change' ? edit.change.edits.length : 0));
    expect([sizes, back.length]).toEqual([[20, 20, 5], 3]);
    expect(checkProgramme(editProgramme(standing.programme, edits))).toEqual([]);
  });

  test('of another programme nothing changes, and nothing where it stays as it is', () => {
    expect(carriedOutIn('p2', standing.programme, { id: 'a', reason: '', effect: progress.options[0].effect }, coming).edits).toEqual([]);
    expect(carried({ kind: 'as it is' }).edits).toEqual([]);
  });

  test('a plan that grows by itself grows on from what the suggestion made of it', () => {
    const rising = nextIn(1, planOf(), { steps: 1, each: 'session' });
    const by = (programme = rising.programme) => dosesOf(programme).slice(-2);
    // Sooner than after six days nothing grows.
    expect(by()).toEqual(['2x25s', '2x30s']);
    const change = {
      id: 'c',
      fromDay: addDays(TODAY, 1),
      planId: 'hard',
      reason: 'Hold',
      edits: [{ kind: 'change' as const, blockId: 'b3', dose: itemAt(planOf('all-fours', '2x20s rest40').blocks, 2).dose }],
    };
    expect(by(editProgramme(rising.programme, [{ kind: 'change', change }]))).toEqual(['2x20s', '2x25s']);
  });
});
