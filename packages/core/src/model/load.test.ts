import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import { publishedSchema } from '../exchange/published-schema.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { leversBetween } from './levers.js';
import { checkLoad, LEVEL_LOAD, LOAD_KINDS } from './load.js';
import { USUAL_POSTURES } from './usual-postures.js';

const { contact: _contact, facing: _facing, ...stance } = USUAL_POSTURES.plank;
const faults = (load: unknown) => checkLoad(load).map(({ pointer, message }) => `${pointer} ${message}`);

describe('a load from outside', () => {
  test.each([
    [null, [' must be an object with a kind']],
    [{ kind: 'magic' }, [`/kind must be one of ${LOAD_KINDS.join(', ')}`]],
    [{ kind: 'press', action: 'grip', effortPercent: 120 }, ['/effortPercent must be within 1–100 %, not 120']],
    [{ kind: 'resist', action: 'lift off', forceN: 5 }, [expect.stringContaining('/action must be one of wrist flexion')]],
    [{ kind: 'rest', pressN: 5, colour: 'red' }, ['/colour is not a known field: remove it or check its spelling']],
    [{ kind: 'lift', massKg: 5, on: 'edge', edgeMm: 20 }, ['/edgeGrip a hold on edge needs its grip on the edge']],
    [{ kind: 'move', actions: [], reachPercent: 50, perMinute: 10, heldKg: 0 }, [expect.stringContaining('/actions must be a list of')]],
    [{ kind: 'body', stance: { ...stance, elbowBendDeg: 999 } }, [expect.stringContaining('/stance/elbowBendDeg')]],
    [{ kind: 'body', stance: { ...stance, support: 'clouds' } }, [expect.stringContaining('/stance/support must be one of knees')]],
    [{ kind: 'body', stance: { ...stance, distanceM: 1 } }, [expect.stringContaining('exactly two of')]],
  ])('%j is refused with the field and what would be right', (load, expected) => {
    expect(faults(load)).toEqual(expected);
  });

  test('a sound one passes', () => {
    expect(faults({ kind: 'body', stance })).toEqual([]);
    expect(faults({ kind: 'lift', massKg: 5, on: 'pinch', pinchMm: 40 })).toEqual([]);
  });
});

describe('the published schema of a load', () => {
  const validate = new Ajv({ discriminator: true, strict: false }).compile(publishedSchema(LEVEL_LOAD));
  test('takes every load of the library and refuses what the check refuses', () => {
    for (const { ladder } of LIBRARY) for (const { load } of ladder) expect([load, validate(load)]).toEqual([load, true]);
    for (const load of [
      { kind: 'magic' },
      { kind: 'press', action: 'grip', effortPercent: 120 },
      { kind: 'rest', pressN: 5, colour: 'red' },
    ]) {
      expect(checkLoad(load)).not.toEqual([]);
      expect(validate(load)).toBe(false);
    }
  });
});

describe('levers of difficulty', () => {
  const steps = (id: string) => {
    const { ladder } = shippedMovement(id)!;
    return ladder.slice(1).map((level, index) => leversBetween(ladder[index]!, level));
  };
  test('are read from the numbers of both levels', () => {
    expect(steps('bearing.incline-support')[2]).toContain('hands lower');
    expect(steps('edge.lift-open')).toEqual([['heavier'], ['smaller edge']]);
    expect(steps('hang.feet-supported')[0]).toEqual(['feet carry less']);
    expect(steps('bearing.one-hand-shift')[1]).toContain('knees → feet');
    expect(steps('weight.roller-up')[1]).toContain('arms in front');
  });
});
