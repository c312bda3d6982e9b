import type { SixWeeks } from '@clay-pot/core';

/** What changed for somebody in six weeks. */
export interface PersonChanges extends SixWeeks {
  athleteId: string;
  athleteName: string;
}

/** What changed in six weeks, for one person or for everyone who follows a programme. */
export interface Changes {
  /** The first day and today. */
  fromDay: string;
  today: string;
  people: PersonChanges[];
}
