import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { NavigationType, Outlet, useLocation, useNavigate, useNavigationType } from 'react-router';
import { useStoredGrades, useStoredMethods, useStoredMovements, useStoredNames } from '../api/own-queries.js';
import { useMe } from '../api/queries.js';
import { lastKnownMe } from '../store/me.js';
import { useConnection } from '../api/connection.js';
import { OfflineError } from '../api/request.js';
import { Loading, Trouble } from '../ui/page.js';
import { ToastPlace } from '../ui/toast.js';
import { hasOwnMovements } from '../store/own-movements.js';
import { whenIdle } from '../store/when-idle.js';
import { useUnits } from '../store/units.js';
import { type Command, useCommands } from '../ui/commands.js';
import { focusRegion, useKeptFocus } from '../ui/kept-focus.js';
import { useSignOut } from '../domain/account/sign-out.js';
import { BottomBar, Sidebar } from './navigation.js';
import { PLACES } from './places.js';

const loadPalette = () => import('./palette.js');
const Palette = lazy(loadPalette);
const ShortcutsDialog = lazy(() => import('./shortcuts-dialog.js'));
const SignOutDialog = lazy(() => import('./sign-out-dialog.js'));

/** Screens that take the whole window. */
const BARE = /^\/(session|class(\/.*)?|sequences\/[^/]+\/sheet)$/;

/** Around every screen: who is signed in, where one can go, what is on its way to the server. */
export function Shell() {
  const me = useMe();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const way = useNavigationType();
  const arrived = useRef(false);
  useKeptFocus();
  // Keys that are typed right after Ctrl K must find the search open.
  useEffect(() => whenIdle(() => void loadPalette()), []);
  // A new page begins at its top; going back finds it where it was left, which the browser sees to.
  useEffect(() => {
    if (way !== NavigationType.Pop) window.scrollTo(0, 0);
    // What had the focus is gone or belongs to the page before; what a page focuses itself stays.
    const content = document.getElementById('content');
    if (arrived.current && content && !content.contains(document.activeElement)) focusRegion(content);
    arrived.current = true;
    // Only when the place changes, not with each filter in its address.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [pathname]);
  const [open, setOpen] = useState<'search' | 'shortcuts' | null>(null);
  const close = () => setOpen(null);
  const isSigningOut = useSignOut((state) => state.asking !== null);
  const away = useConnection((state) => state.away);
  const units = useUnits();
  const commands = useMemo<Command[]>(
    () => [
      // On some keyboards the question mark needs Shift, on others it does not.
      ...['?', 'Shift+?'].map((keys) => ({
        keys,
        label: 'Show help and shortcuts',
        group: 'All screens',
        run: () => setOpen('shortcuts'),
      })),
      { keys: '$mod+k', label: 'Search and go anywhere', group: 'All screens', run: () => setOpen('search'), whileTyping: true },
      ...PLACES.map(({ to, name, key }) => ({
        keys: `g ${key}`,
        label: `Go to ${name}`,
        group: 'All screens',
        run: () => void navigate(to),
      })),
    ],
    [navigate],
  );
  useCommands(commands);

  const movements = useStoredMovements(me.data !== undefined);
  useStoredMethods(me.data !== undefined);
  useStoredNames(me.data !== undefined);
  useStoredGrades(me.data !== undefined);

  // While the server is away the house stays open, at once: a session goes on, and each screen shows what it saw last.
  const who = me.data ?? (away || me.error instanceof OfflineError ? lastKnownMe() : undefined);
  // What was fetched once is enough to begin with; the rest comes while one works.
  if ((me.isPending && !who) || (movements.isLoading && !hasOwnMovements())) return <Loading what="the studio" />;
  const bare = BARE.test(pathname);
  // Texts of numbers don’t subscribe to the unit: when units change, the page is rendered again.
  const drawnIn = `${units.mass} ${units.length}`;
  if (!who) return <Trouble error={me.error} retry={() => void me.refetch()} />;

  return (
    <>
      {bare ? (
        <Outlet key={drawnIn} />
      ) : (
        <div className="flex min-h-dvh flex-col [--bar:3.75rem] md:flex-row md:[--bar:0px]">
          <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-ink focus:p-3 focus:text-white">
            Skip to content
          </a>
          <Sidebar who={who} openSearch={() => setOpen('search')} openShortcuts={() => setOpen('shortcuts')} />
          <main id="content" className="min-w-0 flex-1 outline-none">
            <Outlet key={drawnIn} />
          </main>
          <BottomBar who={who} openSearch={() => setOpen('search')} />
        </div>
      )}
      <ToastPlace />
      {isSigningOut && (
        <Suspense>
          <SignOutDialog />
        </Suspense>
      )}
      {open !== null && <Suspense>{open === 'search' ? <Palette onClose={close} /> : <ShortcutsDialog onClose={close} />}</Suspense>}
    </>
  );
}
