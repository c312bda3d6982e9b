import { sentenceText } from '../../vocabulary/sentence.js';
import type { Mute } from '../../model/sequence.js';
import type { SessionView } from '../../effort/session-view.js';
import { type Check, type Observation, SEVERITIES } from './finding.js';
import { notCleared } from './not-cleared.js';
import { leaveOut } from './leave-out.js';
import { cautionLimit } from './caution-limit.js';
import { impossiblePosture } from './impossible-posture.js';
import { rangeOver } from './range-over.js';
import { demandOver } from './demand-over.js';
import { hardSpacing } from './hard-spacing.js';
import { rangeUnprepared } from './range-unprepared.js';
import { atOnceFar } from './at-once-far.js';
import { bodyWeightEarly } from './body-weight-early.js';
import { warmUpOver } from './warm-up-over.js';
import { prepareMissing } from './prepare-missing.js';
import { settleMissing } from './settle-missing.js';
import { noRelease } from './no-release.js';
import { antagonistUnanswered } from './antagonist-unanswered.js';
import { gripUnanswered } from './grip-unanswered.js';
import { extensionUnanswered } from './extension-unanswered.js';
import { stretchAfterStrength } from './stretch-after-strength.js';
import { doseOutside } from './dose-outside.js';
import { stretchBeforeStrength } from './stretch-before-strength.js';
import { failingHold } from './failing-hold.js';
import { restBetween } from './rest-between.js';
import { restShort } from './rest-short.js';
import { setsWithoutRest } from './sets-without-rest.js';
import { effortCeiling } from './effort-ceiling.js';
import { methodDosing } from './method-dosing.js';
import { fastMotion } from './fast-motion.js';
import { contractRelax } from './contract-relax.js';
import { sideMissing } from './side-missing.js';
import { sideShort } from './side-short.js';
import { weakerSideMore } from './weaker-side-more.js';
import { sideOrder } from './side-order.js';
import { sidePlan } from './side-plan.js';
import { directionMissing } from './direction-missing.js';
import { balanceOfOpposites } from './balance.js';
import { balanceLeftRight } from './balance-left-right.js';
import { cornerUnvisited } from './corner-unvisited.js';
import { directionUnvisited } from './direction-unvisited.js';
import { thumbForgotten } from './thumb-forgotten.js';
import { littleSideForgotten } from './little-side-forgotten.js';
import { equipmentMissing } from './equipment-missing.js';
import { minutesOver } from './minutes-over.js';
import { positionChanges } from './position-changes.js';
import { variety } from './variety.js';
import { tooOften } from './too-often.js';
import { weeklyGrowth } from './weekly-growth.js';
import { empty } from './empty.js';
import { nerveGlide } from './nerve-glide.js';
import { phaseOrder } from './phase-order.js';

/** Every check, safety first. */
export const CHECKS: readonly Check[] = [
  // safety
  notCleared,
  leaveOut,
  cautionLimit,
  nerveGlide,
  impossiblePosture,
  rangeOver,
  demandOver,
  hardSpacing,
  // order
  rangeUnprepared,
  bodyWeightEarly,
  warmUpOver,
  prepareMissing,
  settleMissing,
  phaseOrder,
  atOnceFar,
  // what hard work wants after it
  noRelease,
  antagonistUnanswered,
  gripUnanswered,
  extensionUnanswered,
  stretchAfterStrength,
  // dosing
  doseOutside,
  stretchBeforeStrength,
  failingHold,
  restShort,
  setsWithoutRest,
  restBetween,
  // the method
  effortCeiling,
  methodDosing,
  fastMotion,
  contractRelax,
  // hands and directions
  sideMissing,
  sideShort,
  weakerSideMore,
  sideOrder,
  sidePlan,
  directionMissing,
  // the whole
  ...balanceOfOpposites,
  balanceLeftRight,
  cornerUnvisited,
  directionUnvisited,
  thumbForgotten,
  littleSideForgotten,
  // room, time and other days
  equipmentMissing,
  minutesOver,
  positionChanges,
  variety,
  tooOften,
  weeklyGrowth,
  empty,
];
const BY_ID = new Map(CHECKS.map((check) => [check.id, check]));
export const checkNamed = (id: string): Check | undefined => BY_ID.get(id);

/** What a check found, with the check itself; `muted` gives the reason for which the sequence leaves it unheeded. */
export interface Finding extends Observation {
  readonly check: Check;
  readonly muted: string | null;
}

/** Tells findings apart, and the same one again in another version of its sequence. */
export const keyOfFinding = ({ check, text, blockIds }: Finding): string => `${check.id} ${blockIds.join()}: ${sentenceText(text)}`;

/** Holds a session against every check: the gravest first, then in the order of the checks. */
export const findingsOf = (view: SessionView): Finding[] => findingsBy(CHECKS, view);

/** As `findingsOf`, by some of the checks. */
export function findingsBy(checks: readonly Check[], view: SessionView): Finding[] {
  const reasons = new Map((view.sequence.mutes ?? []).map(({ check, reason }: Mute) => [check, reason]));
  const all = checks.flatMap((check) =>
    check.find(view).map((observation): Finding => ({
      ...observation,
      check,
      // A rule of safety is heard whatever the document says.
      muted: check.stopRule ? null : (reasons.get(check.id) ?? null),
    })),
  );
  const weight = (finding: Finding) => SEVERITIES.indexOf(finding.check.severity);
  return all.sort((a, b) => weight(a) - weight(b));
}
