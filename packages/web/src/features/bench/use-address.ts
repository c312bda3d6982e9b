import { useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { OwnWrites } from './own-writes.js';

/** What changes in an address; null takes a part out. */
export type AddressChange = Readonly<Record<string, string | null>>;

/**
 * The address of this page and a way to change it. Each change builds on the one before, whether or not the page has been drawn since: on a slow
 * machine two presses follow each other before the first is seen.
 */
export function useAddress(): [params: URLSearchParams, set: (change: AddressChange) => void] {
  const [params, setParams] = useSearchParams();
  const shown = params.toString();
  const own = useRef(new OwnWrites());
  const drawn = useRef(shown);
  const write = useRef(setParams);
  useEffect(() => {
    write.current = setParams;
    if (drawn.current === shown) return;
    drawn.current = shown;
    own.current.sees(shown);
  });
  const set = useCallback(
    (change: AddressChange) => {
      const next = new URLSearchParams(own.current.newest ?? drawn.current);
      for (const [name, value] of Object.entries(change)) {
        if (value === null) next.delete(name);
        else next.set(name, value);
      }
      if (next.toString() !== (own.current.newest ?? drawn.current)) own.current.wrote(next.toString());
      write.current(next, { replace: true });
    },
    [own],
  );
  return [params, set];
}
