import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Ellipsis, Search } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import type { WhoAmI } from '@clay-pot/contracts';
import { ConnectionState } from '../domain/account/connection-state.js';
import { leaveDemo } from '../domain/account/front-door.js';
import { askToSignOut } from '../domain/account/sign-out.js';
import { OutboxState } from '../domain/session/outbox-state.js';
import { useRun } from '../store/run-state.js';
import { printKeys } from '../ui/commands.js';
import { isWithinPlace, PLACES, PLACES_ON_PHONE, type PlaceOfApp } from './places.js';

interface Props {
  who: WhoAmI;
  openSearch: () => void;
  openShortcuts: () => void;
}

/** The places on the left, where the window is wide enough. */
export function Sidebar({ who, openSearch, openShortcuts }: Props) {
  const { pathname } = useLocation();
  return (
    <nav
      aria-label="Places"
      className="sticky top-0 hidden h-dvh w-44 shrink-0 flex-col overflow-y-auto border-r border-line bg-ground md:flex print:hidden"
    >
      <div className="flex items-center gap-2 px-4 pt-6 pb-4">
        <img src="/pot.svg" alt="" className="size-7" />
        <span className="display text-lead font-extrabold tracking-tight">Clay Pot</span>
      </div>
      <button
        type="button"
        className="mx-3 mb-3 flex items-center gap-2 border border-ink/45 bg-white px-2 py-1.5 text-small text-ink-soft hover:border-ink"
        onClick={openSearch}
      >
        <Search className="size-4" aria-hidden />
        Search
        <kbd className="ml-auto font-text">{printKeys('$mod+K')}</kbd>
      </button>
      <ul>
        {PLACES.map((place) => (
          <li key={place.to}>
            <PlaceLink place={place} pathname={pathname} className="block border-l-4 px-4 py-2" here="border-ink bg-porcelain font-bold" />
          </li>
        ))}
      </ul>
      <div className="mt-auto flex flex-col gap-2 p-4 text-small">
        <SessionInProgress />
        <ConnectionState />
        <OutboxState />
        {who.studio.isDemo && <DemoNote />}
        <Link to="/account" className="text-ink-soft hover:text-ink">
          {who.studio.name}
          <br />
          <span className="underline underline-offset-2">{who.name}</span>
        </Link>
        <div className="flex flex-wrap gap-x-3 gap-y-1">
          <Link to="/help" className="underline underline-offset-2">
            Help
          </Link>
          <button type="button" className="underline underline-offset-2" onClick={() => void askToSignOut()}>
            Sign out
          </button>
          <button type="button" className="underline underline-offset-2" onClick={openShortcuts}>
            Shortcuts
          </button>
        </div>
      </div>
    </nav>
  );
}

const BAR_ITEM = 'grid min-h-14 w-full place-content-center justify-items-center gap-0.5 border-t-4 text-fine';

/** The places at the bottom, on a phone and at twice the size: four of them, and the rest behind “More”. */
export function BottomBar({ who, openSearch }: Omit<Props, 'openShortcuts'>) {
  const { pathname } = useLocation();
  const rest = PLACES.slice(PLACES_ON_PHONE);
  const isInRest = rest.some((place) => isWithinPlace(place, pathname));
  return (
    <div className="sticky bottom-0 z-30 border-t border-line bg-ground md:hidden print:hidden">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 text-small">
        <SessionInProgress />
        <ConnectionState />
        <OutboxState />
      </div>
      <nav aria-label="Places">
        <ul className="grid grid-cols-5">
          {PLACES.slice(0, PLACES_ON_PHONE).map((place) => (
            <li key={place.to}>
              <PlaceLink place={place} pathname={pathname} className={BAR_ITEM} here="border-ink bg-porcelain font-bold" withIcon />
            </li>
          ))}
          <li>
            <Menu>
              <MenuButton
                aria-label="More screens"
                className={`${BAR_ITEM} ${isInRest ? 'border-ink bg-porcelain font-bold' : 'border-transparent text-ink-soft'}`}
              >
                <Ellipsis className="size-5" aria-hidden />
                More
              </MenuButton>
              <MenuItems
                modal={false}
                anchor={{ to: 'top end', gap: 4, padding: 8 }}
                className="z-40 min-w-48 border-2 border-ink bg-white shadow-lg outline-none"
              >
                <MenuItem>
                  <button type="button" className={MORE_ITEM} onClick={openSearch}>
                    Search
                  </button>
                </MenuItem>
                {rest.map(({ to, name }) => (
                  <MenuItem key={to}>
                    <Link to={to} className={MORE_ITEM}>
                      {name}
                    </Link>
                  </MenuItem>
                ))}
                <MenuItem>
                  <Link to="/help" className={MORE_ITEM}>
                    Help
                  </Link>
                </MenuItem>
                <MenuItem>
                  <Link to="/account" className={MORE_ITEM}>
                    Account
                  </Link>
                </MenuItem>
                {who.studio.isDemo && (
                  <MenuItem>
                    <button type="button" className={MORE_ITEM} onClick={() => void leaveDemo()}>
                      Leave the demo
                    </button>
                  </MenuItem>
                )}
                <MenuItem>
                  <button type="button" className={MORE_ITEM} onClick={() => void askToSignOut()}>
                    Sign out
                  </button>
                </MenuItem>
              </MenuItems>
            </Menu>
          </li>
        </ul>
      </nav>
    </div>
  );
}

const MORE_ITEM = 'block min-h-11 w-full px-3 py-2.5 text-left data-focus:bg-ground';

/** That everybody here is made up, and the way out. */
function DemoNote() {
  return (
    <p className="border-l-4 border-cobalt bg-cobalt-wash px-2 py-1">
      Demo studio, all made up.{' '}
      <button type="button" className="font-semibold underline underline-offset-2" onClick={() => void leaveDemo()}>
        Leave the demo
      </button>
    </p>
  );
}

function SessionInProgress() {
  const run = useRun((state) => state.run);
  if (!run) return null;
  return (
    <Link to="/session" className="border-2 border-ink bg-white px-2 py-1.5 font-semibold hover:bg-ground">
      Session in progress: {run.athleteName}
    </Link>
  );
}

interface PlaceLinkProps {
  place: PlaceOfApp;
  pathname: string;
  className: string;
  /** How it looks while one is there. */
  here: string;
  withIcon?: boolean;
}

function PlaceLink({ place, pathname, className, here, withIcon = false }: PlaceLinkProps) {
  const isHere = isWithinPlace(place, pathname);
  const Icon = place.icon;
  return (
    <Link
      to={place.to}
      aria-current={isHere ? 'page' : undefined}
      className={`${className} ${isHere ? here : 'border-transparent text-ink-soft hover:text-ink'}`}
    >
      {withIcon && <Icon className="size-5" aria-hidden />}
      {place.name}
    </Link>
  );
}
