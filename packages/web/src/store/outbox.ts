import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { refreshAfterSession } from '../api/queries.js';
import { isProblem, OfflineError, ProblemError, request } from '../api/request.js';

/** Something recorded that the server has yet to get. Its path holds an id made here, so sending twice stores once. */
export interface Letter {
  readonly path: string;
  readonly body: unknown;
}

interface OutboxState {
  readonly letters: readonly Letter[];
  /** What the server would not take, kept until the coach has seen it. */
  readonly refused: readonly (Letter & { reason: string })[];
  readonly add: (letter: Letter) => void;
  readonly dismiss: () => void;
}

const RETRY_MS = 4000;

/** Kept in the browser's storage: a reload, a closed lid or a restarted server loses nothing. */
export const useOutbox = create<OutboxState>()(
  persist(
    (set) => ({
      letters: [],
      refused: [],
      add: (letter) => {
        set(({ letters }) => ({ letters: [...letters, letter] }));
        void flush();
      },
      dismiss: () => set({ refused: [] }),
    }),
    { name: 'clay-pot-outbox' },
  ),
);

let sending = false;

/** Sends in order, one after the other; stops at the first that nobody answers, and tries again later. */
export async function flush(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (let letter = useOutbox.getState().letters[0]; letter; letter = useOutbox.getState().letters[0]) {
      try {
        await request(letter.path, { method: 'PUT', body: letter.body });
      } catch (error) {
        if (!isFinal(error)) return;
        const refused = { ...letter, reason: error instanceof Error ? error.message : String(error) };
        useOutbox.setState((state) => ({ refused: [...state.refused, refused] }));
      }
      useOutbox.setState(({ letters }) => ({ letters: letters.slice(1) }));
      if (!useOutbox.getState().letters.length) void refreshAfterSession();
    }
  } finally {
    sending = false;
  }
}

/** Whether asking again could not help: the server understood and said no. */
function isFinal(error: unknown): boolean {
  if (error instanceof OfflineError || isProblem(error, 'sign-in-needed')) return false;
  return error instanceof ProblemError ? error.problem.status < 500 && error.problem.status !== 429 : true;
}

/** Starts sending whenever there is something and somebody may answer. */
export function startOutbox(): void {
  window.addEventListener('online', () => void flush());
  setInterval(() => {
    if (useOutbox.getState().letters.length) void flush();
  }, RETRY_MS);
  void flush();
}
