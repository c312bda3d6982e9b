import { email, type Of, record, text, type ShownUnits } from '@clay-pot/core';

/** What somebody who signs in sends. */
export const SIGN_IN = record({ email: email(), password: text(200, 1, 'Password') });
/** An e-mail address and a password. */
export type SignInRequest = Of<typeof SIGN_IN>;

/** Who is signed in, and in which studio. */
export interface WhoAmI {
  name: string;
  email: string;
  studio: { name: string; timeZone: string };
  /** What masses and lengths are shown in; all are sent and kept metric. */
  units: ShownUnits;
}
