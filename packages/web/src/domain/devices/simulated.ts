import { type DeviceMessage, SIMULATED_PATH, type SimulatedSetupInput } from '@clay-pot/contracts';
import { DEVICE_KINDS } from '@clay-pot/core';
import type { Device } from './device.js';

/** As the protocol says that all was said. */
const DONE = 1000;

/** A device that the server simulates, with the strength of somebody. */
export const simulatedDevice = (setup: SimulatedSetupInput): Device => ({
  name: `${DEVICE_KINDS[setup.kind].name}, simulated`,
  connect: ({ samples, ended }) => {
    const url = new URL(`/api${SIMULATED_PATH}`, window.location.href);
    url.protocol = url.protocol.replace('http', 'ws');
    url.searchParams.set('setup', JSON.stringify(setup));
    const socket = new WebSocket(url);
    let isOver = false;
    const end = (trouble: string | null) => {
      if (isOver) return;
      isOver = true;
      ended(trouble);
    };
    socket.onmessage = ({ data }) => {
      const message = JSON.parse(String(data)) as DeviceMessage;
      if (message.samples.length > 0) samples(message.samples);
      if (message.isOver) end(null);
    };
    socket.onclose = ({ code, reason }) => end(code === DONE ? null : reason || 'The connection to the device was lost.');
    return () => {
      isOver = true;
      socket.close();
    };
  },
});
