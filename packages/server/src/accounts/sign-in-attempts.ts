import { Injectable } from '@nestjs/common';
import { subMinutes } from 'date-fns';
import { DataSource, LessThan, MoreThan } from 'typeorm';
import { Clock } from '../http/clock.js';
import { tooManyTries } from '../http/problem.js';
import { SignInFailureRow } from './entities.js';

/** How guessing is slowed down: so many failures are free, each further one doubles the wait, up to a longest. */
interface Slowdown {
  readonly free: number;
  readonly longestWaitS: number;
}
/** Of one account from one source. */
const ONE_BY_ONE: Slowdown = { free: 5, longestWaitS: 15 * 60 };
/** From one source, whatever the account: many people may sit behind one address. */
const BY_SOURCE: Slowdown = { free: 30, longestWaitS: 60 };
/** Of one account, whatever the source. Devices that its owner signed in on before are not slowed down by it. */
const BY_ACCOUNT: Slowdown = { free: 100, longestWaitS: 60 };
/** Failures count for so long. */
const WINDOW_MIN = 60;
/** An address is kept in so many letters. */
const SOURCE_LENGTH = 64;

/** Where a try comes from: an address, or a device on which the account was signed in before. */
export type Source = { readonly kind: 'address'; readonly address: string } | { readonly kind: 'known device'; readonly id: string };

/** Counts tries before they are checked, so that many at once are no way around it; a success takes its counts back. */
@Injectable()
export class SignInAttempts {
  /** One is counted after the other: of many at once each sees those before it. */
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Counts a try as a failure until it is known to be none. @throws 429 with the seconds to wait; a try that is refused does not count */
  begin(email: string, source: Source): Promise<void> {
    const counted = this.last.then(() => this.count(email, source));
    this.last = counted.catch(() => undefined);
    return counted;
  }

  /** It was the right one: earlier failures from there are forgiven. */
  async succeeded(email: string, source: Source): Promise<void> {
    await this.rows.delete({ email, address: nameOf(source) });
    await this.rows.delete({ at: LessThan(subMinutes(this.clock.now(), WINDOW_MIN)) });
  }

  private get rows() {
    return this.source.getRepository(SignInFailureRow);
  }

  private async count(email: string, source: Source): Promise<void> {
    const address = nameOf(source);
    await this.slowDown({ email, address }, ONE_BY_ONE);
    if (source.kind === 'address') {
      await this.slowDown({ address }, BY_SOURCE);
      await this.slowDown({ email }, BY_ACCOUNT);
    }
    await this.rows.insert({ email, address, at: this.clock.now() });
  }

  private async slowDown(of: { email?: string; address?: string }, { free, longestWaitS }: Slowdown): Promise<void> {
    const now = this.clock.now();
    const where = { ...of, at: MoreThan(subMinutes(now, WINDOW_MIN)) };
    const failures = await this.rows.countBy(where);
    if (failures < free) return;
    const newest = await this.rows.findOne({ where, order: { at: 'DESC' } });
    const waitS = Math.min(longestWaitS, 2 ** Math.min(failures - free, 20));
    const sinceS = newest ? (now.getTime() - newest.at.getTime()) / 1000 : Infinity;
    if (sinceS < waitS) throw tooManyTries(Math.ceil(waitS - sinceS));
  }
}

const nameOf = (source: Source): string => (source.kind === 'address' ? source.address : `device ${source.id}`).slice(0, SOURCE_LENGTH);
