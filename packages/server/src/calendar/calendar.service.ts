import type { CalendarLink } from '@clay-pot/contracts';
import { cautionsOn } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { max } from 'date-fns';
import { randomBytes } from 'node:crypto';
import { DataSource, In, IsNull } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { StudioRow } from '../accounts/entities.js';
import { hashToken } from '../accounts/sign-in.service.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { notFound } from '../http/problem.js';
import { libraryDataOf } from '../library/library.service.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { HeavyWork } from '../work/heavy-work.js';
import { CalendarLinkRow } from './calendar-link.entity.js';
import type { ProgrammeInCalendar } from './calendar-work.js';

/** As long as a session’s secret: nobody finds it by trying. */
const TOKEN_BYTES = 24;

/** Programmes for calendars outside, and the private addresses that they follow. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly source: DataSource,
    private readonly work: HeavyWork,
    private readonly clock: Clock,
  ) {}

  /** One programme as a file. @throws 404 */
  async ofProgramme(scope: StudioScope, id: string): Promise<string> {
    const row = await scope.of(ProgrammeRow).get(id, 'programme');
    return this.written(scope, row.title, row.athleteId, [row]);
  }

  /** Whether somebody’s calendar has an address, and since when; the address itself is shown once, when it is made. */
  async link(scope: StudioScope, athleteId: string): Promise<CalendarLink> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const row = await scope.of(CalendarLinkRow).one({ athleteId });
    return { madeAt: row?.madeAt.toISOString() ?? null, path: null };
  }

  /** Gives somebody’s calendar an address; the one before ends. */
  async makeLink(scope: StudioScope, athleteId: string): Promise<CalendarLink> {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const madeAt = this.clock.now();
    await scope.transaction(async (inner) => {
      // Of two at once the later one gives the address.
      await inner.of(AthleteRow).hold(athleteId, 'athlete');
      await inner.of(CalendarLinkRow).remove({ athleteId });
      await inner.of(CalendarLinkRow).insert({ id: uuid(), athleteId, tokenHash: hashToken(token), madeAt }, 'calendar');
    });
    return { madeAt: madeAt.toISOString(), path: `/api/calendars/${token}.ics` };
  }

  /** Whoever follows the address finds nothing any more. */
  async endLink(scope: StudioScope, athleteId: string): Promise<void> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    await scope.of(CalendarLinkRow).remove({ athleteId });
  }

  /** The calendar at a private address: every current programme of that person; a finished one stays in a calendar. @throws 404 for an address that never was or that ended */
  async behind(token: string): Promise<string> {
    const link = await this.source.getRepository(CalendarLinkRow).findOneBy({ tokenHash: hashToken(token) });
    const studio = link && (await this.source.getRepository(StudioRow).findOneBy({ id: link.studioId }));
    if (!link || !studio) throw notFound('calendar');
    const scope = new StudioScope(studio.id, studio.timeZone, this.source.manager);
    const rows = await scope.of(ProgrammeRow).find({ where: { athleteId: link.athleteId, removedAt: IsNull() } });
    return this.written(scope, studio.name, link.athleteId, rows);
  }

  private async written(scope: StudioScope, name: string, athleteId: string, programmes: readonly ProgrammeRow[]): Promise<string> {
    const ids = programmes.flatMap(({ document: { plans } }) => plans.map(({ sequenceId }) => sequenceId));
    const rows = ids.length > 0 ? await scope.of(SequenceRow).find({ where: { id: In(ids), removedAt: IsNull() } }) : [];
    const athlete = await scope.of(AthleteRow).one({ id: athleteId });
    const stampedAt = this.clock.now();
    return this.work.run('answerCalendar', {
      name,
      timeZone: scope.timeZone,
      library: await libraryDataOf(scope),
      cautions: athlete ? cautionsOn(athlete, dayIn(scope.timeZone, stampedAt)) : [],
      programmes: programmes.map((programme) => inCalendar(programme, rows)),
      stampedAt,
    });
  }
}

function inCalendar({ id, document, updatedAt }: ProgrammeRow, rows: readonly SequenceRow[]): ProgrammeInCalendar {
  const mine = document.plans.flatMap((plan) => {
    const row = rows.find((each) => each.id === plan.sequenceId);
    return row ? [{ planId: plan.id, row }] : [];
  });
  return {
    id,
    document,
    sequences: new Map(mine.map(({ planId, row }) => [planId, row.document])),
    changedAt: max([updatedAt, ...mine.map(({ row }) => row.updatedAt)]),
  };
}
