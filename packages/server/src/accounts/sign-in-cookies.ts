import { Inject, Injectable } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { CONFIG } from '../config.token.js';
import type { Config } from '../config.js';
import { KNOWN_DAYS, SIGN_IN_DAYS } from './sign-in.service.js';

/** The cookie that a sign-in is kept in. */
const COOKIE = 'claypot';
/** While the demo is visited: where one was signed in before. */
const RETURN_COOKIE = 'claypot_return';
/** A device on which somebody signed in before. */
const KNOWN_COOKIE = 'claypot_known';
/** A device without an account that joined a class. */
const ROOM_COOKIE = 'claypot_room';
/** A class is over by then. */
const ROOM_DAYS = 1;
const DAY_S = 24 * 3600;
/** Over HTTPS a browser takes such a cookie from this host alone: no neighbour under the same domain can plant one (RFC 6265bis, 4.1.3.2). */
const HOST_ONLY = '__Host-';

type Cookies = Readonly<Record<string, string | undefined>>;

/** The cookies of a browser that is signed in; no script reads them. */
@Injectable()
export class SignInCookies {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  signedIn({ cookies }: { readonly cookies: Cookies }): string | undefined {
    return cookies[this.named(COOKIE)];
  }

  keptForReturn({ cookies }: FastifyRequest): string | undefined {
    return cookies[this.named(RETURN_COOKIE)];
  }

  sign(reply: FastifyReply, token: string): void {
    this.set(reply, COOKIE, token);
  }

  keepForReturn(reply: FastifyReply, token: string): void {
    this.set(reply, RETURN_COOKIE, token);
  }

  known({ cookies }: FastifyRequest): string | undefined {
    return cookies[this.named(KNOWN_COOKIE)];
  }

  know(reply: FastifyReply, token: string): void {
    this.set(reply, KNOWN_COOKIE, token, KNOWN_DAYS);
  }

  inRoom({ cookies }: { readonly cookies: Cookies }): string | undefined {
    return cookies[this.named(ROOM_COOKIE)];
  }

  joinRoom(reply: FastifyReply, token: string): void {
    this.set(reply, ROOM_COOKIE, token, ROOM_DAYS);
  }

  leaveRoom(reply: FastifyReply): void {
    this.clear(reply, ROOM_COOKIE);
  }

  forget(reply: FastifyReply): void {
    this.clear(reply, COOKIE);
  }

  forgetReturn(reply: FastifyReply): void {
    this.clear(reply, RETURN_COOKIE);
  }

  private set(reply: FastifyReply, name: string, token: string, days = SIGN_IN_DAYS): void {
    reply.setCookie(this.named(name), token, { ...this.bounds(), maxAge: days * DAY_S });
  }

  /** A browser takes no word about a secure cookie that isn’t as secure. */
  private clear(reply: FastifyReply, name: string): void {
    reply.clearCookie(this.named(name), this.bounds());
  }

  private bounds() {
    return { httpOnly: true, sameSite: 'lax', path: '/', secure: this.config.secureCookie } as const;
  }

  private named(name: string): string {
    return this.config.secureCookie ? HOST_ONLY + name : name;
  }
}
