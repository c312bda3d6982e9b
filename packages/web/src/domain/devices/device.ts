import type { DeviceSample } from '@clay-pot/core';

/** What a device reports while it is connected. */
export interface DeviceEvents {
  readonly samples: (samples: readonly DeviceSample[]) => void;
  /** It is over: in words why, or null where it ended as it should. */
  readonly ended: (trouble: string | null) => void;
}

/** Anything that gives samples, however it is connected: all that an adapter has to be (docs/devices.md). */
export interface Device {
  readonly name: string;
  /** Begins. @returns how to end it */
  readonly connect: (events: DeviceEvents) => () => void;
}
