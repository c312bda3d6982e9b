import { Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { SignInController } from './sign-in.controller.js';
import { SignInService } from './sign-in.service.js';
import { SignedInGuard } from './signed-in.guard.js';

/** Who is asking. Its guard stands before every route of every module. */
@Module({
  controllers: [SignInController],
  providers: [SignInService, { provide: APP_GUARD, useClass: SignedInGuard }],
  exports: [SignInService],
})
export class AccountsModule {}
