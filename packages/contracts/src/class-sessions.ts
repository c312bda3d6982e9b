import {
  bounded,
  CLASS_EVENT,
  CLASS_LIMITS,
  CLASS_SESSION,
  type ClassEvent,
  type ClassSession,
  type KnownClassEvent,
  type Movement,
  orNull,
  SEQUENCE,
  type Sequence,
} from '@clay-pot/core';
import type { ClassPlanAnswer } from '@clay-pot/core/answers';
import { ById } from './addresses.js';
import type { OwnName } from './movements.js';
import { IsId, IsText, IsWholeWithin, IsWord } from './validation/fields.js';
import { bodyOf, IsDocument } from './validation/is-document.js';

/** Of whom a class is planned: what this person does in each block. */
export class ClassPlanQuestion {
  @IsId('an athlete')
  readonly athleteId: string;
  @IsDocument(SEQUENCE)
  readonly sequence: Sequence;
}

/** What one person does in a class. */
export interface ClassMemberPlan extends ClassPlanAnswer {
  /** The title of a class that is running with this person in it; null where there is none. */
  elsewhere: string | null;
}

/** A class as it begins. */
export class ClassSessionInput extends bodyOf(CLASS_SESSION) {
  /** The time of the class less that of the server, milliseconds: clocks of devices differ. Null where it isn’t known yet. */
  @IsDocument(orNull(bounded(CLASS_LIMITS.offsetMs, 'Offset')))
  readonly offsetMs: number | null;
}

/** The clock of a class that began without a network. */
export class ClassClockInput {
  @IsWholeWithin(CLASS_LIMITS.offsetMs, 'Offset')
  readonly offsetMs: number;
}

/** One press in a class. */
export class ClassEventInput {
  @IsDocument(CLASS_EVENT)
  readonly event: ClassEvent;
}

/** A press of a class. */
export class ClassEventAddress extends ById {
  @IsId('a press')
  readonly eventId: string;
}

/** A press of the class that a device joined. */
export class RoomEventAddress {
  @IsId('a press')
  readonly eventId: string;
}

/** A class as it is led, with everything that was pressed. */
export interface StoredClass {
  id: string;
  session: ClassSession;
  /** What other devices join by; null once it is over. */
  code: string | null;
  /** The time of the class less that of the server, milliseconds; null where it isn’t known yet. */
  offsetMs: number | null;
  endedAt: string | null;
  events: KnownClassEvent[];
  /** Movements of the studio’s own that it uses, and what the studio calls those that it uses. */
  own: Movement[];
  names: OwnName[];
}

/** A class in the list of those that are running. */
export interface RunningClass {
  id: string;
  title: string;
  startedAt: string;
  members: number;
}

/** What a device that joins becomes. */
export const ROOM_ROLES = ['console', 'screen', 'counter'] as const;
/** What a device that joins becomes. */
export type RoomRole = (typeof ROOM_ROLES)[number];
/** Letters and digits that aren’t mistaken for one another. */
export const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
/** Characters of a code. */
export const CODE_LENGTH = 6;

/** A device joins a class. */
export class JoinRoomInput {
  @IsText(CODE_LENGTH * 2, 1, 'Code')
  readonly code: string;
  @IsWord(ROOM_ROLES, 'Role')
  readonly role: RoomRole;
}

/** The class that a device joined, without an account. */
export interface JoinedRoom {
  role: RoomRole;
  room: StoredClass;
}

/** The address of the stream of a class, below `/api`; `?class=` names it for whoever is signed in. */
export const ROOM_PATH = '/room-stream';
/** What a device sends: its own clock, to be told the server’s. */
export interface RoomPing {
  ping: number;
}
/** What a device hears: its ping with the server’s time, or what was pressed. */
export type RoomMessage = { pong: number; nowMs: number } | { pressed: KnownClassEvent[] };
