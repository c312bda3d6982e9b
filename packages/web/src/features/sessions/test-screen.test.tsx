import { beforeEach, describe, expect, test } from '@jest/globals';
import { AT_START, type SessionTest } from '@clay-pot/core';
import type { SessionRecord, StoredReading } from '@clay-pot/contracts';
import { act, renderHook, screen } from '@testing-library/react';
import { SHORT, someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import type { Run } from '../../store/run.js';
import { testsOf, useMomentNow, useSessionTests } from '../../store/session-tests.js';
import { isoToday } from '../../ui/today.js';
import { BeforeAfter } from './before-after.js';
import { TestScreen } from './test-screen.js';

const wren = someone();
const ID = '0197a1b2-0000-7000-8000-000000000001';
const run = (change: Partial<Run> = {}, tests: SessionTest[] = ['passive.wrist-extension']): Run => ({
  ...{ id: ID, athleteId: wren.id, athleteName: wren.name, sequenceId: ID, cautions: [], equipment: [] },
  ...{
    startedAt: '2026-06-01T08:00:00.000Z',
    head: AT_START,
    paused: false,
    sets: [],
    reports: {},
    hurt: {},
    looks: [],
    form: [],
    toRate: [],
    ended: null,
  },
  sequence: { ...SHORT, tests },
  ...change,
});
beforeEach(() => {
  useSessionTests.setState({ sessionId: null, tested: { done: [] } });
  useOutbox.setState({ messages: [], refused: [] });
});
const bodies = () => useOutbox.getState().messages.map(({ body }) => body);

describe('tests around a session', () => {
  test('each number is on its way at once, as a reading of this session and its moment', async () => {
    answering({});
    const { user } = show(<TestScreen run={run()} moment="before" />);
    expect(screen.getByRole('button', { name: 'Start session' })).toHaveProperty('disabled', true);
    await user.type(screen.getByLabelText('Wrist extension, left, °'), '74{Enter}');
    await user.type(screen.getByLabelText('Wrist extension, right, °'), '82{Enter}');
    expect(bodies()).toMatchObject([
      { kind: 'passive range', of: 'wrist extension', hand: 'left', value: 74, onDay: isoToday(), sessionId: ID, moment: 'before' },
      { hand: 'right', value: 82, moment: 'before' },
    ]);
    await user.click(screen.getByRole('button', { name: 'Start session' }));
    expect(testsOf(ID).done).toEqual(['before']);
  });

  test('nonsense stays with the reason; what is left can be left', async () => {
    answering({});
    const { user } = show(<TestScreen run={run()} moment="before" />);
    await user.type(screen.getByLabelText('Wrist extension, left, °'), '200{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('within 0–130°');
    expect(bodies()).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Skip the rest' }));
    expect(testsOf(ID).done).toEqual(['before']);
  });

  test('a force that fits another unit better is asked about before it is on its way', async () => {
    answering({});
    const { user } = show(<TestScreen run={run({}, ['force.grip'])} moment="before" />);
    await user.type(screen.getByLabelText('Grip, left, kg'), '430{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('was it 430 N?');
    expect(bodies()).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Use 43.8 kg' }));
    expect(bodies()).toMatchObject([{ kind: 'maximum', of: 'grip', hand: 'left', value: 430 }]);
  });

  test('a hand that may not be helped is not tested, and nobody waits for it', async () => {
    answering({});
    const { user } = show(<TestScreen run={run({ cautions: [{ caution: 'numbness', hand: 'left' }] })} moment="before" />);
    expect(screen.getByText(/no loading until a doctor or hand therapist/)).toBeTruthy();
    expect(screen.queryByLabelText('Wrist extension, left, °')).toBeNull();
    await user.type(screen.getByLabelText('Wrist extension, right, °'), '82{Enter}');
    expect(screen.getByRole('button', { name: 'Start session' })).toHaveProperty('disabled', false);
  });

  test('what it was before stands beside the second test', async () => {
    answering({});
    useSessionTests.setState({ sessionId: ID, tested: { done: ['before'], before: { 'passive.wrist-extension left': 74 } } });
    show(<TestScreen run={run()} moment="after" />);
    expect(screen.getByText('before 74°')).toBeTruthy();
  });

  test('come before the first block and after the end, but not after a stop, nor in a session that was under way', () => {
    const moment = (change: Partial<Run>, tests?: SessionTest[]) => renderHook(() => useMomentNow(run(change, tests))).result.current;
    const ended = (ending: 'completed' | 'stopped') => ({ ended: { ending, at: '2026-06-01T08:20:00.000Z' } });
    expect(moment({})).toBe('before');
    expect(moment({}, [])).toBeNull();
    expect(moment({ head: { ...AT_START, event: 3 } })).toBeNull();
    // Nothing is tested again that was not tested first.
    expect(moment(ended('completed'))).toBeNull();
    act(() => {
      useSessionTests.setState({ sessionId: ID, tested: { done: ['before'], before: { 'passive.wrist-extension left': 74 } } });
    });
    expect(moment(ended('completed'))).toBe('after');
    expect(moment(ended('stopped'))).toBeNull();
    act(() => {
      useSessionTests.setState({ sessionId: ID, tested: { done: ['before', 'after'] } });
    });
    expect(moment({})).toBeNull();
    expect(moment(ended('completed'))).toBeNull();
    expect(moment({ id: 'another' })).toBe('before');
  });
});

describe('before and after on a record', () => {
  const read = (hand: 'left' | 'right', moment: 'before' | 'after', value: number): StoredReading => ({
    id: `${hand} ${moment}`,
    kind: 'passive range',
    of: 'wrist extension',
    hand,
    value,
    onDay: '2026-06-01',
    sessionId: ID,
    moment,
  });
  const shown = async (readings: StoredReading[]) => {
    answering({ [`GET /api/athletes/${wren.id}/readings`]: readings });
    show(<BeforeAfter record={{ id: ID, athleteId: wren.id } as SessionRecord} />);
    await settle();
  };

  test('a change is real or within the error; a hand that was measured once has none', async () => {
    await shown([read('left', 'before', 74), read('left', 'after', 87), read('right', 'before', 82)]);
    const [, left, right] = screen.getAllByRole('row').map((row) => row.textContent);
    expect(left).toContain('74°87°+13°: a real change');
    expect(right).toContain('82°–');
    expect(right).not.toContain('change');
  });

  test('of a session without tests there is nothing', async () => {
    await shown([{ ...read('left', 'before', 74), sessionId: 'another' }]);
    expect(screen.queryByText('Before and after')).toBeNull();
  });
});
