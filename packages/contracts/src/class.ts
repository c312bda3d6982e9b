import type { Hand, Sentence } from '@clay-pot/core';

/** One of a class, with why they need a look. */
export interface ClassRow {
  athleteId: string;
  name: string;
  practice: string;
  /** The larger, the sooner. */
  weight: number;
  /** The weightiest first; empty where nothing asks for a look. */
  reasons: Sentence[];
  /** Latest readings of what a class is compared by, by hand; null where it was not measured. */
  extensionDeg: Record<Hand, number | null>;
  gripN: Record<Hand, number | null>;
  measuredOn: string | null;
  askedOn: string | null;
  lastSessionOn: string | null;
}
