import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { ALL_OUT } from './critical-force.js';
import { momentOf, USUAL_LEVER_CM } from './gauge-lever.js';
import { DEVICE_KINDS, type DeviceKind, type DeviceSample, NEWTONS_OF } from './device.js';
import { capacityOf, type Person, rangeWithHelpDeg } from '../mechanics/capacity.js';
import { PASSIVE_GAIN } from '../mechanics/norms.js';
import type { Hand } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import { isAction } from '../vocabulary/measures.js';
import { RANGE_MOTIONS } from '../vocabulary/motions.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** What the hand on a simulated device does: one trial at its most, a hold at a share of it, the all-out test, or nothing. */
export const DEVICE_PROGRAMS = ['trial', 'hold', 'all-out', 'rest'] as const;
/** What the hand on a simulated device does. */
export type DeviceProgram = (typeof DEVICE_PROGRAMS)[number];

/** What a simulated device does wrong, for trying out what is said of it. */
export const DEVICE_FAULTS = ['none', 'lost connection', 'stuck value', 'wrong unit', 'over range', 'clock jump', 'flood'] as const;
/** What a simulated device does wrong. */
export type DeviceFault = (typeof DEVICE_FAULTS)[number];

/** Whose hand it is, and how the device is. */
export interface SimulatedSetup {
  readonly kind: DeviceKind;
  /** The most of this hand, in the device’s unit. */
  readonly most: number;
  readonly program: DeviceProgram;
  /** Share of the most that is held, 0–1, and for how long, s; of a hold. */
  readonly share?: number;
  readonly holdS?: number;
  /** Standard deviation of the device’s noise, in its unit. */
  readonly noise?: number;
  /** How far its zero wanders in a minute, in its unit. */
  readonly driftPerMin?: number;
  /** Whether the hand tires; by itself only where it squeezes. */
  readonly tires?: boolean;
  readonly fault?: DeviceFault;
  readonly seed?: number;
}

const RISE_S = 0.35;
const FALL_S = 0.2;
const REST_BEFORE_S = 1;
const TRIAL_S = 4;
const HOLD_S = 8;
/** A held force trembles by some percent, eight to twelve times a second. */
const TREMBLE = 0.012;
const TREMBLE_HZ = 9;
/** What can be kept up for good in all-out work, and how fast it is come to. */
const KEPT_UP = 0.38;
const TIRES_OVER_S = 38;
/** When the fault sets in, and for how long a connection is lost. */
const FAULT_AT_S = 2.6;
const LOST_FOR_S = 0.8;
const FLOOD_HZ = 5000;
const SECONDS_PER_MINUTE = 60;
const USUAL_NOISE_N = 1.5;
const USUAL_NOISE_DEG = 0.3;
/** Two plates share what is pressed, the second a little less. */
const ON_TWO_PLATES = [0.52, 0.48] as const;
const RANGE_THAT_ENDS_EARLY = 0.8;

/** Of the plates: what a person on all fours puts on both. */
const ALL_FOURS_SHARE = 0.42;

/** What is measured on a device. */
export interface OnDevice {
  /** An action, a motion, a finger: as readings are of it. */
  readonly of?: string | undefined;
  /** Of an angle: whether help brings it further than its own muscles. */
  readonly isActive?: boolean | undefined;
  /** Of a moment: how far from the joint the gauge pushes, cm. */
  readonly leverCm?: number | undefined;
}

/** Of a squeeze of all four fingers one alone brings about this much. */
const ONE_FINGER = 0.25;

/** The most that a hand of somebody puts on a device of a kind, in its unit. */
export function mostOn(kind: DeviceKind, person: Person, hand: Hand, on: OnDevice = {}): number {
  switch (kind) {
    case 'grip':
    case 'edge':
      return mostForce(person, hand, on);
    case 'plates':
      return ALL_FOURS_SHARE * person.body.massKg * GRAVITY;
    case 'angle': {
      const motion = RANGE_MOTIONS.find((each) => each === on.of) ?? 'wrist extension';
      const { deg } = rangeWithHelpDeg(person, motion, hand);
      return on.isActive ? deg - PASSIVE_GAIN.value : deg;
    }
  }
}

function mostForce(person: Person, hand: Hand, { of = 'grip', leverCm = USUAL_LEVER_CM }: OnDevice): number {
  if (isAction(of)) {
    const { value, unit } = capacityOf(person, of, hand);
    return unit === 'N' ? value : value / momentOf(1, leverCm);
  }
  const part = of.endsWith('finger') ? ONE_FINGER : 1;
  return part * capacityOf(person, of.endsWith('pinch') ? 'pinch' : 'grip', hand).value;
}

/** How long a program lasts, s. */
export function programSeconds(program: DeviceProgram, holdS: number = HOLD_S): number {
  if (program === 'all-out') return REST_BEFORE_S + ALL_OUT.contractions * (ALL_OUT.workS + ALL_OUT.restS);
  return program === 'rest' ? Infinity : REST_BEFORE_S + RISE_S + (program === 'trial' ? TRIAL_S : holdS) + FALL_S + 0.5;
}

/**
 * A device that is not there: the same setup always sends the same values. `samplesTo(s)` gives what it sent since the last time, up to so many seconds
 * after it was switched on.
 */
export class SimulatedDevice {
  private readonly random: RandomGenerator;
  private readonly hz: number;
  private sent = 0;
  private stuckAt: number | null = null;
  private worked = 0;

  constructor(private readonly setup: SimulatedSetup) {
    this.random = xoroshiro128plus(setup.seed ?? 1);
    this.hz = setup.fault === 'flood' ? FLOOD_HZ : DEVICE_KINDS[setup.kind].hz;
  }

  samplesTo(seconds: number): DeviceSample[] {
    const samples: DeviceSample[] = [];
    for (; this.sent / this.hz < seconds; this.sent++) samples.push(...this.at(this.sent / this.hz));
    return samples;
  }

  private at(tS: number): DeviceSample[] {
    const { fault = 'none', kind } = this.setup;
    const isFaulty = tS >= FAULT_AT_S;
    if (fault === 'lost connection' && isFaulty && tS < FAULT_AT_S + LOST_FOR_S) return [];
    const reportedS = fault === 'clock jump' && isFaulty ? tS - 2 : tS;
    const { channels } = DEVICE_KINDS[kind];
    return channels.map((channel, index) => this.sampleOf(channel, index, tS, reportedS, isFaulty));
  }

  private sampleOf(channel: string, index: number, tS: number, reportedS: number, isFaulty: boolean): DeviceSample {
    const { kind, fault = 'none' } = this.setup;
    const { unit } = DEVICE_KINDS[kind];
    let value = this.shownAt(index, tS);
    if (fault === 'stuck value' && isFaulty) value = this.stuckAt ??= value;
    return fault === 'wrong unit' && isFaulty && unit === 'N'
      ? { tS: reportedS, channel, value: value / NEWTONS_OF.kg, unit: 'kg' }
      : { tS: reportedS, channel, value, unit };
  }

  /** What the device shows of a channel: the force, its noise and its drift, up to the end of its range. */
  private shownAt(index: number, tS: number): number {
    const { kind, fault = 'none', driftPerMin = 0, most } = this.setup;
    const { unit, range, hz, channels } = DEVICE_KINDS[kind];
    const noise = this.setup.noise ?? (unit === '°' ? USUAL_NOISE_DEG : USUAL_NOISE_N);
    const part = channels.length === 2 ? itemAt(ON_TWO_PLATES, index) : 1;
    const value = this.forceAt(tS, hz) * part + noise * this.normal() + (driftPerMin * tS) / SECONDS_PER_MINUTE;
    return Math.min(fault === 'over range' ? most * RANGE_THAT_ENDS_EARLY : range, value);
  }

  /** The hand’s force at an instant: rise, hold with a tremble, fall; less as it tires. */
  private forceAt(tS: number, hz: number): number {
    const { kind, most, program, share = 1, holdS = HOLD_S } = this.setup;
    // What a wrist or a plate shows does not fade as a squeeze does.
    const { tires = DEVICE_KINDS[kind].channels[0] === 'force' } = this.setup;
    if (program === 'rest') return 0;
    const s = tS - REST_BEFORE_S;
    const cycle = ALL_OUT.workS + ALL_OUT.restS;
    const isAllOut = program === 'all-out';
    const cycleS = isAllOut ? s % cycle : s;
    const lasts = isAllOut ? ALL_OUT.workS : RISE_S + (program === 'trial' ? TRIAL_S : holdS);
    const isOver = isAllOut && s >= ALL_OUT.contractions * cycle;
    if (s < 0 || isOver) return 0;
    const shape = Math.max(0, Math.min(1, cycleS / RISE_S, (lasts + FALL_S - cycleS) / FALL_S));
    if (shape > 0) this.worked += 1 / hz;
    const left = tires ? KEPT_UP + (1 - KEPT_UP) * Math.exp(-this.worked / TIRES_OVER_S) : 1;
    const wanted = program === 'hold' ? Math.min(share, left) : left;
    return most * wanted * shape * (1 + TREMBLE * Math.sin(2 * Math.PI * TREMBLE_HZ * tS));
  }

  /** Normal by two uniforms (Box, Muller 1958). */
  private normal(): number {
    const [a, b] = [uniformFloat64(this.random), uniformFloat64(this.random)];
    return Math.sqrt(-2 * Math.log(1 - a)) * Math.cos(2 * Math.PI * b);
  }
}
