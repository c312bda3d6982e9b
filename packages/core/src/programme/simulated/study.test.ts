import { describe, expect, test } from '@jest/globals';
import { METHODS, shippedMovement } from '../../library/index.js';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { itemAt, must } from '../../vocabulary/lists.js';
import { drawnAthlete } from './athlete.js';
import { chanceOf } from './chance.js';
import { freshState, respond, rested } from './respond.js';
import { simulatedLevels } from './simulated-levels.js';
import { shareOf } from '../../effort/share.js';
import { type StudyQuestion, studied } from './study.js';

const movement = must(shippedMovement('strength.palm-lift'), 'palm lift');
const levels = simulatedLevels(movement, referencePerson(REFERENCE_BODIES['not stated'], '2026-01-05'));
const question = (more: Partial<StudyQuestion> = {}): StudyQuestion => ({
  movement,
  methods: [METHODS['floor-loading']],
  ...{
    athletes: 200,
    seed: 20261128,
    weeks: 12,
    sessionsPerStep: 2,
    daysPerStep: 6,
    sessionsPerWeek: null,
    easierEvery: 4,
    bandAthletes: 0,
  },
  ...more,
});
const one = (more?: Partial<StudyQuestion>) => itemAt(studied(question(more)), 0);

describe('simulated athletes', () => {
  test('the same seed is the same people and the same figures, another is another', () => {
    expect(one()).toEqual(one());
    expect(one({ seed: 7 })).not.toEqual(one());
    expect(one().climbed.value).toBeCloseTo(2.0, 0);
  });

  test('who is stronger, rests longer or has a higher threshold is hurt less often', () => {
    const prescribed = { level: itemAt(levels, 3), sets: 3, amount: 10, effortPercent: null };
    const flares = (change: object, restDays: number) => {
      let count = 0;
      for (let seed = 0; seed < 300; seed++) {
        const chance = chanceOf(seed);
        const who = { ...drawnAthlete(chance), strength: 1, threshold: 1, tolerance: 1, ...change };
        let state = freshState(who);
        for (let session = 0; session < 4; session++) {
          const { flared, state: after } = respond(who, state, prescribed, chance);
          if (flared) {
            count++;
            break;
          }
          state = rested(who, after, restDays);
        }
      }
      return count;
    };
    const usual = flares({}, 2);
    expect(flares({ threshold: 1.6 }, 2)).toBeLessThan(usual);
    expect(flares({}, 4)).toBeLessThan(usual);
    expect(flares({ tolerance: 1.5 }, 2)).toBeLessThan(usual);
  });

  test('a dose that is too much for somebody fails within it, and is felt as hard', () => {
    const chance = chanceOf(3);
    const who = { ...drawnAthlete(chance), lean: 0, scatter: 0 };
    const at = (strength: number) =>
      respond(
        { ...who, strength },
        freshState({ ...who, strength }),
        { level: itemAt(levels, 3), sets: 2, amount: 10, effortPercent: null },
        chance,
      );
    expect(at(2).setsDone).toBe(2);
    expect(at(0.45).setsDone).toBeLessThan(2);
    expect(at(0.45).exertion).toBeGreaterThan(at(2).exertion);
  });

  test('what hurt them was changed: growing at every chance flares up more, and comes no further', () => {
    const [hasty, weekly] = [one({ daysPerStep: 0, easierEvery: 0 }), one()];
    expect(weekly.flaredUp.high).toBeLessThan(hasty.flaredUp.low);
    expect(weekly.climbed.value).toBeGreaterThan(hasty.climbed.value);
  });

  test('left to the methods, each goes at its own pace', () => {
    const [usual, own] = [METHODS['floor-loading'], { ...METHODS['floor-loading'], sessionsPerStep: 4, daysPerStep: 14 }];
    const left = { sessionsPerStep: null, daysPerStep: null };
    expect(one({ ...left, methods: [usual] })).toEqual(one());
    const [slow] = studied(question({ ...left, methods: [own] }));
    expect(slow?.climbed.value).toBeLessThan(one().climbed.value);
  });

  test('intervals hold what they say: a share by Wilson, a mean by its error', () => {
    expect(shareOf(0, 100).low).toBeCloseTo(0, 12);
    expect(shareOf(0, 100).high).toBeCloseTo(0.037, 3);
    const rows = Array.from({ length: 20 }, (_, seed) => one({ seed: 1000 + seed, athletes: 100 }));
    const middle = rows.reduce((sum, { climbed }) => sum + climbed.value, 0) / rows.length;
    const holding = rows.filter(({ climbed }) => climbed.low <= middle && middle <= climbed.high).length;
    expect(holding).toBeGreaterThanOrEqual(17);
  });
});

test('says how far its figures move with its constants, which is far more than chance moves them', () => {
  const { flaredUp, climbed, band } = one({ athletes: 400, bandAthletes: 60 });
  expect(band.flaredUp[0]).toBeLessThan(flaredUp.low);
  expect(band.flaredUp[1]).toBeGreaterThan(flaredUp.high);
  expect(band.flaredUp[1] - band.flaredUp[0]).toBeGreaterThan(0.15);
  expect(band.climbed[0]).toBeLessThanOrEqual(climbed.value);
  expect(band.climbed[1]).toBeGreaterThanOrEqual(climbed.value);
  // The constants are where they were.
  expect(one({ athletes: 100 })).toEqual(one({ athletes: 100 }));
});
