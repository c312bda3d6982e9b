import { must } from '@clay-pot/core';
import { SignInRequest, UnitsInput, type WhoAmI } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Put, Req, Res } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { CONFIG } from '../config.token.js';
import type { Config } from '../config.js';
import { SIGN_IN_DAYS, type SignedIn, SignInService } from './sign-in.service.js';
import { COOKIE, Me, Public } from './signed-in.guard.js';

/** Signing in and out, and who is signed in. */
@Controller('sign-in')
export class SignInController {
  constructor(
    private readonly signIns: SignInService,
    @Inject(CONFIG) private readonly config: Config,
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
    const token = await this.signIns.signIn(body.email.trim().toLowerCase(), body.password, request.ip);
    const secure = this.config.secureCookie;
    const maxAge = SIGN_IN_DAYS * 24 * 3600;
    reply.setCookie(COOKIE, token, { httpOnly: true, sameSite: 'lax', path: '/', secure, maxAge });
    return this.signIns.describe(must(await this.signIns.whoHas(token), 'a sign-in for the token just given'));
  }

  @Public()
  @Delete()
  @HttpCode(204)
  async signOut(@Req() request: FastifyRequest, @Res({ passthrough: true }) reply: FastifyReply): Promise<void> {
    const token = request.cookies[COOKIE];
    if (token) await this.signIns.signOut(token);
    reply.clearCookie(COOKIE, { path: '/' });
  }
}
