import {
  type Band,
  type BandScore,
  bandWatched,
  dropWatched,
  type ForceSample,
  isLetGo,
  lineReader,
  NOT_HELD,
  NOT_TRIED,
  placeInBand,
  scoreIn,
  unwatched,
} from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import type { Device } from '../devices/device.js';
import { tone } from '../session/tone.js';

/** A force that is to be kept in a band, this moment. */
export interface BandNow {
  readonly nowN: number;
  readonly place: 'below' | 'in' | 'above' | null;
  readonly score: BandScore;
}

const SHOWN_EVERY_MS = 100;
/** Lost below: a low tone; above: a high one. */
const TONES = { below: { hertz: 220, seconds: 0.15 }, above: { hertz: 990, seconds: 0.15 } } as const;
const NOBODY_YET: BandNow = { nowN: 0, place: null, score: scoreIn(NOT_TRIED, { forS: 0 }) };

interface Options {
  readonly device: Device | null;
  readonly band: Band;
  /** Whether the device is listened to. */
  readonly isOn: boolean;
  /** Whether it counts now: between two repetitions the hand may open. */
  readonly counts?: boolean;
  /** Told with each loss, at once. */
  readonly onLost?: (to: 'below' | 'above') => void;
  /** Told once, when what was held is let go. */
  readonly onLetGo?: () => void;
  /** Told when the device ends by itself. */
  readonly onEnded?: () => void;
  /** Told once it is over, if anything was tried. */
  readonly onOver?: (score: BandScore) => void;
}

/** Listens to a device and holds its force against a band: what it is now, how well it was kept, with a tone where it is lost. */
export function useBand({ device, band, isOn, counts = true, onLost, onLetGo, onEnded, onOver }: Options) {
  const line = useRef<ForceSample[]>([]);
  const [now, setNow] = useState(NOBODY_YET);
  const [trouble, setTrouble] = useState<string | null>(null);
  const latest = useRef({ counts, onLost, onLetGo, onEnded, onOver, band });
  useEffect(() => {
    latest.current = { counts, onLost, onLetGo, onEnded, onOver, band };
  });
  const { lowN, highN, forS } = band;
  useEffect(() => {
    if (!device || !isOn) return undefined;
    line.current = [];
    let watch = NOT_TRIED;
    let drop = NOT_HELD;
    const read = lineReader('force');
    const disconnect = device.connect({
      samples: (list) => {
        const more = read(list);
        if (!more) {
          setTrouble('The device changed its unit during the trial, so this trial doesn’t count.');
          return;
        }
        setTrouble(null);
        for (const sample of more) line.current.push(sample);
        if (!latest.current.counts) {
          watch = unwatched(watch);
          drop = { ...drop, lastS: null };
          return;
        }
        const wasLetGo = isLetGo(drop);
        drop = dropWatched(drop, more, latest.current.band);
        if (!wasLetGo && isLetGo(drop)) latest.current.onLetGo?.();
        const before = watch.lost.length;
        watch = bandWatched(watch, more, latest.current.band);
        for (const { to } of watch.lost.slice(before)) {
          tone(TONES[to].hertz, TONES[to].seconds);
          latest.current.onLost?.(to);
        }
      },
      ended: (why) => {
        setTrouble(why);
        latest.current.onEnded?.();
      },
    });
    const timer = setInterval(() => {
      const nowN = line.current.at(-1)?.valueN ?? 0;
      setNow({ nowN, place: placeInBand(nowN, latest.current.band), score: scoreIn(watch, latest.current.band) });
    }, SHOWN_EVERY_MS);
    return () => {
      clearInterval(timer);
      disconnect();
      if (watch.triedS > 0) latest.current.onOver?.(scoreIn(watch, latest.current.band));
    };
    // A band of other numbers is another task.
  }, [device, isOn, lowN, highN, forS]);
  return { line, now, trouble };
}
