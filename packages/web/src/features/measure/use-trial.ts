import { type DeviceSample, forcesOf, type ForceSample, type Trace, traceOf } from '@clay-pot/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Device } from '../../domain/devices/device.js';

/** How a trial on a device stands. */
export interface Trial {
  readonly state: 'idle' | 'running' | 'done';
  /** What the signal says, once it is over. */
  readonly trace: Trace | null;
  /** Why it ended otherwise than it should. */
  readonly trouble: string | null;
  readonly start: () => void;
  readonly stop: () => void;
  /** Forces so far, in newtons: read by whoever draws. */
  readonly forces: { readonly current: readonly ForceSample[] };
}

/** Looked at so often whether the effort is over. */
const LOOK_EVERY_MS = 250;
/** At rest for so long after an effort, the trial is over. */
const OVER_AFTER_S = 1;
/** Nobody squeezes for longer in a trial. */
const MOST_MS = 60_000;

/** One trial on a device: from the start to the end of the effort, or until it is stopped. */
export function useTrial(device: Device | null, channel: string): Trial {
  const [state, setState] = useState<Trial['state']>('idle');
  const [trace, setTrace] = useState<Trace | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const forces = useRef<ForceSample[]>([]);
  const samples = useRef<DeviceSample[]>([]);
  const disconnect = useRef<(() => void) | null>(null);

  const finish = useCallback(
    (why: string | null) => {
      disconnect.current?.();
      disconnect.current = null;
      const inNewtons = forcesOf(samples.current, channel);
      setTrace(inNewtons && inNewtons.length > 0 ? traceOf(inNewtons) : null);
      setTrouble(inNewtons ? why : 'The device changed its unit on the way: nothing of it can be trusted.');
      setState('done');
    },
    [channel],
  );
  const start = useCallback(() => {
    if (!device) return;
    samples.current = [];
    forces.current = [];
    setTrace(null);
    setTrouble(null);
    setState('running');
    disconnect.current = device.connect({
      samples: (more) => {
        samples.current.push(...more);
        forces.current.push(...(forcesOf(more, channel) ?? []));
      },
      ended: finish,
    });
  }, [device, channel, finish]);
  useEffect(() => {
    if (state !== 'running') return undefined;
    const began = Date.now();
    const timer = setInterval(() => {
      const { endS, keptToS } = traceOf(forces.current);
      const isOver = endS !== null && keptToS - endS >= OVER_AFTER_S;
      if (isOver || Date.now() - began > MOST_MS) finish(null);
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [state, finish]);
  // Whoever leaves lets the device go.
  useEffect(() => () => disconnect.current?.(), []);
  return { state, trace, trouble, start, stop: () => finish(null), forces };
}
