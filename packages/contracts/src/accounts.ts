import { email, type Of, record, text } from '@clay-pot/core';

export const SIGN_IN = record({ email: email(), password: text(200, 1, 'Password') });
export type SignInRequest = Of<typeof SIGN_IN>;

export interface WhoAmI {
  name: string;
  email: string;
  studio: { name: string; timeZone: string };
}
