import { LENGTH_UNITS, MASS_UNITS, type ShownUnits, text } from '@clay-pot/core';
import { IsEmailAddress, IsText, IsWord } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';

const PASSWORD_LENGTH = 200;
/** Shorter passwords are guessed. */
const NEW_PASSWORD_LENGTH = 10;
const NAME_LENGTH = 120;
const CODE_LENGTH = 40;
const ZONE_LENGTH = 64;

/** What somebody who signs in sends. */
export class SignInRequest {
  @IsEmailAddress()
  readonly email: string;
  @IsText(PASSWORD_LENGTH, 1, 'Password')
  readonly password: string;
}

/** Whether this machine knows a time zone by its IANA name. @example isTimeZone('Europe/Amsterdam') → true */
export function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en-GB', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** The first studio of its own on a server, and its first coach. */
export class SetUpRequest {
  /** Printed where the server was started: whoever has it may set up the studio. */
  @IsText(CODE_LENGTH, 1, 'Setup code')
  readonly code: string;
  @IsText(NAME_LENGTH, 1, 'Studio')
  readonly studio: string;
  @IsText(NAME_LENGTH, 1, 'Your name')
  readonly name: string;
  @IsEmailAddress()
  readonly email: string;
  @IsText(PASSWORD_LENGTH, NEW_PASSWORD_LENGTH, 'Password')
  readonly password: string;
  /** IANA name: it decides which day a session is of. */
  @IsDocument(text(ZONE_LENGTH, 1, 'Time zone'), (zone: string) =>
    isTimeZone(zone) ? [] : [{ pointer: '', message: 'must be a time zone, like Europe/Amsterdam' }],
  )
  readonly timeZone: string;
}

/** What somebody who is not signed in may do. */
export interface FrontDoor {
  /** Whether this server waits for its first own studio. */
  canSetUp: boolean;
  hasDemo: boolean;
}

/** What a coach reads masses and lengths in. */
export class UnitsInput implements ShownUnits {
  @IsWord(MASS_UNITS, 'Masses in')
  readonly mass: ShownUnits['mass'];
  @IsWord(LENGTH_UNITS, 'Lengths in')
  readonly length: ShownUnits['length'];
}

/** Who is signed in, and in which studio. */
export interface WhoAmI {
  name: string;
  email: string;
  /** In the demo studio everything is made up. */
  studio: { name: string; timeZone: string; isDemo: boolean };
  /** What masses and lengths are shown in; all are sent and kept metric. */
  units: ShownUnits;
}
