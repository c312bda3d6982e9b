import { lazy, Suspense } from 'react';
import { useConnection } from '../api/connection.js';
import { useMe } from '../api/queries.js';
import { isProblem } from '../api/request.js';
import { lastKnownMe } from '../store/me.js';
import { Loading } from '../ui/page.js';

const loadRooms = () => import('./rooms.js');
const loadSignIn = () => import('../features/sign-in/sign-in-page.js');
const Rooms = lazy(loadRooms);
const SignIn = lazy(loadSignIn);

// What is needed next is on its way while the server is asked who this is.
void (lastKnownMe() ? loadRooms() : loadSignIn());

/** Signed in or not: whoever isn't needs none of the screens. */
export function Door() {
  const me = useMe();
  const away = useConnection((state) => state.away);
  const known = me.data ?? lastKnownMe();
  const mustSignIn = isProblem(me.error, 'sign-in-needed');
  if (me.isPending && !known && !away) return <Loading what="the studio" />;
  return <Suspense fallback={<Loading what="the studio" />}>{mustSignIn ? <SignIn /> : <Rooms />}</Suspense>;
}
