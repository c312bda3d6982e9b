import { create } from 'zustand';

/** The server’s clock as this device knows it. */
interface ServerClock {
  /** By how much this device’s clock is behind the server’s, milliseconds; null before it was ever asked. */
  readonly behindMs: number | null;
  /** Of the last answers, the quickest first: the less time one took, the less it can be wrong. */
  readonly answers: readonly ClockAnswer[];
}
interface ClockAnswer {
  readonly roundTripMs: number;
  readonly behindMs: number;
  readonly atMs: number;
}

/** An answer counts for so long: clocks drift, and devices move to other networks. */
const COUNTS_MS = 120_000;
const MOST = 12;

/** What the server’s clock says, estimated from pings. */
export const useServerClock = create<ServerClock>()(() => ({ behindMs: null, answers: [] }));

/**
 * Takes in an answer. The server read its clock somewhere between sending and hearing: halfway is wrong by at most half the time that it took, so the
 * quickest answer counts.
 * @param sentMs when the ping left, by this device’s clock @param heardMs when its answer came @param serverMs what the server’s clock said
 */
export function takePong(sentMs: number, heardMs: number, serverMs: number): void {
  const roundTripMs = heardMs - sentMs;
  // The device slept or its clock was set in between.
  if (roundTripMs < 0 || roundTripMs > 10_000) return;
  const answer = { roundTripMs, behindMs: serverMs - (sentMs + roundTripMs / 2), atMs: heardMs };
  const { answers } = useServerClock.getState();
  const recent = [...answers, answer].filter(({ atMs }) => heardMs - atMs >= 0 && heardMs - atMs < COUNTS_MS);
  // A clock that was set makes all before it wrong.
  const agreeing = recent.filter(
    ({ behindMs, roundTripMs: took }) => Math.abs(behindMs - answer.behindMs) <= (took + roundTripMs) / 2 + 50,
  );
  const best = agreeing.toSorted((a, b) => a.roundTripMs - b.roundTripMs).slice(0, MOST);
  useServerClock.setState({ answers: best, behindMs: best[0]?.behindMs ?? null });
}
