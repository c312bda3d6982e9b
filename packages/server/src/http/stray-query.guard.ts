import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import { ROUTE_ARGS_METADATA } from '@nestjs/common/constants.js';
import { RouteParamtypes } from '@nestjs/common/enums/route-paramtypes.enum.js';
import type { FastifyRequest } from 'fastify';
import { invalid } from './problem.js';

/** Refuses query parameters at routes that read none: those that read some name them in a class, which refuses the others. */
@Injectable()
export class StrayQueryGuard implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const stray = Object.keys(context.switchToHttp().getRequest<FastifyRequest>().query as object);
    if (stray.length === 0 || readsQuery(context)) return true;
    throw invalid(stray.map((name) => ({ pointer: `/${name}`, message: 'is not a known query parameter: leave it out' })));
  }
}

/** Nest keeps a route’s parameters under keys that begin with their kind. */
function readsQuery(context: ExecutionContext): boolean {
  const parameters: unknown = Reflect.getMetadata(ROUTE_ARGS_METADATA, context.getClass(), context.getHandler().name);
  return Object.keys(parameters ?? {}).some((key) => key.startsWith(`${RouteParamtypes.QUERY}:`));
}
