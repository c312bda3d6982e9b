import type { FrontDoor, SetUpRequest, WhoAmI } from '@clay-pot/contracts';
import { keepMe } from '../../api/queries.js';
import { request } from '../../api/request.js';
import { exclusively } from '../../store/exclusively.js';
import { forgetMe } from '../../store/me.js';
import { SENDER } from '../../store/outbox.js';

/** What can be done here before one has an account. */
export const lookAtFrontDoor = () => request<FrontDoor>('/front-door');

/** Another account comes to this page: nothing is sent meanwhile, in no tab, and what the page holds of the one before goes with it. */
async function comeIn(ask: () => Promise<WhoAmI>, to: string): Promise<void> {
  await exclusively(SENDER, async () => keepMe(await ask()));
  window.location.assign(to);
}

/** Sets up the first studio and signs in to it. */
export const setUpStudio = (body: SetUpRequest): Promise<void> =>
  comeIn(() => request<WhoAmI>('/front-door/studio', { method: 'POST', body }), '/');

/** Visits the demo studio. @param to where in it */
export const visitDemo = (to = '/'): Promise<void> => comeIn(() => request<WhoAmI>('/front-door/demo', { method: 'POST' }), to);

/** Leaves the demo, back to one's own studio where one was signed in. */
export async function leaveDemo(): Promise<void> {
  await exclusively(SENDER, async () => {
    await request('/front-door/demo', { method: 'DELETE' });
    forgetMe();
  });
  window.location.assign('/');
}
