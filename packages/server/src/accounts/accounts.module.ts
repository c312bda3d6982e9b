import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { FrontDoorController } from './front-door.controller.js';
import { FrontDoorService } from './front-door.service.js';
import { SignInAttempts } from './sign-in-attempts.js';
import { SignInCookies } from './sign-in-cookies.js';
import { SignInController } from './sign-in.controller.js';
import { SignInService } from './sign-in.service.js';
import { SignedInGuard } from './signed-in.guard.js';

/** The signed-in account. Its guard runs before every route of every module. */
@Module({
  controllers: [SignInController, FrontDoorController],
  providers: [SignInService, SignInAttempts, FrontDoorService, SignInCookies, { provide: APP_GUARD, useClass: SignedInGuard }],
  exports: [SignInService, SignInAttempts, SignInCookies],
})
export class AccountsModule {}
