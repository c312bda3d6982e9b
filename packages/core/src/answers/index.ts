/** What server and worker threads are asked: plain data in, plain data out. */
export { answerSuggestions, type SuggestionsAnswer, type SuggestionsWork, type ComingBrief } from './suggestions.js';
export { type ComposeAnswer, composeWith, type Following, judgedWith, prepareFor, type SwapAnswer, swapsIn } from './compose.js';
export { answerCompose, answerSwap } from './compose-in-thread.js';
export type { ComposeWork } from './compose-work.js';
export type { OwnShelf } from './own-shelf.js';
export { answerCopy, type CopyAnswer, type CopyWork } from './copy.js';
export {
  answerOffers,
  answerPast,
  answerSession,
  answerTimeline,
  type BlockAnswer,
  type EffortSessionAnswer,
  type EffortTimelineAnswer,
  type EffortWork,
  type GroupFatigue,
  type OffersAnswer,
  sessionAnswer,
  type SessionFinding,
  timelineAnswer,
} from './effort.js';
export { answerClassPlan, answerClassRecords, type ClassPlanAnswer } from './class.js';
export { answerOpen, type OpenWork } from './open.js';
export { answerLevels, type LevelDone, type LevelItem, type LevelsAnswer, type LevelsWork } from './levels.js';
export { answerPredictions, type PredictionsAnswer, type PredictionsWork } from './predictions.js';
export { answerCriticalForce, answerTrace, answerTrend, type CriticalForceAnswer, type TraceAnswer, type TrendAnswer } from './measure.js';
export { answerRead, type ReadWork } from './read.js';
export { answerEvidence, type EvidenceWork, type SubjectWork } from './subject.js';
export { answerEvaluate, type EvaluateAnswer, type EvaluatedSession, type EvaluateWork } from './programme.js';
