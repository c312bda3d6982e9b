import { forgetMe, queryClient } from '../api/queries.js';
import { request } from '../api/request.js';
import { forgetOwnMethods } from '../store/own-methods.js';
import { forgetOwnMovements } from '../store/own-movements.js';
import { forgetOwnNames } from '../store/own-names.js';

/** Signs out, and forgets on this device what was seen of the studio. */
export async function signOut(): Promise<void> {
  await request('/sign-in', { method: 'DELETE' });
  forgetMe();
  forgetOwnMovements();
  forgetOwnMethods();
  forgetOwnNames();
  queryClient.clear();
  await (await import('../api/last-seen.js')).forgetLastSeen();
  window.location.assign('/');
}
