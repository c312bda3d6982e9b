import { WEEKDAYS } from '@clay-pot/core';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn, IsUUID } from 'class-validator';
import { IsDay } from './bounded.js';

/** Gives a sequence to an athlete on weekdays (ISO: Monday 1 … Sunday 7). */
export class AssignmentInput {
  @IsUUID('7', { message: 'must be the id of a sequence' })
  sequenceId: string;

  @IsUUID('7', { message: 'must be the id of an athlete' })
  athleteId: string;

  @IsArray({ message: 'must be a list of weekdays' })
  @ArrayMinSize(1, { message: 'must name at least one weekday' })
  @ArrayMaxSize(7)
  @ArrayUnique({ message: 'must not name a weekday twice' })
  @IsIn(WEEKDAYS, { each: true, message: 'must be weekdays 1 (Monday) to 7 (Sunday)' })
  weekdays: number[];

  @IsDay()
  fromDay: string;
}

export interface AssignmentItem extends AssignmentInput {
  id: string;
  athleteName: string;
  sequenceTitle: string;
}
