import {
  type Action,
  type DeviceFault,
  deviceKindOf,
  type DeviceProgram,
  type Gauge,
  type Hand,
  type Protocol,
  type TrialSort,
  trialSortOf,
} from '@clay-pot/core';
import type { Device } from './device.js';
import { hasOrientation, phoneDevice } from './phone.js';
import { simulatedDevice } from './simulated.js';

/** Where numbers come from. */
export type Source =
  | { readonly kind: 'typed' }
  | { readonly kind: 'simulated'; readonly fault: DeviceFault; readonly speed: number }
  | { readonly kind: 'phone' }
  | { readonly kind: 'photo' }
  | { readonly kind: 'file'; readonly device: Device };
/** Its kind. */
export type SourceKind = Source['kind'];
type Of<K extends SourceKind> = Extract<Source, { kind: K }>;

/** Whose hand does what, for a device that is simulated. */
interface Turn {
  readonly protocol: Protocol;
  readonly sort: TrialSort;
  readonly hand: Hand;
  readonly athleteId: string;
  readonly leverCm: number;
}

/** An athlete presses at a share of their maximum and holds it. */
interface Hold {
  readonly athleteId: string;
  readonly hand: Hand;
  readonly of: Action;
  readonly effortPercent: number;
  readonly holdS: number;
}

/** A source of numbers: one entry says all that the screens ask of it (CONTRIBUTING). */
interface SourceEntry<K extends SourceKind> {
  /** How it is called where it is chosen. */
  readonly label: string;
  /** Whether it is offered for what is measured. */
  readonly offers: (sort: TrialSort) => boolean;
  /** With what it measures, as it is kept; null where the protocol says it. */
  readonly gauge: (sort: TrialSort | null) => Gauge | null;
  /** What gives samples of one trial; null where nothing does. */
  readonly device: (source: Of<K>, turn: Turn) => Device | null;
  /** What gives samples of a force that is kept; null where nothing does. */
  readonly hold: (source: Of<K>, hold: Hold) => Device | null;
}

const PROGRAM_OF: Record<TrialSort, DeviceProgram> = { force: 'trial', angle: 'trial', plates: 'hold', 'all-out': 'all-out' };
const LONGEST_HOLD_S = 300;
const nothing = () => null;
const onPlates = (sort: TrialSort | null): Gauge | null => (sort === 'plates' ? 'hand plates' : null);

/** All sources. */
export const SOURCES: { readonly [K in SourceKind]: SourceEntry<K> } = {
  typed: { label: 'typed by hand', offers: () => true, gauge: nothing, device: nothing, hold: nothing },
  simulated: {
    label: 'a simulated device',
    offers: () => true,
    gauge: onPlates,
    device: ({ fault, speed }, { protocol, sort, athleteId, hand, leverCm }) =>
      simulatedDevice({
        ...{ kind: deviceKindOf(protocol), athleteId, hand, of: protocol.of, leverCm },
        ...{ program: PROGRAM_OF[sort], isActive: protocol.kind === 'active range' },
        ...(sort === 'plates' && { effortPercent: 100 }),
        ...{ fault, speed },
      }),
    hold: ({ fault, speed }, { holdS, ...hold }) => {
      const s = Math.min(LONGEST_HOLD_S, Math.max(1, Math.round(holdS)));
      return simulatedDevice({ kind: 'grip', program: 'hold', ...hold, holdS: s, fault, speed });
    },
  },
  photo: {
    label: 'a photo, by three points',
    offers: (sort) => sort === 'angle',
    gauge: () => 'photo',
    device: nothing,
    hold: nothing,
  },
  phone: {
    label: 'this phone’s sensor',
    offers: (sort) => sort === 'angle' && hasOrientation(),
    gauge: () => 'phone',
    device: (_source, { sort }) => (sort === 'angle' ? phoneDevice() : null),
    hold: nothing,
  },
  file: {
    label: 'a recording (CSV)',
    offers: () => false,
    gauge: (sort) => (sort === 'angle' ? 'phone' : onPlates(sort)),
    device: ({ device }) => device,
    hold: ({ device }) => device,
  },
};

/** The entry of a source, of whichever kind. */
const entryOf = <K extends SourceKind>({ kind }: { readonly kind: K }): SourceEntry<K> => SOURCES[kind];

/** With what a source measures, as it is kept; what the protocol says where it says nothing else. */
export const gaugeOf = (source: Source, sort: TrialSort | null): Gauge | null => entryOf(source).gauge(sort);

/** The device of a source for a hand; null where numbers are typed, or where it cannot measure this. */
export function deviceFor(source: Source, turn: Omit<Turn, 'sort'>): Device | null {
  const sort = trialSortOf(turn.protocol);
  return sort === null ? null : entryOf(source).device(source, { ...turn, sort });
}

/** The device of a source for a force that is kept; null where there is none. */
export const deviceForHold = (source: Source, hold: Hold): Device | null => entryOf(source).hold(source, hold);
