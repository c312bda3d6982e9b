import { Inject, Injectable } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { CONFIG } from '../config.token.js';
import type { Config } from '../config.js';
import { KNOWN_DAYS, SIGN_IN_DAYS } from './sign-in.service.js';

/** The cookie that a sign-in is kept in. */
export const COOKIE = 'claypot';
/** While the demo is visited: where one was signed in before. */
const RETURN_COOKIE = 'claypot_return';
/** A device on which somebody signed in before. */
const KNOWN_COOKIE = 'claypot_known';
const DAY_S = 24 * 3600;

/** The cookies of a browser that is signed in; no script reads them. */
@Injectable()
export class SignInCookies {
  constructor(@Inject(CONFIG) private readonly config: Config) {}

  signedIn(request: FastifyRequest): string | undefined {
    return request.cookies[COOKIE];
  }

  keptForReturn(request: FastifyRequest): string | undefined {
    return request.cookies[RETURN_COOKIE];
  }

  sign(reply: FastifyReply, token: string): void {
    this.set(reply, COOKIE, token);
  }

  keepForReturn(reply: FastifyReply, token: string): void {
    this.set(reply, RETURN_COOKIE, token);
  }

  known(request: FastifyRequest): string | undefined {
    return request.cookies[KNOWN_COOKIE];
  }

  know(reply: FastifyReply, token: string): void {
    this.set(reply, KNOWN_COOKIE, token, KNOWN_DAYS);
  }

  forget(reply: FastifyReply): void {
    reply.clearCookie(COOKIE, { path: '/' });
  }

  forgetReturn(reply: FastifyReply): void {
    reply.clearCookie(RETURN_COOKIE, { path: '/' });
  }

  private set(reply: FastifyReply, name: string, token: string, days = SIGN_IN_DAYS): void {
    const secure = this.config.secureCookie;
    reply.setCookie(name, token, { httpOnly: true, sameSite: 'lax', path: '/', secure, maxAge: days * DAY_S });
  }
}
