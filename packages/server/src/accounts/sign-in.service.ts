import { createHash, randomBytes } from 'node:crypto';
import type { WhoAmI } from '@clay-pot/contracts';
import type { ShownUnits } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { addDays } from 'date-fns';
import { DataSource, LessThan, MoreThan } from 'typeorm';
import { ask } from '../database/quick-query.js';
import { TogetherLookup } from '../database/together-lookup.js';
import { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { wrongSignIn } from '../http/problem.js';
import { AccountRow, KnownDeviceRow, SignInRow, StudioRow } from './entities.js';
import { SignInAttempts, type Source } from './sign-in-attempts.js';

/** A sign-in that is not used lasts this long. */
export const SIGN_IN_DAYS = 30;
/** A device is known for so long after the last sign-in on it. */
export const KNOWN_DAYS = 365;
/** OWASP’s first choice for argon2id: 19 MiB, two passes, one lane. */
const ARGON2 = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A password as it is stored: argon2id, with a salt of its own. */
export const hashPassword = (password: string) => hash(password, ARGON2);
/** A secret as it is kept: whoever reads the database cannot use it. */
export const hashToken = (token: string) => createHash('sha256').update(token).digest('hex');

/** Who is asking, and the door to their studio's rows. */
export interface SignedIn {
  account: Omit<AccountRow, 'studioId' | 'passwordHash'>;
  studio: StudioRow;
  scope: StudioScope;
}

/** Written out, because every request asks it. */
const WHO = `SELECT signIn.token_hash AS tokenHash, signIn.expires_at AS expiresAt, account.id, account.studio_id AS studioId, account.email, account.name, account.mass_unit AS massUnit, account.length_unit AS lengthUnit,
  studio.name AS studioName, studio.time_zone AS timeZone, studio.is_demo AS isDemo, revisions.revision
  FROM sign_ins signIn JOIN accounts account ON account.id = signIn.account_id JOIN studios studio ON studio.id = account.studio_id
  LEFT JOIN studio_revisions revisions ON revisions.studio_id = account.studio_id
  WHERE signIn.token_hash IN (?)`;
type WhoRow = Pick<SignInRow, 'tokenHash' | 'expiresAt'> &
  Pick<AccountRow, 'id' | 'studioId' | 'email' | 'name' | 'massUnit' | 'lengthUnit'> & {
    studioName: string;
    timeZone: string;
    isDemo: number;
    revision: number | string | null;
  };

/** Checks passwords, keeps sign-ins, and slows down those who guess. */
@Injectable()
export class SignInService {
  /** Checked when the e-mail is unknown, so that a wrong address takes as long as a wrong password. */
  private readonly decoy = hashPassword(randomBytes(16).toString('hex'));

  /** Requests that arrive together are looked up together: none by a question that was asked before it came. */
  private readonly who: TogetherLookup<WhoRow>;

  constructor(
    private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly attempts: SignInAttempts,
  ) {
    this.who = new TogetherLookup(async (hashes) => {
      const rows = await ask<WhoRow>(source.manager, WHO, [hashes]);
      return new Map(rows.map((row) => [row.tokenHash, row]));
    });
  }

  /**
   * @param known what a browser keeps of an earlier sign-in
   * @returns the tokens for the cookies: of the sign-in, and of the device. @throws 401, the same for unknown address and wrong password; 429 after too many tries
   */
  async signIn(email: string, password: string, address: string, known?: string): Promise<{ token: string; device: string }> {
    const account = await this.source.getRepository(AccountRow).findOneBy({ email });
    const device = known !== undefined && account ? await this.knownDevice(known, account.id) : null;
    const from: Source = device ? { kind: 'known device', id: device } : { kind: 'address', address };
    await this.attempts.begin(email, from);
    const matches = await verify(account?.passwordHash ?? (await this.decoy), password);
    if (!account || !matches) throw wrongSignIn();
    await this.attempts.succeeded(email, from);
    return { token: await this.tokenFor(account.id), device: await this.rememberDevice(account.id, device ? known : undefined) };
  }

  /** The id of a device on which an account was signed in before; null for any other. */
  private async knownDevice(token: string, accountId: string): Promise<string | null> {
    const tokenHash = hashToken(token);
    const row = await this.source.getRepository(KnownDeviceRow).findOneBy({ tokenHash, accountId, expiresAt: MoreThan(this.clock.now()) });
    return row && tokenHash;
  }

  /** Knows a device from now on. @returns the token that it is known by */
  private async rememberDevice(accountId: string, known: string | undefined): Promise<string> {
    const token = known ?? randomBytes(32).toString('base64url');
    const expiresAt = addDays(this.clock.now(), KNOWN_DAYS);
    await this.source.getRepository(KnownDeviceRow).upsert({ tokenHash: hashToken(token), accountId, expiresAt }, ['tokenHash']);
    return token;
  }

  /** Signs an account in. @param days after how many it ends by itself @returns the token for the cookie */
  async tokenFor(accountId: string, days = SIGN_IN_DAYS): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const expiresAt = addDays(this.clock.now(), days);
    await this.source.getRepository(SignInRow).insert({ tokenHash: hashToken(token), accountId, expiresAt });
    await this.forgetOld();
    return token;
  }

  async signOut(token: string): Promise<void> {
    await this.source.getRepository(SignInRow).delete({ tokenHash: hashToken(token) });
  }

  /** The person behind a token, or null when it is unknown or has run out. */
  async whoHas(token: string): Promise<SignedIn | null> {
    // Every request begins with this question; what was answered before may hold by the revision that comes along.
    const row = await this.who.of(hashToken(token));
    if (!row || Number(row.expiresAt) <= this.clock.now().getTime()) return null;
    const { id, studioId, email, name, massUnit, lengthUnit, studioName, timeZone, isDemo, revision } = row;
    return {
      account: { id, email, name, massUnit, lengthUnit },
      studio: { id: studioId, name: studioName, isDemo: Boolean(isDemo), timeZone },
      scope: new StudioScope(studioId, timeZone, this.source.manager, Number(revision ?? 0)),
    };
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
  async keepUnits({ account, ...who }: SignedIn, { mass, length }: ShownUnits): Promise<WhoAmI> {
    const units = { massUnit: mass, lengthUnit: length };
    await this.source.getRepository(AccountRow).update({ id: account.id }, units);
    return this.describe({ account: { ...account, ...units }, ...who });
  }

  private async forgetOld(): Promise<void> {
    const now = this.clock.now();
    await this.source.getRepository(SignInRow).delete({ expiresAt: LessThan(now) });
    await this.source.getRepository(KnownDeviceRow).delete({ expiresAt: LessThan(now) });
  }
}
