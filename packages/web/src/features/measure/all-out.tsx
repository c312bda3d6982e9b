import { ALL_OUT, type AllOutTest, type CriticalForce, type ForceSample, repeatsAbove } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import { Bar, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Term } from '../../domain/terms/term.js';
import { numberText, readingText, shownUnit, shownValue } from '../../domain/measuring/units.js';

const CYCLE_S = ALL_OUT.workS + ALL_OUT.restS;
const SHOWN_EVERY_MS = 100;
/** The rhythm begins with the first squeeze. */
const BEGUN_N = 30;

/** The rhythm of the test, by the device’s own clock since the first squeeze: which squeeze it is, and how long it or the rest still lasts. */
export function AllOutCue({ line }: { line: { readonly current: readonly ForceSample[] } }) {
  const [elapsed, setElapsed] = useState<number | null>(null);
  useEffect(() => {
    let begunS: number | null = null;
    const timer = setInterval(() => {
      begunS ??= line.current.find(({ valueN }) => valueN > BEGUN_N)?.tS ?? null;
      const last = line.current.at(-1);
      if (begunS !== null && last) setElapsed(last.tS - begunS);
    }, SHOWN_EVERY_MS);
    return () => clearInterval(timer);
  }, [line]);
  if (elapsed === null) return <b className="text-lead">Squeeze as hard as you can. Timing starts when you squeeze</b>;
  const number = Math.min(ALL_OUT.contractions, Math.floor(elapsed / CYCLE_S) + 1);
  const cycleS = elapsed % CYCLE_S;
  const works = cycleS < ALL_OUT.workS;
  const leftS = Math.ceil((works ? ALL_OUT.workS : CYCLE_S) - cycleS);
  return (
    <span className="text-lead figures" aria-live="polite">
      <b className={works ? 'text-ink' : 'text-celadon'}>{works ? 'Squeeze' : 'Open'}</b> {leftS} s · {number} of {ALL_OUT.contractions}
    </span>
  );
}

/** What an all-out test came to: each squeeze, what can be kept up, what was left above it, and how long harder holds would last. */
export function AllOutResult({ test: { contractionsN, criticalForce } }: { test: AllOutTest }) {
  if (!criticalForce) return null;
  return (
    <div className="grid gap-2">
      <p>
        <Term term="criticalForce">
          Sustainable: <b>{readingText('N', criticalForce.criticalForceN)}</b>
        </Term>
        , {criticalForce.percentOfBest.toFixed(0)} % of the best squeeze. Above that only once:{' '}
        <b>{readingText('N·s', criticalForce.capacityAboveNs)}</b>.
      </p>
      <AllOutChart contractionsN={contractionsN} criticalForce={criticalForce} />
      <RepeatsAbove criticalForce={criticalForce} />
    </div>
  );
}

function AllOutChart({ contractionsN, criticalForce }: { contractionsN: readonly number[]; criticalForce: CriticalForce }) {
  const rows = contractionsN.map((valueN, index) => ({
    number: index + 1,
    force: shownValue('N', valueN),
    left: Math.max(0, criticalForce.leftNs[index] ?? 0),
  }));
  const summary = `Mean force of ${rows.length} squeezes, from ${numberText('N', contractionsN[0] ?? 0)} to ${readingText('N', contractionsN.at(-1) ?? 0)}, and the work left above the sustainable force`;
  return (
    <figure>
      <figcaption className="font-semibold">Each squeeze, {shownUnit('N')} (bars), and the work left above the line, N·s</figcaption>
      <div className="h-48" role="img" aria-label={summary}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={rows} margin={{ top: 8, right: 4, bottom: 0, left: -22 }}>
            <CartesianGrid vertical={false} stroke="var(--color-line)" />
            <XAxis dataKey="number" tick={{ fontSize: 11 }} interval={3} />
            <YAxis yAxisId="force" tick={{ fontSize: 11 }} />
            <YAxis yAxisId="left" orientation="right" domain={[0, 'auto']} tick={{ fontSize: 11 }} width={48} />
            <Bar yAxisId="force" dataKey="force" fill="var(--color-load-2)" isAnimationActive={false} />
            <ReferenceLine yAxisId="force" y={shownValue('N', criticalForce.criticalForceN)} stroke="var(--color-ink)" strokeWidth={2} />
            <Line yAxisId="left" dataKey="left" stroke="var(--color-ink)" strokeDasharray="4 3" dot={false} isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

/** How often shares of the best squeeze can be repeated in this rhythm with what there is above. */
function RepeatsAbove({ criticalForce }: { criticalForce: CriticalForce }) {
  const repeats = repeatsAbove(criticalForce);
  if (repeats.length === 0) return null;
  return (
    <p className="text-ink-soft">
      When rested, and in this rhythm:{' '}
      {repeats
        .map(({ percentOfBest, forceN, contractions }) => `${contractions} × ${percentOfBest} % (${readingText('N', forceN)})`)
        .join(', ')}
      .
    </p>
  );
}
