import { create } from 'zustand';

/** Whether this browser keeps what is to outlive the page; why not, in words, where it does not. */
export const useKeeping = create<{ readonly trouble: string | null }>()(() => ({ trouble: null }));

/** What was written just now is kept. */
export function keepingWorked(): void {
  if (useKeeping.getState().trouble !== null) useKeeping.setState({ trouble: null });
}

/** Tells that something is in memory only: it is there while the page is open, and gone with it. */
export function keepingFailed(error: unknown): void {
  const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
  const why = isFull ? 'This device has no space left' : 'This browser doesn’t let Clay Pot save data (a private window?)';
  useKeeping.setState({ trouble: `${why}. Keep this page open until everything has synced.` });
}
