import {
  BODY_LIMITS,
  CAUTION_IDS,
  type CautionId,
  EQUIPMENT,
  type Equipment,
  type Hand,
  HANDS,
  type Sex,
  SEXES,
} from '@clay-pot/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, ValidateNested } from 'class-validator';
import { IsDay, MayBeAbsent, MayBeNull, Text, Within } from './bounded.js';

export class CautionInput {
  @IsIn(CAUTION_IDS, { message: `must be one of ${CAUTION_IDS.join(', ')}` })
  caution: CautionId;

  @MayBeAbsent()
  @Text(300)
  note?: string;

  @MayBeAbsent()
  @IsDay()
  clearedOn?: string;

  @MayBeAbsent()
  @Text(120, 1)
  clearedBy?: string;
}

export class AthleteInput {
  @Text(120, 1)
  name: string;

  /** What the athlete trains for, in a few words. */
  @Text(200)
  practice: string;

  @MayBeNull()
  @IsDay()
  birthDate: string | null;

  @IsIn(SEXES, { message: `must be one of ${SEXES.join(', ')}` })
  sex: Sex;

  @IsIn(HANDS, { message: 'must be left or right' })
  dominantHand: Hand;

  @MayBeNull()
  @Within(BODY_LIMITS.statureCm)
  statureCm: number | null;

  @MayBeNull()
  @Within(BODY_LIMITS.massKg)
  massKg: number | null;

  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(EQUIPMENT.length)
  @ArrayUnique({ message: 'must not name a thing twice' })
  @IsIn(EQUIPMENT, { each: true, message: `must be among ${EQUIPMENT.join(', ')}` })
  equipment: Equipment[];

  @IsArray({ message: 'must be a list' })
  @ArrayMaxSize(20, { message: 'must have at most 20 entries' })
  @ValidateNested({ each: true })
  @Type(() => CautionInput)
  cautions: CautionInput[];

  @Text(2000)
  notes: string;
}

export interface Athlete extends AthleteInput {
  id: string;
  etag: string;
}

export interface AthleteListItem extends Athlete {
  lastSessionAt: string | null;
  /** Sessions on each of the last 56 days that had any; day in the studio's time zone. */
  recentDays: { day: string; sessions: number }[];
}
