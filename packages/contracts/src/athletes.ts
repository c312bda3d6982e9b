import { ATHLETE } from '@clay-pot/core';
import { bodyOf } from './validation/is-document.js';

/** An athlete's record as it is sent. */
export class AthleteInput extends bodyOf(ATHLETE) {}

/** A record as it is stored, with its id and its version. */
export interface Athlete extends AthleteInput {
  id: string;
  etag: string;
}

/** A record in the list of people: when they last trained, and how often of late. */
export interface AthleteListItem extends Athlete {
  lastSessionAt: string | null;
  /** Sessions on each of the last 56 days that had any; day in the studio's time zone. */
  recentDays: { day: string; sessions: number }[];
}
