import { randomBytes } from 'node:crypto';
import { CODE_LETTERS, type RoomRole } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { addHours } from 'date-fns';
import { DataSource, LessThan, MoreThan } from 'typeorm';
import { StudioRow } from '../accounts/entities.js';
import { SignInAttempts } from '../accounts/sign-in-attempts.js';
import { hashToken } from '../accounts/sign-in.service.js';
import { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { invalid } from '../http/problem.js';
import { ClassGuestRow, ClassSessionRow } from './class-session.entities.js';
import { LONGEST_CLASS_H } from './class-sessions.service.js';

/** A device without an account in a class. */
export interface RoomGuest {
  readonly classId: string;
  readonly role: RoomRole;
  readonly scope: StudioScope;
}

/** Guesses of codes count like guesses of passwords, all for this name. */
const GUESSES = 'code of a class';

/** Devices that joined a class by its code. They see this class and nothing else. */
@Injectable()
export class RoomGuests {
  constructor(
    private readonly source: DataSource,
    private readonly attempts: SignInAttempts,
    private readonly clock: Clock,
  ) {}

  /** Joins by a code. @returns the token for the cookie @throws 422 for a code of no running class, 429 after too many guesses */
  async join(typed: string, role: RoomRole, address: string): Promise<{ token: string; guest: RoomGuest }> {
    const code = [...typed.toUpperCase()].filter((letter) => CODE_LETTERS.includes(letter)).join('');
    await this.attempts.begin(GUESSES, { kind: 'address', address });
    const row = code ? await this.source.getRepository(ClassSessionRow).findOneBy({ code }) : null;
    if (!row) throw invalid([{ pointer: '/code', message: 'is not the code of a running class. The coach’s device shows it' }]);
    await this.attempts.succeeded(GUESSES, { kind: 'address', address });
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    const guests = this.source.getRepository(ClassGuestRow);
    await guests.insert({ tokenHash: hashToken(token), classId: row.id, role, expiresAt: addHours(now, LONGEST_CLASS_H) });
    await guests.delete({ expiresAt: LessThan(now) });
    return { token, guest: { classId: row.id, role, scope: await this.scopeOf(row) } };
  }

  /** The guest behind a token; null when it is unknown, has run out, or the class is gone. */
  async whoHas(token: string): Promise<RoomGuest | null> {
    const where = { tokenHash: hashToken(token), expiresAt: MoreThan(this.clock.now()) };
    const guest = await this.source.getRepository(ClassGuestRow).findOneBy(where);
    const row = guest && (await this.source.getRepository(ClassSessionRow).findOneBy({ id: guest.classId }));
    return guest && row ? { classId: row.id, role: guest.role, scope: await this.scopeOf(row) } : null;
  }

  /** Leaves without a trace. */
  async leave(token: string): Promise<void> {
    await this.source.getRepository(ClassGuestRow).delete({ tokenHash: hashToken(token) });
  }

  private async scopeOf({ studioId }: ClassSessionRow): Promise<StudioScope> {
    const { timeZone } = await this.source.getRepository(StudioRow).findOneByOrFail({ id: studioId });
    return new StudioScope(studioId, timeZone, this.source.manager);
  }
}
