import {
  type DeviceSample,
  type ForceSample,
  isEffortOver,
  lineReader,
  LASTS_AT_MOST_S,
  NOTHING_SEEN,
  OVER_AFTER_S,
  reportOf,
  type TrialSort,
  type TrialReport,
  watched,
} from '@clay-pot/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Device } from '../../domain/devices/device.js';

/** The state of a trial on a device. */
export interface Trial {
  readonly state: 'idle' | 'running' | 'done';
  /** What the signal says, once it is over. */
  readonly report: TrialReport | null;
  /** Why it ended otherwise than it should. */
  readonly trouble: string | null;
  readonly start: () => void;
  readonly stop: () => void;
  /** The line so far, newtons or degrees: read by whoever draws. */
  readonly line: { readonly current: readonly ForceSample[] };
  /** What came of late, as the device sent it. */
  readonly latest: { readonly current: readonly DeviceSample[] };
}

const UNIT_CHANGED = 'The device changed its unit during the trial, so this trial doesn’t count.';

/** One trial on a device: from the start to the end of the effort, or until it is stopped. */
export function useTrial(device: Device, sort: TrialSort): Trial {
  const [state, setState] = useState<Trial['state']>('idle');
  const [report, setTold] = useState<TrialReport | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const line = useRef<ForceSample[]>([]);
  const samples = useRef<DeviceSample[]>([]);
  const latest = useRef<readonly DeviceSample[]>([]);
  const disconnect = useRef<(() => void) | null>(null);

  const finish = useCallback(
    (why: string | null) => {
      disconnect.current?.();
      disconnect.current = null;
      setTold(why !== UNIT_CHANGED && line.current.length > 0 ? reportOf(sort, samples.current) : null);
      setTrouble(why);
      setState('done');
    },
    [sort],
  );
  const start = () => {
    line.current = [];
    samples.current = [];
    setTold(null);
    setTrouble(null);
    setState('running');
    const read = lineReader(sort);
    let seen = NOTHING_SEEN;
    disconnect.current = device.connect({
      samples: (list) => {
        const more = read(list);
        if (!more) {
          finish(UNIT_CHANGED);
          return;
        }
        latest.current = list;
        for (const sample of list) samples.current.push(sample);
        for (const value of more) line.current.push(value);
        seen = watched(seen, more);
        const [first, last] = [line.current[0], line.current.at(-1)];
        const isLong = first && last && last.tS - first.tS > LASTS_AT_MOST_S[sort];
        if (isLong || isEffortOver(seen, OVER_AFTER_S[sort])) finish(null);
      },
      ended: finish,
    });
  };
  useEffect(() => {
    if (state !== 'running') return undefined;
    // A device that sends nothing has no clock: ours ends it.
    const timer = setTimeout(() => finish(null), LASTS_AT_MOST_S[sort] * 1000);
    return () => clearTimeout(timer);
  }, [state, finish, sort]);
  // Whoever leaves lets the device go.
  useEffect(() => () => disconnect.current?.(), []);
  return { state, report, trouble, start, stop: () => finish(null), line, latest };
}
