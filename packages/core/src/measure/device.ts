import { READING_LIMITS } from '../vocabulary/measures.js';
import { POUND_KG } from '../vocabulary/units.js';
import { newtonsFromKg } from '../vocabulary/gravity.js';

/**
 * What every device gives, whatever it is and however it is connected: one value of one channel at an instant of the device’s own clock. The open interface of
 * devices is this and nothing more (docs/devices.md).
 */
export interface DeviceSample {
  /** Seconds on the device’s own clock. */
  readonly tS: number;
  readonly channel: string;
  readonly value: number;
  readonly unit: DeviceUnit;
}

/** Units that devices speak in. */
export const DEVICE_UNITS = ['N', 'kg', 'lb', '°'] as const;
/** A unit that a device speaks in. */
export type DeviceUnit = (typeof DEVICE_UNITS)[number];

/** Kinds of device, with what they measure, how often they send, and where their range ends. */
export const DEVICE_KINDS = {
  grip: { name: 'Grip dynamometer', channels: ['force'], unit: 'N', hz: 80, range: 900 },
  plates: { name: 'Pair of hand plates', channels: ['left', 'right'], unit: 'N', hz: 100, range: READING_LIMITS.N.max },
  edge: { name: 'Edge with a load cell', channels: ['force'], unit: 'N', hz: 80, range: 1200 },
  angle: { name: 'Angle sensor', channels: ['angle'], unit: '°', hz: 50, range: 180 },
} as const satisfies Record<string, DeviceKindFacts>;
/** A kind of device. */
export type DeviceKind = keyof typeof DEVICE_KINDS;

interface DeviceKindFacts {
  readonly name: string;
  readonly channels: readonly string[];
  readonly unit: DeviceUnit;
  readonly hz: number;
  readonly range: number;
}

/** Newtons of one of each unit of force. */
export const NEWTONS_OF = { N: 1, kg: newtonsFromKg(1), lb: newtonsFromKg(POUND_KG) } as const;
/** A unit of force that devices speak in. */
export type ForceUnit = keyof typeof NEWTONS_OF;
/** Units of force that devices speak in. */
export const FORCE_UNITS = Object.keys(NEWTONS_OF) as ForceUnit[];

/** Reads forces as they come, in newtons, each with its channel; null where the unit changed on the way, which no device does rightly, or is none of force. */
export function forceReader(isMine: (channel: string) => boolean) {
  let unit: DeviceUnit | undefined;
  return (samples: readonly DeviceSample[]): { tS: number; channel: string; valueN: number }[] | null => {
    const mine = samples.filter(({ channel }) => isMine(channel));
    unit ??= mine[0]?.unit;
    if (unit === '°' || mine.some((sample) => sample.unit !== unit)) return null;
    const factor = unit === undefined ? 1 : NEWTONS_OF[unit];
    return mine.map(({ tS, channel, value }) => ({ tS, channel, valueN: value * factor }));
  };
}
