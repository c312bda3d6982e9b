/** Slow motion needs no more pictures than film has; a phone’s battery is glad of it. */
export const FILM_MS = 40;

/**
 * Draws again and again, so many milliseconds apart, in step with the screen. Between two pictures the page is not woken.
 * @param draw gets the time of its frame; what it returns is how long to wait beyond the usual, milliseconds
 * @returns ends it
 */
export function film(everyMs: number, draw: (nowMs: number) => number): () => void {
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const next = (waitMs: number) => {
    timer = setTimeout(() => {
      frame = requestAnimationFrame((now) => next(everyMs + draw(now)));
    }, waitMs);
  };
  next(0);
  return () => {
    clearTimeout(timer);
    cancelAnimationFrame(frame);
  };
}
