import type { AthleteInput } from '@clay-pot/contracts';
import { type Equipment, FORM, type Hand, type RecordedCaution } from '@clay-pot/core';
import { DEMO_GOALS } from './programmes.js';
import { type Build, BUILDS } from './builds.js';
import type { SequenceKey } from './sequences.js';

/** The course of somebody's weeks: how often they come, what goes wrong, and how much discomfort is usual. */
export interface PersonPlan {
  readonly weeks: number;
  readonly missChance: number;
  /** Usual discomfort after loaded blocks, 0–10. */
  readonly discomfort: number;
  /** The side that falls short, if one does. */
  readonly weakSide?: Hand;
  /** Weeks ago in which loading hurt; the sessions around it were cut short. */
  readonly flareWeeksAgo?: number;
  /** Discomfort reported after the very last session, when it calls for a decision. */
  readonly lastDiscomfort?: number;
  /** A fault of form that was seen until so many weeks ago, and in the very last session again where it says so. */
  readonly faults?: {
    readonly movementId: string;
    readonly hand: Hand;
    readonly fault: string;
    readonly untilWeeksAgo: number;
    readonly atLast: boolean;
  };
}

/** Tobi’s: the pads go quiet in the support. */
const PADS = {
  ...{ movementId: 'bearing.palm-support', untilWeeksAgo: 5, atLast: true },
  hand: 'left',
  fault: FORM.pads,
} as const;

/** A made-up person, with a body, cautions, and how their weeks went. */
export interface DemoPerson {
  readonly athlete: AthleteInput;
  readonly gives: {
    readonly sequence: SequenceKey;
    readonly weekdayOffsets: readonly number[];
    /** Whether they do a version of their own. */
    readonly isOwn?: boolean;
  };
  readonly course: PersonPlan;
  /** Their level against the norm; null for who was never tested. */
  readonly build: Build | null;
  /** Between tests; without it three times in their weeks. */
  readonly retestedEveryWeeks?: number;
  /** Of the check-in; without it at the start of their weeks, for who has one. */
  readonly askedDaysAgo?: number;
  /** Of their programme; null without one. */
  readonly goalId: string | null;
}

const IN_THE_HALL: Equipment[] = ['mat', 'chair', 'table', 'wall', 'bench', 'soft ball', 'firm ball', 'finger band'];

function person(
  [name, practice, birthDate]: [string, string, string],
  [sex, dominantHand, statureCm, massKg]: [AthleteInput['sex'], Hand, number, number],
  gives: DemoPerson['gives'],
  course: PersonPlan,
  notes: string,
  cautions: RecordedCaution[] = [],
  more: Equipment[] = [],
): DemoPerson {
  const equipment = [...IN_THE_HALL, ...more];
  const body = { birthDate, sex, dominantHand, statureCm, massKg };
  return {
    athlete: { name, practice, ...body, equipment, cautions, notes },
    ...{ gives, course },
    build: BUILDS[name] ?? null,
    goalId: DEMO_GOALS[name] ?? null,
  };
}

/** The twelve athletes of Lanternfield Hall, all made up. Birth dates are given as years before today. */
export function demoPeople(birthDate: (yearsAgo: number, monthDay: string) => string): DemoPerson[] {
  const base = { sequence: 'palms', weekdayOffsets: [0, 2, 4] } as const;
  return [
    person(
      ['Ines Okafor-Lund', 'Acrobat pair, base', birthDate(31, '04-17')],
      ['female', 'right', 172, 71],
      base,
      { weeks: 8, missChance: 0.08, discomfort: 1 },
      'Carries Tobi hand to hand in the lantern show. Wants to hold longer without pain in the left heel of the hand.',
    ),
    person(
      ['Tobi Marchetti', 'Acrobat pair, flyer', birthDate(26, '09-02')],
      ['male', 'right', 166, 58],
      base,
      { weeks: 8, missChance: 0.12, discomfort: 1, faults: PADS },
      'Hand balances on Ines. Slips when the finger pads stop working.',
    ),
    person(
      ['Saskia Brandvold', 'Aerial straps', birthDate(34, '11-23')],
      ['female', 'right', 169, 62],
      { sequence: 'grip', weekdayOffsets: [0, 3] },
      { weeks: 9, missChance: 0.1, discomfort: 2, weakSide: 'left', lastDiscomfort: 3 },
      'Strap loops on the wrist twice a week. Grips a lot, opens little.',
      [{ caution: 'skin-splits', note: 'Callus tore at the right ring finger.' }],
      ['hand gripper', 'towel', 'bar'],
    ),
    person(
      ['Ruan Pellew', 'Slalom canoe', birthDate(22, '02-08')],
      ['male', 'right', 181, 77],
      { sequence: 'grip', weekdayOffsets: [0, 2, 5] },
      { weeks: 8, missChance: 0.2, discomfort: 1 },
      'Crosses over on the left in fast water. Wants more rotation strength, palm down.',
      [],
      ['hand gripper', 'towel', 'plate'],
    ),
    person(
      ['Mirela Danko', 'Judo, returning from a sprained wrist', birthDate(29, '07-30')],
      ['female', 'right', 164, 60],
      { sequence: 'return', weekdayOffsets: [0, 1, 3, 5] },
      { weeks: 7, missChance: 0.05, discomfort: 2, weakSide: 'right', flareWeeksAgo: 3, lastDiscomfort: 5 },
      'Sprained the right wrist breaking a fall. Cleared for training; grips on the jacket still pull.',
      [{ caution: 'past-sprain', note: 'Right, five months ago, cleared for training.' }],
      ['putty'],
    ),
    person(
      ['Jory Ashdown', 'Route setting and bouldering', birthDate(15, '05-11')],
      ['male', 'right', 170, 57],
      { sequence: 'class', weekdayOffsets: [0, 4] },
      { weeks: 6, missChance: 0.15, discomfort: 1 },
      'Would train every day. Open hand only; asks about the small holds each time.',
    ),
    person(
      ['Anneke Vos', 'Yoga teacher in training', birthDate(38, '12-19')],
      ['female', 'right', 175, 66],
      { sequence: 'class', weekdayOffsets: [0, 2, 4, 6] },
      { weeks: 10, missChance: 0.06, discomfort: 1 },
      'Long practice, many planks in a row. Is learning to teach hand position.',
      [{ caution: 'hypermobility' }],
    ),
    person(
      ['Callum Reyes-Whitlock', 'Calisthenics', birthDate(27, '03-26')],
      ['male', 'right', 178, 80],
      { sequence: 'palms', weekdayOffsets: [1, 3, 5] },
      { weeks: 8, missChance: 0.1, discomfort: 2, weakSide: 'left' },
      'Left wrist stiff since school. Plateau at the knees-back palm lift for three weeks.',
    ),
    person(
      ['Béatrice Lemoine', 'Fencing, left-handed', birthDate(24, '10-05')],
      ['female', 'left', 168, 59],
      { sequence: 'grip', weekdayOffsets: [1, 4] },
      { weeks: 8, missChance: 0.1, discomfort: 1 },
      'Weapon hand left. The little-finger side tires in the third bout.',
      [],
      ['putty', 'stick', 'towel'],
    ),
    person(
      ['Olu Fairweather', 'Stilt walking, new to handstands', birthDate(33, '08-14')],
      ['male', 'right', 188, 84],
      { sequence: 'class', weekdayOffsets: [0, 3] },
      { weeks: 6, missChance: 0.25, discomfort: 2 },
      'Tall, strong legs, wrists without any load so far. Goal: a wall handstand for the show.',
    ),
    person(
      ['Hana Kobler', 'Sign-language interpreter', birthDate(45, '01-29')],
      ['female', 'right', 163, 64],
      { sequence: 'free', weekdayOffsets: [0, 1, 2, 3, 4] },
      { weeks: 6, missChance: 0.1, discomfort: 0 },
      'Wakes at night with tingling in thumb, index and middle finger. Has an appointment with a hand therapist.',
      [{ caution: 'numbness', note: 'At night, both hands, mostly the right.' }],
    ),
    person(
      ['Wilf Tarrant', 'Carpenter', birthDate(61, '06-21')],
      ['male', 'right', 174, 82],
      { sequence: 'gentle', weekdayOffsets: [0, 2, 4] },
      { weeks: 9, missChance: 0.1, discomfort: 2, lastDiscomfort: 4 },
      'Thumb base sore on cold mornings. Wants to keep planing by hand.',
      [{ caution: 'arthritis', note: 'Both thumb bases.' }, { caution: 'blood-pressure' }],
      ['putty', 'towel'],
    ),
  ];
}
