export { type Action, ACTION_NAMES, ACTIONS, oppositeAction } from './vocabulary/actions.js';
export { CAUTION_IDS, type CautionId, CAUTIONS, WRITTEN_CAUTION_IDS } from './vocabulary/cautions.js';
export { clock, countdown, minutesText } from './vocabulary/clock.js';
export { constants, withValue } from './vocabulary/constant.js';
export { type Contact, CONTACTS, type Facing, FACINGS } from './vocabulary/contacts.js';
export {
  addDays,
  ageOn,
  daysBetween,
  dayWords,
  hoursBetween,
  isDay,
  isInstant,
  WEEKDAY_NAMES,
  weekdayOf,
  WEEKDAYS,
} from './vocabulary/days.js';
export { DIGITS } from './vocabulary/digits.js';
export { type Fault, sentence, under } from './vocabulary/fault.js';
export { faultsOf, MOST_FAULTS, requirementOf } from './vocabulary/faults.js';
export { HAND_JOINTS, type HandJoint, handJointWords, type HandPose } from './vocabulary/hand-joints.js';
export { HAND_PLACE_IDS, HAND_PLACES, type HandPlace } from './vocabulary/hand-places.js';
export {
  HAND_SETTINGS,
  HAND_VIEWS,
  type HandSetting,
  type HandViewName,
  OTHER_HANDS,
  type OtherHandDoes,
} from './vocabulary/hand-settings.js';
export { HAND_SHAPE_NAMES, type HandShapeName } from './vocabulary/hand-shapes.js';
export {
  type Hand,
  HAND_WORDS,
  HANDS,
  handsInTurn,
  handsWorking,
  otherHand,
  SIDE_PLANS,
  type SidePlan,
  WORKING_SIDES,
  type WorkingSide,
} from './vocabulary/hands.js';
export {
  type Condition,
  CONDITION_IDS,
  CONDITIONS,
  GOAL_IDS,
  GOALS,
  type Sign,
  SIGN_IDS,
  SIGNS,
  SYMPTOM_KIND_IDS,
  SYMPTOM_KINDS,
} from './vocabulary/intake-words.js';
export { type Limit } from './vocabulary/limit.js';
export { firstOf, groupedBy, isSome, itemAt, lastOf, must } from './vocabulary/lists.js';
export { LOOK_ANSWERS, LOOK_QUESTIONS, LOOK_STOPS, type LookAnswer, type LookStop } from './vocabulary/rechecks.js';
export { LOAD_STEPS, type LoadStep, loadStepOf } from './vocabulary/load-scale.js';
export {
  type Gauge,
  GAUGES,
  MEASURABLE,
  MEASURED_NAMES,
  READING_KINDS,
  READING_LIMITS,
  READING_NAMES,
  type ReadingKind,
  readingUnit,
  type ReadingUnit,
} from './vocabulary/measures.js';
export { CORNERS, isRangeMotion, type Loading, LOADINGS, MOTIONS, RANGE_MOTIONS, type RangeMotion } from './vocabulary/motions.js';
export {
  groupsOf,
  MUSCLE_GROUPS,
  type MuscleGroup,
  oppositeGroup,
  pairOf,
  partsOf,
  SIDE_GROUPS,
  type SideGroup,
} from './vocabulary/muscles.js';
export { FORM } from './vocabulary/form-faults.js';
export { GRAVITY, kgFromN, newtonsFromKg } from './vocabulary/gravity.js';
export { percent, placesOf, readNumber, shown } from './vocabulary/numbers.js';
export { OWN_LOADS, type OwnLoadName } from './vocabulary/own-load.js';
export { type Phase, PHASE_NAMES, PHASES, WORK } from './vocabulary/phases.js';
export { phaseBetween } from './model/phase-between.js';
export { type Equipment, EQUIPMENT, type Place, PLACE_OF, PLACES, type Posture, POSTURES } from './vocabulary/places.js';
export { same } from './vocabulary/same.js';
export {
  between,
  bounded,
  day,
  email,
  idOf,
  instant,
  kind,
  list,
  type Of,
  oneOf,
  optional,
  orNull,
  record,
  type RecordSchema,
  type Schema,
  text,
  trueOrFalse,
} from './vocabulary/schema.js';
export { SORE_PLACE_LIST, SORE_PLACES, type SorePlace } from './vocabulary/sore-places.js';
export { STOP_RULES, STOP_SIGN_IDS, STOP_SIGNS, type StopSign } from './vocabulary/stop-signs.js';
export { STRENGTH_NAMES, STRENGTH_WORDS, type StrengthName, STRENGTHS } from './vocabulary/strengths.js';
export { capital, counted, listed, lowered } from './vocabulary/text.js';
export { type Moment, MOMENTS, SESSION_TESTS, type SessionTest } from './vocabulary/session-tests.js';
export { capitalSentence, loweredSentence, quantity, say, type Sentence, joinSentences, sentenceText } from './vocabulary/sentence.js';
export { LENGTH_UNITS, MASS_UNITS, METRIC, shownAs, type ShownUnits } from './vocabulary/units.js';
export { type DosingKind, USUAL_RANGES } from './vocabulary/usual-ranges.js';
export {
  OPEN_ENDS,
  type OpenEnd,
  SET_UNITS,
  type SetUnit,
  UNIT_BEHIND,
  UNIT_LETTERS,
  UNIT_OF,
  WORK_KINDS,
  type WorkKind,
} from './vocabulary/work.js';
export { ATHLETE, ATHLETE_LIMITS, type AthleteRecord, checkAthlete, CLEARANCE_LIMITS, type RecordedCaution } from './model/athlete.js';
export { type Body, BODY_LIMITS, BodyError, bodyOf, REFERENCE_BODIES, type Sex, SEXES } from './model/body.js';
export { checkSequence, resolveBlock, SequenceError } from './model/check-sequence.js';
export { compareSequences, type SequenceChange } from './model/compare-sequences.js';
export { pairBlocks } from './model/pair-blocks.js';
export { doseCompletions } from './model/dose-completions.js';
export { parseDose, printDose, printOwnLoad, printSets, printSides, retypeDose, ShorthandError } from './model/dose-shorthand.js';
export { doseChanges } from './model/dose-changes.js';
export {
  asOnSoreDay,
  hasSoreDoses,
  onSoreDay,
  withEffortUpTo,
  withFaster,
  withGoal,
  withPositions,
  withRightAmount,
  withSoreEffort,
} from './model/dose-further.js';
export { hasHandsInTurn, type WorkEnd } from './model/work.js';
export { checkGrades, type Grade, gradeAt, GRADE_LIMITS, GRADED, GRADED_LOAD, type GradedKind, GRADES, gradesFor } from './model/grades.js';
export { amountWords, doseInWords, doseSentence, ownLoadWords, percentWords, workWords } from './model/dose-words.js';
export {
  amountLabel,
  amountLimit,
  amountOf,
  type Dose,
  DOSE,
  DOSE_LIMITS,
  type Faster,
  MOST_SET_GROUPS,
  piecesOf,
  setCount,
  type SetGroup,
  setGroupsOf,
  withAmount,
  withSetGroups,
  type Work,
  workOf,
  worksOf,
} from './model/dose.js';
export { applyEdits, type Edit, freshBlockId, withRounds } from './model/edits.js';
export { checkFit } from './model/fit.js';
export { fitsSetting, type HandPictureSpec, type HandStation, MOST_STATIONS } from './model/hand-picture.js';
export { handSaid } from './model/level-shapes.js';
export {
  checkHealth,
  checkIntake,
  type DiscomfortTimes,
  type Health,
  HEALTH,
  healthOf,
  type Intake,
  INTAKE,
  newIntake,
  type PastCondition,
  type Symptom,
  withPerson,
} from './model/intake.js';
export { leversBetween } from './model/levers.js';
export { answerFor, checkLoad, type LevelLoad, LOAD_FIELDS, LOAD_KINDS, type LoadKind, loadLimit } from './model/load.js';
export {
  checkMethod,
  type Method,
  METHOD,
  METHOD_LIMITS,
  METHOD_NUMBERS,
  METHOD_TEXT,
  type MethodNumber,
  POLICIES,
  POLICY_NAMES,
  type PolicyName,
} from './model/method.js';
export {
  type Climb,
  CLIMBS,
  effortMeans,
  equipmentFor,
  FAMILIES,
  type FamilyId,
  findLevel,
  type Level,
  type Movement,
  MOVEMENT,
  MOVEMENT_LIMITS,
  type MovementCaution,
  type MovementLookup,
  neighbourLevel,
  USUAL_PHASE,
  usualWay,
  writtenWay,
} from './model/movement.js';
export { isKilograms, withEffortSet, withOwnSet } from './model/effort-or-load.js';
export { fittedTo, ownLoadsOf, ownValueOf, withOwnLoad } from './model/own-load.js';
export { thingsAfterBreak, thingsFor } from './model/to-fetch.js';
export {
  POSTURE_LABELS,
  POSTURE_LIMITS,
  PostureError,
  type PostureField,
  roughHeightM,
  STANCE_FIELDS,
  type SupportPosture,
} from './model/posture.js';
export { checkReading, latestReading, meanOf, newestFirst, type Reading, READING, READING_BOUNDS } from './model/reading.js';
export { roundChangeWords, roundWords } from './model/round-words.js';
export { inRound, type Round, ROUND, ROUND_LIMITS, type RoundChange } from './model/round.js';
export { aloneIn, roundOf, timesOf, withRoundOver } from './model/rounds.js';
export {
  type Block,
  BLOCK,
  BLOCK_LIMITS,
  inPhaseOrder,
  movementIdsOf,
  phaseRuns,
  type Pacing,
  type Sequence,
  SEQUENCE,
  SEQUENCE_LIMITS,
  USUAL_PACING,
} from './model/sequence.js';
export {
  type Away,
  AWAY_KIND_IDS,
  AWAY_KINDS,
  type AwayKind,
  checkProgramme,
  endOf,
  inDayOrder,
  mondayOf,
  type PlannedDay,
  type Programme,
  PROGRAMME,
  PROGRAMME_LIMITS,
  type ProgrammePlan,
  RISES,
  WEEK_KIND_IDS,
  WEEK_KINDS,
  weekdaysOf,
  weekIndexOf,
  type WeekKind,
} from './model/programme.js';
export {
  BLOCK_REPORT,
  type BlockReport,
  checkSessionEnd,
  type Complaint,
  COMPLAINT,
  complaintWords,
  type CountedSet,
  DONE_SET,
  type DoneSet,
  type Ending,
  ENDINGS,
  FORM_TICK,
  type FormTick,
  HAND_LOOK,
  type HandLook,
  recheckWords,
  type Morning,
  MORNING,
  SESSION_END,
  SESSION_LIMITS,
  standingSets,
} from './model/session.js';
export { POSTURE_NAMES, USUAL_OF_SUPPORT, USUAL_POSTURES, type UsualPosture } from './model/usual-postures.js';
export { asDosed, foundKilograms, withFoundLoad, withFoundLoads } from './mechanics/as-dosed.js';
export { type ActionEffort } from './mechanics/action-demand.js';
export { atOdds, type Evidence, intervalOf, maximum, normalShare, ratingErrors } from './mechanics/belief.js';
export {
  type Capacity,
  capacityOf,
  type CapacitySource,
  effortPercent,
  type Person,
  rangeVerdict,
  rangeWithHelpDeg,
} from './mechanics/capacity.js';
export { type Demand, demandOf, type HandDemand, type Loaded, postureDemand } from './mechanics/demand.js';
export {
  CARRY_PACE_M_PER_S,
  carryDistanceM,
  carryTimeS,
  leverForMomentM,
  rollerWork,
  weightForMomentKg,
  weightMomentNm,
} from './mechanics/external-load.js';
export { backSlopeDeg, palmSlopeDeg } from './mechanics/hand-contact.js';
export { handLoad, type HandLoad, type PostureLoad } from './mechanics/hand-load.js';
export { edgeFactor, fingersFactor, handleFactor, openingFactor, pinchOf } from './mechanics/hold-size.js';
export { speedPercent } from './mechanics/limb-motion.js';
export { nearestPossible } from './mechanics/nearest.js';
export { stretchMomentNm } from './mechanics/passive.js';
export { type Subject, maximaOf, personOf, referencePerson, withRanges } from './mechanics/person.js';
export { planted } from './mechanics/planted.js';
export { along, angleAtDeg, chord, corner, distance, type Point, RAD, toDeg } from './mechanics/plane.js';
export { cm } from './mechanics/reach-errors.js';
export { segmentsOf } from './mechanics/segments.js';
export {
  demandCurve,
  hardestOf,
  NotReachedError,
  QUANTITIES,
  type Quantity,
  quantityOf,
  sampleCurve,
  solvedInterval,
  type SolvedInterval,
  solveLevel,
  solvePosture,
} from './mechanics/solve.js';
export { fieldValue, movableFields, withField } from './mechanics/vary.js';
export { weakerHand } from './mechanics/weaker-hand.js';
export { compileTimeline, turnOf } from './timeline/compile-timeline.js';
export { doneTimeline } from './timeline/done-timeline.js';
export { completion, plannedAgainstDone, type PlannedDoneRow, totals } from './timeline/planned-done.js';
export {
  advance,
  AT_START,
  back,
  currentPart,
  doneOf,
  extend,
  finish,
  isOver,
  momentMs,
  type Move,
  type Playhead,
  rejoin,
  remainingMs,
  skip,
  skipBlock,
  untilNextChangeMs,
} from './timeline/playhead.js';
export {
  AT_THE_START,
  type EventKind,
  type EventPart,
  fixedOf,
  milliseconds,
  moveTo,
  type Stint,
  summarise,
  type Timeline,
  type TimelineEvent,
} from './timeline/timeline.js';
export { inNamedPosition } from './mechanics/in-way.js';
export { pastBonus } from './timeline/bonus.js';
export { timelineOf } from './timeline/timeline-of.js';
export { distanceS, stepsOver, USUAL_TEMPO } from './timeline/write-work.js';
export { type Balance, outOfBand, type Ratio, SIDES_BAND } from './effort/balance.js';
export { type BlockGroup, blockGroups } from './effort/block-groups.js';
export { blockChances } from './effort/chances.js';
export { capacityLeft, enduranceDoseOf, enduranceTimeS, failsAt, holdTimeS, RESTED, restingShare, step } from './effort/compartments.js';
export { type Gap, gapsOf } from './effort/gaps.js';
export {
  type Coverage,
  type Direction,
  DIRECTIONS,
  HAND_FORMS,
  type HandForm,
  MAIN,
  MAIN_DIRECTIONS,
  mergeCoverage,
  WHEEL_RINGS,
} from './effort/coverage.js';
export { chanceOfHaving, decidesWords, effortWords, isKnown, measureWords, peopleWords, whatToMeasure } from './effort/doubt.js';
export { effortTimeline } from './effort/effort-timeline.js';
export { exertionFelt, workFelt, type WorkFelt } from './effort/felt.js';
export { type Prediction } from './effort/predictions.js';
export { type Calibration, calibrationOf, type CalibrationPoint } from './effort/calibration.js';
export { shareOf } from './effort/share.js';
export { failureWords, fatigueCourses, type GroupCourse } from './effort/fatigue-course.js';
export { likelyOfBlock, likelyWords } from './effort/open-sets.js';
export {
  type CarriedOut,
  dosesWithin,
  loadTrends,
  ofBothHands,
  type PastSession,
  pastSessions,
  RATIO_BAND,
  SPACED_PERCENT,
  sumDoses,
} from './effort/past.js';
export { enduranceS, RATES, ratesOf } from './effort/rates.js';
export { type BlockAccount, type HandAccount, type SessionAccount } from './effort/session-account.js';
export { lowestBands, type SessionQuestion, type SessionView, viewOf } from './effort/session-view.js';
export { angleTrialOf, tiltBetween } from './measure/angle-trial.js';
export {
  type Band,
  bandOf,
  bandOfPress,
  type BandScore,
  bandWatched,
  keptPercent,
  NOT_TRIED,
  placeInBand,
  scoreIn,
  unwatched,
} from './measure/band.js';
export { dropWatched, isLetGo, NOT_HELD } from './measure/drop.js';
export {
  ALL_OUT,
  contractionsAbove,
  type CriticalForce,
  criticalForceOf,
  FEWEST_CONTRACTIONS,
  repeatsAbove,
} from './measure/critical-force.js';
export { DEVICE_KINDS, type DeviceKind, type DeviceSample, FORCE_UNITS, type ForceUnit } from './measure/device.js';
export {
  allOutFrom,
  type AllOutTest,
  deviceKindOf,
  faultsIn,
  LASTS_AT_MOST_S,
  lineReader,
  OVER_AFTER_S,
  platesNow,
  reportOf,
  type TrialSort,
  trialSortOf,
  type TrialReport,
} from './measure/device-trials.js';
export { isEffortOver, NOTHING_SEEN, watched } from './measure/effort-watch.js';
export { bandOfReading, changeOf, detectableChange, errorOf, type MeasurementError, pooledSpread } from './measure/error.js';
export { LEVER_CM, momentOf, USUAL_LEVER_CM } from './measure/gauge-lever.js';
export { type PhotoAngle, photoAngleOf, photoWayOf, type PicturePoint, type ThreePoints } from './measure/photo-angle.js';
export { placeInNorm } from './measure/place-in-norm.js';
export { platesTrialOf } from './measure/plates-trial.js';
export {
  BATTERIES,
  type BatteryId,
  batteryMinutes,
  comesWith,
  FIRST_WHY,
  isOfEachHand,
  LED_PROTOCOLS,
  measuredAs,
  type Protocol,
  protocolName,
  protocolOf,
  sidesInTurn,
  testsWords,
} from './measure/protocols.js';
export { type Reach, reachOf } from './measure/reach.js';
export {
  allRepeats,
  dayByDay,
  type DayReading,
  keyOfThing,
  pooledRepeats,
  type MeasuredThing,
  type Repeats,
  repeatsOf,
  thingsIn,
} from './measure/readings-over-time.js';
export { heldAndTested } from './measure/readings-tell.js';
export { type ForceSample, secondsText } from './measure/sample.js';
export { lesserWords, type Sides, sidesOf } from './measure/sides.js';
export {
  DEVICE_FAULTS,
  DEVICE_PROGRAMS,
  type DeviceFault,
  type DeviceProgram,
  mostOn,
  programSeconds,
  SimulatedDevice,
  type SimulatedSetup,
} from './measure/simulated-device.js';
export { type Trace, traceOf } from './measure/trace.js';
export { type DayValue, type Trend, trendOf } from './measure/trend.js';
export { readingDoubt } from './measure/unit-doubt.js';
export { groupRests, missingRests } from './effort/group-rests.js';
export { againstLoad } from './rules/safety/against-load.js';
export { capWords, type WayOfLoading } from './rules/safety/caps.js';
export {
  ANSWER_KINDS,
  ANSWERS,
  AS_IT_IS,
  BARRING_PAIN,
  type BarringPain,
  type Suggestion,
  suggestionAfter,
  type SuggestionAnswerKind,
  type SuggestionGroup,
  suggestionGroups,
  type SuggestionKind,
  type SuggestionOption,
  SUGGESTIONS,
  checkTyped,
  groupWords,
  isOnRecord,
  mayDecline,
  openSuggestions,
  type TypedDose,
  withTypedDose,
  worstFirst,
} from './rules/suggestions/index.js';
export {
  precautionText,
  barredWords,
  cautionAdvice,
  cautionLabel,
  cautionsOn,
  checkStopsStand,
  forbidsLoading,
  handsOf,
  keyOfCaution,
  keyOfStop,
  stopCaution,
  withAge,
  withStops,
} from './rules/safety/cautions.js';
export { checkMovement } from './rules/ladders/check-movement.js';
export { type Advice, advicesOf, concernsOf, mustWait, openSides } from './rules/safety/clearance.js';
export {
  adviseOnDiscomfort,
  discomfortAdviceText,
  type DiscomfortLevel,
  discomfortLevel,
  DISCOMFORT_GO_ON_MAX,
  DISCOMFORT_HOLD_MAX,
  DISCOMFORT_WORDS,
  type DiscomfortAdvice,
  type DiscomfortPolicy,
  easesFrom,
} from './rules/reports/discomfort.js';
export { insertLevel, movementFor, nameFor } from './rules/ladders/insert-level.js';
export { climbedBy, type LevelDemand, levelDemands } from './rules/ladders/ladder.js';
export { stopsOf } from './rules/safety/may-begin.js';
export { whyNotMeasured } from './rules/safety/may-measure.js';
export { additionFor } from './rules/progress/addition.js';
export { doseAs, doseFor } from './rules/doses/method-dose.js';
export { AFTER_CARE, cuesFor, DISCOMFORT_RULE } from './rules/words/method-words.js';
export { adviseOnMorning, isNextDayCheckDue, type MorningAdvice, type MorningScores } from './rules/reports/morning.js';
export { type Change, changesSince } from './rules/suggestions/changes-since.js';
export { CLASS_THINGS, isGrave, attentionNeeded } from './rules/suggestions/attention-needed.js';
export { standingVerdict } from './rules/safety/standing-verdict.js';
export { GLOSSARY, type GlossaryEntry } from './rules/words/glossary.js';
export { kgMinutes, type TermId, termOf, TERMS } from './rules/words/terms.js';
export { unusualInDose } from './rules/doses/usual-dose.js';
export { checkMutes } from './rules/checks/check-mutes.js';
export { type Severity } from './rules/checks/finding.js';
export { type Offer, offersStepwise } from './rules/fixes/offered.js';
export {
  CLASS_EVENT,
  CLASS_LIMITS,
  CLASS_SESSION,
  type ClassEvent,
  type ClassForm,
  type ClassMember,
  type ClassSession,
  checkClassEvent,
  checkClassSession,
  type KnownClassEvent,
  type MemberBlock,
} from './model/class-session.js';
export { spokenMs, type Utterance, type UtteranceKind } from './rules/voice/utterance.js';
export { voiceScript, type VoiceSubject } from './rules/voice/voice-script.js';
export { inForm } from './rules/class/class-fit.js';
export { classFormName, classFormWords } from './rules/class/form-words.js';
export { hardestAllowed } from './rules/class/class-hurt.js';
export { type ClassBlockPlan, classPlan, sequenceOfMember, soreBlocks } from './rules/class/class-plan.js';
export { type ClassRecord, classRecord } from './rules/class/class-record.js';
export { type MemberState } from './rules/class/class-member.js';
export { classAfter, classAt, type ClassState, standingEvents } from './rules/class/class-state.js';
export { harderFor } from './rules/fixes/harder.js';
export { affectedBy, type BlockEases, type Ease, easesOfEach } from './rules/fixes/on-the-spot.js';
export { handsUsed } from './rules/safety/hands-used.js';
export { precautionsFor } from './rules/gate/precautions.js';
export { type EaseReason } from './rules/gate/asks-no-more.js';
export { gate, type GateSubject } from './rules/gate/gate.js';
export { CHECKS, type Finding, findingsOf, keyOfFinding } from './rules/checks/index.js';
export { severityOf, soreAdvice, soreGroup } from './rules/safety/sore-places.js';
export { cautionsOfComplaint, type ComplaintContext, withoutSettled } from './rules/reports/complaints.js';
export { afterIntake, recordAfterIntake, withFelt } from './rules/screening/after-intake.js';
export { CHECK_IN_EVERY, CHECK_IN_EVERY_SORE, intakeDue } from './rules/screening/intake-due.js';
export { type MovementOpen, movementsOpen } from './rules/screening/movements-open.js';
export { referralLetter } from './rules/screening/referral-letter.js';
export {
  NOT_ASKED,
  screeningWords,
  SIGN_RULES,
  type Verdict,
  VERDICT_NAMES,
  VERDICT_WORDS,
  VERDICTS,
  worstOf,
} from './rules/screening/screen-rules.js';
export {
  HEALTH_QUESTIONS,
  type HealthQuestion,
  type OffTheTable,
  screen,
  screenedOn,
  type Screening,
  unaskedIn,
} from './rules/screening/screen.js';
export { type PathEnd, whyItHurts } from './rules/screening/why-it-hurts.js';
export { dueOn, nextAfter } from './programme/due.js';
export { type ReportedSession } from './programme/athlete-suggestions.js';
export { newestVersionOf } from './programme/athlete-suggestions.js';
export { carriedOutIn } from './programme/suggestion-edits.js';
export { calendarEntries, type CalendarEntry } from './programme/calendar-entries.js';
export { goalGate } from './programme/goal-gate.js';
export { compareProgrammes } from './programme/compare.js';
export { carriedOutOn, dueInProgramme, lookBackDays, nextInProgramme } from './programme/done-days.js';
export { editProgramme, freshSessionId, type ProgrammeEdit } from './programme/edits.js';
export { evaluateProgramme, type ProgrammeView } from './programme/evaluate.js';
export { type ProgrammeFinding } from './programme/finding.js';
export { awayOn } from './programme/rules/free-day.js';
export { loadedGroups, loadLine, type LoadPoint } from './programme/load-line.js';
export { newProgramme, type NewProgramme, spacingOf } from './programme/new-programme.js';
export {
  apart,
  checkWish,
  EASY_PLAN,
  hardWeekdays,
  LIGHTER_PLAN,
  LOADING_PLAN,
  scheduled,
  type ScheduleWish,
  weeksUntil,
} from './programme/schedule.js';
export { CHANGE_WEEKS, firstDay, type LevelChange, sixWeeks, type SixWeeks, type TestChange } from './programme/six-weeks.js';
export { weekProgress, type WeekProgress } from './programme/week-progress.js';
export { weeksOf } from './programme/weeks-of.js';
export { sessionLoad } from './programme/session-load.js';
export { type Coverage as ForecastCoverage, forecastCoverage } from './programme/simulated/forecast-coverage.js';
export { SIMULATED_KINDS } from './programme/simulated/kinds.js';
export { type WeekLoad, weekLoads } from './programme/week-loads.js';
export { isAhead, lastDayOf, type PlannedSession, type ProgrammeQuestion, type WeekView } from './programme/seen.js';
export { amountAt, planOf, sequencesOn } from './programme/session-plan.js';
export { isNearEvent } from './programme/toward-event.js';
export { coursesOf, studied, study, STUDY_LIMITS, type StudyQuestion, type StudyRow } from './programme/simulated/study.js';
export { type HandMoment, type HandView } from './picture/figure-hand.js';
export { figureOf } from './picture/figure.js';
export { MEASURED_BONES, SKIN_BONES } from './picture/hand/bones-measured.js';
export { mirroredMoment } from './picture/hand/moment.js';
export { freeHand } from './picture/hand/free-hand.js';
export { exampleNow, exampleOf, handNow } from './picture/hand/beat.js';
export { type Beat, poseOfStation, stationsOf } from './picture/hand/course.js';
export { partsIn, type PlacedHand } from './picture/hand/flesh.js';
export { eyeFor, type Frame3d, frameAround, mirroredFrame, shownAt, turnedFrame } from './picture/hand/framing.js';
export { type HandPicture, handPictureOf, postureHand } from './picture/hand/hand-picture.js';
export { settingOf } from './picture/hand/setting-of.js';
export { MOST_N_CM2, pressureOn, type PressureSpot, trailOf, type WristArc, wristArcOf, zonePressure } from './picture/hand/marks.js';
export { type HandMoment3d } from './picture/hand/moment.js';
export { type PlaceSide, PLACE_SIDES, placeOn, placePicture, PLACES_ON } from './picture/hand/places.js';
export { draggedTo, HANDLE_PLACES, HANDLES, posableIn, posingFrame, stationOf, turnedOver, withJoint } from './picture/hand/posing.js';
export { pushArrow } from './picture/hand/pushing.js';
export { type HandSize, handSizeOf, type Skeleton, sized, skeletonOf } from './picture/hand/skeleton.js';
export { type Vec3 } from './picture/hand/space.js';
export { frameFor, stillBeat, type StillName, stillPicture, STILLS, stillsShow, type StillShows } from './picture/hand/still.js';
export { type Look, type Thing } from './picture/hand/things.js';
export { VIEW_POINTS, type ViewPoint } from './picture/hand/views.js';
export { fingerLine, HAND_SHAPES, type HandShape, HEEL_MARKS, KNUCKLE_MARKS, PALM, topFingers } from './picture/hand-shape.js';
export { footOutline, headOutline, limbOutline, shortsOutline, trunkOutline } from './picture/outline.js';
export { type BodyPose } from './picture/pose.js';
export {
  type Coil,
  type Crack,
  describePot,
  isThrough,
  type Pot,
  POT_MEASURES,
  type PotMeasure,
  potOf,
  potWords,
  shapesOfPot,
} from './picture/pot.js';
export { type Figure, type Prop } from './picture/scene.js';
export { postureFigure } from './picture/support-figure.js';
export { composingOf } from './compose/question.js';
export { candidatesFor, possibleFor } from './compose/candidates.js';
export { loadSolver } from './compose/load-solver.js';
export { integerProgrammeOf } from './compose/integer-programme.js';
export { compose } from './compose/compose.js';
export { gapOf } from './compose/fitting.js';
export { GAP_PERCENT } from './compose/search.js';
export type { RuleId } from './compose/rule-id.js';
export { ruleWords } from './compose/rule-words.js';
export type { Binding, Reason } from './compose/reasons.js';
export type { GiveUp } from './compose/give-up.js';
export { Choice } from './compose/choice.js';
export { type WorkDone } from './rules/progress/work-done.js';
export { faultsToWatch, formFaultsOf, formWords } from './rules/reports/form.js';
export { moreIn } from './rules/doses/asks-more.js';
export { type Gate, gateWords } from './rules/progress/gates.js';
export { inAmount } from './rules/doses/in-amount.js';
export { isProgression, type LevelStanding, type Step } from './rules/progress/level-standing.js';
export { standingsOf } from './rules/progress/standings.js';
export { type GateForecast } from './rules/progress/gate-forecast.js';
