import type { IncomingMessage } from 'node:http';
import type { Duplex } from 'node:stream';
import { type DeviceMessage, SIMULATED_PATH, SimulatedSetupInput, faultsOfRequest } from '@clay-pot/contracts';
import { mostOn, programSeconds, SimulatedDevice } from '@clay-pot/core';
import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { FastifyInstance } from 'fastify';
import { type WebSocket, WebSocketServer } from 'ws';
import { SignInService } from '../accounts/sign-in.service.js';
import { SignInCookies } from '../accounts/sign-in-cookies.js';
import type { StudioScope } from '../database/studio-scope.js';
import { isOwnOrigin } from '../http/origin.js';
import { PersonsService } from '../persons/persons.service.js';

const PATH = `/api${SIMULATED_PATH}`;
/** Often enough for a picture that moves sixty times a second, seldom enough for bad Wi-Fi. */
const SEND_EVERY_MS = 40;
/** Each is a timer and a socket. */
const MOST_AT_ONCE = 50;
/** Nobody listens to a device for longer. */
const MOST_SECONDS = 600;
/** Closing codes of the protocol: done, and refused by one of our rules. */
const DONE = 1000;
const REFUSED = 1008;

/** Streams simulated devices over WebSocket to whoever is signed in, with the strength of the person who is named. */
@Injectable()
export class SimulatedStream implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: 1024 });

  constructor(
    private readonly host: HttpAdapterHost,
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
    private readonly persons: PersonsService,
  ) {}

  onApplicationBootstrap(): void {
    this.fastify.server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      void this.upgrade(request, socket, head).catch(() => socket.destroy());
    });
  }

  onModuleDestroy(): void {
    for (const client of this.sockets.clients) client.terminate();
    this.sockets.close();
  }

  private get fastify(): FastifyInstance {
    return this.host.httpAdapter.getInstance<FastifyInstance>();
  }

  private async upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void> {
    const url = new URL(request.url ?? '', 'http://house');
    if (url.pathname !== PATH) {
      refuse(socket, '404 Not Found');
      return;
    }
    // A page of another site could open a socket with the coach's cookie: the origin says whose page it is.
    if (!isOwnOrigin(request.headers)) {
      refuse(socket, '403 Forbidden');
      return;
    }
    const token = this.cookies.signedIn({ cookies: this.fastify.parseCookie(request.headers.cookie ?? '') });
    const signedIn = token ? await this.signIns.whoHas(token) : null;
    if (!signedIn) {
      refuse(socket, '401 Unauthorized');
      return;
    }
    if (this.sockets.clients.size >= MOST_AT_ONCE) {
      refuse(socket, '503 Service Unavailable');
      return;
    }
    this.sockets.handleUpgrade(request, socket, head, (client) => {
      void this.stream(client, url.searchParams.get('setup') ?? '', signedIn.scope);
    });
  }

  private async stream(client: WebSocket, text: string, scope: StudioScope): Promise<void> {
    try {
      const setup = setupFrom(text);
      const device = await this.deviceFor(setup, scope);
      play(client, device, Math.min(MOST_SECONDS, programSeconds(setup.program, setup.holdS)), setup.speed);
    } catch (error) {
      client.close(REFUSED, reasonOf(error instanceof Error ? error.message : String(error)));
    }
  }

  private async deviceFor(setup: SimulatedSetupInput, scope: StudioScope): Promise<SimulatedDevice> {
    const { kind, athleteId, hand, effortPercent, of, isActive, leverCm, ...rest } = setup;
    const { person } = await this.persons.subjectOf(scope, athleteId === undefined ? {} : { athleteId });
    const share = effortPercent === undefined ? {} : { share: effortPercent / 100 };
    return new SimulatedDevice({
      ...rest,
      ...share,
      kind,
      most: mostOn(kind, person, hand, { of, isActive, leverCm }),
    });
  }
}

/** The protocol has room for so many bytes of a reason, and a letter cut in half is none. */
const REASON_BYTES = 123;
function reasonOf(text: string): Buffer {
  const bytes = Buffer.alloc(REASON_BYTES);
  return bytes.subarray(0, new TextEncoder().encodeInto(text, bytes).written);
}

/** @throws Error naming the field and what would be right */
function setupFrom(text: string): SimulatedSetupInput {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Error('setup must be JSON: a kind, a hand and a program.');
  }
  const [fault] = faultsOfRequest(SimulatedSetupInput, value);
  if (fault) throw new Error(`${fault.pointer || 'setup'} ${fault.message}`);
  return value as SimulatedSetupInput;
}

/** Sends what the device gives in real time, or so many times faster. */
function play(client: WebSocket, device: SimulatedDevice, seconds: number, speed = 1): void {
  const began = performance.now();
  const timer = setInterval(() => {
    const now = Math.min(seconds, ((performance.now() - began) / 1000) * speed);
    const samples = device.samplesTo(now);
    const isOver = now >= seconds;
    if (samples.length > 0 || isOver) client.send(JSON.stringify({ samples, isOver } satisfies DeviceMessage));
    if (isOver) client.close(DONE);
  }, SEND_EVERY_MS);
  client.once('close', () => clearInterval(timer));
}

function refuse(socket: Duplex, status: string): void {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`);
}
