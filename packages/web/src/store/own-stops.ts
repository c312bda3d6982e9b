import { keyOfStop, type RecordedCaution } from '@clay-pot/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

/** A stop that happened on this device, and for whom. */
interface OwnStop {
  readonly athleteId: string;
  readonly caution: RecordedCaution;
}

interface OwnStops {
  readonly stops: readonly OwnStop[];
}

/**
 * Stops of this device, kept until the athlete's record is known to hold them: without a network they stand as well, from the moment that
 * somebody pressed the sign.
 */
export const useOwnStops = perAccount(
  create<OwnStops>()(persist((): OwnStops => ({ stops: [] }), { name: 'stops', storage: createJSONStorage(() => accountStorage) })),
);

/** Keeps a stop; a graver sign of the same session takes its place. */
export function keepStop(athleteId: string, caution: RecordedCaution): void {
  useOwnStops.setState(({ stops }) => ({
    stops: [
      // Of a session only the graver sign counts; answers may report several.
      ...stops.filter((stop) => caution.stopped?.sessionId === undefined || stop.caution.stopped?.sessionId !== caution.stopped.sessionId),
      { athleteId, caution },
    ],
  }));
}

/** Forgets what the server's record of an athlete holds by now. */
export function forgetArrived(athleteId: string, recorded: readonly RecordedCaution[]): void {
  const arrived = new Set(recorded.map(keyOfStop));
  const { stops } = useOwnStops.getState();
  const left = stops.filter((stop) => stop.athleteId !== athleteId || !arrived.has(keyOfStop(stop.caution)));
  if (left.length < stops.length) useOwnStops.setState({ stops: left });
}
