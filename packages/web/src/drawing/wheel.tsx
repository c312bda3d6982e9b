import {
  type Coverage,
  type Direction,
  DIRECTIONS,
  type Hand,
  HAND_FORMS,
  type HandForm,
  HANDS,
  MAIN_DIRECTIONS,
  rangeVerdict,
  WHEEL_RINGS,
} from '@clay-pot/core';
import { useId } from 'react';

/** Radii in the drawing's own pixels: rings of coverage inside, degrees of range outside. */
const RING_IN = 16;
const RING_STEP = 18;
const RING_OUT = RING_IN + RING_STEP * WHEEL_RINGS.length;
const RANGE_IN = RING_OUT + 5;
const RANGE_OUT = 130;
/** Degrees of range at the outer edge. */
const FULL_DEG = 100;
const SLICE = (2 * Math.PI) / DIRECTIONS.length;

type Main = (typeof MAIN_DIRECTIONS)[number];

/** What is known of how far a hand goes. */
export interface WheelRange {
  readonly activeDeg: number | null;
  readonly withHelpDeg: number;
  /** Where that lies for four fifths of people like this. */
  readonly bandDeg: readonly [low: number, high: number];
  readonly estimated: boolean;
}

interface Props {
  coverage: Coverage;
  ranges: Record<Hand, Record<Main, WheelRange>>;
  description: string;
  className?: string;
}

/** Extension is up, the thumb's side right: both hands are drawn as if they were one. */
const angleOf = (direction: Direction) => DIRECTIONS.indexOf(direction) * SLICE - Math.PI / 2;
const at = (angle: number, radius: number) => `${round(radius * Math.cos(angle))},${round(radius * Math.sin(angle))}`;
const round = (value: number) => Math.round(value * 10) / 10;

/** A piece of a ring between two angles. */
function piece(from: number, to: number, inner: number, outer: number): string {
  return `M${at(from, inner)}L${at(from, outer)}A${outer},${outer} 0 0 1 ${at(to, outer)}L${at(to, inner)}A${inner},${inner} 0 0 0 ${at(from, inner)}Z`;
}

/**
 * The wrist's circle: eight directions, a ring for each way of working, each piece halved into fist and open hand. Around it, how far each
 * hand goes actively and passively, and how far the sequence takes it.
 */
export function Wheel({ coverage, ranges, description, className = '' }: Props) {
  const hatch = useId();
  return (
    <svg
      viewBox="-172 -152 344 304"
      role="img"
      aria-label={description}
      className={className}
      fontFamily="'Atkinson Hyperlegible Next Variable', system-ui, sans-serif"
      fontSize={11}
    >
      <defs>
        <pattern id={hatch} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="var(--color-ochre-fill)" />
          <line x1="0" y1="0" x2="0" y2="5" stroke="#000" strokeOpacity="0.3" strokeWidth="1.6" />
        </pattern>
      </defs>
      {[50, FULL_DEG].map((deg) => (
        <circle key={deg} r={radiusOf(deg)} fill="none" stroke="var(--color-line)" strokeWidth="1" />
      ))}
      {[50, FULL_DEG].map((deg) => {
        const [x, y] = at(-Math.PI / 4, radiusOf(deg)).split(',');
        return (
          <text key={deg} x={x} y={y} fontSize={8} fill="var(--color-ash)" textAnchor="middle" dominantBaseline="middle">
            {deg}°
          </text>
        );
      })}
      {WHEEL_RINGS.map((loading, ring) =>
        DIRECTIONS.map((direction) =>
          HAND_FORMS.map((form) => {
            const cell = coverage.cells.find(
              (candidate) => candidate.direction === direction && candidate.loading === loading && candidate.form === form,
            );
            return (
              <path
                key={`${loading} ${direction} ${form}`}
                d={cellPath(direction, form, ring)}
                fill={cell ? fillOf(cell.seconds, hatch) : 'var(--color-white)'}
                stroke="var(--color-line)"
                strokeWidth="0.7"
              />
            );
          }),
        ),
      )}
      {DIRECTIONS.map((direction) => {
        const edge = angleOf(direction) - SLICE / 2;
        const [x1, y1] = at(edge, RING_IN).split(',');
        const [x2, y2] = at(edge, RING_OUT).split(',');
        return <line key={direction} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--color-ash)" strokeWidth="1" />;
      })}
      {MAIN_DIRECTIONS.map((direction) =>
        HANDS.map((hand) => (
          <Spoke
            key={`${direction} ${hand}`}
            direction={direction}
            hand={hand}
            range={ranges[hand][direction]}
            reachDeg={coverage.reachDeg[hand][direction] ?? 0}
          />
        )),
      )}
      <Label x={0} y={-144} text="extension" />
      <Label x={0} y={146} text="flexion" />
      <Label x={140} y={-7} text="thumb" anchor="start" />
      <Label x={140} y={7} text="side" anchor="start" />
      <Label x={-140} y={-7} text="little" anchor="end" />
      <Label x={-140} y={7} text="side" anchor="end" />
    </svg>
  );
}

/** Fist before, open hand after the middle of the slice, clockwise. */
function cellPath(direction: Direction, form: HandForm, ring: number): string {
  const middle = angleOf(direction);
  const inner = RING_IN + ring * RING_STEP;
  const [from, to] = form === 'fist' ? [middle - SLICE / 2, middle] : [middle, middle + SLICE / 2];
  return piece(from, to, inner, inner + RING_STEP);
}

/** Both hands celadon; one alone in its own colour, the right one hatched. */
function fillOf({ left, right }: Record<Hand, number>, hatch: string): string {
  if (left > 0 && right > 0) return 'var(--color-celadon-fill)';
  return left > 0 ? 'var(--color-cobalt)' : `url(#${hatch})`;
}

const radiusOf = (deg: number) => RANGE_IN + ((RANGE_OUT - RANGE_IN) * Math.min(FULL_DEG + 10, deg)) / FULL_DEG;
/** Left and right lie beside each other at a direction. */
const ASIDE: Record<Hand, number> = { left: -0.085, right: 0.085 };
const COLOUR: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre-fill)' };

/** A hand's range toward one direction: thick by its own muscles, thin with help, and a bar where the sequence takes it. */
function Spoke({ direction, hand, range, reachDeg }: { direction: Main; hand: Hand; range: WheelRange; reachDeg: number }) {
  const angle = angleOf(direction) + ASIDE[hand];
  const line = (fromDeg: number, toDeg: number) => {
    const [x1, y1] = at(angle, radiusOf(fromDeg)).split(',');
    const [x2, y2] = at(angle, radiusOf(toDeg)).split(',');
    return { x1, y1, x2, y2 };
  };
  const across = angle + Math.PI / 2;
  const [cx, cy] = at(angle, radiusOf(reachDeg)).split(',').map(Number) as [number, number];
  const [dx, dy] = [6 * Math.cos(across), 6 * Math.sin(across)];
  const isPast = reachDeg > 0 && rangeVerdict(reachDeg, range.withHelpDeg) === 'past';
  return (
    <g>
      <line {...line(...range.bandDeg)} stroke={COLOUR[hand]} strokeOpacity="0.3" strokeWidth="7" />
      <line {...line(0, range.withHelpDeg)} stroke={COLOUR[hand]} strokeWidth="2" {...(range.estimated && { strokeDasharray: '2 2' })} />
      {range.activeDeg !== null && <line {...line(0, range.activeDeg)} stroke={COLOUR[hand]} strokeWidth="6" />}
      {reachDeg > 0 && (
        <line
          x1={cx - dx}
          y1={cy - dy}
          x2={cx + dx}
          y2={cy + dy}
          stroke={isPast ? 'var(--color-iron)' : 'var(--color-ink)'}
          strokeWidth={isPast ? 4 : 2.5}
        />
      )}
    </g>
  );
}

function Label({ x, y, text, anchor = 'middle' }: { x: number; y: number; text: string; anchor?: 'start' | 'middle' | 'end' }) {
  return (
    <text x={x} y={y} textAnchor={anchor} dominantBaseline="middle" fill="var(--color-ink-soft)">
      {text}
    </text>
  );
}
