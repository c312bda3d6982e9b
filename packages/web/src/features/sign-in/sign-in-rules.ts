import { SignInRequest } from '@clay-pot/contracts';
import { asTyped, requestResolver } from '../../ui/request-resolver.js';

/** The checks of the form before it is sent. */
export const signInResolver = requestResolver<{ email: string; password: string }>(SignInRequest, { tidy: asTyped });
