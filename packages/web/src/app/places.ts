import { CalendarRange, Dumbbell, Hand, ListOrdered, type LucideIcon, NotebookText, Sun, Users } from 'lucide-react';

/** A place of the product, with the key that leads there after `g`. */
export interface PlaceOfApp {
  readonly to: string;
  readonly name: string;
  readonly key: string;
  readonly icon: LucideIcon;
  /** Addresses that belong to it though they don't begin with its own. */
  readonly also?: readonly string[];
}

/** The places, in the order of the navigation. */
export const PLACES: readonly PlaceOfApp[] = [
  { to: '/', name: 'Today', key: 't', icon: Sun },
  { to: '/people', name: 'People', key: 'p', icon: Users },
  { to: '/sequences', name: 'Sequences', key: 's', icon: ListOrdered, also: ['/compose', '/methods'] },
  { to: '/movements', name: 'Movements', key: 'm', icon: Hand },
  { to: '/bench', name: 'Load bench', key: 'l', icon: Dumbbell },
  { to: '/programmes', name: 'Programmes', key: 'w', icon: CalendarRange, also: ['/simulation'] },
  { to: '/records', name: 'Records', key: 'r', icon: NotebookText, also: ['/predictions'] },
];

/** How many of the places a phone's bar has room for; the rest is behind “More”. */
export const PLACES_ON_PHONE = 4;

/** Screens below a place, for those who look for them by name. */
export const SCREENS: readonly { readonly to: string; readonly name: string }[] = [
  { to: '/people/class', name: 'Class overview' },
  { to: '/movements?view=pictures', name: 'Movement gallery' },
  { to: '/methods', name: 'Training methods' },
  { to: '/predictions', name: 'Predicted vs. actual' },
  { to: '/simulation', name: 'Simulate progression rules' },
  { to: '/help', name: 'Help and glossary' },
  { to: '/account', name: 'Account and settings' },
];

/** Whether an address belongs to a place. */
export const isWithinPlace = ({ to, also = [] }: PlaceOfApp, pathname: string): boolean =>
  to === '/' ? pathname === '/' : [to, ...also].some((path) => pathname === path || pathname.startsWith(`${path}/`));
