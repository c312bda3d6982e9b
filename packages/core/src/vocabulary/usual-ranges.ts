import type { WorkKind } from './work.js';

/** From and to, both of them inside. */
export type Range = readonly [min: number, max: number];

/** The customary range of one kind of work; what is not named is not judged. */
export interface UsualRange {
  readonly label: string;
  readonly amount: Partial<Record<WorkKind, Range>>;
  readonly sets?: Range;
  readonly effortPercent?: Range;
  readonly holdS?: Range;
  /** Why a value outside matters. */
  readonly why: string;
  /** Where the range comes from: a publication, or the practice of coaches. */
  readonly source: string;
}

const PRACTICE = 'common practice among coaches';
const BOHM = 'Bohm, Mersmann, Arampatzis 2015, Sports Med Open 1:7';
const BEHM = 'Behm et al. 2016, Appl Physiol Nutr Metab 41:1–11';
const THOMAS = 'Thomas et al. 2018, Int J Sports Med 39:243–54';

/**
 * Dose ranges in use among coaches of the field. Working values, meant to be started from and departed from knowingly;
 * where a range rests on a publication it is named.
 */
export const USUAL_RANGES = {
  'slow-circles': {
    label: 'slow circles',
    amount: { repetitions: [2, 20], time: [10, 60] },
    sets: [1, 3],
    why: 'Two or three full-range circles, or up to twenty easy ones, keep control to the end of the range.',
    source: PRACTICE,
  },
  'fast-free-motion': {
    label: 'fast free movement',
    amount: { time: [10, 60], repetitions: [10, 60] },
    sets: [1, 3],
    why: 'Beyond a minute, speed turns into a tired swing.',
    source: PRACTICE,
  },
  'planted-rocks': {
    label: 'planted rocks',
    amount: { repetitions: [8, 12], time: [30, 60], breaths: [3, 6] },
    sets: [1, 3],
    why: 'Fewer won’t warm up the range; many more load a joint you only want to prepare.',
    source: PRACTICE,
  },
  'stretch-before': {
    label: 'stretch before training',
    amount: { time: [10, 30], breaths: [1, 3] },
    sets: [1, 3],
    why: 'More than 60 s per muscle right before strength work lowers strength.',
    source: BEHM,
  },
  'sensitive-isometrics': {
    label: 'gentle isometrics',
    amount: { repetitions: [5, 10], time: [5, 45] },
    sets: [1, 3],
    effortPercent: [20, 40],
    holdS: [3, 5],
    why: 'Start with low effort; raise it by about ten points a week.',
    source: PRACTICE,
  },
  isometrics: {
    label: 'isometrics',
    amount: { repetitions: [4, 10], time: [5, 45] },
    sets: [1, 4],
    effortPercent: [40, 85],
    holdS: [3, 8],
    why: 'Long maximal holds lead to held breath and shaking.',
    source: PRACTICE,
  },
  'planted-strength': {
    label: 'planted strength',
    amount: { repetitions: [5, 10], time: [15, 30] },
    sets: [1, 3],
    why: 'Build up to 30 s or 2–3 × 10, then lean further rather than longer.',
    source: PRACTICE,
  },
  'finger-isolation': {
    label: 'finger isolation',
    amount: { repetitions: [5, 15], time: [10, 60] },
    sets: [1, 3],
    why: 'Ten to fifteen per finger; quality first.',
    source: PRACTICE,
  },
  'grip-holds': {
    label: 'grip holds',
    amount: { repetitions: [3, 12], time: [5, 40] },
    sets: [1, 5],
    effortPercent: [30, 90],
    holdS: [2, 10],
    why: 'From squeezes of about 5 s up to holds of 30 s; only the last one until form breaks down.',
    source: PRACTICE,
  },
  'tendon-glides': {
    label: 'tendon glides',
    amount: { repetitions: [4, 10], time: [20, 60] },
    sets: [1, 3],
    holdS: [1, 5],
    why: 'One or two sets of four with high tension, or up to three of ten with none.',
    source: PRACTICE,
  },
  'nerve-glides': {
    label: 'nerve glides',
    amount: { repetitions: [3, 8] },
    sets: [1, 2],
    holdS: [0, 0],
    why: 'Move through a nerve glide, don’t stretch it: few, slow, and never held.',
    source: PRACTICE,
  },
  'band-openings': {
    label: 'band openings',
    amount: { repetitions: [10, 100], time: [15, 120] },
    sets: [1, 3],
    why: 'Light and many: up to a hundred in one go, with changing arm positions; open wide to the last.',
    source: PRACTICE,
  },
  'stretch-after': {
    label: 'stretch after training or on its own day',
    amount: { time: [20, 60], breaths: [2, 6] },
    sets: [1, 3],
    why: 'Range improves from about five minutes per muscle and week, in holds of 20 to 60 s.',
    source: THOMAS,
  },
  'end-range-isometrics': {
    label: 'isometrics at the end of the range',
    amount: { repetitions: [3, 5], time: [6, 30] },
    sets: [1, 2],
    effortPercent: [70, 100],
    holdS: [6, 8],
    why: 'Five repeats of six to eight seconds into the range; test the range before and after.',
    source: PRACTICE,
  },
  'bearing-holds': {
    label: 'bearing holds',
    amount: { time: [10, 45], breaths: [2, 6] },
    sets: [1, 5],
    why: 'Start at fifteen seconds and build to thirty; then lean further rather than stay longer.',
    source: PRACTICE,
  },
  'free-weights': {
    label: 'free weights',
    amount: { repetitions: [8, 15], time: [20, 60] },
    sets: [1, 3],
    why: 'Start very light: the last repetitions must look like the first.',
    source: PRACTICE,
  },
  carries: {
    label: 'carries',
    amount: { time: [15, 40], distance: [20, 40] },
    sets: [1, 4],
    why: 'Twenty to forty metres; only the last one until form breaks down.',
    source: PRACTICE,
  },
  'tendon-loading': {
    label: 'tendon loading',
    amount: { repetitions: [3, 5], time: [20, 45] },
    sets: [3, 5],
    effortPercent: [65, 100],
    holdS: [2, 5],
    why: 'Tendons respond to about 70 % effort and more, held for seconds; leave 48 hours before the next such session.',
    source: BOHM,
  },
  'edge-holds': {
    label: 'edge holds',
    amount: { time: [5, 30], repetitions: [3, 10] },
    sets: [1, 5],
    holdS: [3, 10],
    why: 'Short holds well below maximum; fingers recover slowly.',
    source: PRACTICE,
  },
  hangs: {
    label: 'hangs',
    amount: { time: [5, 45] },
    sets: [1, 5],
    why: 'Let go while the grip is still safe.',
    source: PRACTICE,
  },
  settling: {
    label: 'settling',
    amount: { time: [20, 120], breaths: [3, 12], repetitions: [5, 20] },
    sets: [1, 2],
    why: 'Cooling down takes time; too short and nothing lets go.',
    source: PRACTICE,
  },
} as const satisfies Record<string, UsualRange>;
/** The kind of dosing that a usual range belongs to. */
export type DosingKind = keyof typeof USUAL_RANGES;
