import { timingSafeEqual } from 'node:crypto';
import type { FrontDoor, SetUpRequest } from '@clay-pot/contracts';
import { Inject, Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CONFIG } from '../config.token.js';
import type { Config } from '../config.js';
import { conflict, invalid } from '../http/problem.js';
import { AccountRow, StudioRow } from './entities.js';
import { SignInAttempts, type Source } from './sign-in-attempts.js';
import { hashPassword, hashToken, SignInService } from './sign-in.service.js';

/** A visit of the demo ends by itself after a day. */
const VISIT_DAYS = 1;
/** Setting up counts its failures under this name: nobody has a sign-in yet. */
const SETTING_UP = 'set-up';

/** What can be done before one has an account: setting up the first studio, visiting the demo. */
@Injectable()
export class FrontDoorService {
  constructor(
    private readonly source: DataSource,
    private readonly signIns: SignInService,
    private readonly attempts: SignInAttempts,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async look(): Promise<FrontDoor> {
    const [own, demo] = await Promise.all([this.studios(false), this.studios(true)]);
    return { canSetUp: this.config.setUpCode !== null && own === 0, hasDemo: demo > 0 };
  }

  /**
   * Makes the first studio of its own with its coach. Of two at once one is made.
   * @returns the token for the cookie @throws 422 for a wrong code; 409 once there is a studio; 429 after too many wrong codes
   */
  async setUp(request: SetUpRequest, address: string): Promise<string> {
    const from: Source = { kind: 'address', address };
    await this.attempts.begin(SETTING_UP, from);
    if (this.config.setUpCode === null || !isSameSecret(request.code.trim(), this.config.setUpCode)) {
      throw invalid([{ pointer: '/code', message: 'must be the code printed where Clay Pot was started' }]);
    }
    await this.attempts.succeeded(SETTING_UP, from);
    const passwordHash = await hashPassword(request.password);
    const accountId = uuid();
    await this.source.transaction('SERIALIZABLE', async (manager) => {
      if ((await manager.countBy(StudioRow, { isDemo: false })) > 0) throw conflict('This server already has a studio. Sign in instead.');
      const email = request.email.trim().toLowerCase();
      if ((await manager.countBy(AccountRow, { email })) > 0) {
        throw invalid([{ pointer: '/email', message: 'must not be the e-mail of an account that exists' }]);
      }
      const studioId = uuid();
      await manager.insert(StudioRow, { id: studioId, name: request.studio.trim(), timeZone: request.timeZone, isDemo: false });
      await manager.insert(AccountRow, { id: accountId, studioId, email, name: request.name.trim(), passwordHash });
    });
    return this.signIns.tokenFor(accountId);
  }

  /** Signs a visitor in to the demo. @throws 409 where there is none */
  async visitDemo(): Promise<string> {
    const coach = await this.source.manager
      .createQueryBuilder(AccountRow, 'account')
      .innerJoin(StudioRow, 'studio', 'studio.id = account.studioId')
      .where('studio.isDemo = 1')
      .getOne();
    if (!coach) throw conflict('This server has no demo studio.');
    return this.signIns.tokenFor(coach.id, VISIT_DAYS);
  }

  private studios(isDemo: boolean): Promise<number> {
    return this.source.getRepository(StudioRow).countBy({ isDemo });
  }
}

/** Compares without telling by its time how much was right. */
const isSameSecret = (given: string, secret: string): boolean =>
  timingSafeEqual(Buffer.from(hashToken(given)), Buffer.from(hashToken(secret)));
