import type { WhoAmI } from '@clay-pot/contracts';
import { currentAccount, switchAccount } from './device-storage.js';
import { showIn } from './units.js';

const ME = 'clay-pot-me';

/** The account that things on this device are kept under. */
const accountOf = ({ email }: WhoAmI): string => email.toLowerCase();

/** Who was signed in on this device when the server last answered: enough to show the house while it is away. */
export function lastKnownMe(): WhoAmI | undefined {
  const text = localStorage.getItem(ME);
  return text ? (JSON.parse(text) as WhoAmI) : undefined;
}

/** The account that is signed in on this device, in whichever tab. */
export function accountOnDevice(): string | null {
  const me = lastKnownMe();
  return me ? accountOf(me) : null;
}

/** Shows what this account keeps here, in its units. */
export function showFor(me: WhoAmI): void {
  showIn(me.units);
  switchAccount(accountOf(me));
}

/** Keeps who is signed in. */
export function rememberMe(me: WhoAmI): void {
  localStorage.setItem(ME, JSON.stringify(me));
  showFor(me);
}

/** Forgets who was signed in on this device. */
export const forgetMe = (): void => localStorage.removeItem(ME);

/** Calls when another tab signed out, or signed another person in: nothing more of the account shown here is kept, and its page goes. */
export function onOtherAccount(follow: () => void): void {
  window.addEventListener('storage', ({ key, newValue }) => {
    if (key !== ME) return;
    const now = newValue === null ? null : accountOf(JSON.parse(newValue) as WhoAmI);
    if (now === currentAccount()) return;
    switchAccount(null);
    follow();
  });
}
