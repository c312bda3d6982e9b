import {
  DEVICE_FAULTS,
  DEVICE_KINDS,
  DEVICE_PROGRAMS,
  type DeviceKind,
  type DeviceSample,
  type Hand,
  HANDS,
  LEVER_CM,
  MEASURED_NAMES,
} from '@clay-pot/core';
import { IsBetween, IsId, IsWholeWithin, IsWord, IsYesNo } from './validation/fields.js';
import { OptionalField } from './validation/optional-field.js';

const PERCENT = { min: 1, max: 100, step: 1, unit: '% of maximum' } as const;
const HOLD = { min: 1, max: 300, step: 0.5, unit: 's' } as const;
const NOISE = { min: 0, max: 100, step: 0.1, unit: 'of the device’s unit' } as const;
const DRIFT = { min: -100, max: 100, step: 0.1, unit: 'of the device’s unit a minute' } as const;
const SPEED = { min: 1, max: 50, step: 1, unit: 'times' } as const;
const SEED = { min: 0, max: 2_147_483_647, step: 1, unit: '' } as const;

/** A device that is simulated: whose hand is on it, what it does, and what the device does wrong. */
export class SimulatedSetupInput {
  @IsWord(Object.keys(DEVICE_KINDS), 'Device')
  readonly kind: DeviceKind;
  /** Whose strength it is; the reference person’s where it is left out. */
  @OptionalField()
  @IsId('an athlete')
  readonly athleteId?: string;
  @IsWord(HANDS, 'Hand')
  readonly hand: Hand;
  @IsWord(DEVICE_PROGRAMS, 'What the hand does')
  readonly program: (typeof DEVICE_PROGRAMS)[number];
  /** Of a hold. */
  @OptionalField()
  @IsWholeWithin(PERCENT, 'Effort, %')
  readonly effortPercent?: number;
  @OptionalField()
  @IsBetween(HOLD, 'Hold')
  readonly holdS?: number;
  @OptionalField()
  @IsBetween(NOISE, 'Noise')
  readonly noise?: number;
  @OptionalField()
  @IsBetween(DRIFT, 'Drift')
  readonly driftPerMin?: number;
  @OptionalField()
  @IsYesNo()
  readonly tires?: boolean;
  @OptionalField()
  @IsWord(DEVICE_FAULTS, 'Fault')
  readonly fault?: (typeof DEVICE_FAULTS)[number];
  /** What is measured: an action, a motion or a finger; grip, or extension of the wrist, where it is left out. */
  @OptionalField()
  @IsWord(MEASURED_NAMES, 'Of what')
  readonly of?: (typeof MEASURED_NAMES)[number];
  @OptionalField()
  @IsYesNo()
  readonly isActive?: boolean;
  @OptionalField()
  @IsBetween(LEVER_CM, 'Gauge from the wrist')
  readonly leverCm?: number;
  /** How many times faster than a hand it is sent, for trying out. */
  @OptionalField()
  @IsWholeWithin(SPEED, 'Speed')
  readonly speed?: number;
  @OptionalField()
  @IsWholeWithin(SEED, 'Seed')
  readonly seed?: number;
}

/** Where simulated devices stream from, under the API. The setup is sent as JSON in `setup`. */
export const SIMULATED_PATH = '/devices/simulated';

/** One message of a device’s stream. */
export interface DeviceMessage {
  samples: DeviceSample[];
  /** There is nothing more to come. */
  isOver?: boolean;
}
