import { type Body, type Figure as FigureData, type Prop } from '@clay-pot/core';
import { type ReactNode, useEffect, useState } from 'react';
import { BodyDrawing } from './body-drawing.js';
import { FILM_MS, film } from './film.js';
import { HandCloseUp } from './hand-close-up.js';

interface Props {
  body: Body;
  figure: FigureData;
  /** What it shows, for those who hear the page; empty where the words beside it say it already. */
  title: string;
  /** Still at the end position unless it moves. */
  animated?: boolean;
  /** Whether the hand is drawn beside the body. */
  withHand?: boolean;
  /** A frame kept by the caller, e.g. while something is dragged in it. */
  frame?: Frame;
  /** Side of the square that the hand is drawn in, centimetres of the picture. */
  handSize?: number;
  className?: string;
}

/** A movement's picture: the body from the side and the hand beside it, both drawn from the posture that the load is computed from. */
export function Figure({ body, figure, title, animated = false, withHand = true, frame, handSize, className = '' }: Props) {
  const share = useBackAndForth(animated && figure.moves);
  const box = frame ?? frameOf(body, figure);
  // Free hands are what the movement is about; planted ones show where they bear.
  const handBox = handSize ?? (figure.hand.kind === 'planted' ? 78 : 118);
  const total = withHand ? box.width + handBox + 8 : box.width;
  const height = withHand ? Math.max(box.height, handBox + 6) : box.height;
  const pose = figure.poseAt(share);
  const moment = figure.hand.at(share);
  return (
    <svg
      {...(title ? { role: 'img', 'aria-label': title } : { 'aria-hidden': true })}
      viewBox={`${box.x} ${box.y + box.height - height} ${total} ${height}`}
      className={className}
      preserveAspectRatio="xMidYMax meet"
    >
      <Ground from={box.x} to={box.x + box.width} />
      {figure.props
        .filter(({ kind }) => kind !== 'in hand')
        .map((prop, index) => (
          <Thing key={index} prop={prop} />
        ))}
      <BodyDrawing body={body} pose={pose} shape={moment.shape} palm={figure.hand.palm} />
      <HandThings figure={figure} share={share} />
      {withHand && (
        <g transform={`translate(${box.x + box.width + 8 + handBox / 2} ${box.y + box.height - handBox / 2 - 3})`}>
          <HandCloseUp figure={figure} share={share} size={handBox} />
        </g>
      )}
    </svg>
  );
}

/** Seconds for the way out and back together. */
const CYCLE_S = 4;
/** A body that moves beside the hand, or in its place: half as often as film is enough for so slow a thing, and each picture is laid out again. */
const FRAME_MS = 2 * FILM_MS;

/** Whether the viewer asked for less motion. */
export const prefersStill = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Goes from 0 to 1 and back; stays at 1 when still, or when the viewer wants less motion. */
export function useBackAndForth(running: boolean): number {
  const [share, setShare] = useState(1);
  const moves = running && !prefersStill();
  useEffect(() => {
    if (!moves) return;
    const start = performance.now();
    return film(FRAME_MS, (now) => {
      setShare((1 + Math.cos((2 * Math.PI * (now - start)) / 1000 / CYCLE_S)) / 2);
      return 0;
    });
  }, [moves]);
  return moves ? share : 1;
}

/** What part of the drawing’s space is shown. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The picture’s frame in centimetres: the reach of the body from start to end, and the things around it. */
export function frameOf(body: Body, figure: FigureData): Frame {
  const points = [0, 0.5, 1].flatMap((share) => {
    const { near, far, vertex, hip, shoulder } = figure.poseAt(share);
    return [
      vertex,
      hip,
      shoulder,
      ...[near, far].flatMap(({ arm, leg }) => [arm.elbow, arm.wrist, leg.knee, leg.ankle, leg.toe, leg.heel]),
    ];
  });
  const xs = points.map(({ x }) => x * 100);
  const ys = points.map(({ y }) => y * 100);
  for (const prop of figure.props) {
    if (prop.kind === 'block') {
      xs.push(prop.x * 100, (prop.x + prop.width) * 100);
      ys.push(prop.height * 100);
    }
    if (prop.kind === 'bar') ys.push(prop.at.y * 100 + 6);
    if (prop.kind === 'wall') xs.push(prop.x * 100 + prop.side * 10);
  }
  const margin = body.statureM * 9;
  const x = Math.min(...xs) - margin;
  const top = Math.max(...ys) + margin * 0.8;
  return { x, y: -top, width: Math.max(...xs) + margin - x, height: top + 8 };
}

function Ground({ from, to }: { from: number; to: number }) {
  return (
    <g>
      <rect x={from} y={0} width={to - from} height={8} fill="var(--color-ground)" />
      <line x1={from} x2={to} y1={0} y2={0} stroke="#16191c" strokeWidth={1.5} vectorEffect="non-scaling-stroke" />
    </g>
  );
}

const EDGE = { stroke: '#16191c', strokeWidth: 1.3, vectorEffect: 'non-scaling-stroke' } as const;

function Thing({ prop }: { prop: Prop }): ReactNode {
  if (prop.kind === 'block') {
    const { x, y, width, height } = prop;
    return <rect x={x * 100} y={-(y + height) * 100} width={width * 100} height={height * 100} fill="#dfe5e9" {...EDGE} />;
  }
  if (prop.kind === 'wedge') {
    const points = prop.corners.map(({ x, y }) => `${x * 100},${-y * 100}`).join(' ');
    return <polygon points={points} fill="#aab6d6" strokeLinejoin="round" {...EDGE} />;
  }
  if (prop.kind === 'wall') {
    const left = prop.side > 0 ? prop.x * 100 : prop.x * 100 - 9;
    return <rect x={left} y={-230} width={9} height={230} fill="#dfe5e9" {...EDGE} />;
  }
  if (prop.kind === 'bar') return <circle cx={prop.at.x * 100} cy={-prop.at.y * 100} r={2.2} fill="#454e56" {...EDGE} />;
  return null;
}

/** What a free hand holds, hanging from it or standing out of it. */
function HandThings({ figure, share }: { figure: FigureData; share: number }) {
  const { arm } = figure.poseAt(share).near;
  return figure.props.map((prop, index) => {
    if (prop.kind !== 'in hand') return null;
    const x = arm.wrist.x * 100 + Math.cos(arm.palmRad) * 7;
    const y = -arm.wrist.y * 100 - Math.sin(arm.palmRad) * 7;
    const down = prop.hang * 100;
    switch (prop.thing) {
      case 'weight':
        return (
          <g key={index}>
            <line x1={x} y1={y} x2={x} y2={y + 5} {...EDGE} />
            <rect x={x - 6} y={y + 4} width={12} height={14} rx={3} fill="#66717a" {...EDGE} />
          </g>
        );
      case 'block':
        return <rect key={index} x={x - 3} y={y + 2} width={6} height={16} fill="#66717a" {...EDGE} />;
      case 'edge':
        return (
          <g key={index}>
            <line x1={x} y1={y} x2={x} y2={y + down} {...EDGE} />
            <rect x={x - 5} y={y - 1} width={10} height={4} fill="#8a7350" {...EDGE} />
            <rect x={x - 6} y={y + down} width={12} height={12} rx={2} fill="#66717a" {...EDGE} />
          </g>
        );
      case 'lever':
        return (
          <g key={index}>
            <line
              x1={x - down * 0.25}
              y1={y}
              x2={x + down}
              y2={y - Math.abs(down) * 0.25}
              stroke="#8a7350"
              strokeWidth={4}
              strokeLinecap="round"
              vectorEffect="non-scaling-stroke"
            />
            <circle cx={x + down} cy={y - Math.abs(down) * 0.25} r={3.5} fill="#66717a" {...EDGE} />
          </g>
        );
      case 'roller':
        return (
          <g key={index}>
            <line x1={x} y1={y} x2={x} y2={y + down} {...EDGE} />
            <circle cx={x} cy={y} r={2.4} fill="#8a7350" {...EDGE} />
            <rect x={x - 6} y={y + down} width={12} height={11} rx={2} fill="#66717a" {...EDGE} />
          </g>
        );
      case 'ball':
        return <circle key={index} cx={x} cy={y} r={5} fill="#8fbcab" {...EDGE} />;
    }
  });
}
