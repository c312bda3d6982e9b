import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { AT_START, type DeviceSample, itemAt } from '@clay-pot/core';
import { act, screen } from '@testing-library/react';
import type { DeviceEvents } from '../../domain/devices/device.js';
import { useSound } from '../../domain/session/tone.js';
import { sequenceOf, SHORT, someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { bandPercentOf, useBands } from '../../store/bands.js';
import { usePlayhead } from '../../store/playhead.js';
import { type Run, ledTimeline, useRun } from '../../store/run.js';
import { PlayerGauge, toggleGauge, useGauge } from './player-gauge.js';

const wren = someone();
const timeline = ledTimeline(SHORT);
function run(event: number, change: Partial<Run> = {}): Run {
  const now = runOf(event, change);
  usePlayhead.setState({ head: now.head });
  return now;
}
const runOf = (event: number, change: Partial<Run>): Run => ({
  ...{ id: 'one', athleteId: wren.id, athleteName: wren.name, sequenceId: 'x', cautions: [], equipment: [] },
  ...{
    startedAt: '2026-06-01T08:00:00.000Z',
    paused: false,
    sets: [],
    reports: {},
    hurt: {},
    toRate: [],
    looks: [],
    form: [],
    ended: null,
  },
  sequence: SHORT,
  head: { ...AT_START, event },
  ...change,
});
/** The first squeeze of the left hand: half of the most, held two seconds. */
const squeeze = timeline.events.findIndex(({ blockIndex, stint }) => blockIndex === 1 && stint !== null);
const opening = timeline.events.findIndex(({ blockIndex, stint }) => blockIndex === 0 && stint !== null);

let events: DeviceEvents | undefined;
const gauge = {
  name: 'A gauge',
  connect: (listeners: DeviceEvents) => {
    events = listeners;
    return () => (events = undefined);
  },
};
beforeEach(() => {
  useSound.setState({ on: false });
  useBands.setState({ sessionId: null, bands: {} });
  useGauge.setState({ source: { kind: 'file', device: gauge } });
  answering({
    [`GET /api/athletes/${wren.id}`]: wren,
    [`GET /api/athletes/${wren.id}/readings`]: [],
    [`GET /api/athletes/${wren.id}/evidence`]: [],
  });
});
afterEach(() => useGauge.setState({ source: null }));

const at = (event: number, change: Partial<Run> = {}) => (
  <PlayerGauge run={run(event, change)} timeline={timeline} event={itemAt(timeline.events, event)} />
);
const force = (value: number, fromS = 0): DeviceSample[] =>
  Array.from({ length: 20 }, (_, index) => ({ tS: fromS + index / 10, channel: 'force', value, unit: 'N' }));

describe('a gauge in the session', () => {
  test('stands beside what is pressed at an effort of one’s own, and nowhere else', async () => {
    const { rerender } = show(at(squeeze));
    await settle();
    expect(screen.getByRole('region', { name: 'Force gauge' }).textContent).toContain('50 % of maximum, left hand');
    expect(events).toBeDefined();
    rerender(at(opening));
    expect(screen.queryByRole('region', { name: 'Force gauge' })).toBeNull();
    expect(events).toBeUndefined();
  });

  test('is not listened to while the clock stands, nor where none is wanted', async () => {
    show(at(squeeze, { paused: true }));
    await settle();
    expect(events).toBeUndefined();
    act(() => toggleGauge());
    expect(screen.queryByRole('region', { name: 'Force gauge' })).toBeNull();
  });

  test('what was kept of a block is summed for its record, with where it was lost', async () => {
    const { unmount } = show(at(squeeze, { head: { ...AT_START, event: squeeze, elapsedMs: 1500 } }));
    await settle();
    const [low = 0] = /([\d.]+)–/
      .exec(screen.getByRole('region', { name: 'Force gauge' }).textContent!)!
      .slice(1)
      .map(Number);
    const inside = (low + 1) * 9.80665;
    act(() => events!.samples(force(inside)));
    act(() => events!.samples(force(5, 2)));
    unmount();
    expect(bandPercentOf('one', 'b')).toBeGreaterThan(40);
    expect(bandPercentOf('one', 'b')).toBeLessThan(60);
    expect(useBands.getState().bands['b']!.lost).toEqual([expect.stringMatching(/^Left hand, repetition 1, .*, below$/)]);
  });

  test('an open set ends when the hand lets go; one with an end does not', async () => {
    const open = sequenceOf([['b', 'load', 'isometric.flexion', 'medium', '1x30s,1xmax60s @50% rest10 L']]);
    const openTimeline = ledTimeline(open);
    const [fixed, untilItFails] = openTimeline.events.flatMap(({ stint }, index) => (stint === null ? [] : [index]));
    for (const [event, endsBy] of [
      [fixed!, 0],
      [untilItFails!, 1],
    ] as const) {
      const now = run(event, { sequence: open, head: { ...AT_START, event, elapsedMs: 9000 } });
      useRun.setState({ run: now });
      const shown = show(<PlayerGauge run={now} timeline={openTimeline} event={itemAt(openTimeline.events, event)} />);
      await settle();
      const [low = 0] = /([\d.]+)–/
        .exec(screen.getByRole('region', { name: 'Force gauge' }).textContent!)!
        .slice(1)
        .map(Number);
      act(() => events!.samples(force((low + 1) * 9.80665)));
      act(() => events!.samples(force(1, 2)));
      const doneSets = useRun.getState().run?.sets ?? [];
      expect(doneSets.length).toBe(endsBy);
      if (endsBy) expect(doneSets[0]).toMatchObject({ set: 2, doneAmount: 9 });
      shown.unmount();
    }
  });
});
