import { type JoinedRoom, ROOM_PATH, type RoomMessage, type StoredClass } from '@clay-pot/contracts';
import { itemAt } from '@clay-pot/core';
import { create } from 'zustand';
import { isFinal, request } from '../api/request.js';
import { takeClass, takePresses, useClassRun } from './class-run.js';
import { currentAccount } from './device-storage.js';
import { takePong } from './server-clock.js';

/** Whether this device hears the others now. */
export const useStream = create<{ readonly isOpen: boolean }>()(() => ({ isOpen: false }));

const PING_EVERY_MS = 5000;
/** At first, and after a sleep, several in a row: the quickest of them counts. */
const FIRST_PINGS_MS = [0, 120, 240, 400, 700, 1200];
const RETRY_MS = [500, 1000, 2000];

/**
 * Listens to a class, and asks the server for its time, until it is told to stop. It comes back by itself whenever the network does.
 * @param classId null where only the time is wanted, before a class begins, and on a device that joined: its cookie says which class it is in
 */
export function listenToClass(classId: string | null): () => void {
  let socket: WebSocket | undefined;
  let tries = 0;
  let isOver = false;
  const timers = new Set<ReturnType<typeof setTimeout>>();
  const later = (work: () => void, ms: number) => {
    const timer = setTimeout(() => {
      timers.delete(timer);
      work();
    }, ms);
    timers.add(timer);
  };
  const ping = () => {
    if (socket?.readyState === WebSocket.OPEN) socket.send(JSON.stringify({ ping: Date.now() }));
  };
  const pingOften = () => {
    for (const ms of FIRST_PINGS_MS) later(ping, ms);
  };
  function open(): void {
    if (isOver || (socket && socket.readyState <= WebSocket.OPEN)) return;
    const query = classId === null ? '' : `?class=${classId}`;
    const opened = new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api${ROOM_PATH}${query}`);
    socket = opened;
    opened.onopen = () => {
      tries = 0;
      useStream.setState({ isOpen: true });
      pingOften();
      void hearAll(classId);
    };
    opened.onmessage = ({ data }) => {
      const heardMs = Date.now();
      const message = JSON.parse(String(data)) as RoomMessage;
      if ('pong' in message) takePong(message.pong, heardMs, message.nowMs);
      else takePresses(classId ?? useClassRun.getState().run?.id ?? '', message.pressed);
    };
    opened.onclose = () => {
      if (socket !== opened) return;
      useStream.setState({ isOpen: false });
      if (!isOver) comeBackLater();
    };
  }
  // Asked for over HTTP first: it brings what was missed, and browsers make sockets wait that failed too often.
  const comeBackLater = () =>
    later(
      () => {
        void hearAll(classId).then((isThere) => {
          if (isThere) open();
          else if (!isOver) comeBackLater();
        });
      },
      itemAt(RETRY_MS, Math.min(tries++, RETRY_MS.length - 1)),
    );
  const wake = () => {
    if (document.visibilityState !== 'visible') return;
    open();
    pingOften();
  };
  const beat = setInterval(ping, PING_EVERY_MS);
  document.addEventListener('visibilitychange', wake);
  window.addEventListener('online', wake);
  open();
  return () => {
    isOver = true;
    clearInterval(beat);
    for (const timer of timers) clearTimeout(timer);
    document.removeEventListener('visibilitychange', wake);
    window.removeEventListener('online', wake);
    socket?.close();
    useStream.setState({ isOpen: false });
  };
}

/** What was pressed while this device heard nothing, and the code. @returns whether the server is there; a class that it doesn’t know yet is on its way */
async function hearAll(classId: string | null): Promise<boolean> {
  try {
    if (classId !== null) takeClass(await request<StoredClass>(`/class-sessions/${classId}`));
    else if (currentAccount() === null) takeClass((await request<JoinedRoom>('/room')).room);
    else await request('/health/live');
    return true;
  } catch (error) {
    return isFinal(error);
  }
}
