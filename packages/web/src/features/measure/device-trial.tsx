import { type Hand, kgFromN, type Trace } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import type { Device } from '../../domain/devices/device.js';
import { Button } from '../../ui/button.js';
import { LiveTrace } from './live-trace.js';
import { useTrial } from './use-trial.js';

interface Props {
  device: Device;
  channel: string;
  hand: Hand;
  /** Takes the most of the trial, N. */
  take: (newtons: number) => void;
}

const SHOWN_EVERY_MS = 100;

/** A trial on a device: the force as it comes, what it was, and what was wrong with it. */
export function DeviceTrial({ device, channel, hand, take }: Props) {
  const trial = useTrial(device, channel);
  const { state, trace, trouble, forces } = trial;
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (state !== 'running') return undefined;
    const timer = setInterval(() => setNow(forces.current.at(-1)?.valueN ?? 0), SHOWN_EVERY_MS);
    return () => clearInterval(timer);
  }, [state, forces]);
  return (
    <div className="mb-2 basis-full border border-line">
      <LiveTrace forces={forces} isRunning={state === 'running'} trace={trace} className="h-40" />
      <div className="flex min-h-12 items-center gap-3 border-t border-line px-2 py-1">
        {state === 'running' ? (
          <>
            <span className="display flex-1 text-head figures" role="timer" aria-label={`Force now, ${hand}`}>
              {kgFromN(now).toFixed(1)} kg
            </span>
            <Button className="min-h-11" onClick={trial.stop}>
              Stop
            </Button>
          </>
        ) : (
          <>
            <span className="min-w-0 flex-1 truncate text-small text-ink-soft">{device.name}</span>
            {trace?.peakN !== null && trace?.peakN !== undefined && (
              <Button kind="primary" className="min-h-11" onClick={() => take(trace.peakN ?? 0)}>
                Take {kgFromN(trace.peakN).toFixed(1)} kg
              </Button>
            )}
            <Button className="min-h-11" onClick={trial.start}>
              {state === 'done' ? 'Again' : 'Start trial'}
            </Button>
          </>
        )}
      </div>
      {trouble && (
        <p role="alert" className="border-t border-line bg-iron-wash px-2 py-1.5 text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
      {trace && <WhatItWas trace={trace} />}
    </div>
  );
}

function WhatItWas({ trace }: { trace: Trace }) {
  const { peakN, plateauN, rateNPerS, steadinessPercent, faults } = trace;
  const facts: [string, string | null][] = [
    ['peak', peakN === null ? null : `${kgFromN(peakN).toFixed(1)} kg`],
    ['held', plateauN === null ? null : `${kgFromN(plateauN).toFixed(1)} kg`],
    ['rise', rateNPerS === null ? null : `${kgFromN(rateNPerS).toFixed(0)} kg/s`],
    ['unsteady by', steadinessPercent === null ? null : `${steadinessPercent.toFixed(1)} %`],
  ];
  return (
    <div className="border-t border-line px-2 py-1.5 text-small">
      <dl className="flex flex-wrap gap-x-4">
        {facts.map(([name, value]) => (
          <div key={name} className="flex gap-1">
            <dt className="text-ink-soft">{name}</dt>
            <dd className="font-semibold figures">{value ?? '–'}</dd>
          </div>
        ))}
      </dl>
      {faults.map(({ kind, text }) => (
        <p key={kind} className="mt-1 border-l-4 border-load-3 bg-amber-wash px-2 py-1">
          {text}
        </p>
      ))}
    </div>
  );
}
