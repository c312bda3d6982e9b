import { amountOf, type Dose, type WorkKind } from './dose.js';

type Range = readonly [min: number, max: number];

/** The customary range of one kind of work; what is not named is not judged. */
export interface UsualRange {
  readonly label: string;
  readonly amount: Partial<Record<WorkKind, Range>>;
  readonly sets?: Range;
  readonly effortPercent?: Range;
  readonly holdS?: Range;
  /** Why a value outside matters. */
  readonly why: string;
}

/**
 * Dose ranges in use among coaches of the field. Working values, meant to be started from and departed from knowingly;
 * where a range rests on a publication it is named.
 */
export const USUAL_RANGES = {
  'slow-circles': {
    label: 'slow circles',
    amount: { repetitions: [2, 20], time: [10, 60] },
    sets: [1, 3],
    why: 'Two or three maximal circles, or up to twenty easy ones, keep control to the end of the range.',
  },
  'fast-free-motion': {
    label: 'fast free motion',
    amount: { time: [10, 60], repetitions: [10, 60] },
    sets: [1, 3],
    why: 'Beyond a minute, speed gives way to a tired swing.',
  },
  'planted-rocks': {
    label: 'planted rocks',
    amount: { repetitions: [8, 12], time: [30, 60], breaths: [3, 6] },
    sets: [1, 3],
    why: 'Fewer do not warm the range; many more load a joint that is only being prepared.',
  },
  'stretch-before': {
    label: 'stretch before training',
    amount: { time: [10, 30], breaths: [1, 3] },
    sets: [1, 3],
    // Behm et al. 2016, Appl Physiol Nutr Metab 41:1–11: beyond 60 s per muscle strength drops.
    why: 'More than 60 s per muscle right before strength work lowers strength.',
  },
  'sensitive-isometrics': {
    label: 'gentle isometrics',
    amount: { repetitions: [5, 10] },
    sets: [1, 3],
    effortPercent: [20, 40],
    holdS: [3, 5],
    why: 'Low effort first; raise by about ten points a week.',
  },
  isometrics: {
    label: 'isometrics',
    amount: { repetitions: [4, 10] },
    sets: [1, 4],
    effortPercent: [40, 85],
    holdS: [3, 8],
    why: 'Long maximal holds invite a held breath and a shake that grows.',
  },
  'planted-strength': {
    label: 'planted strength',
    amount: { repetitions: [5, 10], time: [15, 30] },
    sets: [1, 3],
    why: 'Build to 30 s or 2–3 × 10, then lean further rather than longer.',
  },
  'finger-isolation': {
    label: 'finger isolation',
    amount: { repetitions: [5, 15], time: [10, 60] },
    sets: [1, 3],
    why: 'Ten to fifteen per finger; quality goes first.',
  },
  'grip-holds': {
    label: 'grip holds',
    amount: { repetitions: [3, 12], time: [5, 40] },
    sets: [1, 5],
    effortPercent: [30, 90],
    holdS: [2, 10],
    why: 'Squeezes of about 5 s up to holds of 30 s; only the last one to form failure.',
  },
  settling: {
    label: 'settling',
    amount: { time: [20, 120], breaths: [3, 12], repetitions: [5, 20] },
    sets: [1, 2],
    why: 'Settling is slow; too short and nothing lets go.',
  },
} as const satisfies Record<string, UsualRange>;
export type DosingKind = keyof typeof USUAL_RANGES;

/** Sentences on what in a dose lies outside its customary range; empty when all is usual. */
export function unusualInDose(dose: Dose, kind: DosingKind): string[] {
  const range: UsualRange = USUAL_RANGES[kind];
  const notes: string[] = [];
  const judge = (value: number | undefined, usual: Range | undefined, unit: string) => {
    if (value === undefined || !usual || (value >= usual[0] && value <= usual[1])) return;
    const where = value < usual[0] ? 'below' : 'above';
    notes.push(`${value} ${unit} is ${where} the usual ${usual[0]}–${usual[1]} ${unit} for ${range.label}.`);
  };
  const unit = { repetitions: 'repetitions', time: 's', breaths: 'breaths' }[dose.work.kind];
  judge(amountOf(dose.work), range.amount[dose.work.kind], unit);
  judge(dose.sets, range.sets, 'sets');
  judge(dose.effortPercent, range.effortPercent, '% effort');
  judge(dose.holdS, range.holdS, 's hold');
  return notes.length ? [...notes, range.why] : [];
}
