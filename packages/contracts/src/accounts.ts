import { email, type Of, record, text } from '@clay-pot/core';

/** What somebody who signs in sends. */
export const SIGN_IN = record({ email: email(), password: text(200, 1, 'Password') });
/** An e-mail address and a password. */
export type SignInRequest = Of<typeof SIGN_IN>;

/** Who is signed in, and in which studio. */
export interface WhoAmI {
  name: string;
  email: string;
  studio: { name: string; timeZone: string };
}
