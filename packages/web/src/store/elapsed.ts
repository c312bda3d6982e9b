let sinceMs: number | null = null;

/** Begins to count the time that a session runs. */
export const countTime = (): void => {
  sinceMs = performance.now();
};

/** Counts no more: the session is paused, or its page is left. */
export const stopCounting = (): void => {
  sinceMs = null;
};

/** The time that really passed since it was last asked for, milliseconds, so that a slow or sleeping page does not fall behind; 0 while nothing runs. */
export function takeElapsedMs(): number {
  if (sinceMs === null) return 0;
  const now = performance.now();
  const elapsedMs = now - sinceMs;
  sinceMs = now;
  return elapsedMs;
}
