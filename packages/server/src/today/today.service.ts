import { isGrave } from '@clay-pot/core';
import type { ClassRow, FirstSteps, Today } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { IsNull } from 'typeorm';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { OverviewService } from '../overview/overview.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';

/** How far a new studio has come; null where it has come far enough. */
function firstStepsOf(table: readonly ClassRow[], hasSequence: boolean): FirstSteps | null {
  const checkedIn = table.find(({ askedOn }) => askedOn !== null);
  if (checkedIn && hasSequence) return null;
  const next = checkedIn ?? table[0];
  return { athlete: next ? { id: next.athleteId, name: next.name } : null, hasCheckIn: checkedIn !== undefined, hasSequence };
}

/** Puts together what a coach sees first. */
@Injectable()
export class TodayService {
  constructor(
    private readonly clock: Clock,
    private readonly overviews: OverviewService,
  ) {}

  async get(scope: StudioScope): Promise<Today> {
    const [overviews, [sequence]] = await Promise.all([
      this.overviews.ofStudio(scope),
      scope.of(SequenceRow).find({ select: { id: true }, where: { removedAt: IsNull() }, take: 1 }),
    ]);
    const table = overviews.map(({ row }) => row);
    // Within each list everybody stands in the order of the class overview, so that sorting by one thing more is enough.
    return {
      day: dayIn(scope.timeZone, this.clock.now()),
      firstSteps: firstStepsOf(table, sequence !== undefined),
      atRisk: table.filter(isGrave).map(({ athleteId, name, reasons }) => ({ athleteId, athleteName: name, reasons })),
      due: overviews.flatMap(({ due }) => due).toSorted((a, b) => b.state.localeCompare(a.state)),
      changes: overviews.flatMap(({ changes }) => changes).toSorted((a, b) => Number(b.isGrave) - Number(a.isGrave)),
      mornings: overviews.flatMap(({ morning }) => morning ?? []),
    };
  }
}
