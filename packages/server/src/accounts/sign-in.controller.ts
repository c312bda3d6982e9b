import { must } from '@clay-pot/core';
import { SignInRequest, UnitsInput, type WhoAmI } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { SignInCookies } from './sign-in-cookies.js';
import { type SignedIn, SignInService } from './sign-in.service.js';
import { Me, Public } from './signed-in.guard.js';

/** Signing in and out, and who is signed in. */
@Controller('sign-in')
export class SignInController {
  constructor(
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
  ) {}

  @Get()
  who(@Me() me: SignedIn): WhoAmI {
    return this.signIns.describe(me);
  }

  @Put('units')
  units(@Me() me: SignedIn, @Body() units: UnitsInput): Promise<WhoAmI> {
    return this.signIns.keepUnits(me, units);
  }

  @Public()
  @Post()
  async signIn(
    @Body() body: SignInRequest,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<WhoAmI> {
    const known = this.cookies.known(request);
    const { token, device } = await this.signIns.signIn(body.email.trim().toLowerCase(), body.password, request.ip, known);
    this.cookies.sign(reply, token);
    this.cookies.know(reply, device);
    const me = must(await this.signIns.whoHas(token), 'a sign-in for the token just given');
    request.log.info({ event: 'signed-in', accountId: me.account.id, address: request.ip });
    return this.signIns.describe(me);
  }

  @Public()
  @Delete()
  @HttpCode(204)
  async signOut(@Req() request: FastifyRequest, @Res({ passthrough: true }) reply: FastifyReply): Promise<void> {
    for (const token of [this.cookies.signedIn(request), this.cookies.keptForReturn(request)]) {
      if (token) await this.signIns.signOut(token);
    }
    this.cookies.forget(reply);
    this.cookies.forgetReturn(reply);
    request.log.info({ event: 'signed-out', address: request.ip });
  }
}
