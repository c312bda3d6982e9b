import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { checkFit } from '../../model/fit.js';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { METHODS, shippedMethod } from '../../library/methods.js';
import { checkDose } from '../../model/check-dose.js';
import { checkMethod, type Method, METHOD_LIMITS, POLICIES, POLICY_NAMES } from '../../model/method.js';
import { doseFor, sidesFor } from './method-dose.js';
import { cuesFor } from '../words/method-words.js';

const methods: Method[] = Object.values(METHODS);

describe('shipped methods', () => {
  test('five complete sets of choices that differ', () => {
    expect(methods).toHaveLength(5);
    for (const method of methods) {
      expect(checkMethod(method)).toEqual([]);
      expect(shippedMethod(method.id)).toBe(method);
      expect(sentenceText(method.reason)).toMatch(/\.$/);
    }
    const sets = new Set(methods.map((method) => POLICY_NAMES.map((policy) => method[policy]).join()));
    expect(sets.size).toBe(5);
  });

  test('every school of every policy is taken by somebody, or can be chosen', () => {
    for (const policy of POLICY_NAMES) {
      const taken = new Set(methods.map((method) => method[policy]));
      expect(taken.size).toBeGreaterThan(1);
      for (const option of taken) expect(Object.keys(POLICIES[policy].options)).toContain(option);
    }
  });

  test('a method that cannot be worked by is told field by field', () => {
    const broken = {
      ...METHODS['daily-range'],
      name: ' ',
      elbow: 'locked',
      effortCeilingPercent: 140,
    } as unknown as Method;
    expect(checkMethod(broken).map(({ pointer }) => pointer)).toEqual(['/name', '/elbow', '/effortCeilingPercent']);
    for (const field of Object.keys(METHOD_LIMITS) as (keyof typeof METHOD_LIMITS)[]) {
      const missing = { ...METHODS['daily-range'], [field]: undefined } as unknown as Method;
      expect(checkMethod(missing).map(({ pointer }) => pointer)).toEqual([`/${field}`]);
    }
  });
});

describe('doses by method', () => {
  test.each(methods.map((method) => [method.name, method] as const))(
    '%s: every level of the library gets a dose that fits it',
    (_name, method) => {
      for (const movement of LIBRARY) {
        for (const level of movement.ladder) {
          const dose = doseFor(movement, level, method, 'left');
          expect([...checkDose(dose), ...checkFit(dose, movement)]).toEqual([]);
          if (dose.effortPercent !== undefined) expect(dose.effortPercent).toBeLessThanOrEqual(method.effortCeilingPercent);
        }
      }
    },
  );

  test('sides follow the policy where the movement lets them', () => {
    const press = shippedMovement('isometric.flexion')!;
    const squeeze = shippedMovement('grip.pinch-hold')!;
    expect(sidesFor(press, METHODS['careful-return'], 'right')).toBe('right-then-left');
    expect(sidesFor(press, METHODS['careful-return'], null)).toBe('left-then-right');
    expect(sidesFor(squeeze, METHODS['floor-loading'], null)).toBe('together');
    expect(sidesFor(shippedMovement('rock.palm-fore-aft')!, METHODS['grip-and-iron'], null)).toBe('together');
  });

  test('a method that counts breaths doses rocks by breaths', () => {
    const rock = shippedMovement('rock.palm-fore-aft')!;
    const dose = doseFor(rock, rock.ladder[1]!, METHODS['woven-into-practice'], null);
    expect(rock.work.includes('breaths') ? dose.work.kind : 'breaths').toBe('breaths');
  });
});

describe('cues by method', () => {
  const plank = shippedMovement('bearing.palm-support')!;
  const level = plank.ladder.find(({ id }) => id === 'plank')!;

  test('elbow and pressure are worded by the method, and said once', () => {
    const straight = cuesFor(plank, level, METHODS['floor-loading']);
    const soft = cuesFor(plank, level, METHODS['daily-range']);
    expect(straight[0]).toContain('straight');
    expect(soft[0]).toContain('bent');
    expect(straight[1]).toContain('finger pads');
    expect(soft[1]).toContain('even');
    for (const cues of [straight, soft]) expect(cues.filter((cue) => /elbow/i.test(cue))).toHaveLength(1);
  });

  test('a free hand keeps its movement’s cues', () => {
    const circles = shippedMovement('free.wrist-circles')!;
    expect(cuesFor(circles, circles.ladder[0], METHODS['floor-loading'])).toEqual(circles.cues);
  });
});
