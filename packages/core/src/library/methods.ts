import type { Method, MethodLookup } from '../model/method.js';
import type { Sequence } from '../model/sequence.js';

const USUAL = {
  effortStepPercent: 10,
  sessionsPerStep: 2,
  // Tissue answers slower than muscle: what hurt simulated athletes grew oftener.
  daysPerStep: 6,
  weakerSideRatio: 1,
  positionChanges: 6,
  hardSpacingH: 48,
  weeklyGrowthPercent: 20,
  balanceBand: 4,
} as const;

/** Five complete sets of choices. Their numbers are working values: a coach copies one and changes it. */
export const METHODS = {
  'daily-range': {
    ...USUAL,
    id: 'daily-range',
    name: 'Daily range',
    reason:
      'A little every day keeps every direction of hand and wrist reachable; nothing hard enough to need a day off.',
    elbow: 'soft',
    pressure: 'even',
    dosing: 'repetitions',
    sides: 'equal',
    speed: 'slow',
    stretching: 'short before, long after',
    effort: 'medium',
    discomfort: 'none',
    frequency: 'daily',
    variety: 'same',
    afterCare: 'warmth',
    effortCeilingPercent: 60,
    asksCorners: true,
  },
  'floor-loading': {
    ...USUAL,
    id: 'floor-loading',
    name: 'Floor loading',
    reason:
      'Hands that will carry the body are prepared by carrying more and more of it, straight arms and awake fingers.',
    elbow: 'straight',
    pressure: 'fingers',
    dosing: 'repetitions',
    sides: 'together',
    speed: 'slow',
    stretching: 'short before, long after',
    effort: 'maximal',
    discomfort: 'mild',
    frequency: 'every training day',
    variety: 'same',
    afterCare: 'warmth',
    effortCeilingPercent: 90,
    balanceBand: 6,
    asksCorners: false,
  },
  'grip-and-iron': {
    ...USUAL,
    id: 'grip-and-iron',
    name: 'Grip and iron',
    reason: 'Strength by weights, holds and hangs, hard and seldom, with as much opening as closing.',
    elbow: 'soft',
    pressure: 'even',
    dosing: 'repetitions',
    sides: 'one at a time',
    speed: 'fast bouts',
    stretching: 'after each strength block',
    effort: 'maximal',
    discomfort: 'mild',
    frequency: 'two or three',
    variety: 'rotate',
    afterCare: 'cold',
    effortCeilingPercent: 100,
    positionChanges: 8,
    asksCorners: false,
  },
  'careful-return': {
    ...USUAL,
    id: 'careful-return',
    name: 'Careful return',
    reason:
      'After trouble: low effort at several angles, the weaker hand first and a little more, no discomfort at all.',
    elbow: 'soft',
    pressure: 'even',
    dosing: 'repetitions',
    sides: 'weaker first',
    speed: 'slow',
    stretching: 'contract–relax',
    effort: 'gentle',
    discomfort: 'none',
    frequency: 'daily',
    variety: 'same',
    afterCare: 'warmth',
    sessionsPerStep: 3,
    daysPerStep: 7,
    effortCeilingPercent: 40,
    weakerSideRatio: 1.3,
    weeklyGrowthPercent: 10,
    asksCorners: false,
  },
  'woven-into-practice': {
    ...USUAL,
    id: 'woven-into-practice',
    name: 'Woven into practice',
    reason: 'Wrists are cared for inside a class, paced by the breath, both hands together, few changes of place.',
    elbow: 'soft',
    pressure: 'fingers',
    dosing: 'breaths',
    sides: 'together',
    speed: 'slow',
    stretching: 'short before, long after',
    effort: 'medium',
    discomfort: 'mild',
    frequency: 'every training day',
    variety: 'rotate',
    afterCare: 'warmth',
    effortCeilingPercent: 70,
    positionChanges: 4,
    balanceBand: 6,
    asksCorners: true,
  },
} as const satisfies Record<string, Method>;

/** What a sequence goes by that names no method. */
export const USUAL_METHOD: Method = METHODS['floor-loading'];
/** Finds a shipped method by id. */
export const shippedMethod: MethodLookup = (id) =>
  Object.hasOwn(METHODS, id) ? (METHODS as Record<string, Method>)[id] : undefined;

/** The method that a sequence goes by: the one it names, else the usual one. @param lookup finds shipped and own methods */
export const methodOf = (
  { methodId }: { readonly methodId?: Sequence['methodId'] | undefined },
  lookup: MethodLookup,
): Method => (methodId === undefined ? undefined : lookup(methodId)) ?? USUAL_METHOD;
