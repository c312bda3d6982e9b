import { bandOfReading, type DayReading, type Hand, HANDS, type MeasurementError, type ReadingUnit } from '@clay-pot/core';
import { CartesianGrid, ComposedChart, ErrorBar, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { numberText, shownUnit, shownValue } from '../../domain/measuring/units.js';
import { dayText } from '../../ui/format.js';

interface Props {
  title: string;
  unit: ReadingUnit;
  points: Readonly<Record<Hand, readonly DayReading[]>>;
  error: Readonly<Record<Hand, MeasurementError>>;
  goal: number | null;
}

const COLOUR: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre)' };
const NOON = 'T12:00:00Z';

/** Readings over time, both hands, each with its error; filled where it is a real change since the first. */
export function TrendChart({ title, unit, points, error, goal }: Props) {
  const days = [...new Set(HANDS.flatMap((hand) => points[hand].map(({ onDay }) => onDay)))].sort();
  const rows = days.map((onDay) => {
    const of = (hand: Hand) => points[hand].find((point) => point.onDay === onDay);
    const shown = (hand: Hand) => {
      const point = of(hand);
      return point ? shownValue(unit, point.value) : null;
    };
    return {
      at: Date.parse(onDay + NOON),
      left: shown('left'),
      right: shown('right'),
      leftReal: of('left')?.isReal ?? false,
      rightReal: of('right')?.isReal ?? false,
      leftError: shownValue(unit, bandOfReading(error.left)),
      rightError: shownValue(unit, bandOfReading(error.right)),
    };
  });
  return (
    <figure aria-label={title}>
      <div className="h-72">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart accessibilityLayer={false} data={rows} margin={{ top: 12, right: 20, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--color-line)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin - 172800000', 'dataMax + 172800000']}
              tickFormatter={(at: number) => dayText(new Date(at)).slice(4)}
              fontSize={12}
              stroke="var(--color-ink-soft)"
            />
            <YAxis
              fontSize={12}
              width={52}
              stroke="var(--color-ink-soft)"
              domain={['auto', 'auto']}
              unit={shownUnit(unit) === '°' ? '°' : ''}
            />
            {goal !== null && (
              <ReferenceLine
                y={shownValue(unit, goal)}
                stroke="var(--color-celadon)"
                strokeWidth={2}
                strokeDasharray="6 4"
                ifOverflow="extendDomain"
                label={{ value: `goal ${numberText(unit, goal)}`, fontSize: 12, position: 'insideTopRight' }}
              />
            )}
            {HANDS.map((hand) => (
              <Line
                key={hand}
                dataKey={hand}
                stroke={COLOUR[hand]}
                strokeWidth={2}
                strokeDasharray={hand === 'right' ? '7 3' : ''}
                isAnimationActive={false}
                connectNulls
                dot={<Dot hand={hand} />}
                activeDot={false}
              >
                <ErrorBar dataKey={`${hand}Error`} direction="y" stroke={COLOUR[hand]} strokeWidth={1} width={5} opacity={0.55} />
              </Line>
            ))}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="mt-1 text-fine text-ink-soft">
        {shownUnit(unit)} by day. Solid line: left; dashed line: right. Error bars: 95 % of repeat tests would fall here. Filled: a real
        change since the first test.
      </figcaption>
    </figure>
  );
}

interface DotProps {
  hand: Hand;
  cx?: number;
  cy?: number;
  payload?: { leftReal: boolean; rightReal: boolean };
}

function Dot({ hand, cx, cy, payload }: DotProps) {
  if (cx === undefined || cy === undefined || !payload) return null;
  const isReal = hand === 'left' ? payload.leftReal : payload.rightReal;
  const look = { fill: isReal ? COLOUR[hand] : 'var(--color-white)', stroke: COLOUR[hand], strokeWidth: 2 };
  return hand === 'left' ? <circle cx={cx} cy={cy} r={5} {...look} /> : <rect x={cx - 4.5} y={cy - 4.5} width={9} height={9} {...look} />;
}
