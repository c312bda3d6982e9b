import { type FrontDoor, SetUpRequest, type WhoAmI } from '@clay-pot/contracts';
import { must } from '@clay-pot/core';
import { Body, Controller, Delete, Get, HttpCode, Post, Req, Res } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { FrontDoorService } from './front-door.service.js';
import { SignInCookies } from './sign-in-cookies.js';
import { SignInService } from './sign-in.service.js';
import { Public } from './signed-in.guard.js';

/** What can be done before one has an account. */
@Controller('front-door')
export class FrontDoorController {
  constructor(
    private readonly door: FrontDoorService,
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
  ) {}

  @Public()
  @Get()
  @ApiOperation({ summary: 'Whether a first studio can be set up here, and whether there is a demo to visit.' })
  look(): Promise<FrontDoor> {
    return this.door.look();
  }

  @Public()
  @Post('studio')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sets up the first studio and signs its coach in.' })
  async setUp(
    @Body() body: SetUpRequest,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<WhoAmI> {
    const token = await this.door.setUp(body, request.ip);
    this.cookies.sign(reply, token);
    return this.whoHas(token);
  }

  @Public()
  @Post('demo')
  @HttpCode(200)
  @ApiOperation({ summary: 'Visits the demo studio. Whoever is signed in elsewhere comes back to it by leaving.' })
  async visit(@Req() request: FastifyRequest, @Res({ passthrough: true }) reply: FastifyReply): Promise<WhoAmI> {
    const own = this.cookies.signedIn(request);
    const isOwn = own !== undefined && (await this.signIns.whoHas(own))?.studio.isDemo === false;
    const token = await this.door.visitDemo();
    if (isOwn) this.cookies.keepForReturn(reply, own);
    this.cookies.sign(reply, token);
    return this.whoHas(token);
  }

  @Public()
  @Delete('demo')
  @HttpCode(204)
  @ApiOperation({ summary: 'Leaves the demo, back to where one was signed in before.' })
  async leave(@Req() request: FastifyRequest, @Res({ passthrough: true }) reply: FastifyReply): Promise<void> {
    const visit = this.cookies.signedIn(request);
    if (visit !== undefined && (await this.signIns.whoHas(visit))?.studio.isDemo) await this.signIns.signOut(visit);
    const own = this.cookies.keptForReturn(request);
    this.cookies.forgetReturn(reply);
    if (own !== undefined && (await this.signIns.whoHas(own))) this.cookies.sign(reply, own);
    else this.cookies.forget(reply);
  }

  private async whoHas(token: string): Promise<WhoAmI> {
    return this.signIns.describe(must(await this.signIns.whoHas(token), 'a sign-in for the token just given'));
  }
}
