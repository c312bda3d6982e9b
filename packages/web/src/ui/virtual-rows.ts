import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

/** Fewer are drawn all: so are they found by the browser’s own search, and printed. */
const ALL_BELOW = 60;
/** Rows above and below the screen that are drawn ahead of scrolling. */
const AHEAD = 8;

/** Which rows of a long list are drawn, and how much room the others take. */
export interface VirtualRows {
  /** Goes to the element around the rows. */
  readonly box: (element: HTMLElement | null) => void;
  readonly rows: readonly { readonly index: number; readonly measure: (element: Element | null) => void }[];
  /** Pixels before the first row and after the last one. */
  readonly before: number;
  readonly after: number;
}

const unmeasured = () => undefined;

/** Draws the rows of a list that are seen, where it is long. @param rowPx about how high a row is */
export function useVirtualRows(count: number, rowPx: number): VirtualRows {
  const element = useRef<HTMLElement | null>(null);
  const [top, setTop] = useState(0);
  const isPrinting = useIsPrinting();
  const isLong = count >= ALL_BELOW && !isPrinting;
  const virtualizer = useWindowVirtualizer({
    count: isLong ? count : 0,
    estimateSize: () => rowPx,
    overscan: AHEAD,
    scrollMargin: top,
  });
  // What stands above grows when its parts arrive: it is looked at again with each row that scrolls by.
  const firstSeen = virtualizer.range?.startIndex;
  useLayoutEffect(() => {
    if (isLong && element.current) setTop(Math.round(element.current.getBoundingClientRect().top + window.scrollY));
  }, [isLong, count, firstSeen]);
  const box = (found: HTMLElement | null) => void (element.current = found);
  if (!isLong) {
    const rows = Array.from({ length: count }, (_, index) => ({ index, measure: unmeasured }));
    return { box, rows, before: 0, after: 0 };
  }
  const shown = virtualizer.getVirtualItems();
  const [first, last] = [shown[0], shown.at(-1)];
  return {
    box,
    rows: shown.map(({ index }) => ({ index, measure: virtualizer.measureElement })),
    before: first ? first.start - top : 0,
    after: last ? virtualizer.getTotalSize() - (last.end - top) : 0,
  };
}

/** Whether the page is being printed: then all rows are drawn. */
function useIsPrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    // The browser takes its picture right after the event.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return isPrinting;
}
