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
    <figure aria-label="Predicted vs. actual">
      <div className="aspect-square max-w-96">
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 12, bottom: 20, left: 4 }}>
            <CartesianGrid stroke="var(--color-line)" />
            <XAxis {...AXIS} dataKey="said" label={{ value: 'predicted, of 10', position: 'insideBottom', offset: -10, fontSize: 12 }} />
            <YAxis
              {...AXIS}
              dataKey="came"
              width={44}
              label={{ value: 'actual, of 10', angle: -90, position: 'insideLeft', offset: 8, fontSize: 12 }}
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
        Each dot is a group of ratings: the predicted chance that they stay this low, and how often they did. On the line, predictions came
        true as often as predicted.
      </figcaption>
    </figure>
  );
}
