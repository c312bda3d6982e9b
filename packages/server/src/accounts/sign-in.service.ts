import { createHash, randomBytes } from 'node:crypto';
import type { WhoAmI } from '@clay-pot/contracts';
import type { ShownUnits } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { addDays, subMinutes } from 'date-fns';
import { DataSource, LessThan, MoreThan } from 'typeorm';
import { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { tooManyTries, wrongSignIn } from '../http/problem.js';
import { AccountRow, SignInFailureRow, SignInRow, StudioRow } from './entities.js';

/** A sign-in that is not used lasts this long. */
export const SIGN_IN_DAYS = 30;
const FAILURE_WINDOW_MIN = 15;
const MAX_FAILURES_PER_EMAIL = 10;
const MAX_FAILURES_PER_ADDRESS = 50;
/** OWASP’s first choice for argon2id: 19 MiB, two passes, one lane. */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A password as it is stored: argon2id, with a salt of its own. */
export const hashPassword = (password: string) => hash(password, ARGON2);
/** A secret as it is kept: whoever reads the database cannot use it. */
export const hashToken = (token: string) => createHash('sha256').update(token).digest('hex');

/** Who is asking, and the door to their studio's rows. */
export interface SignedIn {
  account: AccountRow;
  studio: StudioRow;
  scope: StudioScope;
}

/** Checks passwords, keeps sign-ins, and slows down those who guess. */
@Injectable()
export class SignInService {
  /** Checked when the e-mail is unknown, so that a wrong address takes as long as a wrong password. */
  private readonly decoy = hashPassword(randomBytes(16).toString('hex'));

  constructor(
    private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** @returns the token for the cookie. @throws 401, the same for unknown address and wrong password; 429 after too many tries. */
  async signIn(email: string, password: string, address: string): Promise<string> {
    await this.refuseTooManyTries(email, address);
    const account = await this.source.getRepository(AccountRow).findOneBy({ email });
    const matches = await verify(account?.passwordHash ?? (await this.decoy), password);
    if (!account || !matches) {
      await this.noteFailure(email, address);
      throw wrongSignIn();
    }
    return this.tokenFor(account.id);
  }

  /** Signs an account in. @param days after how many it ends by itself @returns the token for the cookie */
  async tokenFor(accountId: string, days = SIGN_IN_DAYS): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const expiresAt = addDays(this.clock.now(), days);
    await this.source.getRepository(SignInRow).insert({ tokenHash: hashToken(token), accountId, expiresAt });
    await this.forgetOld();
    return token;
  }

  /** Counts a failed try against whoever makes the next one. */
  async noteFailure(email: string, address: string): Promise<void> {
    await this.source.getRepository(SignInFailureRow).insert({ email, address, at: this.clock.now() });
  }

  async signOut(token: string): Promise<void> {
    await this.source.getRepository(SignInRow).delete({ tokenHash: hashToken(token) });
  }

  /** The person behind a token, or null when it is unknown or has run out. */
  async whoHas(token: string): Promise<SignedIn | null> {
    // One question to the database: every request begins with it.
    const account = await this.source.manager
      .createQueryBuilder(AccountRow, 'account')
      .innerJoin(SignInRow, 'signIn', 'signIn.accountId = account.id')
      .innerJoinAndMapOne('account.studio', StudioRow, 'studio', 'studio.id = account.studioId')
      .where('signIn.tokenHash = :hash AND signIn.expiresAt > :now', { hash: hashToken(token), now: this.clock.now() })
      .getOne();
    if (!account) return null;
    const { studio } = account as AccountRow & { studio: StudioRow };
    return { account, studio, scope: new StudioScope(studio.id, studio.timeZone, this.source.manager) };
  }

  describe({ account, studio }: SignedIn): WhoAmI {
    return {
      name: account.name,
      email: account.email,
      studio: { name: studio.name, timeZone: studio.timeZone, isDemo: studio.isDemo },
      units: { mass: account.massUnit, length: account.lengthUnit },
    };
  }

  /** Keeps what a coach reads masses and lengths in. */
  async keepUnits({ account, studio, scope }: SignedIn, { mass, length }: ShownUnits): Promise<WhoAmI> {
    const units = { massUnit: mass, lengthUnit: length };
    await this.source.getRepository(AccountRow).update({ id: account.id }, units);
    return this.describe({ account: Object.assign(account, units), studio, scope });
  }

  /** @throws 429 after too many failures of an address or for an e-mail */
  async refuseTooManyTries(email: string, address: string): Promise<void> {
    const failures = this.source.getRepository(SignInFailureRow);
    const at = MoreThan(subMinutes(this.clock.now(), FAILURE_WINDOW_MIN));
    const byEmail = await failures.countBy({ email, at });
    const byAddress = await failures.countBy({ address, at });
    if (byEmail >= MAX_FAILURES_PER_EMAIL || byAddress >= MAX_FAILURES_PER_ADDRESS) {
      throw tooManyTries(FAILURE_WINDOW_MIN * 60);
    }
  }

  private async forgetOld(): Promise<void> {
    const now = this.clock.now();
    await this.source.getRepository(SignInRow).delete({ expiresAt: LessThan(now) });
    await this.source.getRepository(SignInFailureRow).delete({ at: LessThan(subMinutes(now, FAILURE_WINDOW_MIN)) });
  }
}
