import { describe, expect, test } from '@jest/globals';
import { SimulatedDevice } from '../measure/simulated-device.js';
import { readDeviceFile, writeDeviceFile } from './device-file.js';

describe('a recorded file', () => {
  test('comes back as it was written, to its places', () => {
    const samples = new SimulatedDevice({ kind: 'plates', most: 300, program: 'trial' }).samplesTo(3);
    const read = readDeviceFile(writeDeviceFile(samples));
    expect(read.faults).toEqual([]);
    expect(read.samples).toHaveLength(samples.length);
    read.samples.forEach(({ tS, channel, value, unit }, index) => {
      const { tS: at, channel: of, value: was, unit: is } = samples[index]!;
      expect([channel, unit]).toEqual([of, is]);
      expect(Math.abs(tS - at)).toBeLessThanOrEqual(0.00005001);
      expect(Math.abs(value - was)).toBeLessThanOrEqual(0.005001);
    });
  });

  test('may leave out channel and unit, stand in any order, and have decimal commas between semicolons', () => {
    expect(readDeviceFile('value,t_s\n412.5,0.1\n').samples).toEqual([{ tS: 0.1, channel: 'force', value: 412.5, unit: 'N' }]);
    expect(readDeviceFile('t_s;value;unit\n0,5;41,25;kg\n').samples).toEqual([{ tS: 0.5, channel: 'force', value: 41.25, unit: 'kg' }]);
  });

  test.each([
    ['', '/1'],
    ['time,force\n0,1\n', '/1'],
    ['t_s,value\n0,1\nx,2\n', '/3/t_s'],
    ['t_s,value\n0,1\n1,\n', '/3/value'],
    ['t_s,value,unit\n0,1,stone\n', '/2/unit'],
  ])('broken: %j is refused with its place, and nothing is taken', (text, pointer) => {
    const { samples, faults } = readDeviceFile(text);
    expect(faults[0]?.pointer).toBe(pointer);
    expect(samples).toEqual([]);
  });
});
