import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { advance, AT_START, compileTimeline, type Playhead, timelineOf } from '@clay-pot/core';
import { METHODS, shippedMovement } from '@clay-pot/core/library';
import { act, renderHook } from '@testing-library/react';
import { SHORT } from '../../made-up.fixture.js';
import { useSound } from './tone.js';
import { useSpeech } from './use-speech.js';
import { useVoice, useVoiceLog } from './voice.js';

/** How long the made-up voice takes until it is heard, milliseconds. */
const startsAfterMs = 180;
let spoken: string[];
let voices: object[];

/** A voice that begins late and is busy while it speaks, as installed ones are. */
class Synthesis {
  speaking = false;
  pending = false;
  getVoices = () => voices;
  addEventListener = () => undefined;
  removeEventListener = () => undefined;
  cancel = () => {
    this.speaking = false;
  };
  speak(utterance: { text: string; onstart?: () => void; onend?: () => void }) {
    this.pending = true;
    setTimeout(() => {
      this.pending = false;
      this.speaking = true;
      spoken.push(utterance.text);
      utterance.onstart?.();
      setTimeout(() => {
        this.speaking = false;
        utterance.onend?.();
      }, 300);
    }, startsAfterMs);
  }
}

beforeEach(() => {
  jest.useFakeTimers();
  spoken = [];
  voices = [{ name: 'Made-up', lang: 'en-GB', voiceURI: 'made-up', localService: true }];
  Object.assign(window, {
    speechSynthesis: new Synthesis(),
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
  });
  useVoice.setState({ on: true, voiceURI: null, volume: 1 });
  useVoiceLog.setState({ said: [] });
});
afterEach(() => {
  jest.useRealTimers();
});

const timeline = compileTimeline(SHORT, shippedMovement);
const TICK_MS = 50;

/** Leads for so long, as the player does: its clock looks often, and what is shown changes with each event. */
function lead(ms: number, { paused = false } = {}): void {
  let head: Playhead = AT_START;
  const headNow = () => head;
  const shown = { sequence: SHORT, lookup: shippedMovement, method: METHODS['daily-range'], paused, headNow };
  const { rerender, unmount } = renderHook((now: { event: number; addedMs: number }) => useSpeech({ ...shown, ...now }), {
    initialProps: { event: 0, addedMs: 0 },
  });
  for (let at = 0; at < ms && head.event < timeline.events.length; at += TICK_MS) {
    act(() => jest.advanceTimersByTime(TICK_MS));
    ({ head } = advance(timelineOf(SHORT, shippedMovement), head, TICK_MS));
    rerender({ event: head.event, addedMs: head.addedMs });
  }
  unmount();
}

describe('a voice', () => {
  test('is heard on its moment, though it takes a while to begin: counts within 80 ms of their beat', () => {
    lead(timeline.durationMs);
    const { said } = useVoiceLog.getState();
    // It has learned how long this voice takes after the first few.
    const counts = said.slice(8).filter(({ kind }) => kind === 'count' || kind === 'countdown');
    expect(counts.length).toBeGreaterThan(3);
    for (const { dueMs, saidMs } of counts) expect(Math.abs(saidMs - dueMs)).toBeLessThanOrEqual(80);
    expect(said.every(({ by }) => by === 'voice')).toBe(true);
  });

  test('says each thing once, in order', () => {
    lead(timeline.durationMs);
    const { said } = useVoiceLog.getState();
    const due = said.map(({ dueMs }) => dueMs);
    expect(due).toEqual(due.toSorted((a, b) => a - b));
    expect(spoken).toEqual(said.map(({ text }) => text));
    expect(spoken[0]).toMatch(/^Hand open and close/);
  });

  test('says nothing while the clock stands, nor where it is off', () => {
    lead(10_000, { paused: true });
    useVoice.setState({ on: false });
    lead(10_000);
    expect(spoken).toEqual([]);
  });

  test('without an installed voice, and before the recorded words are there, a tone stands for it', () => {
    voices = [];
    useSound.setState({ on: false });
    Object.assign(globalThis, { fetch: () => Promise.reject(new Error('offline')) });
    lead(8000);
    const { said } = useVoiceLog.getState();
    expect(said.length).toBeGreaterThan(0);
    expect(new Set(said.map(({ by }) => by))).toEqual(new Set(['tone']));
  });
});
