import {
  type Action,
  BODY_LIMITS,
  type Contact,
  CONTACTS,
  type Face,
  FACES,
  type Facing,
  FACINGS,
  type Hand,
  HANDS,
  POSTURE_LIMITS,
  type PostureField,
  QUANTITIES,
  type Quantity,
  type Sex,
  SEXES,
  type Support,
  SUPPORTS,
  type Surface,
  SURFACES,
  USUAL_POSTURES,
  type UsualPosture,
} from '@clay-pot/core';
import { Type } from 'class-transformer';
import { IsIn, IsObject, IsUUID, ValidateIf, ValidateNested } from 'class-validator';
import { MayBeAbsent, Within } from './bounded.js';

const metres = ({ min, max }: { min: number; max: number }) => ({
  min: min / 100,
  max: max / 100,
  step: 0.001,
  unit: 'm',
});
const oneOf = (words: readonly string[]) => ({ message: `must be one of ${words.join(', ')}` });
const AGE = { min: 5, max: 110, step: 1, unit: 'years' };

/** Whose body it is. What is left out is taken from the reference person of that sex, and named in the answer as estimated. */
export class BodyInput {
  @MayBeAbsent()
  @IsIn(SEXES, oneOf(SEXES))
  sex?: Sex;

  @MayBeAbsent()
  @Within(metres(BODY_LIMITS.statureCm))
  statureM?: number;

  @MayBeAbsent()
  @Within(BODY_LIMITS.massKg)
  massKg?: number;

  @MayBeAbsent()
  @Within(AGE)
  ageYears?: number;
}

const USUAL = Object.keys(USUAL_POSTURES);

/**
 * A posture on the hands: a usual one to start from, and what differs. Of leanDeg, hipAngleDeg and distanceM two are kept and the third
 * follows; giving one of them replaces the one of the usual posture that follows from it.
 */
export class PostureInput {
  /** May be left out when `support` says what the body rests on: then the usual posture of that support is meant. */
  @ValidateIf((posture: PostureInput) => posture.from !== undefined || posture.support === undefined)
  @IsIn(USUAL, { message: `must be one of ${USUAL.join(', ')}; or give a support` })
  from?: UsualPosture;

  @MayBeAbsent()
  @IsIn(SUPPORTS, oneOf(SUPPORTS))
  support?: Support;

  @MayBeAbsent()
  @IsIn(CONTACTS, oneOf(CONTACTS))
  contact?: Contact;

  @MayBeAbsent()
  @IsIn(FACINGS, oneOf(FACINGS))
  facing?: Facing;

  @MayBeAbsent()
  @IsIn(FACES, oneOf(FACES))
  face?: Face;

  @MayBeAbsent()
  @IsIn(SURFACES, oneOf(SURFACES))
  surface?: Surface;

  @MayBeAbsent()
  @IsIn(['resting', 'lifted'], oneOf(['resting', 'lifted']))
  shanks?: 'resting' | 'lifted';

  /** A number, or `square` for arms at a right angle to the trunk. */
  @ValidateIf((posture: PostureInput) => posture.leanDeg !== undefined && posture.leanDeg !== 'square')
  @Within(POSTURE_LIMITS.leanDeg)
  leanDeg?: number | 'square';

  @MayBeAbsent()
  @Within({ ...POSTURE_LIMITS.hipAngleDeg, step: 0.1 })
  hipAngleDeg?: number;

  @MayBeAbsent()
  @Within(POSTURE_LIMITS.distanceM)
  distanceM?: number;

  @MayBeAbsent()
  @Within(POSTURE_LIMITS.handHeightM)
  handHeightM?: number;

  @MayBeAbsent()
  @Within(POSTURE_LIMITS.supportHeightM)
  supportHeightM?: number;

  @MayBeAbsent()
  @Within({ ...POSTURE_LIMITS.elbowBendDeg, step: 0.1 })
  elbowBendDeg?: number;

  /** The left hand's share of what both bear: 0.5 even, 1 left only. */
  @MayBeAbsent()
  @Within(POSTURE_LIMITS.leftShare)
  leftShare?: number;

  @MayBeAbsent()
  @Within(POSTURE_LIMITS.padPressure)
  padPressure?: number;

  @MayBeAbsent()
  @Within({ ...POSTURE_LIMITS.heelLiftDeg, step: 0.1 })
  heelLiftDeg?: number;
}

export class PostureQuestion {
  /** An athlete of the studio: body and measured maxima and ranges are read from the record. What `body` gives comes first. */
  @MayBeAbsent()
  @IsUUID(undefined, { message: 'must be the id of an athlete' })
  athleteId?: string;

  @MayBeAbsent()
  @IsObject({ message: 'must be a body' })
  @ValidateNested()
  @Type(() => BodyInput)
  body?: BodyInput;

  @IsObject({ message: 'must be a posture' })
  @ValidateNested()
  @Type(() => PostureInput)
  posture: PostureInput;
}

const FIELDS = Object.keys(POSTURE_LIMITS);
const QUANTITY_NAMES = Object.keys(QUANTITIES);

export class TargetInput {
  @IsIn(QUANTITY_NAMES, oneOf(QUANTITY_NAMES))
  quantity: Quantity;

  /** In the quantity's unit: % of body weight, % of own maximum, degrees (extension counts up), N·m. */
  @Within({ min: -180, max: 300, step: 0.1, unit: 'of the quantity' })
  value: number;

  @IsIn(HANDS, oneOf(HANDS))
  hand: Hand;
}

export class SolveQuestion extends PostureQuestion {
  /** The field of the posture to change. */
  @IsIn(FIELDS, oneOf(FIELDS))
  vary: PostureField;

  @IsObject({ message: 'must be a target' })
  @ValidateNested()
  @Type(() => TargetInput)
  target: TargetInput;
}

/** What one hand bears and what it takes. */
export interface HandAnswer {
  loadN: number;
  loadPercentBW: number;
  wristMomentNm: number;
  fingerMomentNm: number;
  effortPercent: number;
  efforts: {
    action: Action;
    demand: number;
    unit: 'N·m' | 'N';
    capacity: number;
    capacitySource: 'measured' | 'estimated';
    effortPercent: number;
  }[];
  /** What is left of the range with help: negative when the posture asks for more than there is. */
  rangeMarginDeg: number | null;
  rangeSource: 'measured' | 'estimated' | null;
}

export interface PostureAnswer {
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
  /** What was not on record and is taken from a reference person. */
  estimated: string[];
}

export interface SolveAnswer {
  field: PostureField;
  value: number;
  unit: string;
  answer: PostureAnswer;
}
