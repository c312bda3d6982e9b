import { expect, test } from '@jest/globals';
import { METHODS, shippedMovement } from '../../library/index.js';
import { must } from '../../vocabulary/lists.js';
import { forecastCoverage } from './forecast-coverage.js';

// Each prediction is some hundred courses: benchmarks/forecast.mjs asks many more people, of every kind.
test.each([0, 1] as const)('eight predictions in ten come true, or few are made: %i levels ahead', (levelsAhead) => {
  const movement = must(shippedMovement('bearing.palm-support'), 'palm support');
  const asked = { movement, method: METHODS['floor-loading'], kind: 'usual' as const, people: 30, seed: 7, sessionsPerWeek: 4 };
  const { predicted, within, before, after } = forecastCoverage({ ...asked, levelsAhead });
  expect(predicted).toBeGreaterThan(10);
  expect(within + before + after).toBe(predicted);
  expect(within / predicted).toBeGreaterThan(0.6);
});
