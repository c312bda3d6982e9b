import type { EffortQuestion, EffortTimelineAnswer } from '@clay-pot/contracts';
import {
  compileTimeline,
  effortTimeline,
  fatigueCourses,
  type MovementLookup,
  partsOf,
  type Sequence,
} from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { MechanicsService, type Whose } from '../mechanics/mechanics.service.js';
import { MovementsService } from '../movements/movements.service.js';
import { soundSequence } from '../sequences/sequences.service.js';

/** What a sequence does to somebody's muscles, asked by another program. */
@Injectable()
export class EffortService {
  constructor(
    private readonly mechanics: MechanicsService,
    private readonly movements: MovementsService,
  ) {}

  async timeline(scope: StudioScope, question: EffortQuestion): Promise<EffortTimelineAnswer> {
    const lookup = await this.movements.lookup(scope);
    const sequence = soundSequence(question.sequence, lookup, '/sequence');
    return answerTimeline(await this.mechanics.whose(scope, question), sequence, lookup);
  }
}

export function answerTimeline(
  { person, estimated }: Whose,
  sequence: Sequence,
  lookup: MovementLookup,
): EffortTimelineAnswer {
  const timeline = compileTimeline(sequence, lookup);
  const efforts = effortTimeline(person, sequence, timeline, lookup);
  const groups = [...fatigueCourses(efforts)].map(([key, { points, lowest, enduranceDose, underLoadS, failure }]) => ({
    ...partsOf(key),
    course: points.map(({ atMs, left }) => ({ atMs, capacityLeft: left })),
    lowestCapacityLeft: lowest,
    enduranceDose,
    underLoadS,
    failure,
  }));
  return {
    durationMs: timeline.durationMs,
    events: timeline.events.map(({ kind, blockId, startMs, durationMs, side, set }) => ({
      kind,
      blockId,
      startMs,
      durationMs,
      side,
      set,
    })),
    groups,
    impossible: [...efforts.impossible],
    estimated,
  };
}
