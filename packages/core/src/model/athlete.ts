import type { CautionId } from '../vocabulary/cautions.js';

/** A caution as it stands in an athlete's record. Clearance lifts a `refer`; nothing else does. */
export interface RecordedCaution {
  readonly caution: CautionId;
  readonly note?: string;
  /** Day (ISO 8601) and name of the practitioner who cleared it for loading. */
  readonly clearedOn?: string;
  readonly clearedBy?: string;
}
