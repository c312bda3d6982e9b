import { type RefObject, useEffect, useState } from 'react';
import { sharedStage } from './shared-stage.js';
import type { Stage } from './stage.js';

/** The page's stage once it is there. */
export function useStage(onTrouble?: () => void): Stage | null {
  const [stage, setStage] = useState<Stage | null>(null);
  useEffect(() => {
    let wanted = true;
    sharedStage()
      .then((open) => wanted && setStage(open))
      .catch(() => wanted && onTrouble?.());
    return () => {
      wanted = false;
    };
  }, [onTrouble]);
  return stage;
}

/** Pixels of a drawing for each of the page’s, and how many there are at most: lines are smooth, and a phone keeps up. */
const FINE = 2;
const MOST_PIXELS = 1_600_000;
/** Keeps a canvas as fine as the screen; tells its size whenever it changes. */
export function useCanvasSize(canvas: RefObject<HTMLCanvasElement | null>): string | null {
  const [size, setSize] = useState<string | null>(null);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const watch = new ResizeObserver(() => {
      const area = element.clientWidth * element.clientHeight;
      const scale = Math.min(FINE, Math.sqrt(MOST_PIXELS / Math.max(1, area)));
      element.width = Math.round(element.clientWidth * scale);
      element.height = Math.round(element.clientHeight * scale);
      setSize(`${element.width} ${element.height}`);
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, [canvas]);
  return size;
}
