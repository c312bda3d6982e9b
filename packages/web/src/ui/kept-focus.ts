import { useEffect } from 'react';

/** What may take the focus in place of something inside it that is gone. */
const HOMES = 'li[tabindex], section[aria-label], main';
/** How long after a press or a key it is looked whether what had the focus is still there: what follows from it may be drawn late. */
const LOOK_MS = 1000;
/** Soon enough for whoever goes on by keys, and no frame is drawn for it. */
const LOOK_EVERY_MS = 60;

/** Whether the focus is on nothing in particular: the page, or a region that only holds it. */
export const isNowhere = (target: Element | null): boolean =>
  target === null || target === document.body || target.matches('main, section[tabindex="-1"]');

/** Gives a region the focus, which by itself would not take it. */
export function focusRegion(region: HTMLElement): void {
  if (region.tabIndex < 0) region.tabIndex = -1;
  region.focus({ preventScroll: true });
}

/** When what had the focus is gone after a press or a key, the nearest region that it stood in takes it: it never falls to the page. */
export function useKeptFocus(): void {
  useEffect(() => {
    let last: Element | null = null;
    let homes: HTMLElement[] = [];
    const remember = ({ target }: FocusEvent) => {
      if (!(target instanceof Element)) return;
      last = target;
      homes = homesOf(target);
    };
    let until = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const settle = () => {
      timer = undefined;
      if (last && !last.isConnected) {
        const home = homes.find((each) => each.isConnected);
        if (home && document.activeElement === document.body) focusRegion(home);
        last = null;
      } else if (performance.now() < until) timer = setTimeout(settle, LOOK_EVERY_MS);
    };
    const look = () => {
      until = performance.now() + LOOK_MS;
      timer ??= setTimeout(settle, 0);
    };
    document.addEventListener('focusin', remember);
    document.addEventListener('click', look);
    document.addEventListener('keydown', look);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('focusin', remember);
      document.removeEventListener('click', look);
      document.removeEventListener('keydown', look);
    };
  }, []);
}

function homesOf(element: Element): HTMLElement[] {
  const homes: HTMLElement[] = [];
  for (let home = element.parentElement?.closest(HOMES); home; home = home.parentElement?.closest(HOMES)) {
    if (home instanceof HTMLElement) homes.push(home);
  }
  return homes;
}
