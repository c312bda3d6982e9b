import { type DeviceMessage, SIMULATED_PATH, SimulatedSetupInput, faultsOfRequest } from '@clay-pot/contracts';
import { mostOn, programSeconds, SimulatedDevice } from '@clay-pot/core';
import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { type WebSocket, WebSocketServer } from 'ws';
import { SignInService } from '../accounts/sign-in.service.js';
import { SignInCookies } from '../accounts/sign-in-cookies.js';
import type { StudioScope } from '../database/studio-scope.js';
import { PersonsService } from '../persons/persons.service.js';
import { type Knock, SocketDoor } from '../sockets/socket-door.js';

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
    private readonly door: SocketDoor,
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
    private readonly persons: PersonsService,
  ) {}

  onApplicationBootstrap(): void {
    this.door.at(SIMULATED_PATH, (knock) => this.open(knock));
  }

  onModuleDestroy(): void {
    for (const client of this.sockets.clients) client.terminate();
    this.sockets.close();
  }

  private async open({ url, cookies, request, socket, head, refuse }: Knock): Promise<void> {
    const token = this.cookies.signedIn({ cookies });
    const signedIn = token ? await this.signIns.whoHas(token) : null;
    if (!signedIn) {
      refuse('401 Unauthorized');
      return;
    }
    if (this.sockets.clients.size >= MOST_AT_ONCE) {
      refuse('503 Service Unavailable');
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
