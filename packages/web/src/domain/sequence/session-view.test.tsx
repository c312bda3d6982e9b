import { describe, expect, test } from '@jest/globals';
import { maximum, stopsOf } from '@clay-pot/core';
import { SHORT, someone } from '../../made-up.fixture.js';
import { answering, settle, showHook } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import { useSubject } from '../athlete/named-subject.js';
import { useSessionView } from './session-view.js';

const wren = someone();
const own = { id: 'r', athleteId: wren.id, kind: 'maximum', of: 'grip', hand: 'left', value: 250 } as const;
const today = isoToday();
const answers = {
  [`GET /api/athletes/${wren.id}`]: wren,
  [`GET /api/athletes/${wren.id}/readings`]: [{ ...own, onDay: today }],
  [`GET /api/athletes/${wren.id}/past`]: [],
  [`GET /api/athletes/${wren.id}/evidence`]: [],
};

describe('for whom something is computed', () => {
  test('without an athlete nobody is asked, and an average adult stands in', async () => {
    const requests = answering({});
    const { result } = showHook(() => useSubject(undefined));
    await settle();
    expect(requests).toEqual([]);
    expect(result.current).toMatchObject({ name: 'an average adult', athleteId: undefined, estimated: [] });
  });

  test('an athlete comes with their own body and what was measured of them', async () => {
    answering(answers);
    const { result } = showHook(() => useSubject(wren.id));
    await settle();
    expect(result.current).toMatchObject({ name: wren.name, athleteId: wren.id });
    expect(result.current.person.body).toMatchObject({ massKg: 62, statureM: 1.68, sex: 'female' });
    expect(result.current.person.evidence).toEqual([maximum('grip', 'left', 250, today)]);
  });
});

describe('a session as it is seen', () => {
  test('keeps its view while nothing changes, and says what stops it for whom', async () => {
    answering(answers);
    const healing = someone({ cautions: [{ caution: 'recent-injury' }] });
    const { result, rerender } = showHook(() => useSessionView(SHORT, healing));
    await settle();
    const { view, subject } = result.current;
    rerender();
    expect(result.current.view).toBe(view);
    expect(subject.athleteId).toBe(wren.id);
    expect(stopsOf(view).map(({ check }) => check.id)).toContain('not-cleared');
    const { result: free } = showHook(() => useSessionView(SHORT, undefined));
    expect(stopsOf(free.current.view)).toEqual([]);
  });
});
