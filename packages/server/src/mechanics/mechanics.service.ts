import {
  againstLoad,
  type Body,
  BodyError,
  type Demand,
  type Subject,
  type Hand,
  handLoad,
  must,
  nearestPossible,
  NotReachedError,
  POSTURE_LIMITS,
  postureDemand,
  PostureError,
  type RecordedCaution,
  type PostureLoad,
  solvedInterval,
  solvePosture,
  type SupportPosture,
  USUAL_OF_SUPPORT,
  USUAL_POSTURES,
} from '@clay-pot/core';
import type { HandAnswer, PostureAnswer, PostureInput, PostureQuestion, SolveAnswer, SolveQuestion } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { PersonsService } from '../persons/persons.service.js';

/** Asks the core what a posture demands of a person, and the other way round. */
@Injectable()
export class MechanicsService {
  constructor(private readonly persons: PersonsService) {}

  async posture(scope: StudioScope, question: PostureQuestion): Promise<PostureAnswer> {
    const subject = await this.persons.subjectOf(scope, question);
    return answerPosture(subject, postureFrom(question.posture), await this.persons.cautionsOf(scope, question));
  }

  async solve(scope: StudioScope, question: SolveQuestion): Promise<SolveAnswer> {
    const subject = await this.persons.subjectOf(scope, question);
    return answerSolve(subject, question, await this.persons.cautionsOf(scope, question));
  }
}

/** In the order in which a posture keeps them when another is given. */
const CHAIN = ['leanDeg', 'distanceM', 'hipAngleDeg'] as const;

/**
 * The usual posture with what differs. Two given fields of the chain stand alone; one takes the place of the usual posture's hip angle,
 * or where that is given, of its distance or lean.
 */
export function postureFrom({ from, ...change }: PostureInput): SupportPosture {
  const usual: SupportPosture = USUAL_POSTURES[from ?? USUAL_OF_SUPPORT[must(change.support, 'a support or a posture to begin from')]];
  const changes: Record<string, unknown> = change;
  const given = Object.fromEntries(Object.entries(changes).filter(([, value]) => value !== undefined));
  const changed = CHAIN.filter((field) => field in given);
  const support = change.support ?? usual.support;
  const kept = CHAIN.filter((field) => usual[field] !== undefined && !(field in given));
  const room = changed.length === 0 || support === 'feet on wall' || support === 'none' ? kept.length : 2 - changed.length;
  const { leanDeg: _lean, hipAngleDeg: _hip, distanceM: _distance, ...rest } = usual;
  const chain = Object.fromEntries(kept.slice(0, Math.max(0, room)).map((field) => [field, usual[field]]));
  return { ...rest, ...chain, ...given };
}

/** What a posture asks of somebody. */
export function answerPosture(
  { person, estimated }: Subject,
  posture: SupportPosture,
  cautions: readonly RecordedCaution[] = [],
): PostureAnswer {
  const load = computed(person.body, posture, () => handLoad(person.body, posture));
  const demand = postureDemand(person, posture, load);
  return demandView(person.body, estimated, load, demand, againstPosture(posture, demand, cautions));
}

/** The value that reaches a target. */
export function answerSolve(
  subject: Subject,
  { posture, vary, target }: SolveQuestion,
  cautions: readonly RecordedCaution[] = [],
): SolveAnswer {
  const { person } = subject;
  const from = postureFrom(posture);
  const found = computed(person.body, from, () => solvePosture(person, from, vary, target));
  const answer = demandView(
    person.body,
    subject.estimated,
    must(found.demand.posture, 'a posture in the answer'),
    found.demand,
    againstPosture(from, found.demand, cautions),
  );
  const { contact, facing, ...stance } = from;
  const level = { contact, facing, load: { kind: 'body' as const, stance } };
  const interval = solvedInterval(person, level, vary, target, found.demand);
  return { field: vary, value: found.value, unit: POSTURE_LIMITS[vary].unit, interval, answer };
}

/** What somebody’s cautions say against a posture, hand by hand. */
function againstPosture(
  { contact, facing: _facing, ...stance }: SupportPosture,
  demand: Demand,
  cautions: readonly RecordedCaution[],
): PostureAnswer['against'] {
  const way = { loading: 'planted', contact, load: { kind: 'body', stance } } as const;
  const of = (hand: Hand) => againstLoad(way, demand[hand], cautions, hand);
  return { left: of('left'), right: of('right') };
}

function demandView(
  body: Body,
  estimated: readonly string[],
  load: PostureLoad,
  demand: Demand,
  against: PostureAnswer['against'],
): PostureAnswer {
  const { bothPercentBW, forearmsPercentBW, heldBy, copAheadM, pressure, leanDeg, hipAngleDeg, distanceM } = load;
  return {
    handsPercentBW: bothPercentBW - forearmsPercentBW,
    bothPercentBW,
    left: presentHand('left', load, demand),
    right: presentHand('right', load, demand),
    forearmsPercentBW,
    wristAngleDeg: load.wristExtensionDeg,
    heldBy,
    copAheadM,
    pressure,
    leanDeg,
    hipAngleDeg,
    distanceM,
    jointsM: { ...load.joints },
    freeBodyResidual: load.freeBodyResidual,
    body: { ...body },
    against,
    estimated: [...estimated],
  };
}

function presentHand(hand: Hand, load: PostureLoad, demand: Demand): HandAnswer {
  const { efforts, effortPercent, angle, stretchNm } = demand[hand];
  const { loadN, loadPercentBW, wristMomentNm, fingerMomentNm, elbowMomentNm, shoulderMomentNm } = load[hand];
  return {
    loadN,
    loadPercentBW,
    wristMomentNm,
    fingerMomentNm,
    tissueMomentNm: stretchNm,
    elbowMomentNm,
    shoulderMomentNm,
    effortPercent,
    efforts: efforts.map(({ action, demand: levelsContext, capacity, effortPercent: percent, interval }) => ({
      action,
      demand: levelsContext,
      unit: capacity.unit,
      capacity: capacity.value,
      capacityLogSd: capacity.logSd,
      capacitySource: capacity.source,
      effortPercent: percent,
      effortInterval: interval,
    })),
    rangeMarginDeg: angle ? angle.rangeDeg - angle.deg : null,
    rangeSource: angle?.rangeSource ?? null,
  };
}

/** Turns what cannot be into a problem that names the field and the nearest that can. */
function computed<T>(body: Body, posture: SupportPosture, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof BodyError) throw invalid([{ pointer: `/body/${error.field}`, message: error.message }]);
    if (error instanceof PostureError) {
      const nearest = nearestPossible(body, posture, error);
      throw invalid([{ pointer: `/posture/${error.field}`, message: error.message, ...(nearest !== undefined && { nearest }) }]);
    }
    if (error instanceof NotReachedError) {
      const { nearest } = error;
      throw invalid([{ pointer: '/target/value', message: error.message, ...(nearest && { nearest: nearest.y, at: nearest.x }) }]);
    }
    throw error;
  }
}
