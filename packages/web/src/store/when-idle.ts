/** Runs something in the browser’s idle time, where it has such a thing; typing isn’t held up. */
export function whenIdle(run: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(run);
  else run();
}
