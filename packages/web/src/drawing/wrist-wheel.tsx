import { type Hand, MAIN_DIRECTIONS } from '@clay-pot/core';

type Main = (typeof MAIN_DIRECTIONS)[number];

/** Range toward one direction, in degrees. */
export interface WristRange {
  readonly passiveDeg: number;
  /** Null where it was not tested. */
  readonly activeDeg: number | null;
  /** Passive range at the first test; null where there is only one, or none. */
  readonly firstDeg: number | null;
  readonly isEstimated: boolean;
}

interface Props {
  hand: Hand;
  ranges: Readonly<Record<Main, WristRange>>;
  /** The same in words, for who hears the page. */
  description: string;
  className?: string;
}

const COLOUR: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre)' };
const WASH: Record<Hand, string> = { left: 'var(--color-cobalt-wash)', right: 'var(--color-ochre-wash)' };
const FILL: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre-fill)' };
/** Pixels for a degree. */
const PER_DEG = 0.86;
const RINGS_DEG = [45, 90];

/** Both hands are seen from above, side by side: their thumbs point to each other. */
const thumbWay = (hand: Hand) => (hand === 'left' ? 1 : -1);

/**
 * The circle of one wrist, seen from above: the outline is its passive range, the filled shape its active range, the dotted
 * one the first test. Extension is up.
 */
export function WristWheel({ hand, ranges, description, className = '' }: Props) {
  const passive = radii(hand, (direction) => ranges[direction].passiveDeg);
  const active = MAIN_DIRECTIONS.every((direction) => ranges[direction].activeDeg !== null)
    ? radii(hand, (direction) => ranges[direction].activeDeg ?? 0)
    : null;
  const first = MAIN_DIRECTIONS.every((direction) => ranges[direction].firstDeg !== null)
    ? radii(hand, (direction) => ranges[direction].firstDeg ?? 0)
    : null;
  const isEstimated = MAIN_DIRECTIONS.some((direction) => ranges[direction].isEstimated);
  const way = thumbWay(hand);
  return (
    <svg viewBox="-132 -118 264 240" role="img" aria-label={description} className={className} fontSize={12}>
      {RINGS_DEG.map((deg) => (
        <circle key={deg} r={deg * PER_DEG} fill="none" stroke="var(--color-line)" />
      ))}
      <path d="M-92 0H92M0 -92V92" stroke="var(--color-line)" />
      <path d={closed(passive)} fill={WASH[hand]} stroke={COLOUR[hand]} strokeWidth={2} {...(isEstimated && { strokeDasharray: '4 3' })} />
      {active && <path d={closed(active)} fill={FILL[hand]} fillOpacity={0.38} />}
      {first && <path d={closed(first)} fill="none" stroke="var(--color-ink)" strokeWidth={1.4} strokeDasharray="1.5 3" />}
      <circle r={2.5} fill="var(--color-ink)" />
      <Degrees x={0} y={-passive.up - 8} deg={ranges.extension.passiveDeg} />
      <Degrees x={0} y={passive.down + 15} deg={ranges.flexion.passiveDeg} />
      <Degrees x={way * ((way > 0 ? passive.right : passive.left) + 16)} y={4} deg={ranges.radial.passiveDeg} />
      <Degrees x={-way * ((way > 0 ? passive.left : passive.right) + 16)} y={4} deg={ranges.ulnar.passiveDeg} />
      <text x={0} y={-106} textAnchor="middle" fill="var(--color-ink-soft)" fontSize={11}>
        extension
      </text>
      <text x={0} y={115} textAnchor="middle" fill="var(--color-ink-soft)" fontSize={11}>
        flexion
      </text>
      <text x={way * 128} y={-14} textAnchor={way > 0 ? 'end' : 'start'} fill="var(--color-ink-soft)" fontSize={11}>
        thumb
      </text>
      <text x={-way * 128} y={-14} textAnchor={way > 0 ? 'start' : 'end'} fill="var(--color-ink-soft)" fontSize={11}>
        little
      </text>
    </svg>
  );
}

interface Radii {
  readonly up: number;
  readonly down: number;
  readonly left: number;
  readonly right: number;
}

function radii(hand: Hand, degOf: (direction: Main) => number): Radii {
  const [thumb, little] = [degOf('radial') * PER_DEG, degOf('ulnar') * PER_DEG];
  return {
    up: degOf('extension') * PER_DEG,
    down: degOf('flexion') * PER_DEG,
    left: thumbWay(hand) > 0 ? little : thumb,
    right: thumbWay(hand) > 0 ? thumb : little,
  };
}

/** Four quarters of ellipses: between two directions the wrist's limit bends from one range to the other. */
const closed = ({ up, down, left, right }: Radii): string =>
  [
    'M',
    0,
    -up,
    ...quarter(right, up, right, 0),
    ...quarter(right, down, 0, down),
    ...quarter(left, down, -left, 0),
    ...quarter(left, up, 0, -up),
  ].join(' ');
/** A quarter of an ellipse, clockwise, to a point. */
const quarter = (radiusX: number, radiusY: number, x: number, y: number) => ['A', radiusX, radiusY, 0, 0, 1, x, y];

function Degrees({ x, y, deg }: { x: number; y: number; deg: number }) {
  return (
    <text x={x} y={y} textAnchor="middle" fontWeight={700} fill="var(--color-ink)" className="figures">
      {Math.round(deg)}°
    </text>
  );
}
