import { type RefObject, useEffect, useState } from 'react';

/** How far outside the screen, and outside what scrolls in it, something is still near. */
const NEAR = '300px';
const waiting = new WeakMap<Element, () => void>();
let watch: IntersectionObserver | undefined;

/** One watcher for all: there are hundreds of pictures on a page. */
function whenNear(element: Element, act: () => void): () => void {
  watch ??= new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) if (isIntersecting) waiting.get(target)?.();
    },
    // What a list inside the page has scrolled out is clipped by it: its margin counts as well.
    { rootMargin: NEAR, scrollMargin: NEAR },
  );
  const watcher = watch;
  waiting.set(element, act);
  watcher.observe(element);
  return () => {
    waiting.delete(element);
    watcher.unobserve(element);
  };
}

/**
 * Whether an element is near the screen, or has been: a picture far from the screen costs nothing.
 * @param eager whether it counts as near from the start, as for what is printed
 */
export function useNear(box: RefObject<Element | null>, eager = false): boolean {
  const [near, setNear] = useState(eager || !('IntersectionObserver' in window));
  useEffect(() => {
    if (near || !box.current) return;
    return whenNear(box.current, () => setNear(true));
  }, [box, near]);
  return near;
}
