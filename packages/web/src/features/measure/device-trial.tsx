import { faultsIn, type ForceSample, type Hand, platesNow, type Trace, type TrialSort, type TrialReport } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import type { Device } from '../../domain/devices/device.js';
import { readingText, shownUnit, shownValue, readable } from '../../domain/measuring/units.js';
import { Button } from '../../ui/button.js';
import { AllOutCue, AllOutResult } from './all-out.js';
import { LiveTrace } from '../../domain/band/live-trace.js';
import { type Trial, useTrial } from './use-trial.js';

/** What is taken of a trial, by hand, newtons or degrees; of an all-out test what can be done above it, too, N·s. */
export interface DeviceResult {
  readonly values: Partial<Record<Hand, number>>;
  readonly aboveNs?: number;
}

interface Props {
  device: Device;
  sort: TrialSort;
  hand: Hand;
  take: (result: DeviceResult) => void;
}

const SHOWN_EVERY_MS = 100;

/** What can be taken of a trial; null where it came to nothing. */
function resultOf(report: TrialReport, hand: Hand): DeviceResult | null {
  switch (report.sort) {
    case 'force':
      return report.trace.peakN === null ? null : { values: { [hand]: report.trace.peakN } };
    case 'angle':
      return report.angle.deg === null ? null : { values: { [hand]: report.angle.deg } };
    case 'plates': {
      const { split } = report.plates;
      return split && { values: { left: split.leftN, right: split.rightN } };
    }
    case 'all-out': {
      const { criticalForce: tested } = report.test;
      return tested && { values: { [hand]: tested.criticalForceN }, aboveNs: tested.capacityAboveNs };
    }
  }
}

/** A trial on a device: its signal as it comes, what it was, and what was wrong with it. */
export function DeviceTrial({ device, sort, hand, take }: Props) {
  const trial = useTrial(device, sort);
  const { state, report, trouble } = trial;
  const result = report && resultOf(report, hand);
  const isAngle = sort === 'angle';
  return (
    <div className="mb-2 basis-full border border-line">
      <LiveTrace
        line={trial.line}
        isAngle={isAngle}
        isRunning={state === 'running'}
        trace={report?.sort === 'force' ? report.trace : null}
        className="h-40"
      />
      <div className="flex min-h-12 flex-wrap items-center gap-x-3 border-t border-line px-2 py-1">
        {state === 'running' ? (
          <>
            <Now trial={trial} sort={sort} hand={hand} />
            <Button className="min-h-11" onClick={trial.stop}>
              Stop
            </Button>
          </>
        ) : (
          <>
            <span className="min-w-0 flex-1 truncate text-small text-ink-soft">{device.name}</span>
            {result && (
              <Button kind="primary" className="min-h-11" onClick={() => take(result)}>
                Use {resultText(result, isAngle)}
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
      {report && <WhatItWas report={report} />}
    </div>
  );
}

function resultText({ values: { left, right } }: DeviceResult, isAngle: boolean): string {
  const text = (value: number) => readingText(isAngle ? '°' : 'N', value);
  if (left !== undefined && right !== undefined) return `L ${text(left)}, R ${text(right)}`;
  return text(left ?? right ?? 0);
}

/** What the device says this moment: large, for whoever works and whoever looks on. */
function Now({ trial: { line, latest }, sort, hand }: { trial: Trial; sort: TrialSort; hand: Hand }) {
  const [now, setNow] = useState<{ last: ForceSample | undefined; left: number }>({ last: undefined, left: 50 });
  useEffect(() => {
    const timer = setInterval(() => {
      const plates = sort === 'plates' ? platesNow(latest.current) : undefined;
      const both = plates ? plates.leftN + plates.rightN : 0;
      setNow({ last: line.current.at(-1), left: plates && both > 0 ? (100 * plates.leftN) / both : 50 });
    }, SHOWN_EVERY_MS);
    return () => clearInterval(timer);
  }, [sort, line, latest]);
  const value = now.last?.valueN ?? 0;
  const name = sort === 'angle' ? `Angle now, ${hand}` : sort === 'plates' ? 'Current load' : `Force now, ${hand}`;
  return (
    <>
      <span className="display flex-1 text-head figures" role="timer" aria-label={name}>
        {readingText(sort === 'angle' ? '°' : 'N', value)}
        {sort === 'plates' && (
          <span className="ml-3 text-lead">
            L {now.left.toFixed(0)} % · R {(100 - now.left).toFixed(0)} %
          </span>
        )}
      </span>
      {sort === 'all-out' && <AllOutCue line={line} />}
    </>
  );
}

function WhatItWas({ report }: { report: TrialReport }) {
  const facts = factsOf(report);
  return (
    <div className="border-t border-line px-2 py-1.5 text-small">
      {facts.length > 0 && (
        <dl className="flex flex-wrap gap-x-4">
          {facts.map(([name, value]) => (
            <div key={name} className="flex gap-1">
              <dt className="text-ink-soft">{name}</dt>
              <dd className="font-semibold figures">{value ?? '–'}</dd>
            </div>
          ))}
        </dl>
      )}
      {report.sort === 'all-out' && <AllOutResult test={report.test} />}
      {faultsIn(report).map((text) => (
        <p key={readable(text)} className="mt-1 border-l-4 border-load-3 bg-amber-wash px-2 py-1">
          {readable(text)}
        </p>
      ))}
    </div>
  );
}

type Fact = readonly [name: string, value: string | null];

function factsOf(report: TrialReport): Fact[] {
  switch (report.sort) {
    case 'force':
      return factsOfForce(report.trace);
    case 'angle':
      return [['furthest, held half a second', report.angle.deg === null ? null : readingText('°', report.angle.deg)]];
    case 'plates': {
      const { split } = report.plates;
      if (!split) return [];
      return [
        ['left', `${readingText('N', split.leftN)}, ${split.leftPercent.toFixed(0)} %`],
        ['right', `${readingText('N', split.rightN)}, ${(100 - split.leftPercent).toFixed(0)} %`],
        ['mean over', `${(split.toS - split.fromS).toFixed(0)} s`],
      ];
    }
    case 'all-out':
      return [];
  }
}

const factsOfForce = ({ peakN, plateauN, rateNPerS, steadinessPercent }: Trace): Fact[] => [
  ['peak', peakN === null ? null : readingText('N', peakN)],
  ['held', plateauN === null ? null : readingText('N', plateauN)],
  ['rise', rateNPerS === null ? null : `${shownValue('N', rateNPerS).toFixed(0)} ${shownUnit('N')}/s`],
  ['unsteady by', steadinessPercent === null ? null : `${steadinessPercent.toFixed(1)} %`],
];
