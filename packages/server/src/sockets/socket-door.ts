import type { IncomingMessage } from 'node:http';
import type { Duplex } from 'node:stream';
import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { FastifyInstance } from 'fastify';
import { isOwnOrigin } from '../http/origin.js';

/** Somebody who wants to open a socket: where, and with which cookies. */
export interface Knock {
  readonly url: URL;
  readonly cookies: Readonly<Record<string, string | undefined>>;
  readonly request: IncomingMessage;
  readonly socket: Duplex;
  readonly head: Buffer;
  /** Refuses with a status such as `404 Not Found`. */
  readonly refuse: (status: string) => void;
}
type Answer = (knock: Knock) => Promise<void>;

/** Where sockets are opened: each path has one that answers. A page of another site is refused, whatever cookies its browser sends along. */
@Injectable()
export class SocketDoor implements OnApplicationBootstrap {
  private readonly answers = new Map<string, Answer>();

  constructor(private readonly host: HttpAdapterHost) {}

  /** @param path below `/api` */
  at(path: string, answer: Answer): void {
    this.answers.set(`/api${path}`, answer);
  }

  onApplicationBootstrap(): void {
    const fastify = this.host.httpAdapter.getInstance<FastifyInstance>();
    fastify.server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      // Whoever goes away while they are answered is gone; it harms nobody.
      socket.on('error', () => socket.destroy());
      const url = new URL(request.url ?? '', 'http://house');
      const refuse = (status: string) => void socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`);
      const answer = this.answers.get(url.pathname);
      if (!answer) return refuse('404 Not Found');
      // A page of another site could open a socket with the coach's cookie: the origin says whose page it is.
      if (!isOwnOrigin(request.headers)) return refuse('403 Forbidden');
      const cookies = fastify.parseCookie(request.headers.cookie ?? '');
      void answer({ url, cookies, request, socket, head, refuse }).catch(() => socket.destroy());
    });
  }
}
