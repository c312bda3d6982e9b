import type { StartingPoint } from '../programme/schedule.js';
import type { METHODS } from './methods.js';

/** How the weeks of each shipped method begin. Working choices, from how its schools train: a coach moves and changes what comes of them. */
export const STARTING_POINTS: Readonly<Record<keyof typeof METHODS, StartingPoint>> = {
  'daily-range': {
    words: 'Something every day: ten easy minutes, and on two days a little load for the goal. A deload every fifth week.',
    loadingDays: 2,
    loadingMin: 20,
    easyMin: 10,
    easierEvery: 5,
  },
  'floor-loading': {
    words: 'Three sessions with weight on the hands, easy range in between, a deload every fourth week.',
    loadingDays: 3,
    loadingMin: 25,
    easyMin: 10,
    easierEvery: 4,
  },
  'grip-and-iron': {
    words: 'Two hard sessions with rest days in between, a deload every fourth week.',
    loadingDays: 2,
    loadingMin: 30,
    easyMin: null,
    easierEvery: 4,
  },
  'careful-return': {
    words:
      'A quarter of an hour at low effort every second day, easy movement in between. Progress follows the gates, not the calendar; a deload every fourth week.',
    loadingDays: 3,
    loadingMin: 15,
    easyMin: 10,
    easierEvery: 4,
  },
  'woven-into-practice': {
    words: 'A quarter of an hour inside each of four classes, a deload every fourth week.',
    loadingDays: 4,
    loadingMin: 15,
    easyMin: null,
    easierEvery: 4,
  },
};

/** The starting point of a method; of a studio’s own method that of floor loading, which is usual. */
export const startingPointOf = (methodId: string): StartingPoint =>
  Object.hasOwn(STARTING_POINTS, methodId) ? STARTING_POINTS[methodId as keyof typeof STARTING_POINTS] : STARTING_POINTS['floor-loading'];

/** What easy sessions between are composed for. */
export const EASY_GOAL = 'easy-day';
