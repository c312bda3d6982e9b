import { ROOM_PATH, type RoomMessage, type RoomPing } from '@clay-pot/contracts';
import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { type RawData, type WebSocket, WebSocketServer } from 'ws';
import { SignInCookies } from '../accounts/sign-in-cookies.js';
import { SignInService } from '../accounts/sign-in.service.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { type Knock, SocketDoor } from '../sockets/socket-door.js';
import { ClassEventRow, ClassSessionRow } from './class-session.entities.js';
import { RoomGuests } from './room-guests.js';

/** Thirty phones, a screen and two consoles in each of several rooms. */
const MOST_AT_ONCE = 500;
/** Another instance may have taken a press: it is looked for this often. */
const LOOK_EVERY_MS = 1000;
/** Presses that are committed out of order are still seen. */
const OVERLAP = 64;
/** Whoever says nothing for so long is gone. Devices ping every few seconds. */
const SILENT_MS = 60_000;

/** A class as it is listened to. */
interface Room {
  readonly scope: StudioScope;
  readonly sockets: Set<WebSocket>;
  readonly sent: Set<string>;
  last: number;
  looking: boolean;
  isWoken: boolean;
}

/** Tells every device of a class what is pressed, and the time. It holds nothing: what was pressed is read from the database. */
@Injectable()
export class RoomStream implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly server = new WebSocketServer({ noServer: true, maxPayload: 256 });
  private readonly rooms = new Map<string, Room>();
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly door: SocketDoor,
    private readonly signIns: SignInService,
    private readonly cookies: SignInCookies,
    private readonly guests: RoomGuests,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.door.at(ROOM_PATH, (knock) => this.open(knock));
    this.timer = setInterval(() => {
      for (const id of this.rooms.keys()) this.wake(id);
    }, LOOK_EVERY_MS).unref();
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
    for (const client of this.server.clients) client.terminate();
    this.server.close();
  }

  /** Something was pressed in a class. */
  wake(classId: string): void {
    const room = this.rooms.get(classId);
    if (room) void this.tell(classId, room);
  }

  private async open(knock: Knock): Promise<void> {
    const { cookies, url, request, socket, head, refuse } = knock;
    const who = await this.whoIs(cookies, url.searchParams.get('class'));
    if (!who) {
      refuse('401 Unauthorized');
      return;
    }
    if (this.server.clients.size >= MOST_AT_ONCE) {
      refuse('503 Service Unavailable');
      return;
    }
    const { classId, scope } = who;
    if (classId !== null && !(await scope.of(ClassSessionRow).one({ id: classId }))) {
      refuse('404 Not Found');
      return;
    }
    this.server.handleUpgrade(request, socket, head, (client) => {
      this.answerPings(client);
      if (classId !== null) this.join(client, { classId, scope });
    });
  }

  /** A guest has joined a class; a signed-in coach names one, or only wants the time before one begins. */
  private async whoIs(cookies: Knock['cookies'], classId: string | null): Promise<{ classId: string | null; scope: StudioScope } | null> {
    const joined = this.cookies.inRoom({ cookies });
    if (classId === null && joined !== undefined) return this.guests.whoHas(joined);
    const token = this.cookies.signedIn({ cookies });
    const signedIn = token ? await this.signIns.whoHas(token) : null;
    return signedIn && { classId, scope: signedIn.scope };
  }

  private answerPings(client: WebSocket): void {
    let silent = setTimeout(() => client.terminate(), SILENT_MS);
    client.on('message', (data) => {
      clearTimeout(silent);
      silent = setTimeout(() => client.terminate(), SILENT_MS);
      const ping = pingIn(data);
      if (ping !== null) send(client, { pong: ping, nowMs: this.clock.now().getTime() });
    });
    client.on('error', () => client.terminate());
    client.once('close', () => clearTimeout(silent));
  }

  private join(client: WebSocket, { classId, scope }: { classId: string; scope: StudioScope }): void {
    const room = this.rooms.get(classId) ?? { scope, sockets: new Set(), sent: new Set(), last: 0, looking: false, isWoken: false };
    this.rooms.set(classId, room);
    room.sockets.add(client);
    client.once('close', () => {
      room.sockets.delete(client);
      if (room.sockets.size === 0) this.rooms.delete(classId);
    });
    this.wake(classId);
  }

  /** Tells what is new. One look at a time; who wakes it meanwhile has it look again. */
  private async tell(classId: string, room: Room): Promise<void> {
    room.isWoken = true;
    if (room.looking) return;
    room.looking = true;
    try {
      while (room.isWoken) {
        room.isWoken = false;
        const rows = await room.scope.select<{ id: string; place: string; event: string }>(
          'SELECT id, place, event FROM class_events WHERE studio_id = ? AND class_id = ? AND place > ? ORDER BY place',
          [classId, room.last - OVERLAP],
        );
        const fresh = rows.filter(({ id }) => !room.sent.has(id));
        for (const { id, place } of fresh) {
          room.sent.add(id);
          room.last = Math.max(room.last, Number(place));
        }
        const pressed = fresh.map(({ id, event }) => ({
          id,
          event: (typeof event === 'string' ? JSON.parse(event) : event) as ClassEventRow['event'],
        }));
        if (pressed.length > 0) for (const socket of room.sockets) send(socket, { pressed });
      }
    } catch {
      // The database is away: devices go on by themselves, and the next look tells them.
    } finally {
      room.looking = false;
    }
  }
}

const send = (client: WebSocket, message: RoomMessage): void => client.send(JSON.stringify(message));

/** The clock of a device, as it pings; null for anything else. */
function pingIn(data: RawData): number | null {
  try {
    const { ping } = JSON.parse((data as Buffer).toString('utf8')) as Partial<RoomPing>;
    return typeof ping === 'number' && Number.isFinite(ping) ? ping : null;
  } catch {
    return null;
  }
}
