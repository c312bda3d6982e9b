import type { DeviceSample } from '@clay-pot/core';
import { readDeviceFile } from '@clay-pot/core/exchange';
import type { Device } from './device.js';

const TICK_MS = 40;

/** A recorded file, played as it came: by its own clock, as far as that goes forward. */
export const replayDevice = (name: string, recorded: readonly DeviceSample[]): Device => ({
  name,
  connect: ({ samples, ended }) => {
    const began = performance.now();
    const startS = recorded[0]?.tS ?? 0;
    let next = 0;
    const timer = setInterval(() => {
      const nowS = (performance.now() - began) / 1000;
      const from = next;
      while (next < recorded.length && (recorded[next]?.tS ?? 0) - startS <= nowS) next++;
      if (next > from) samples(recorded.slice(from, next));
      if (next < recorded.length) return;
      clearInterval(timer);
      ended(null);
    }, TICK_MS);
    return () => clearInterval(timer);
  },
});

/** A phone on the back of a hand whose wrist bends back, as it was recorded: for a bench without a phone. */
export async function recordedPhone(): Promise<Device> {
  const answer = await fetch('/recordings/phone-wrist-extension.csv');
  if (!answer.ok) throw new Error('Couldn’t load the recording. Try again when you’re online.');
  return replayDevice('A recorded phone', readDeviceFile(await answer.text()).samples);
}
