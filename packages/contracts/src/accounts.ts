import { email, LENGTH_UNITS, MASS_UNITS, type Of, oneOf, record, type ShownUnits, text } from '@clay-pot/core';

/** What somebody who signs in sends. */
export const SIGN_IN = record({ email: email(), password: text(200, 1, 'Password') });
/** An e-mail address and a password. */
export type SignInRequest = Of<typeof SIGN_IN>;

/** What a coach reads masses and lengths in. */
export const UNITS_INPUT = record({ mass: oneOf(MASS_UNITS, 'Masses in'), length: oneOf(LENGTH_UNITS, 'Lengths in') });

/** Who is signed in, and in which studio. */
export interface WhoAmI {
  name: string;
  email: string;
  studio: { name: string; timeZone: string };
  /** What masses and lengths are shown in; all are sent and kept metric. */
  units: ShownUnits;
}
