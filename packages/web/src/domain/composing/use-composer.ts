import type { ComposeAnswer, ComposeWork } from '@clay-pot/contracts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { composeBeside, stopComposing, warmComposer } from './composer.js';

/** How far composing is. */
export type ComposerState = 'idle' | 'looking' | 'there' | 'stopped' | 'failed';

/**
 * Composing as a page follows it: the best answer so far, and whether a better one is still looked for.
 * @param likely what will likely be asked: the composer gets ready by it
 */
export function useComposer(likely: ComposeWork) {
  const [state, setState] = useState<ComposerState>('idle');
  const [answer, setAnswer] = useState<ComposeAnswer | null>(null);
  const asked = useRef(0);
  const isLooking = useRef(false);
  const [first] = useState(likely);
  useEffect(() => {
    warmComposer(first);
    // Whoever leaves in the middle waits for nothing.
    return stopComposing;
  }, [first]);

  const start = useCallback((work: ComposeWork) => {
    if (isLooking.current) stopComposing();
    isLooking.current = true;
    const mine = ++asked.current;
    setState('looking');
    const isMine = () => asked.current === mine;
    composeBeside(work, (better) => isMine() && setAnswer(better))
      .then((last) => {
        if (!isMine()) return;
        isLooking.current = false;
        setAnswer(last);
        setState('there');
      })
      .catch(() => isMine() && setState('failed'));
  }, []);

  /** What was found so far stays. */
  const stop = useCallback(() => {
    asked.current++;
    isLooking.current = false;
    stopComposing();
    setState('stopped');
  }, []);

  return { state, answer, setAnswer, start, stop };
}
