/** Minutes and seconds as on a clock, to the nearest second. @example clock(119_600) → '2:00' */
export function clock(ms: number): string {
  return minutesAndSeconds(Math.max(0, Math.round(ms / 1000)));
}

/** What a countdown shows: seconds that are not over yet, as minutes only where it is long. @example countdown(61_200) → '62' */
export function countdown(leftMs: number): string {
  const seconds = Math.max(0, Math.ceil(leftMs / 1000));
  return seconds < LONG_COUNTDOWN_S ? String(seconds) : minutesAndSeconds(seconds);
}
const LONG_COUNTDOWN_S = 100;

const minutesAndSeconds = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** Whole minutes for lists, under a minute in seconds. @example minutesText(754_000) → '13 min' */
export function minutesText(ms: number): string {
  return ms < 60_000 ? `${Math.round(ms / 1000)} s` : `${Math.round(ms / 60_000)} min`;
}
