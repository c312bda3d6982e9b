import { Controller, Get } from '@nestjs/common';
import { HealthCheck, HealthCheckService, TypeOrmHealthIndicator } from '@nestjs/terminus';
import { Public } from '../accounts/signed-in.guard.js';

const PING_MS = 2000;

/** Whether the server lives, and whether it is ready to answer. */
@Public()
@Controller('health')
export class HealthController {
  constructor(
    private readonly health: HealthCheckService,
    private readonly database: TypeOrmHealthIndicator,
  ) {}

  /** The process answers. */
  @Get('live')
  live(): { status: 'ok' } {
    return { status: 'ok' };
  }

  /** The database answers too: requests can be served. */
  @Get('ready')
  @HealthCheck()
  ready() {
    return this.health.check([() => this.database.pingCheck('database').withTimeout(PING_MS)]);
  }
}
