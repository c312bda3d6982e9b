import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { accountStorage, currentAccount, partsOfKey } from './device-storage.js';
import { PLAYHEAD_KEY } from './playhead.js';

/** This tab, among those that may show the same session. */
const TAB = uuid();
const LEAD_KEY = 'lead';

/** Whether another tab leads the session: of two clocks each set would be recorded twice. */
export const useLead = create<{ readonly elsewhere: boolean }>()(() => ({ elsewhere: false }));

/** Whether this tab may move the session's clock. The browser's storage is one for all tabs: the answer is true this moment. */
export function leadsHere(): boolean {
  const leader = accountStorage.getItem(LEAD_KEY);
  const isHere = leader === null || leader === TAB;
  if (!isHere && !useLead.getState().elsewhere) useLead.setState({ elsewhere: true });
  return isHere;
}

/** Leads here from now on. @param catchUp takes in what the tab that led until now has recorded */
export function takeLead(catchUp: () => void): void {
  const leader = accountStorage.getItem(LEAD_KEY);
  if (leader === TAB) return;
  accountStorage.setItem(LEAD_KEY, TAB);
  if (leader !== null) catchUp();
  useLead.setState({ elsewhere: false });
}

/** Another tab took the lead, or its clock is running. */
function follow({ key }: StorageEvent): void {
  const parts = key === null ? null : partsOfKey(key);
  if (parts === null || parts.account !== currentAccount()) return;
  if (parts.name === LEAD_KEY || parts.name === PLAYHEAD_KEY) useLead.setState({ elsewhere: accountStorage.getItem(LEAD_KEY) !== TAB });
}
if (typeof window !== 'undefined') window.addEventListener('storage', follow);
