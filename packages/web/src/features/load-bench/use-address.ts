import { useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/** What changes in an address; null takes a part out. */
export type AddressChange = Readonly<Record<string, string | null>>;

/**
 * The address of this page and a way to change it. Each change builds on the one before, whether or not the page has been drawn since: on a slow
 * machine two presses follow each other before the first is seen.
 */
export function useAddress(): [params: URLSearchParams, set: (change: AddressChange) => void] {
  const [params, setParams] = useSearchParams();
  const shown = params.toString();
  /** What was written here and has not been drawn yet, the latest last. */
  const underWay = useRef<string[]>([]);
  const drawn = useRef(shown);
  const write = useRef(setParams);
  useEffect(() => {
    write.current = setParams;
    if (drawn.current === shown) return;
    drawn.current = shown;
    const own = underWay.current.indexOf(shown);
    // What somebody else wrote makes what is under way from here stale.
    underWay.current = own < 0 ? [] : underWay.current.slice(own + 1);
  });
  const set = useCallback((change: AddressChange) => {
    const next = new URLSearchParams(underWay.current.at(-1) ?? drawn.current);
    for (const [name, value] of Object.entries(change)) {
      if (value === null) next.delete(name);
      else next.set(name, value);
    }
    if (next.toString() !== drawn.current) underWay.current.push(next.toString());
    write.current(next, { replace: true });
  }, []);
  return [params, set];
}
