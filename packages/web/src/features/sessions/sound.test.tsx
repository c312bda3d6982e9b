import { beforeEach, describe, expect, test } from '@jest/globals';
import { advance, AT_START, compileTimeline, type Playhead } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { act, renderHook } from '@testing-library/react';
import { SHORT } from '../../made-up.fixture.js';
import { useSound } from '../../domain/session/tone.js';
import { usePlayhead } from '../../store/playhead.js';
import { useAudibleCues } from './sound.js';

let heard: number[];

/** A loudspeaker that writes down what it is asked to play. */
class Loudspeaker {
  currentTime = 0;
  destination = {};
  createOscillator() {
    const frequency = { value: 0 };
    return {
      frequency,
      connect: <T,>(to: T) => to,
      start: () => void heard.push(frequency.value),
      stop: () => undefined,
    };
  }
  createGain() {
    const gain = { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined };
    return { gain, connect: <T,>(to: T) => to };
  }
}

const [READY, BEGIN, END] = [440, 880, 330];
const timeline = compileTimeline(SHORT, shippedMovement);
const firstWork = timeline.events.find(({ stint }) => stint !== null)!;

beforeEach(() => {
  heard = [];
  Object.assign(globalThis, { AudioContext: Loudspeaker });
  useSound.setState({ on: true });
});

/** Leads from the start, a quarter of a second at a time. */
function leadFor(ms: number, paused = false): void {
  let head: Playhead = AT_START;
  usePlayhead.setState({ head });
  const { rerender } = renderHook(({ now }) => useAudibleCues(timeline, now, paused), { initialProps: { now: head.event } });
  for (let at = 0; at < ms; at += 250) {
    ({ head } = advance(timeline, head, 250));
    const now = head;
    act(() => usePlayhead.setState({ head: now }));
    act(() => rerender({ now: now.event }));
  }
}

describe('tones for those who do not look', () => {
  test('three short ones before work begins, and a high one at its start', () => {
    leadFor(firstWork.startMs + 300);
    expect(heard).toEqual([READY, READY, READY, BEGIN]);
  });

  test('a low one at the end of the work', () => {
    leadFor(firstWork.startMs + firstWork.durationMs + 300);
    expect(heard.slice(0, 5)).toEqual([READY, READY, READY, BEGIN, END]);
  });

  test('none while the clock stands, and none when sound is off', () => {
    leadFor(firstWork.startMs + 300, true);
    useSound.getState().toggle();
    leadFor(firstWork.startMs + 300);
    expect(heard).toEqual([]);
  });
});
