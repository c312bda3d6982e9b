import { beforeEach, describe, expect, test } from '@jest/globals';
import type { WhoAmI } from '@clay-pot/contracts';
import { currentAccount, switchAccount } from './device-storage.js';
import { onOtherAccount, rememberMe } from './me.js';

const me = (email: string, mass: WhoAmI['units']['mass'] = 'kg'): WhoAmI => ({
  ...{ name: email, email, studio: { name: 'A hall', timeZone: 'Europe/Berlin', isDemo: false } },
  units: { mass, length: 'cm' },
});
/** Another tab keeps who is signed in there. */
function theyKeep(who: WhoAmI | null): void {
  window.dispatchEvent(Object.assign(new Event('storage'), { key: 'clay-pot-me', newValue: who && JSON.stringify(who) }));
}

let gone = 0;
// The page was opened while nobody was signed in.
onOtherAccount(() => gone++);
beforeEach(() => {
  switchAccount(null);
  localStorage.clear();
  rememberMe(me('Wren@hall.example'));
  gone = 0;
});

describe('another tab', () => {
  test('that changes the units of the same account leaves this page alone', () => {
    theyKeep(me('wren@hall.example', 'lb'));
    expect([gone, currentAccount()]).toEqual([0, 'wren@hall.example']);
  });

  test.each([
    ['signed another person in', me('sorrel@hall.example')],
    ['signed out', null],
  ])('that %s: the page goes, and keeps nothing more', (_what, who) => {
    theyKeep(who);
    expect([gone, currentAccount()]).toEqual([1, null]);
  });
});
