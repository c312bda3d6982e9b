import { ClassEventInput, type JoinedRoom, JoinRoomInput, RoomEventAddress } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Req, Res } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { SignInCookies } from '../accounts/sign-in-cookies.js';
import { Public } from '../accounts/signed-in.guard.js';
import { notFound, signInNeeded } from '../http/problem.js';
import { ClassSessionsService } from './class-sessions.service.js';
import { type RoomGuest, RoomGuests } from './room-guests.js';
import { RoomStream } from './room-stream.js';

/** The class that a device joined by its code. */
@Public()
@Controller('room')
export class RoomsController {
  constructor(
    private readonly guests: RoomGuests,
    private readonly cookies: SignInCookies,
    private readonly classes: ClassSessionsService,
    private readonly stream: RoomStream,
  ) {}

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Joins a running class by its six characters, as console, big screen or counter.' })
  async join(
    @Body() { code, role }: JoinRoomInput,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<JoinedRoom> {
    const { token, guest } = await this.guests.join(code, role, request.ip);
    this.cookies.joinRoom(reply, token);
    return this.shown(guest);
  }

  @Get()
  async look(@Req() request: FastifyRequest): Promise<JoinedRoom> {
    return this.shown(await this.guestOf(request));
  }

  @Put('events/:eventId')
  @HttpCode(204)
  async press(@Req() request: FastifyRequest, @Param() { eventId }: RoomEventAddress, @Body() { event }: ClassEventInput): Promise<void> {
    const { classId, role, scope } = await this.guestOf(request);
    if (role !== 'console') throw notFound('class');
    await this.classes.press(scope, classId, eventId, event);
    this.stream.wake(classId);
  }

  @Delete()
  @HttpCode(204)
  @ApiOperation({ summary: 'Leaves the class. Nothing of it stays on the device or here.' })
  async leave(@Req() request: FastifyRequest, @Res({ passthrough: true }) reply: FastifyReply): Promise<void> {
    const token = this.cookies.inRoom(request);
    if (token !== undefined) await this.guests.leave(token);
    this.cookies.leaveRoom(reply);
  }

  private async shown({ classId, role, scope }: RoomGuest): Promise<JoinedRoom> {
    const room = await this.classes.get(scope, classId);
    // Who joined has no need to know who they are elsewhere, nor to let others in.
    return { role, room: { ...room, code: null } };
  }

  private async guestOf(request: FastifyRequest): Promise<RoomGuest> {
    const token = this.cookies.inRoom(request);
    const guest = token === undefined ? null : await this.guests.whoHas(token);
    if (!guest) throw signInNeeded();
    return guest;
  }
}
