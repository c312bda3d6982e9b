import { lazy, Suspense } from 'react';
import { useConnection } from '../api/connection.js';
import { useMe } from '../api/queries.js';
import { isProblem } from '../api/request.js';
import SignIn from '../features/sign-in/sign-in-page.js';
import { lastKnownMe } from '../store/me.js';
import { Loading } from '../ui/page.js';

const loadRooms = () => import('./rooms.js');
const Rooms = lazy(loadRooms);

// What is needed next is on its way while the server is asked who this is.
if (lastKnownMe()) void loadRooms();

/** Signed in or not: whoever isn't needs none of the screens. */
export function Door() {
  const me = useMe();
  const away = useConnection((state) => state.away);
  const cached = me.data ?? lastKnownMe();
  const mustSignIn = isProblem(me.error, 'sign-in-needed');
  if (me.isPending && !cached && !away) return <Loading what="the studio" />;
  return mustSignIn ? (
    <SignIn />
  ) : (
    <Suspense fallback={<Loading what="the studio" />}>
      <Rooms />
    </Suspense>
  );
}
