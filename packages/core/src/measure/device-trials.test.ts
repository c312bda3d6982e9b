import { describe, expect, test } from '@jest/globals';
import type { DeviceSample } from './device.js';
import {
  allOutFrom,
  allOutOf,
  deviceKindOf,
  faultsIn,
  lineReader,
  OVER_AFTER_S,
  platesNow,
  reportOf,
  TRIAL_SORTS,
  trialSortOf,
} from './device-trials.js';
import { ALL_OUT, contractionsAbove, repeatsAbove } from './critical-force.js';
import { isEffortOver, NOTHING_SEEN, watched } from './effort-watch.js';
import { LED_PROTOCOLS, protocolOf } from './protocols.js';
import { DEVICE_FAULTS, type DeviceFault, mostOn, programSeconds, SimulatedDevice, type SimulatedSetup } from './simulated-device.js';
import { capacityOf, rangeWithHelpDeg } from '../mechanics/capacity.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { must } from '../vocabulary/lists.js';

const MAN = referencePerson(REFERENCE_BODIES.male, '2026-06-01');
const played = (setup: SimulatedSetup) => new SimulatedDevice(setup).samplesTo(programSeconds(setup.program, setup.holdS) + 9);
const grip = (fault: DeviceFault = 'none') => played({ kind: 'grip', most: 400, program: 'trial', fault });

describe('how a trial is read', () => {
  test('follows from what is measured', () => {
    const sortOf = (id: string) => trialSortOf(must(protocolOf(id), id));
    expect(['active.wrist-flexion', 'load.all-fours', 'force.grip', 'all-out.grip', 'span.thumb-span', 'hold.hang'].map(sortOf)).toEqual([
      'angle',
      'plates',
      'force',
      'all-out',
      null,
      null,
    ]);
    expect(
      ['force.edge-pull', 'force.grip', 'force.wrist-flexion', 'passive.pronation'].map((id) => deviceKindOf(must(protocolOf(id), id))),
    ).toEqual(['edge', 'grip', 'grip', 'angle']);
    for (const protocol of LED_PROTOCOLS) expect([null, ...TRIAL_SORTS]).toContain(trialSortOf(protocol));
  });

  test.each([
    ['none', []],
    ['lost connection', ['No data from the device for']],
    ['stuck value', ['the device kept repeating']],
    ['over range', ['the device was at the end of its range']],
    ['clock jump', ['clock jumped from']],
    ['flood', ['averaged to 500']],
  ] as const)('of a force gauge: %s', (fault, said) => {
    const report = reportOf('force', grip(fault));
    const words = faultsIn(report);
    expect(words).toHaveLength(said.length);
    said.forEach((part, index) => expect(words[index]).toContain(part));
    // Whatever was wrong, what is good of it is kept.
    expect(report.sort === 'force' && report.trace.peakN).toBeGreaterThan(250);
  });

  test('a unit that changes on the way makes a force worth nothing', () => {
    expect(DEVICE_FAULTS).toContain('wrong unit');
    expect(lineReader('force')(grip('wrong unit'))).toBeNull();
    const report = reportOf('force', grip('wrong unit'));
    expect(report.sort === 'force' && report.trace.peakN).toBeNull();
  });

  test('of an angle sensor that lost its connection the angle stands, and it is said', () => {
    const report = reportOf('angle', played({ kind: 'angle', most: 70, program: 'trial', fault: 'lost connection' }));
    expect(report.sort === 'angle' && report.angle.deg).toBeGreaterThan(68);
    expect(faultsIn(report)[0]).toContain('No data from the device');
  });

  test('plates show what lies on each this moment', () => {
    const at = (tS: number, channel: string, value: number): DeviceSample => ({ tS, channel, value, unit: 'kg' });
    expect(platesNow([at(0, 'left', 10), at(0, 'right', 12), at(1, 'left', 20)])).toMatchObject({ tS: 0 });
    expect(platesNow([at(0, 'left', 10), at(0, 'right', 12)])!.leftN).toBeCloseTo(98.07, 1);
    expect(platesNow([at(0, 'left', 10)])).toBeUndefined();
  });
});

describe('the all-out test', () => {
  const test24 = played({ kind: 'grip', most: 500, program: 'all-out', noise: 3 });

  test('has its contractions, whatever the gauge shows at rest', () => {
    const report = reportOf('all-out', test24);
    if (report.sort !== 'all-out') throw new Error('An all-out test was asked for.');
    const { contractionsN, criticalForce: force } = report.test;
    expect(contractionsN).toHaveLength(ALL_OUT.contractions);
    expect([...contractionsN].sort((a, b) => b - a)).toEqual(contractionsN);
    const offset = test24.map((sample) => ({ tS: sample.tS, valueN: sample.value + 25 }));
    expect(allOutOf(offset).criticalForce!.criticalForceN).toBeCloseTo(force!.criticalForceN, 0);
  });

  test('goes on through its rests, and is over once the hand stays open', () => {
    const forces = test24.map(({ tS, value }) => ({ tS, valueN: value }));
    const until = (seconds: number) =>
      watched(
        NOTHING_SEEN,
        forces.filter(({ tS }) => tS <= seconds),
      );
    expect(isEffortOver(until(10.5), OVER_AFTER_S['all-out'])).toBe(false);
    expect(isEffortOver(until(10.5), OVER_AFTER_S.force)).toBe(true);
    expect(isEffortOver(until(programSeconds('all-out') + 8), OVER_AFTER_S['all-out'])).toBe(true);
  });

  test('broken off before half of it, it tells nothing, and says what it takes', () => {
    const { criticalForce, faults } = allOutFrom([300, 290, 280]);
    expect(criticalForce).toBeNull();
    expect(faults).toEqual(['Found 3 contractions; at least 12 are needed.']);
    expect(allOutOf([]).faults[0]).toContain('0 contractions');
  });

  test('what is above critical force is spoken of in contractions, which people do', () => {
    // 24 from 400 N down to 160 N: by hand, critical force 160 N; 70 % of 400 is 280 N, 120 N above, 840 N·s a contraction.
    const contractions = Array.from({ length: 24 }, (_, index) => Math.max(160, 400 - 20 * index));
    const { criticalForce } = allOutFrom(contractions);
    expect(criticalForce!.capacityAboveNs).toBe(7 * 20 * ((12 * 13) / 2));
    expect(contractionsAbove(criticalForce!, 280)).toBe(Math.floor(10_920 / 840));
    const repeats = repeatsAbove(criticalForce!);
    expect(repeats.map(({ percentOfBest }) => percentOfBest)).toEqual([60, 70, 80, 90]);
    expect(repeats.every(({ contractions: count }, index) => index === 0 || count < repeats[index - 1]!.contractions)).toBe(true);
    expect(repeats.at(-1)!.contractions).toBeLessThan(12);
  });
});

describe('how strong a simulated hand is', () => {
  test('is as strong as the person, in what is measured', () => {
    expect(mostOn('grip', MAN, 'right')).toBe(capacityOf(MAN, 'grip', 'right').value);
    expect(mostOn('grip', MAN, 'right', { of: 'pinch' })).toBe(capacityOf(MAN, 'pinch', 'right').value);
    expect(mostOn('grip', MAN, 'right', { of: 'ring finger' })).toBeLessThan(mostOn('edge', MAN, 'right') / 3);
    const moment = capacityOf(MAN, 'wrist flexion', 'right').value;
    expect(mostOn('grip', MAN, 'right', { of: 'wrist flexion', leverCm: 10 })).toBeCloseTo(moment / 0.1, 6);
  });

  test('goes less far by its own muscles than with help, in the motion that is asked', () => {
    const far = (of: string, isActive: boolean) => mostOn('angle', MAN, 'left', { of, isActive });
    expect(far('wrist flexion', false)).toBe(rangeWithHelpDeg(MAN, 'wrist flexion', 'left').deg);
    expect(far('wrist flexion', true)).toBeLessThan(far('wrist flexion', false) - 5);
    expect(far('radial deviation', false)).toBeLessThan(50);
  });

  test('holds for as long as it is asked to', () => {
    expect(programSeconds('hold', 30) - programSeconds('hold', 5)).toBeCloseTo(25, 6);
    const held = played({ kind: 'grip', most: 400, program: 'hold', share: 0.4, holdS: 12 }).filter(({ value }) => value > 150);
    expect(held.at(-1)!.tS - held[0]!.tS).toBeGreaterThan(11.5);
  });
});
