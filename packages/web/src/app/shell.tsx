import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { NavigationType, NavLink, Outlet, useLocation, useNavigate, useNavigationType } from 'react-router';
import { useStoredMethods, useStoredMovements, useStoredNames } from '../api/own-queries.js';
import { useMe } from '../api/queries.js';
import { lastKnownMe } from '../store/me.js';
import { useConnection } from '../api/connection.js';
import { OfflineError } from '../api/request.js';
import { useRun } from '../store/run-state.js';
import { Loading, Trouble } from '../ui/page.js';
import { ToastPlace } from '../ui/toast.js';
import { hasOwnMovements } from '../store/own-movements.js';
import { useUnits } from '../store/units.js';
import { type Command, useCommands } from '../ui/commands.js';
import { focusRegion, useKeptFocus } from '../ui/kept-focus.js';
import { ConnectionState } from '../domain/account/connection-state.js';
import { OutboxState } from '../domain/session/outbox-state.js';
import { askToSignOut, useSignOut } from '../domain/account/sign-out.js';

const ShortcutsDialog = lazy(() => import('./shortcuts-dialog.js'));
const SignOutDialog = lazy(() => import('./sign-out-dialog.js'));

const PLACES = [
  { to: '/', name: 'Today', key: 't' },
  { to: '/people', name: 'People', key: 'p' },
  { to: '/sequences', name: 'Sequences', key: 's' },
  { to: '/movements', name: 'Movements', key: 'm' },
  { to: '/bench', name: 'Load bench', key: 'l' },
  { to: '/programmes', name: 'Programmes', key: 'w' },
  { to: '/records', name: 'Records', key: 'r' },
] as const;

/** Screens that belong to a place whose address they do not begin with. */
const WITHIN: Readonly<Record<string, readonly string[]>> = { '/sequences': ['/compose', '/methods'] };
const isWithin = (place: string, pathname: string) => WITHIN[place]?.some((path) => pathname.startsWith(path)) ?? false;

/** Screens that take the whole window. */
const BARE = /^\/(session|sequences\/[^/]+\/sheet)$/;

/** Around every screen: who is signed in, where one can go, what is on its way to the server. */
export function Shell() {
  const me = useMe();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const way = useNavigationType();
  const arrived = useRef(false);
  useKeptFocus();
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
  const [keysShown, setKeysShown] = useState(false);
  const isSigningOut = useSignOut((state) => state.asking !== null);
  const run = useRun((state) => state.run);
  const away = useConnection((state) => state.away);
  const units = useUnits();
  const commands = useMemo<Command[]>(
    () => [
      // On some keyboards the question mark needs Shift, on others it does not.
      ...['?', 'Shift+?'].map((keys) => ({
        keys,
        label: 'Show help and shortcuts',
        group: 'All screens',
        run: () => setKeysShown(true),
      })),
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

  // While the server is away the house stays open, at once: a session goes on, and each screen shows what it saw last.
  const who = me.data ?? (away || me.error instanceof OfflineError ? lastKnownMe() : undefined);
  // What was fetched once is enough to begin with; the rest comes while one works.
  if ((me.isPending && !who) || (movements.isLoading && !hasOwnMovements())) return <Loading what="the studio" />;
  const bare = BARE.test(pathname);
  // Texts of numbers do not ask for their unit: in other units the page is drawn anew.
  const drawnIn = `${units.mass} ${units.length}`;
  if (!who) return <Trouble error={me.error} retry={() => void me.refetch()} />;

  return (
    <>
      {bare ? (
        <Outlet key={drawnIn} />
      ) : (
        <div className="flex min-h-dvh flex-col sm:flex-row">
          <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-ink focus:p-3 focus:text-white">
            Skip to content
          </a>
          <nav
            aria-label="Places"
            className="flex shrink-0 flex-col border-b border-line bg-ground max-sm:sticky max-sm:top-0 max-sm:z-30 sm:sticky sm:top-0 sm:h-dvh sm:w-44 sm:border-r sm:border-b-0"
          >
            <div className="flex items-center gap-2 px-4 pt-3 sm:pt-6 sm:pb-6">
              <img src="/pot.svg" alt="" className="size-7" />
              <span className="display text-lead font-extrabold tracking-tight">Clay Pot</span>
              <span className="ml-auto flex items-center gap-2 sm:hidden">
                <ConnectionState />
                <OutboxState />
                <NavLink to="/help" className="-my-2 grid min-h-11 place-items-center text-small underline">
                  Help
                </NavLink>
                <NavLink to="/account" className="-my-2 grid min-h-11 place-items-center text-small underline">
                  Account
                </NavLink>
              </span>
            </div>
            <ul className="flex overflow-x-auto px-2 sm:flex-col sm:px-0">
              {PLACES.map(({ to, name }) => (
                <li key={to} className="shrink-0">
                  <NavLink
                    to={to}
                    end={to === '/'}
                    className={({ isActive }) =>
                      `block border-ink px-2.5 py-2 sm:border-l-4 sm:px-4 ${isActive || isWithin(to, pathname) ? 'font-bold max-sm:border-b-4 sm:bg-porcelain' : 'border-transparent text-ink-soft hover:text-ink'}`
                    }
                  >
                    {name}
                  </NavLink>
                </li>
              ))}
            </ul>
            <div className="mt-auto hidden flex-col gap-2 p-4 text-small sm:flex">
              {run && (
                <NavLink to="/session" className="border-2 border-ink bg-white px-2 py-1.5 font-semibold hover:bg-ground">
                  Session in progress: {run.athleteName}
                </NavLink>
              )}
              <ConnectionState />
              <OutboxState />
              <NavLink to="/account" className="text-ink-soft hover:text-ink">
                {who.studio.name}
                <br />
                <span className="underline underline-offset-2">{who.name}</span>
              </NavLink>
              <div className="flex flex-wrap gap-x-3 gap-y-1">
                <NavLink to="/help" className="underline underline-offset-2">
                  Help
                </NavLink>
                <button type="button" className="underline underline-offset-2" onClick={() => void askToSignOut()}>
                  Sign out
                </button>
                <button type="button" className="underline underline-offset-2" onClick={() => setKeysShown(true)}>
                  Shortcuts
                </button>
              </div>
            </div>
          </nav>
          <main id="content" className="min-w-0 flex-1 outline-none">
            <Outlet key={drawnIn} />
          </main>
        </div>
      )}
      <ToastPlace />
      {isSigningOut && (
        <Suspense>
          <SignOutDialog />
        </Suspense>
      )}
      {keysShown && (
        <Suspense>
          <ShortcutsDialog onClose={() => setKeysShown(false)} />
        </Suspense>
      )}
    </>
  );
}
