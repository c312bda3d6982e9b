import type { Calibration } from '@clay-pot/core';
import { CartesianGrid, ErrorBar, ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';

const AXIS = {
  type: 'number' as const,
  domain: [0, 10] as [number, number],
  ticks: [0, 2, 4, 6, 8, 10],
  fontSize: 12,
  stroke: 'var(--color-ink-soft)',
};

/** Of things said to hold in so many of ten cases, in how many they did: on the line where both are one. */
export default function CalibrationChart({ points }: { points: Calibration['exertion'] }) {
  const rows = points.map(({ said, came: { value, low, high } }) => ({
    said: 10 * said,
    came: 10 * value,
    error: [10 * (value - low), 10 * (high - value)],
  }));
  return (
    <figure aria-label="Foretold against told">
      <div className="aspect-square max-w-96">
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 12, bottom: 20, left: 4 }}>
            <CartesianGrid stroke="var(--color-line)" />
            <XAxis {...AXIS} dataKey="said" label={{ value: 'said, of 10', position: 'insideBottom', offset: -10, fontSize: 12 }} />
            <YAxis
              {...AXIS}
              dataKey="came"
              width={44}
              label={{ value: 'came, of 10', angle: -90, position: 'insideLeft', offset: 8, fontSize: 12 }}
            />
            <ReferenceLine
              segment={[
                { x: 0, y: 0 },
                { x: 10, y: 10 },
              ]}
              stroke="var(--color-ink)"
              strokeDasharray="4 3"
            />
            <Scatter data={rows} fill="var(--color-ink)" isAnimationActive={false}>
              <ErrorBar dataKey="error" direction="y" width={4} stroke="var(--color-ink-soft)" isAnimationActive={false} />
            </Scatter>
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-small text-ink-soft">
        Each dot: ratings that were said to be at most so high with this chance, and how many were. On the line, what was said came as often
        as it was said.
      </figcaption>
    </figure>
  );
}
