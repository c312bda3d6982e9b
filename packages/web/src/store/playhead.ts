import { AT_START, type Playhead } from '@clay-pot/core';
import { create } from 'zustand';
import { accountStorage } from './device-storage.js';

/**
 * Where the session's clock is, this moment. It moves ten times a second and is apart from what is kept of the session, so that only what shows
 * a second or an event is drawn again, and nothing large is written.
 */
export const usePlayhead = create<{ readonly head: Playhead }>()(() => ({ head: AT_START }));

/** What it is kept under. */
export const PLAYHEAD_KEY = 'playhead';
/** A crash loses at most this much of the clock. */
const KEEP_EVERY_MS = 1000;

interface KeptPlayhead {
  readonly runId: string;
  readonly head: Playhead;
}

let keptAtMs = -Infinity;

/** Moves the clock within an event, and keeps where it is once a second. */
export function movePlayhead(runId: string, head: Playhead): void {
  usePlayhead.setState({ head });
  if (performance.now() - keptAtMs >= KEEP_EVERY_MS) keepPlayhead(runId);
}

/** Keeps where the clock is, so that a reload goes on from there. */
export function keepPlayhead(runId: string): void {
  keptAtMs = performance.now();
  const kept: KeptPlayhead = { runId, head: usePlayhead.getState().head };
  accountStorage.setItem(PLAYHEAD_KEY, JSON.stringify(kept));
}

/** Goes on from where the clock was kept, if that was in the event that a session is in. */
export function restorePlayhead(run: { readonly id: string; readonly head: Playhead }): void {
  const text = accountStorage.getItem(PLAYHEAD_KEY);
  const kept = text === null ? null : (JSON.parse(text) as KeptPlayhead);
  const isOfNow = kept !== null && kept.runId === run.id && kept.head.event === run.head.event;
  usePlayhead.setState({ head: isOfNow ? kept.head : run.head });
}
