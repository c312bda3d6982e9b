import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { TUnsafe } from '@sinclair/typebox';
import type { Limit } from '../vocabulary/limit.js';
import { type Of, oneOf, record, text, trueOrFalse, bounded } from '../vocabulary/schema.js';

/**
 * What practitioners differ on, each as a choice among schools. Every policy is read somewhere: by the cues, by a dose when a block is
 * added, by the order of sides, by the checks, by the advice on discomfort, by the settle phase.
 */
export const POLICIES = {
  elbow: {
    label: 'Elbow under load',
    options: {
      straight: 'straight and turned out',
      soft: 'slightly bent, so muscle carries the load',
    },
  },
  pressure: {
    label: 'Pressure in the hand',
    options: {
      even: 'even over the whole hand',
      fingers: 'more on the fingers, heel light',
    },
  },
  dosing: {
    label: 'Dosing',
    options: { repetitions: 'by repetitions', time: 'by time', breaths: 'by breaths' },
  },
  sides: {
    label: 'Sides',
    options: {
      equal: 'both equally',
      'weaker first': 'weaker side first, and more',
      'one at a time': 'one hand at a time',
      together: 'both together',
    },
  },
  speed: {
    label: 'Speed',
    options: { slow: 'slow and controlled', 'fast bouts': 'slow, with fast bouts' },
  },
  stretching: {
    label: 'Stretching',
    options: {
      'short before, long after': 'short before, long after',
      'after each strength block': 'right after each strength block',
      'contract–relax': 'contract–relax',
    },
  },
  effort: {
    label: 'Effort',
    options: {
      gentle: 'gentle, 20–40 %',
      medium: 'medium, 40–60 %',
      maximal: 'up to maximal at the end of the range',
    },
  },
  discomfort: {
    label: 'Discomfort',
    options: {
      none: 'none allowed',
      mild: 'mild, if it stops with the exercise and is gone the next morning',
    },
  },
  frequency: {
    label: 'Frequency',
    options: {
      daily: 'a little, daily',
      'two or three': 'two or three full sessions a week',
      'every training day': 'every training day',
    },
  },
  variety: {
    label: 'Variety',
    options: { same: 'the same routine, so progress is measurable', rotate: 'rotating, against boredom' },
  },
  afterCare: {
    label: 'After-care',
    options: { cold: 'cold', warmth: 'warmth and movement' },
  },
} as const;
/** The name of one of a method’s policies. */
export type PolicyName = keyof typeof POLICIES;
/** The choices of a method, as they are listed. */
export const POLICY_NAMES = Object.keys(POLICIES) as PolicyName[];
/** A choice for each policy. */
export type Policies = { readonly [P in PolicyName]: keyof (typeof POLICIES)[P]['options'] };

/** The numbers of a method, with their bounds. */
export const METHOD_LIMITS = {
  effortCeilingPercent: { min: 10, max: 100, step: 5, unit: '%' },
  effortStepPercent: { min: 1, max: 20, step: 1, unit: 'points' },
  sessionsPerStep: { min: 1, max: 6, step: 1, unit: 'sessions' },
  daysPerStep: { min: 0, max: 21, step: 1, unit: 'days' },
  weakerSideRatio: { min: 1, max: 2, step: 0.1, unit: '×' },
  positionChanges: { min: 1, max: 20, step: 1, unit: 'in ten minutes' },
  hardSpacingH: { min: 12, max: 96, step: 6, unit: 'h' },
  weeklyGrowthPercent: { min: 5, max: 100, step: 5, unit: '%' },
  balanceBand: { min: 1.5, max: 10, step: 0.5, unit: ': 1' },
} as const satisfies Record<string, Limit>;
/** The name of one of a method’s numbers. */
export type MethodNumber = keyof typeof METHOD_LIMITS;
/** What the numbers are called. */
export const METHOD_NUMBERS: Record<MethodNumber, string> = {
  effortCeilingPercent: 'Maximum effort of any block',
  effortStepPercent: 'Step by which the effort of a press increases',
  sessionsPerStep: 'Clean sessions before a dose increases',
  daysPerStep: 'Minimum days between increases',
  weakerSideRatio: 'Work of the weaker side compared with the other',
  positionChanges: 'Changes of position',
  hardSpacingH: 'Between hard sessions of fingers or wrists',
  weeklyGrowthPercent: 'Weekly increase up to',
  balanceBand: 'Opposite muscles may differ by',
};
/** The numbers of a method, as they are listed. */
export const METHOD_NUMBER_NAMES = Object.keys(METHOD_LIMITS) as MethodNumber[];
/** Bounds of a method’s texts. */
export const METHOD_TEXT = { nameLength: 60, reasonLength: 200 } as const;

const schools = Object.fromEntries(
  POLICY_NAMES.map((policy) => [policy, oneOf(Object.keys(POLICIES[policy].options), POLICIES[policy].label)]),
) as { [P in PolicyName]: TUnsafe<Policies[P]> };
const numbers = Object.fromEntries(METHOD_NUMBER_NAMES.map((name) => [name, bounded(METHOD_LIMITS[name], METHOD_NUMBERS[name])])) as {
  [N in MethodNumber]: ReturnType<typeof bounded>;
};

/** A coach's named set of policies. Its id is the address it is stored under. */
export const METHOD = record({
  name: text(METHOD_TEXT.nameLength, 1, 'Name'),
  /** One line: what this way of working is for. */
  reason: text(METHOD_TEXT.reasonLength, 1, 'Purpose'),
  ...schools,
  ...numbers,
  /** Whether every session visits the four ends of the two-joint muscles. */
  asksCorners: trueOrFalse(),
});
/** A way of working that a studio follows. */
export type Method = Of<typeof METHOD> & { readonly id: string };

/** Everything wrong with a method, by JSON pointer; empty when it can be worked by. */
export function checkMethod({ id: _id, ...method }: Method): Fault[] {
  return faultsOf(METHOD, method);
}

/** Finds a method by id; lets a studio's own stand beside the shipped ones. */
export type MethodLookup = (methodId: string) => Method | undefined;
