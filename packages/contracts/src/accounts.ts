import { LENGTH_UNITS, MASS_UNITS, type ShownUnits } from '@clay-pot/core';
import { IsEmailAddress, IsText, IsWord } from './validation/fields.js';

const PASSWORD_LENGTH = 200;

/** What somebody who signs in sends. */
export class SignInRequest {
  @IsEmailAddress()
  readonly email: string;
  @IsText(PASSWORD_LENGTH, 1, 'Password')
  readonly password: string;
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
  studio: { name: string; timeZone: string };
  /** What masses and lengths are shown in; all are sent and kept metric. */
  units: ShownUnits;
}
