import type { Today } from '@clay-pot/contracts';
import { Controller, Get } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { TodayService } from './today.service.js';

/** What is due. */
@Controller('today')
export class TodayController {
  constructor(private readonly today: TodayService) {}

  @Get()
  @HoldsWhileUnchanged()
  get(@Studio() scope: StudioScope): Promise<Today> {
    return this.today.get(scope);
  }
}
