import type { StoredClass } from '@clay-pot/contracts';
import type { ClassEvent, ClassSession, KnownClassEvent, Movement } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { isFinal, request } from '../api/request.js';
import { accountStorage, currentAccount, perAccount } from './device-storage.js';
import { useOutbox } from './outbox.js';
import { useServerClock } from './server-clock.js';

/** A class as this device has it: what it began with, and every press that is known here. */
export interface ClassRun {
  readonly id: string;
  readonly session: ClassSession;
  readonly events: readonly KnownClassEvent[];
  /** What other devices join by; null where it isn’t known here. */
  readonly code: string | null;
  /** The time of the class less that of the server; null while that isn’t known. */
  readonly offsetMs: number | null;
  /** The time of the class less that of this device. */
  readonly shiftMs: number;
  /** Whether it began here. */
  readonly isOurs: boolean;
  readonly own: readonly Movement[];
}

interface ClassRunState {
  readonly run: ClassRun | null;
}

const byTime = (events: readonly KnownClassEvent[]): KnownClassEvent[] =>
  events.toSorted((a, b) => a.event.at - b.event.at || (a.id < b.id ? -1 : 1));

/** Presses of both, each once. The same list where nothing is new, so that nothing is drawn again. */
function mergedEvents(mine: readonly KnownClassEvent[], others: readonly KnownClassEvent[]): readonly KnownClassEvent[] {
  const known = new Set(mine.map(({ id }) => id));
  const fresh = others.filter(({ id }) => !known.has(id));
  return fresh.length > 0 ? byTime([...mine, ...fresh]) : mine;
}

/** The class that this device is in, kept through reloads for whoever is signed in; a device that joined by a code keeps nothing. Other windows follow. */
export const useClassRun = perAccount(
  create<ClassRunState>()(
    persist((): ClassRunState => ({ run: null }), {
      name: 'class',
      storage: createJSONStorage(() => accountStorage),
      merge: (stored, current) => {
        const { run } = (stored ?? { run: null }) as ClassRunState;
        if (!run || run.id !== current.run?.id) return { run };
        return { run: { ...run, events: mergedEvents(run.events, current.run.events) } };
      },
    }),
  ),
);

/** The time of the class, milliseconds since 1970. */
export const classNow = ({ shiftMs }: Pick<ClassRun, 'shiftMs'>): number => Date.now() + shiftMs;

/** Begins a class here. It keeps the server’s time where that is known, and this device’s where not; the server hears of it as soon as it can. */
export function beginClass(session: Omit<ClassSession, 'startedAt'>): void {
  const id = uuid();
  const { behindMs } = useServerClock.getState();
  const shiftMs = behindMs ?? 0;
  const offsetMs = behindMs === null ? null : 0;
  const begun = { ...session, startedAt: new Date(Date.now() + shiftMs).toISOString() };
  useClassRun.setState({ run: { id, session: begun, events: [], code: null, offsetMs, shiftMs, isOurs: true, own: [] } });
  useOutbox.getState().add({ path: `/class-sessions/${id}`, body: { ...begun, offsetMs } });
}

/** Takes in a class as the server has it: opened on this device, or heard of again. */
export function takeClass({ id, session, events, code, offsetMs, own }: StoredClass): void {
  const { run } = useClassRun.getState();
  if (run?.id !== id) {
    useClassRun.setState({ run: { id, session, events, code, offsetMs, shiftMs: shiftFor(offsetMs), isOurs: false, own } });
    return;
  }
  useClassRun.setState({
    run: { ...run, code, own, events: mergedEvents(run.events, events), ...(run.offsetMs === null && !run.isOurs && { offsetMs }) },
  });
}

/** Takes in presses of other devices. */
export function takePresses(id: string, events: readonly KnownClassEvent[]): void {
  const { run } = useClassRun.getState();
  if (run?.id !== id) return;
  const all = mergedEvents(run.events, events);
  if (all !== run.events) useClassRun.setState({ run: { ...run, events: all } });
}

const shiftFor = (offsetMs: number | null): number => (useServerClock.getState().behindMs ?? 0) + (offsetMs ?? 0);

/** Smaller corrections of the clock are noise. */
const NOISE_MS = 4;
// The clock follows the server’s. A class that began here without a network goes on by this device’s, and the others are told by how much that differs.
useServerClock.subscribe(({ behindMs }) => {
  const { run } = useClassRun.getState();
  if (!run || behindMs === null) return;
  if (run.isOurs && run.offsetMs === null) {
    const offsetMs = Math.round(-behindMs);
    useClassRun.setState({ run: { ...run, offsetMs } });
    useOutbox.getState().add({ path: `/class-sessions/${run.id}/clock`, body: { offsetMs } });
    return;
  }
  const shiftMs = shiftFor(run.offsetMs);
  if (Math.abs(shiftMs - run.shiftMs) > NOISE_MS) useClassRun.setState({ run: { ...run, shiftMs } });
});

type Pressed = ClassEvent extends infer E ? (E extends ClassEvent ? Omit<E, 'at'> : never) : never;

/** A press, now: it counts here at once, and everywhere else as soon as they hear of it. @returns the id that it can be taken back by */
export function press(pressed: Pressed): string | null {
  const { run } = useClassRun.getState();
  if (!run) return null;
  const id = uuid();
  const event = { ...pressed, at: Math.round(classNow(run)) } as ClassEvent;
  useClassRun.setState({ run: { ...run, events: byTime([...run.events, { id, event }]) } });
  if (currentAccount() === null) void sendAsGuest({ id, event });
  else useOutbox.getState().add({ path: `/class-sessions/${run.id}/events/${id}`, body: { event } });
  return id;
}

/** Takes a press back. */
export const undo = (id: string): void => void press({ kind: 'undo', id });

/** Puts the class away on this device. What was pressed is on its way to the server all the same. */
export function leaveClass(): void {
  useClassRun.setState({ run: null });
}

const RETRY_MS = 2000;
let sending: Promise<void> = Promise.resolve();
/** A device that joined sends its presses one after the other, and keeps trying while its page is open. */
function sendAsGuest({ id, event }: KnownClassEvent): Promise<void> {
  sending = sending.then(async () => {
    for (;;) {
      try {
        await request(`/room/events/${id}`, { method: 'PUT', body: { event } });
        return;
      } catch (error) {
        if (isFinal(error)) return;
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
      }
    }
  });
  return sending;
}
