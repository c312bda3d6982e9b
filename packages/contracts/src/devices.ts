import {
  between,
  DEVICE_FAULTS,
  DEVICE_KINDS,
  DEVICE_PROGRAMS,
  type DeviceKind,
  type DeviceSample,
  HANDS,
  idOf,
  LEVER_CM,
  MEASURED_NAMES,
  type Of,
  oneOf,
  optional,
  record,
  trueOrFalse,
  within,
} from '@clay-pot/core';

const PERCENT = { min: 1, max: 100, step: 1, unit: '% of own maximum' } as const;
const HOLD = { min: 1, max: 300, step: 0.5, unit: 's' } as const;
const NOISE = { min: 0, max: 100, step: 0.1, unit: 'of the device’s unit' } as const;
const DRIFT = { min: -100, max: 100, step: 0.1, unit: 'of the device’s unit a minute' } as const;
const SPEED = { min: 1, max: 50, step: 1, unit: 'times' } as const;
const SEED = { min: 0, max: 2_147_483_647, step: 1, unit: '' } as const;

/** A device that is simulated: whose hand is on it, what it does, and what the device does wrong. */
export const SIMULATED_SETUP = record({
  kind: oneOf(Object.keys(DEVICE_KINDS) as DeviceKind[], 'Device'),
  /** Whose strength it is; the reference person’s where it is left out. */
  athleteId: optional(idOf('an athlete')),
  hand: oneOf(HANDS, 'Hand'),
  program: oneOf(DEVICE_PROGRAMS, 'What the hand does'),
  /** Of a hold. */
  effortPercent: optional(within(PERCENT, 'Effort, %')),
  holdS: optional(between(HOLD, 'Hold')),
  noise: optional(between(NOISE, 'Noise')),
  driftPerMin: optional(between(DRIFT, 'Drift')),
  tires: optional(trueOrFalse()),
  fault: optional(oneOf(DEVICE_FAULTS, 'Fault')),
  /** What is measured: an action, a motion or a finger; grip, or extension of the wrist, where it is left out. */
  of: optional(oneOf(MEASURED_NAMES, 'Of what')),
  isActive: optional(trueOrFalse()),
  leverCm: optional(between(LEVER_CM, 'Gauge from the wrist')),
  /** How many times faster than a hand it is sent, for trying out. */
  speed: optional(within(SPEED, 'Speed')),
  seed: optional(within(SEED, 'Seed')),
});
/** A device that is simulated. */
export type SimulatedSetupInput = Of<typeof SIMULATED_SETUP>;

/** Where simulated devices stream from, under the API. The setup is sent as JSON in `setup`. */
export const SIMULATED_PATH = '/devices/simulated';

/** One message of a device’s stream. */
export interface DeviceMessage {
  samples: DeviceSample[];
  /** There is nothing more to come. */
  isOver?: boolean;
}
