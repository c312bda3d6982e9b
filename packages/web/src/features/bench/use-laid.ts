import { useEffect, useRef, useState } from 'react';
import { OwnWrites } from './own-writes.js';
import { type Subject, writeSubject } from '../../domain/movement/subject.js';

/** How long the bench waits before it writes its subject into the address. */
const REST_MS = 250;

/**
 * The subject of the bench. It changes at once, with each key and each move of a drag; the address follows when the hand rests, and when
 * the address is changed from elsewhere, what it names is laid instead.
 */
export function useLaid(opened: Subject, write: (at: string) => void) {
  const [subject, setSubject] = useState(opened);
  const latest = useRef(opened);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const writer = useRef(write);
  useEffect(() => {
    writer.current = write;
  });
  const address = writeSubject(opened);
  const shown = useRef(address);
  const own = useRef(new OwnWrites());
  useEffect(() => {
    if (address === shown.current) return;
    shown.current = address;
    // What this bench wrote itself comes back late, when the hand may be further on already.
    if (own.current.sees(address)) return;
    clearTimeout(timer.current);
    latest.current = opened;
    setSubject(opened);
    // Compared by what it says: the same posture read twice from the address is the same.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [address]);
  useEffect(() => () => clearTimeout(timer.current), []);
  const lay = (next: Subject) => {
    latest.current = next;
    setSubject(next);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const at = writeSubject(latest.current);
      if (at !== (own.current.newest ?? shown.current)) own.current.wrote(at);
      writer.current(at);
    }, REST_MS);
  };
  return { subject, lay, latest };
}
