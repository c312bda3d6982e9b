import { type CanActivate, createParamDecorator, type ExecutionContext, Injectable, SetMetadata } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { FastifyRequest } from 'fastify';
import { checkOrigin } from '../http/origin.js';
import { signInNeeded } from '../http/problem.js';
import { currentRequest } from '../http/request-context.js';
import { SignInCookies } from './sign-in-cookies.js';
import { type SignedIn, SignInService } from './sign-in.service.js';

const PUBLIC = 'public';

/** A request of somebody who is signed in. */
export type SignedInRequest = FastifyRequest & { signedIn?: SignedIn };

/** Marks a route that needs no sign-in. Every other route does. */
export const Public = () => SetMetadata(PUBLIC, true);

/** Guards every route: the origin of writes, and the sign-in. */
@Injectable()
export class SignedInGuard implements CanActivate {
  /** Read once for each route: its decorators don’t change. */
  private readonly publicRoutes = new WeakMap<object, boolean>();

  constructor(
    private readonly reflector: Reflector,
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<SignedInRequest>();
    checkOrigin(request);
    if (this.isPublic(context)) return true;
    const token = this.cookies.signedIn(request);
    const signedIn = token ? await this.signIns.whoHas(token) : null;
    if (!signedIn) throw signInNeeded();
    request.signedIn = signedIn;
    const current = currentRequest();
    if (current) current.studioId = signedIn.studio.id;
    return true;
  }

  private isPublic(context: ExecutionContext): boolean {
    const handler = context.getHandler();
    const known = this.publicRoutes.get(handler);
    if (known !== undefined) return known;
    const isPublic = this.reflector.getAllAndOverride<boolean | undefined>(PUBLIC, [handler, context.getClass()]) ?? false;
    this.publicRoutes.set(handler, isPublic);
    return isPublic;
  }
}

/** The person asking. */
export const Me = createParamDecorator((_data: unknown, context: ExecutionContext) => {
  const { signedIn } = context.switchToHttp().getRequest<SignedInRequest>();
  if (!signedIn) throw signInNeeded();
  return signedIn;
});

/** The studio's rows. */
export const Studio = createParamDecorator((_data: unknown, context: ExecutionContext) => {
  const { signedIn } = context.switchToHttp().getRequest<SignedInRequest>();
  if (!signedIn) throw signInNeeded();
  return signedIn.scope;
});
