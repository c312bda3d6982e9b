import type { Fault } from '../vocabulary/fault.js';

/** Everything wrong with a method, by JSON pointer; empty when it can be worked by. */
export function checkMethod(method: Method): Fault[] {
  const faults: Fault[] = [];
  const { nameLength, reasonLength } = METHOD_TEXT;
  const text = (field: 'name' | 'reason', most: number) => {
    const { length } = method[field].trim();
    if (length < 1 || length > most) faults.push({ pointer: `/${field}`, message: `must have 1–${most} characters` });
  };
  text('name', nameLength);
  text('reason', reasonLength);
  for (const policy of POLICY_NAMES) {
    const options = Object.keys(POLICIES[policy].options);
    if (!options.includes(method[policy])) {
      faults.push({ pointer: `/${policy}`, message: `${POLICIES[policy].label} must be one of ${options.join(', ')}` });
    }
  }
  for (const field of Object.keys(METHOD_LIMITS) as MethodNumber[]) {
    const { min, max, unit } = METHOD_LIMITS[field];
    if (!(method[field] >= min && method[field] <= max)) {
      faults.push({ pointer: `/${field}`, message: `${METHOD_NUMBERS[field]}: within ${min}–${max} ${unit}` });
    }
  }
  return faults;
} /**
 * What practitioners differ on, each as a choice among schools. Every policy is read somewhere: by the cues, by a dose when a block is
 * added, by the order of sides, by the checks, by the advice on discomfort, by the settle phase.
 */
export const POLICIES = {
  elbow: {
    label: 'Elbow under load',
    options: {
      straight: 'straight and turned out',
      soft: 'slightly bent, load carried by muscle',
    },
  },
  pressure: {
    label: 'Pressure in the hand',
    options: {
      even: 'even over the whole hand',
      fingers: 'toward the fingers, heel light',
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
      mild: 'mild, if it stops with the exercise and is gone next morning',
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
    options: { same: 'the same routine, to measure by', rotate: 'rotated, against boredom' },
  },
  afterCare: {
    label: 'After-care',
    options: { cold: 'cold', warmth: 'warmth and motion' },
  },
} as const;
export type PolicyName = keyof typeof POLICIES;
export const POLICY_NAMES = Object.keys(POLICIES) as PolicyName[];
export type Policies = { readonly [P in PolicyName]: keyof (typeof POLICIES)[P]['options'] };

/** The numbers of a method, with their bounds. */
export const METHOD_LIMITS = {
  effortCeilingPercent: { min: 10, max: 100, step: 5, unit: '%' },
  weakerSideRatio: { min: 1, max: 2, step: 0.1, unit: '×' },
  positionChanges: { min: 1, max: 20, step: 1, unit: 'in ten minutes' },
  hardSpacingH: { min: 12, max: 96, step: 6, unit: 'h' },
  weeklyGrowthPercent: { min: 5, max: 100, step: 5, unit: '%' },
  balanceBand: { min: 1.5, max: 10, step: 0.5, unit: ': 1' },
} as const;
export type MethodNumber = keyof typeof METHOD_LIMITS;
export const METHOD_NUMBERS: Record<MethodNumber, string> = {
  effortCeilingPercent: 'No block above this effort',
  weakerSideRatio: 'Work of the weaker side over the other’s',
  positionChanges: 'Changes of body position',
  hardSpacingH: 'Between hard sessions of fingers or wrists',
  weeklyGrowthPercent: 'A week may grow by',
  balanceBand: 'Opposite muscles may differ by',
};

/** A coach's named set of policies. `asksCorners` makes every session visit the four ends of the two-joint muscles. */
export interface Method extends Policies {
  readonly id: string;
  readonly name: string;
  /** One line: what this way of working is for. */
  readonly reason: string;
  readonly effortCeilingPercent: number;
  readonly weakerSideRatio: number;
  readonly positionChanges: number;
  readonly hardSpacingH: number;
  readonly weeklyGrowthPercent: number;
  readonly balanceBand: number;
  readonly asksCorners: boolean;
}
export const METHOD_TEXT = { nameLength: 60, reasonLength: 200 } as const;

/** Finds a method by id; lets a studio's own stand beside the shipped ones. */
export type MethodLookup = (methodId: string) => Method | undefined;
