import { type DeviceUnit, forcesOf, type ForceSample, isEffortOver, NOTHING_SEEN, type Trace, traceOf, watched } from '@clay-pot/core'; // prettier-ignore
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

/** Nobody squeezes for longer in a trial. */
const MOST_MS = 60_000;
const UNIT_CHANGED = 'The device changed its unit on the way: nothing of it can be trusted.';

/** One trial on a device: from the start to the end of the effort, or until it is stopped. */
export function useTrial(device: Device, channel: string): Trial {
  const [state, setState] = useState<Trial['state']>('idle');
  const [trace, setTrace] = useState<Trace | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const forces = useRef<ForceSample[]>([]);
  const disconnect = useRef<(() => void) | null>(null);

  const finish = useCallback((why: string | null) => {
    disconnect.current?.();
    disconnect.current = null;
    setTrace(why !== UNIT_CHANGED && forces.current.length > 0 ? traceOf(forces.current) : null);
    setTrouble(why);
    setState('done');
  }, []);
  const start = () => {
    forces.current = [];
    setTrace(null);
    setTrouble(null);
    setState('running');
    let unit: DeviceUnit | undefined;
    let seen = NOTHING_SEEN;
    disconnect.current = device.connect({
      samples: (list) => {
        const mine = list.filter((sample) => sample.channel === channel);
        unit ??= mine[0]?.unit;
        const more = mine.some((sample) => sample.unit !== unit) ? null : forcesOf(mine, channel);
        if (!more) {
          finish(UNIT_CHANGED);
          return;
        }
        for (const force of more) forces.current.push(force);
        seen = watched(seen, more);
        if (isEffortOver(seen)) finish(null);
      },
      ended: finish,
    });
  };
  useEffect(() => {
    if (state !== 'running') return undefined;
    const timer = setTimeout(() => finish(null), MOST_MS);
    return () => clearTimeout(timer);
  }, [state, finish]);
  // Whoever leaves lets the device go.
  useEffect(() => () => disconnect.current?.(), []);
  return { state, trace, trouble, start, stop: () => finish(null), forces };
}
