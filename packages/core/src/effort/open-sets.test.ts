import { describe, expect, test } from '@jest/globals';
import { likelyAmount } from './open-sets.js';
import { viewOf } from './session-view.js';
import { ask, write } from '../rules/checks/sessions.fixture.js';
import { findingsOf } from '../rules/checks/index.js';
import { METHODS } from '../library/methods.js';

const carry = (dose: string) => ask(write([['strength', 'grip.bar-carry', 'heavy', dose]]), { method: METHODS['grip-and-iron'] });

describe('open sets', () => {
  test('end where a muscle lets go: no failure, and less than the ceiling', () => {
    const view = viewOf(carry('1x30m,1xmax400m 30kg'));
    const stint = view.timeline.stints[1]!;
    const metres = likelyAmount(view.timeline, stint, view.openEnds);
    expect(metres).toBeGreaterThan(0);
    expect(metres).toBeLessThan(400);
    expect(findingsOf(view).map(({ check }) => check.id)).not.toContain('failing-hold');
    // The same to its end is too much, and said to be.
    const closed = viewOf(carry('1x30m,1x400m 30kg'));
    expect(findingsOf(closed).map(({ check }) => check.id)).toContain('failing-hold');
  });

  test('once one muscle lets go the others are free: no dose behind the end', () => {
    const [open, ceiling] = ['1xmax400m 30kg', '1x400m 30kg'].map((dose) => viewOf(carry(dose)));
    const doseOf = (view: typeof open) => view!.account.doses.get('left finger flexors')!;
    expect(doseOf(open)).toBeLessThan(doseOf(ceiling));
    const [endMs] = [...open!.openEnds.values()];
    for (const spans of open!.efforts.spans.values()) for (const { endMs: to } of spans) expect(to).toBeLessThanOrEqual(endMs!);
  });

  test('what is carried to the ceiling is likely to be all of it', () => {
    const view = viewOf(carry('1xmax20m 4kg'));
    expect(view.openEnds.size).toBe(0);
    expect(likelyAmount(view.timeline, view.timeline.stints[0]!, view.openEnds)).toBe(20);
  });
});
