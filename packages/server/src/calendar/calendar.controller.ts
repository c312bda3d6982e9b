import { ById, CalendarAddress, type CalendarLink } from '@clay-pot/contracts';
import { Controller, Delete, Get, HttpCode, Param, Put, Res } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Public, Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { CalendarService } from './calendar.service.js';

const send = (reply: FastifyReply, text: string, fileName: string) =>
  reply
    .header('content-type', 'text/calendar; charset=utf-8')
    .header('content-disposition', `inline; filename="${fileName}"`)
    .header('cache-control', 'private, no-cache')
    .send(text);

/** Programmes as iCalendar: a file, and an address that calendars follow. */
@Controller()
export class CalendarController {
  constructor(private readonly calendars: CalendarService) {}

  @Get('programmes/:id/calendar.ics')
  @ApiOperation({ summary: 'A programme as an iCalendar file (RFC 5545).' })
  async file(@Studio() scope: StudioScope, @Param() { id }: ById, @Res() reply: FastifyReply): Promise<void> {
    await send(reply, await this.calendars.ofProgramme(scope, id), 'programme.ics');
  }

  @Get('athletes/:id/calendar')
  @ApiOperation({ summary: 'Whether an athlete’s calendar has a private address.' })
  link(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<CalendarLink> {
    return this.calendars.link(scope, id);
  }

  @Put('athletes/:id/calendar')
  @ApiOperation({ summary: 'Creates a private calendar address for an athlete, shown only once. The previous address stops working.' })
  make(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<CalendarLink> {
    return this.calendars.makeLink(scope, id);
  }

  @Delete('athletes/:id/calendar')
  @HttpCode(204)
  end(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<void> {
    return this.calendars.endLink(scope, id);
  }

  @Public()
  @Get('calendars/:file')
  @ApiOperation({ summary: 'The calendar behind a private address: an athlete’s sessions as iCalendar.' })
  async followed(@Param() { file }: CalendarAddress, @Res() reply: FastifyReply): Promise<void> {
    await send(reply, await this.calendars.behind(file.replace(/\.ics$/, '')), 'sessions.ics');
  }
}
