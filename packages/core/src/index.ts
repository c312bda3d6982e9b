export * from './vocabulary/actions.js';
export * from './vocabulary/cautions.js';
export * from './vocabulary/clock.js';
export * from './vocabulary/constant.js';
export * from './vocabulary/contacts.js';
export * from './vocabulary/days.js';
export * from './vocabulary/digits.js';
export * from './vocabulary/fault.js';
export * from './vocabulary/faults.js';
export * from './vocabulary/hand-joints.js';
export * from './vocabulary/hand-places.js';
export * from './vocabulary/hand-settings.js';
export * from './vocabulary/hand-shapes.js';
export * from './vocabulary/hands.js';
export * from './vocabulary/intake-words.js';
export * from './vocabulary/limit.js';
export * from './vocabulary/lists.js';
export * from './vocabulary/looks.js';
export * from './vocabulary/load-scale.js';
export * from './vocabulary/measures.js';
export * from './vocabulary/motions.js';
export * from './vocabulary/muscles.js';
export * from './vocabulary/gravity.js';
export * from './vocabulary/numbers.js';
export * from './vocabulary/own-load.js';
export * from './vocabulary/phases.js';
export * from './vocabulary/places.js';
export * from './vocabulary/same.js';
export * from './vocabulary/schema.js';
export * from './vocabulary/scores.js';
export * from './vocabulary/sore-places.js';
export * from './vocabulary/stop-signs.js';
export * from './vocabulary/strengths.js';
export * from './vocabulary/text.js';
export * from './vocabulary/session-tests.js';
export * from './vocabulary/units.js';
export * from './vocabulary/usual-ranges.js';
export * from './vocabulary/work.js';
export * from './model/athlete.js';
export * from './model/body.js';
export * from './model/check-sequence.js';
export * from './model/compare-sequences.js';
export * from './model/pair-blocks.js';
export { type Completion, doseCompletions } from './model/dose-completions.js';
export * from './model/dose-shorthand.js';
export * from './model/dose-words.js';
export * from './model/dose.js';
export * from './model/edits.js';
export * from './model/fit.js';
export * from './model/hand-picture.js';
export * from './model/level-shapes.js';
export * from './model/intake.js';
export * from './model/levers.js';
export * from './model/load.js';
export * from './model/method.js';
export * from './model/movement.js';
export * from './model/effort-or-load.js';
export * from './model/own-load.js';
export * from './model/to-fetch.js';
export * from './model/posture.js';
export * from './model/reading.js';
export * from './model/round-words.js';
export * from './model/round.js';
export * from './model/rounds.js';
export * from './model/sequence.js';
export * from './model/session.js';
export * from './model/usual-postures.js';
export * from './mechanics/as-dosed.js';
export * from './mechanics/asked.js';
export * from './mechanics/belief.js';
export * from './mechanics/capacity.js';
export * from './mechanics/demand.js';
export * from './mechanics/external-load.js';
export * from './mechanics/hand-contact.js';
export * from './mechanics/hand-load.js';
export * from './mechanics/hold-size.js';
export * from './mechanics/limb-motion.js';
export * from './mechanics/linkage.js';
export * from './mechanics/lower-link.js';
export * from './mechanics/masses.js';
export * from './mechanics/nearest.js';
export * from './mechanics/norms.js';
export * from './mechanics/outside-loads.js';
export * from './mechanics/passive.js';
export * from './mechanics/person.js';
export * from './mechanics/planted.js';
export * from './mechanics/plane.js';
export * from './mechanics/reach-errors.js';
export * from './mechanics/root.js';
export * from './mechanics/segment-table.js';
export * from './mechanics/segments.js';
export * from './mechanics/solve.js';
export * from './mechanics/vary.js';
export * from './mechanics/weaker-hand.js';
export * from './timeline/compile-timeline.js';
export * from './timeline/done-timeline.js';
export * from './timeline/planned-done.js';
export * from './timeline/playhead.js';
export * from './timeline/timeline.js';
export { distanceS, stepsOver, USUAL_TEMPO } from './timeline/write-work.js';
export * from './effort/balance.js';
export * from './effort/block-groups.js';
export * from './effort/block-sums.js';
export * from './effort/chances.js';
export * from './effort/compartments.js';
export { type Gap, gapsOf } from './effort/gaps.js';
export * from './effort/coverage.js';
export * from './effort/doubt.js';
export * from './effort/effort-timeline.js';
export * from './effort/evidence.js';
export * from './effort/fatigue-course.js';
export * from './effort/open-sets.js';
export * from './effort/past.js';
export * from './effort/rates.js';
export * from './effort/session-account.js';
export * from './effort/session-view.js';
export * from './measure/angle-trial.js';
export * from './measure/band.js';
export * from './measure/drop.js';
export * from './measure/contractions.js';
export * from './measure/critical-force.js';
export * from './measure/device.js';
export * from './measure/device-trials.js';
export * from './measure/effort-watch.js';
export * from './measure/error.js';
export * from './measure/gauge-lever.js';
export * from './measure/measured.js';
export * from './measure/photo-angle.js';
export * from './measure/place-in-norm.js';
export * from './measure/plates-trial.js';
export * from './measure/protocols.js';
export * from './measure/reach.js';
export * from './measure/readings-over-time.js';
export * from './measure/readings-tell.js';
export * from './measure/sample.js';
export * from './measure/sides.js';
export * from './measure/simulated-device.js';
export * from './measure/trace.js';
export * from './measure/trend.js';
export * from './measure/unit-doubt.js';
export * from './rules/against-load.js';
export * from './rules/caps.js';
export * from './rules/calls.js';
export * from './rules/caution-limits.js';
export * from './rules/cautions.js';
export * from './rules/check-movement.js';
export * from './rules/clearance.js';
export * from './rules/discomfort.js';
export * from './rules/insert-level.js';
export * from './rules/ladder.js';
export * from './rules/may-begin.js';
export * from './rules/may-measure.js';
export * from './rules/remembered.js';
export * from './rules/method-dose.js';
export * from './rules/method-words.js';
export * from './rules/morning.js';
export * from './rules/needs-a-look.js';
export * from './rules/standing-verdict.js';
export * from './rules/terms.js';
export * from './rules/usual-dose.js';
export * from './rules/checks/check-mutes.js';
export * from './rules/checks/finding.js';
export * from './rules/fixes/edit-words.js';
export * from './rules/fixes/offered.js';
export * from './rules/fixes/on-the-spot.js';
export * from './rules/checks/index.js';
export * from './rules/sore-places.js';
export * from './rules/screening/after-intake.js';
export * from './rules/screening/intake-due.js';
export * from './rules/screening/movements-open.js';
export * from './rules/screening/referral-letter.js';
export * from './rules/screening/screen-rules.js';
export * from './rules/screening/screen.js';
export * from './rules/screening/why-it-hurts.js';
export * from './programme/due.js';
export * from './picture/figure-hand.js';
export * from './picture/figure.js';
export * from './picture/free-figure.js';
export { MEASURED_BONES, SKIN_BONES } from './picture/hand/bones-measured.js';
export { mirroredMoment } from './picture/hand/moment.js';
export { freeHand } from './picture/hand/free-hand.js';
export { exampleNow, exampleOf, handNow, type HandNow } from './picture/hand/beat.js';
export { type Beat, poseOfStation, stationsOf } from './picture/hand/course.js';
export { partsIn, type PlacedHand } from './picture/hand/flesh.js';
export {
  eyeAxes,
  eyeFor,
  type Frame3d,
  frameAround,
  mirroredFrame,
  shownAt,
  turnedFrame,
} from './picture/hand/framing.js';
export { type HandPicture, handPictureOf, postureHand } from './picture/hand/hand-picture.js';
export { settingOf } from './picture/hand/setting-of.js';
export {
  MOST_N_CM2,
  pressureOn,
  type PressureSpot,
  trailOf,
  type WristArc,
  wristArcOf,
  zonePressure,
} from './picture/hand/marks.js';
export { type HandMoment3d } from './picture/hand/moment.js';
export { type PlaceSide, PLACE_SIDES, placeOn, placePicture, PLACES_ON } from './picture/hand/places.js';
export {
  draggedTo,
  HANDLE_PLACES,
  HANDLES,
  posableIn,
  posingFrame,
  stationOf,
  turnedOver,
  withJoint,
} from './picture/hand/posing.js';
export { pushArrow } from './picture/hand/pushing.js';
export { type HandSize, handSizeOf, type Part, type Skeleton, sized, skeletonOf } from './picture/hand/skeleton.js';
export { type Placement, type Vec3 } from './picture/hand/space.js';
export { type Look, type Thing } from './picture/hand/things.js';
export { VIEW_POINTS, type ViewPoint } from './picture/hand/views.js';
export * from './picture/hand-shape.js';
export * from './picture/posture-course.js';
export * from './picture/outline.js';
export * from './picture/pose.js';
export * from './picture/pot.js';
export * from './picture/scene.js';
export * from './picture/support-figure.js';
export * from './compose/goal.js';
export * from './compose/question.js';
export * from './compose/candidate.js';
export * from './compose/candidates.js';
export * from './compose/linear.js';
export * from './compose/highs-solver.js';
export * from './compose/load-solver.js';
export * from './compose/programme.js';
export * from './compose/composed.js';
export * from './compose/compose.js';
export { assessed, gapOf } from './compose/fitting.js';
export { type Follower, GAP_PERCENT } from './compose/search.js';
export * from './compose/arrange.js';
export * from './compose/alternatives.js';
export type { RuleId } from './compose/rule-id.js';
export { ruleWords } from './compose/rule-words.js';
export type { Binding, Reason } from './compose/reasons.js';
export type { GiveUp } from './compose/give-up.js';
export type { Excluded } from './compose/suitable.js';
export { Choice } from './compose/choice.js';
export * from './rules/work-done.js';
export * from './rules/gates.js';
export * from './rules/level-standing.js';
export * from './rules/standings.js';
export * from './rules/progressed.js';
