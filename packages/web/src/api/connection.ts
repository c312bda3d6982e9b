import { create } from 'zustand';

/** Whether the server has answered lately. */
export const useConnection = create<{ readonly away: boolean }>()(() => ({ away: false }));

/** How often it is asked whether the server is back. */
const ASK_MS = 3000;

/** Tells what became of a request: whether anybody answered. */
export function heard(answered: boolean): void {
  if (useConnection.getState().away === answered) useConnection.setState({ away: !answered });
}

/** Asks again and again while nobody answers. @param onBack what goes on by itself once somebody does */
export function startConnection(onBack: () => void): void {
  useConnection.subscribe(({ away }, before) => {
    if (before.away && !away) onBack();
  });
  window.addEventListener('online', () => void ask());
  window.addEventListener('offline', () => heard(false));
  setInterval(() => {
    if (useConnection.getState().away) void ask();
  }, ASK_MS);
}

async function ask(): Promise<void> {
  try {
    heard((await fetch('/api/health/live', { cache: 'no-store' })).ok);
  } catch {
    heard(false);
  }
}
