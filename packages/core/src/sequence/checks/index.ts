import type { Mute } from '../sequence.js';
import { ANSWER_CHECKS } from './answers.js';
import { DOSING_CHECKS } from './dosing.js';
import { type Check, type Draft, SEVERITIES } from './finding.js';
import { ORDER_CHECKS } from './order.js';
import { POLICY_CHECKS } from './policy.js';
import { ROOM_CHECKS } from './room.js';
import { SAFETY_CHECKS } from './safety.js';
import { SIDE_CHECKS } from './sides.js';
import type { SessionView } from './view.js';
import { WHOLE_CHECKS } from './whole.js';

/** Every check, safety first. */
export const CHECKS: readonly Check[] = [
  ...SAFETY_CHECKS,
  ...ORDER_CHECKS,
  ...ANSWER_CHECKS,
  ...DOSING_CHECKS,
  ...POLICY_CHECKS,
  ...SIDE_CHECKS,
  ...WHOLE_CHECKS,
  ...ROOM_CHECKS,
];
const BY_ID = new Map(CHECKS.map((check) => [check.id, check]));
export const checkNamed = (id: string): Check | undefined => BY_ID.get(id);

/** What a check found, with the check itself; `muted` gives the reason for which the sequence leaves it unheeded. */
export interface Finding extends Draft {
  readonly check: Check;
  readonly muted: string | null;
}

/** Holds a session against every check: the gravest first, then in the order of the checks. */
export function findingsOf(view: SessionView): Finding[] {
  const reasons = new Map((view.sequence.mutes ?? []).map(({ check, reason }: Mute) => [check, reason]));
  const all = CHECKS.flatMap((check) =>
    check.find(view).map((draft): Finding => ({
      ...draft,
      check,
      // A rule of safety is heard whatever the document says.
      muted: check.stopRule ? null : (reasons.get(check.id) ?? null),
    })),
  );
  const weight = (finding: Finding) => SEVERITIES.indexOf(finding.check.severity);
  return all.sort((a, b) => weight(a) - weight(b));
}
