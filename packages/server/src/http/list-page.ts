import {
  applyDecorators,
  type CallHandler,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
  UseInterceptors,
} from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { map, type Observable } from 'rxjs';
import { type PageOf, placeText } from '../database/paging.js';
import { HoldsWhileUnchanged } from './unchanged.interceptor.js';

/** Answers the entries of a page; the next one is named in a `Link` header (RFC 8288). */
@Injectable()
class PageInterceptor implements NestInterceptor<PageOf<unknown>> {
  intercept(context: ExecutionContext, next: CallHandler<PageOf<unknown>>): Observable<unknown[]> {
    const reply = context.switchToHttp().getResponse<FastifyReply>();
    return next.handle().pipe(
      map(({ items, end }) => {
        if (end !== null) {
          const { pathname, searchParams } = new URL(reply.request.url, 'http://localhost');
          searchParams.set('after', placeText(end));
          void reply.header('link', `<${pathname}?${searchParams.toString()}>; rel="next"`);
        }
        return items;
      }),
    );
  }
}

/** Marks a list that is answered page by page, and again as it is while nothing was written. */
export const ListPage = () => applyDecorators(HoldsWhileUnchanged(), UseInterceptors(PageInterceptor));
