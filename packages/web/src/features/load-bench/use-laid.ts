import { useEffect, useRef, useState } from 'react';
import { type Subject, writeSubject } from '../../domain/subject.js';

/** How long the bench rests before what lies on it is written into the address. */
const REST_MS = 250;

/**
 * What lies on the bench. It changes at once, with each key and each move of a drag; the address follows when the hand rests, and when
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
  /** What this bench wrote and has not seen come back: on a slow machine more than one is under way. */
  const underWay = useRef<string[]>([]);
  useEffect(() => {
    if (address === shown.current) return;
    shown.current = address;
    // What this bench wrote itself comes back late, when the hand may be further on already.
    const own = underWay.current.indexOf(address);
    underWay.current = underWay.current.slice(own < 0 ? underWay.current.length : own + 1);
    if (own >= 0) return;
    clearTimeout(timer.current);
    latest.current = opened;
    setSubject(opened);
    // Compared by what it says: the same posture read twice from the address is the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [address]);
  useEffect(() => () => clearTimeout(timer.current), []);
  const lay = (next: Subject) => {
    latest.current = next;
    setSubject(next);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const at = writeSubject(latest.current);
      if (at !== (underWay.current.at(-1) ?? shown.current)) underWay.current.push(at);
      writer.current(at);
    }, REST_MS);
  };
  return { subject, lay, latest };
}
