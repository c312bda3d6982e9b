import { describe, expect, test } from '@jest/globals';
import { bandOf, bandOfPress, bandWatched, NOT_TRIED, scoreIn, scoreOf } from './band.js';
import { contractionsIn } from './contractions.js';
import { criticalForceOf } from './critical-force.js';
import { DEVICE_KINDS, type DeviceKind, type DeviceSample, forceReader } from './device.js';
import { type DeviceFault, programSeconds, SimulatedDevice } from './simulated-device.js';
import { traceOf } from './trace.js';
import { capacityOf } from '../mechanics/capacity.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';

const trial = (fault: DeviceFault = 'none', kind: DeviceKind = 'grip') =>
  new SimulatedDevice({ kind, most: 420, program: 'trial', fault }).samplesTo(programSeconds('trial'));

const forcesOf = (samples: readonly DeviceSample[], channel: string) => forceReader((each) => each === channel)(samples);

describe('a simulated device', () => {
  test('sends the same whenever it is asked, and as often as its kind does', () => {
    const device = new SimulatedDevice({ kind: 'grip', most: 420, program: 'trial' });
    const pieces = [0.4, 1.7, programSeconds('trial')].flatMap((seconds) => device.samplesTo(seconds));
    expect(pieces).toEqual(trial());
    expect(pieces.length).toBeCloseTo(programSeconds('trial') * DEVICE_KINDS.grip.hz, -1);
  });

  test('a trial reads as the hand’s most, and its rise as it was', () => {
    const trace = traceOf(forcesOf(trial(), 'force')!);
    expect(trace.faults).toEqual([]);
    expect(Math.abs(trace.onsetS! - 1)).toBeLessThan(0.03);
    expect(Math.abs(trace.peakN! - 420)).toBeLessThan(12);
    expect(trace.plateauN!).toBeGreaterThan(380);
    expect(trace.steadinessPercent!).toBeLessThan(3);
  });

  test.each<[DeviceFault, string]>([
    ['lost connection', 'lost connection'],
    ['stuck value', 'stuck value'],
    ['over range', 'over range'],
    ['clock jump', 'clock jump'],
    ['flood', 'flooded'],
  ])('%s is found', (fault, kind) => {
    const forces = forcesOf(trial(fault), 'force')!;
    const source = fault === 'over range' ? { rangeN: 420 * 0.8 } : {};
    expect(traceOf(forces, source).faults.map((each) => each.kind)).toContain(kind);
  });

  test('a unit that changes on the way is no signal', () => {
    expect(forcesOf(trial('wrong unit'), 'force')).toBeNull();
    expect(forcesOf(trial('none', 'angle'), 'angle')).toBeNull();
  });

  test('two plates share the weight', () => {
    const samples = trial('none', 'plates');
    const [left, right] = ['left', 'right'].map((channel) => traceOf(forcesOf(samples, channel)!).plateauN!);
    expect(left! / (left! + right!)).toBeCloseTo(0.52, 2);
  });

  test('an all-out test ends at what can be kept up', () => {
    const device = new SimulatedDevice({ kind: 'edge', most: 500, program: 'all-out' });
    const contractions = contractionsIn(forcesOf(device.samplesTo(programSeconds('all-out')), 'force')!);
    expect(contractions).toHaveLength(24);
    const { percentOfBest, faults, capacityAboveNs } = criticalForceOf(contractions);
    expect(percentOfBest).toBeGreaterThan(35);
    expect(percentOfBest).toBeLessThan(50);
    expect(capacityAboveNs).toBeGreaterThan(2000);
    expect(faults).toEqual([]);
  });
});

describe('a band', () => {
  const at = (values: readonly number[]) => values.map((valueN, index) => ({ tS: index / 10, valueN }));
  test('is five points to both sides of the effort', () => {
    expect(bandOf(400, 40, 5)).toEqual({ lowN: 140, highN: 180, forS: 5 });
  });
  test('counts from when it was first reached, and says when it was lost', () => {
    // One second up, three inside, half a second below, two inside: by hand 5.0 of 5.5 s, longest 3 s.
    const values = [
      ...Array<number>(10).fill(50),
      ...Array<number>(31).fill(160),
      ...Array<number>(5).fill(100),
      ...Array<number>(20).fill(160),
    ];
    const score = scoreOf(at(values), bandOf(400, 40, 3));
    expect(score.triedS).toBeCloseTo(5.5, 6);
    expect(score.insideS).toBeCloseTo(5, 6);
    expect(score.scorePercent).toBeCloseTo(90.9, 1);
    expect(score.longestS).toBeCloseTo(3, 6);
    expect(score.isDone).toBe(true);
    expect(score.lost).toEqual([{ atS: 4.1, to: 'below' }]);
  });
  test('that was never reached has no score', () => {
    expect(scoreOf(at([10, 20, 10]), bandOf(400, 40, 5))).toMatchObject({ triedS: 0, scorePercent: 0, isDone: false });
  });
  test('of a press is around the share of this hand’s own most; of a moment by the gauge’s distance', () => {
    const man = referencePerson(REFERENCE_BODIES.male, '2026-06-01');
    const press = (action: 'grip' | 'wrist flexion') => ({
      load: { kind: 'press' as const, action, effortPercent: 50 },
    });
    const grip = bandOfPress(man, press('grip'), { effortPercent: 40, holdS: 6 }, 'right')!;
    const most = capacityOf(man, 'grip', 'right').value;
    expect(grip.lowN / most).toBeCloseTo(0.35, 6);
    expect(grip.highN / most).toBeCloseTo(0.45, 6);
    expect(grip.forS).toBe(6);
    // 12 N·m at 8 cm are 150 N: half of it, five points to both sides.
    const wrist = bandOfPress(man, press('wrist flexion'), {}, 'right', 8)!;
    expect((wrist.lowN + wrist.highN) / 2).toBeCloseTo(capacityOf(man, 'wrist flexion', 'right').value / 0.08 / 2, 3);
    expect(bandOfPress(man, { load: { kind: 'rest', pressN: 0 } }, {}, 'right')).toBeNull();
  });
  test('watched piece by piece comes to the same as all at once', () => {
    const values = Array.from({ length: 80 }, (_, index) => 160 + 30 * Math.sin(index / 5));
    const samples = at(values);
    const band = bandOf(400, 40, 3);
    const pieces = [samples.slice(0, 13), samples.slice(13, 50), samples.slice(50)];
    const watch = pieces.reduce((before, piece) => bandWatched(before, piece, band), NOT_TRIED);
    expect(scoreIn(watch, band)).toEqual(scoreOf(samples, band));
  });
});
