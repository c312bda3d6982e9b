import {
  type Action,
  between,
  BODY_LIMITS,
  type CapacitySource,
  CONTACTS,
  type Fault,
  FACINGS,
  HANDS,
  type Limit,
  list,
  type Of,
  oneOf,
  optional,
  POSTURE_LIMITS,
  type PostureField,
  QUANTITIES,
  READING,
  type Quantity,
  record,
  type Sex,
  SEXES,
  STANCE_FIELDS,
  USUAL_POSTURES,
  type UsualPosture,
  bounded,
  type Sentence,
} from '@clay-pot/core';
import { IsBetween, IsId, IsWord } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

const CM_PER_M = 100;
const metres = ({ min, max, step }: Limit): Limit => ({
  min: min / CM_PER_M,
  max: max / CM_PER_M,
  step: step / CM_PER_M,
  unit: 'm',
});
const AGE = { min: 5, max: 110, step: 1, unit: 'years' } as const;

/** Whose body it is. What is left out is taken from the reference person of that sex, and named in the answer as estimated. */
const BODY = record(
  {
    sex: optional(oneOf(SEXES)),
    statureM: optional(between(metres(BODY_LIMITS.statureCm))),
    massKg: optional(between(BODY_LIMITS.massKg)),
    ageYears: optional(bounded(AGE)),
  },
  { what: 'a body' },
);
/** A body by itself, for whoever is not in the studio. */
export type BodyInput = Of<typeof BODY>;

const USUAL = Object.keys(USUAL_POSTURES) as UsualPosture[];
const { support, shanks, surface, face, leanDeg, hipAngleDeg, distanceM } = STANCE_FIELDS;
const { handHeightM, supportHeightM, elbowBendDeg, leftShare, padPressure, heelLiftDeg } = STANCE_FIELDS;

/**
 * A posture on the hands: a usual one to start from, and what differs. Of leanDeg, hipAngleDeg and distanceM two are kept and the third
 * follows; giving one of them replaces the one of the usual posture that follows from it.
 */
const POSTURE = record(
  {
    /** May be left out when `support` says what the body rests on: then the usual posture of that support is meant. */
    from: optional(oneOf(USUAL)),
    support: optional(support),
    contact: optional(oneOf(CONTACTS)),
    facing: optional(oneOf(FACINGS)),
    face: optional(face),
    surface: optional(surface),
    shanks: optional(shanks),
    leanDeg,
    hipAngleDeg,
    distanceM,
    handHeightM: optional(handHeightM),
    supportHeightM: optional(supportHeightM),
    elbowBendDeg: optional(elbowBendDeg),
    leftShare: optional(leftShare),
    padPressure: optional(padPressure),
    heelLiftDeg: optional(heelLiftDeg),
  },
  { what: 'a posture' },
);
/** A posture as a question gives it: a usual one to begin from, and what differs. */
export type PostureInput = Of<typeof POSTURE>;

/** A posture needs something to start from. */
function checkPostureInput({ from, support: rests }: PostureInput): Fault[] {
  if (from !== undefined || rests !== undefined) return [];
  return [{ pointer: '/from', message: `must be one of ${USUAL.join(', ')}, or give a support` }];
}

/** One maximum or range that was measured; today where no day is given. */
const MEASURED = record({ ...READING.properties, onDay: optional(READING.properties.onDay) }, { what: 'a reading' });
type MeasuredInput = Of<typeof MEASURED>;
const STRENGTH = { min: 0.2, max: 4, step: 0.01, unit: 'times the norm' } as const;

/** Of whom something is asked: an athlete of the studio, a body, or nobody in particular. */
export class PersonInput {
  /** An athlete of the studio: body and measured maxima and ranges are read from the record. What `body` gives comes first. */
  @OptionalField()
  @IsId('an athlete')
  readonly athleteId?: string;
  @OptionalField()
  @IsDocument(BODY)
  readonly body?: BodyInput;
  /** Maxima are taken to be this many times the norm of sex, age and body mass: 1.4 is a practised person. */
  @OptionalField()
  @IsBetween(STRENGTH, 'Strength')
  readonly strengthOfNorm?: number;
  /** Maxima and ranges that were measured, beside those on record. */
  @OptionalField()
  @IsDocument(list(MEASURED, { max: 100 }))
  readonly measured?: readonly MeasuredInput[];
}

/** Whose hands, and in which posture. */
export class PostureQuestion extends PersonInput {
  @IsDocument(POSTURE, checkPostureInput)
  readonly posture: PostureInput;
}

/** Values that any quantity may be aimed at; each has its own unit. */
const TARGET_VALUE = {
  min: Math.min(...Object.values(QUANTITIES).map(({ min }) => min)),
  max: Math.max(...Object.values(QUANTITIES).map(({ max }) => max)),
  step: 0.1,
  unit: 'of the quantity',
};
/** What a solution should reach, and in which hand. */
const TARGET = record(
  {
    quantity: oneOf(Object.keys(QUANTITIES) as Quantity[]),
    /** In the quantity's unit: % of body weight, % of own maximum, degrees (extension counts up), N·m. */
    value: between(TARGET_VALUE),
    hand: oneOf(HANDS),
  },
  { what: 'a target' },
);
/** What a solution should reach, and in which hand. */
export type TargetInput = Of<typeof TARGET>;

/** A posture, the number that may vary, and what it should reach. */
export class SolveQuestion extends PostureQuestion {
  /** The field of the posture to change. */
  @IsWord(Object.keys(POSTURE_LIMITS))
  readonly vary: PostureField;
  @IsDocument(TARGET)
  readonly target: TargetInput;
}

/** The load on one hand, and what it can take. */
export interface HandAnswer {
  loadN: number;
  loadPercentBW: number;
  wristMomentNm: number;
  fingerMomentNm: number;
  /** What stretched tissue carries of the wrist’s moment. */
  tissueMomentNm: number;
  /** Above 0 what straightens the elbow holds it, below what bends it. */
  elbowMomentNm: number;
  /** Above 0 what draws the arm down holds it, below what lifts it. */
  shoulderMomentNm: number;
  effortPercent: number;
  efforts: {
    action: Action;
    demand: number;
    unit: 'N·m' | 'N';
    capacity: number;
    /** Spread of what is believed of the capacity, a log-sd. */
    capacityLogSd: number;
    capacitySource: CapacitySource;
    effortPercent: number;
    /** Four fifths of people of whom as much is known lie between. */
    effortInterval: readonly [low: number, high: number];
  }[];
  /** What is left of the range with help: negative when the posture asks for more than there is. */
  rangeMarginDeg: number | null;
  rangeSource: 'measured' | 'estimated' | null;
}

/** What a posture asks of the hands, the wrist angle, and the joints that it was computed from. */
export interface PostureAnswer {
  /** Both hands together, percent of body weight; on the forearms nothing is on the hands. */
  handsPercentBW: number;
  /** What the arms carry together: the hands, or the forearms. */
  bothPercentBW: number;
  left: HandAnswer;
  right: HandAnswer;
  forearmsPercentBW: number;
  /** Extension counts up, flexion down. */
  wristAngleDeg: number;
  heldBy: string;
  copAheadM: number;
  pressure: { heel: number; knuckles: number; pads: number };
  leanDeg: number;
  hipAngleDeg: number;
  distanceM: number;
  jointsM: Record<string, { x: number; y: number }>;
  /** Largest imbalance of forces (N) and moments (N·m) over the whole body. */
  freeBodyResidual: number;
  body: { sex: Sex; statureM: number; massKg: number };
  /** What the athlete’s cautions say against this for each hand: who is not cleared loads nothing, whatever the numbers say. */
  against: { left: Sentence[]; right: Sentence[] };
  /** What was not on record and is taken from a reference person. */
  estimated: string[];
}

/** The value that reaches the target, and what the posture then asks. */
export interface SolveAnswer {
  field: PostureField;
  value: number;
  unit: string;
  /** Of a value found for an effort: what four fifths of people of whom as much is known would need; null on a side where nothing gives it. */
  interval: readonly [low: number | null, high: number | null] | null;
  answer: PostureAnswer;
}
