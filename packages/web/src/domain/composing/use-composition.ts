import type { Athlete, ComposeAnswer, ComposeWork, SwapAnswer } from '@clay-pot/contracts';
import type { Block, Sequence } from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import { composeBeside, judgeBeside, prepareComposer, stopComposing, swapsBeside, warmComposer } from './composer.js';
import { type Around, useComposeWork, type Wishes } from './wishes.js';

/** How far composing is. */
export type CompositionState = 'idle' | 'looking' | 'there' | 'stopped' | 'failed';

/** Composing as a page follows it. */
export interface Composition {
  readonly state: CompositionState;
  /** The best so far; null before there is any. */
  readonly answer: ComposeAnswer | null;
  /** Blocks of it that stay when the rest is regenerated. */
  readonly locked: readonly Block[];
  readonly toggleLock: (blockId: string) => void;
  readonly compose: () => void;
  /** What was found so far stays. */
  readonly stop: () => void;
  readonly swaps: (blockId: string) => Promise<SwapAnswer>;
  /** Another sequence in its place: its own figures follow. */
  readonly change: (sequence: Sequence) => void;
}

/** Generates for somebody by wishes, in a worker. @param around a sequence to refit */
export function useComposition(athlete: Athlete | undefined, wishes: Wishes, around: Around = {}): Composition {
  const workOf = useComposeWork(athlete);
  const [state, setState] = useState<CompositionState>('idle');
  const [answer, setAnswer] = useState<ComposeAnswer | null>(null);
  const [lockedIds, setLockedIds] = useState<ReadonlySet<string>>(new Set());
  /** What is being done, so that answers to something else are left alone. */
  const mine = useRef<ComposeWork | null>(null);
  const [likely] = useState(() => workOf(wishes, around));
  useEffect(() => {
    warmComposer(likely);
    // Whoever leaves in the middle waits for nothing.
    return stopComposing;
  }, [likely]);
  const { from, others } = around;
  const isLooking = state === 'looking';
  // Another method, other things, a record that has come in meanwhile: it is found what there is before it is asked for.
  useEffect(() => {
    if (!isLooking) prepareComposer(workOf(wishes, { from, others }));
  }, [isLooking, workOf, wishes, from, others]);

  const sequence = answer?.sequence ?? null;
  const locked = (sequence ?? around.from)?.blocks.filter(({ id }) => lockedIds.has(id)) ?? [];

  function compose() {
    if (state === 'looking') stopComposing();
    const rounds = (sequence ?? around.from)?.rounds?.filter(({ blockIds }) => blockIds.every((id) => lockedIds.has(id)));
    const work = workOf(wishes, { ...around, ...(locked.length > 0 && { locked, rounds }) });
    mine.current = work;
    setState('looking');
    const isMine = () => mine.current === work;
    composeBeside(work, (better) => isMine() && setAnswer(better))
      .then((last) => {
        if (!isMine()) return;
        setAnswer(last);
        setState('there');
      })
      .catch(() => isMine() && setState('failed'));
  }

  function stop() {
    if (state !== 'looking') return;
    stopComposing();
    // The question has not changed: edits of its answer are judged by it.
    if (mine.current) mine.current = { ...mine.current };
    setState('stopped');
  }

  return {
    state,
    answer,
    locked,
    toggleLock: (id) =>
      setLockedIds((before) => (before.has(id) ? new Set([...before].filter((each) => each !== id)) : new Set([...before, id]))),
    compose,
    stop,
    swaps: (blockId) => {
      stop();
      return swapsBeside(workOf(wishes, { ...around, ...(sequence && { from: sequence }) }), blockId);
    },
    change: (changed) => {
      const work = mine.current;
      if (!answer || !work) return;
      void judgeBeside(work, changed, answer).then((judged) => mine.current === work && setAnswer(judged));
    },
  };
}
