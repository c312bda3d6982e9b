import {
  type Body,
  handLoad,
  type Point,
  POSTURE_LIMITS,
  type PostureField,
  postureFigure,
  type PostureLoad,
  shown,
  type SupportPosture,
  toDeg,
} from '@clay-pot/core';
import { type KeyboardEvent, type PointerEvent, useCallback, useRef, useState } from 'react';
import { Figure, frameOf } from '../../drawing/figure.js';
import { hasWebGl } from '../../drawing/hand/shared-stage.js';
import { BenchHand, type WristRange } from './bench-hand.js';

interface Handle {
  readonly field: PostureField;
  readonly name: string;
  readonly at: Point;
  /** Which way it is dragged. */
  readonly along: 'x' | 'y' | 'turn';
  readonly value: number;
}

interface Props {
  body: Body;
  posture: SupportPosture;
  set: (field: PostureField, value: number) => void;
  planted: ReturnType<typeof plantedView>;
  /** How far this person’s wrist goes, either way. */
  rangeDeg: WristRange;
}

/** The hand of a posture by itself on the bench. */
export function plantedView() {
  return {
    kind: 'planted' as const,
    palm: 'down' as const,
    pointing: 'ahead' as const,
    held: null,
    push: null,
    moves: false,
    at: () => ({
      shape: { knuckleDeg: 0, middleDeg: 0, endDeg: 0, spreadDeg: 14, thumb: 0.9 },
      wristDeg: 0,
      sideDeg: 0,
      turnDeg: 0,
    }),
  };
}

/** A posture drawn large, with handles to drag or to move by arrow keys: knees or feet, shoulders, the surface under hands or feet. */
export function BenchDrawing({ body, posture, set, planted, rangeDeg }: Props) {
  const [flat, setFlat] = useState(!hasWebGl());
  const giveUp = useCallback(() => setFlat(true), []);
  const svg = useRef<SVGSVGElement>(null);
  const load = handLoad(body, posture);
  const figure = postureFigure(body, posture, planted);
  const [held, setHeld] = useState<{ field: PostureField; frame: ReturnType<typeof frameOf> } | null>(null);
  const frame = held?.frame ?? frameOf(body, figure);
  const handles = handlesFor(posture, load);

  function drag(handle: Handle, event: PointerEvent<SVGGElement>) {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    set(handle.field, clamp(handle.field, valueAt(handle, { x: at.x / 100, y: -at.y / 100 }, posture, load)));
  }
  function press(handle: Handle, event: KeyboardEvent) {
    const sign = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (!sign) return;
    event.preventDefault();
    // Knees move to the left when they move away from the hands.
    const way = handle.along === 'x' && (event.key === 'ArrowLeft' || event.key === 'ArrowRight') ? -sign : sign;
    const { step } = POSTURE_LIMITS[handle.field];
    const jump = (event.shiftKey ? 5 : 1) * (step < 0.1 ? 0.01 : 1);
    set(handle.field, clamp(handle.field, handle.value + way * jump));
  }
  const handSize = flat ? 92 : 0;
  const drawing = (
    <div className="relative bg-white">
      <Figure
        body={body}
        figure={figure}
        title={describe(posture, load)}
        className="h-80 w-full sm:h-80"
        frame={frame}
        withHand={flat}
        {...(flat && { handSize })}
      />
      <svg
        ref={svg}
        viewBox={viewBoxFor(frame, handSize)}
        preserveAspectRatio="xMidYMax meet"
        className="absolute inset-0 h-80 w-full touch-pan-y sm:h-80"
        aria-label="Handles of the posture"
        role="group"
      >
        {handles.map((handle) => (
          <g
            key={handle.field}
            role="slider"
            tabIndex={0}
            aria-label={handle.name}
            aria-valuemin={POSTURE_LIMITS[handle.field].min}
            aria-valuemax={POSTURE_LIMITS[handle.field].max}
            aria-valuenow={Number(handle.value.toFixed(3))}
            aria-valuetext={`${shown(handle.value, POSTURE_LIMITS[handle.field].step)} ${POSTURE_LIMITS[handle.field].unit}`}
            className="group cursor-grab touch-none outline-none active:cursor-grabbing"
            transform={`translate(${handle.at.x * 100} ${-handle.at.y * 100})`}
            onKeyDown={(event) => press(handle, event)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setHeld({ field: handle.field, frame });
            }}
            onPointerMove={(event) => held?.field === handle.field && drag(handle, event)}
            onPointerUp={() => setHeld(null)}
            onPointerCancel={() => setHeld(null)}
          >
            <circle r={11} fill="transparent" className="touch-none" />
            <circle
              r={4.6}
              className="fill-white stroke-cobalt group-hover:fill-cobalt-wash group-focus-visible:fill-cobalt"
              strokeWidth={2.6}
              vectorEffect="non-scaling-stroke"
            />
            <path
              d={ARROWS[handle.along]}
              className="pointer-events-none stroke-cobalt group-focus-visible:stroke-white"
              fill="none"
              strokeWidth={1.6}
              vectorEffect="non-scaling-stroke"
              strokeLinecap="round"
            />
          </g>
        ))}
      </svg>
    </div>
  );
  if (flat) return <div className="border border-line">{drawing}</div>;
  return (
    <div className="grid border border-line bg-white sm:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      {drawing}
      <BenchHand
        body={body}
        posture={posture}
        load={load}
        rangeDeg={rangeDeg}
        onTrouble={giveUp}
        className="h-96 border-line max-sm:border-t sm:h-[26rem] sm:border-l"
      />
    </div>
  );
}

const ARROWS = {
  x: 'M-2.6 0h5.2M-1.4 -1.4L-2.8 0l1.4 1.4M1.4 -1.4L2.8 0l-1.4 1.4',
  y: 'M0 -2.6v5.2M-1.4 -1.4L0 -2.8l1.4 1.4M-1.4 1.4L0 2.8l1.4 -1.4',
  turn: 'M-2.4 1.4a2.8 2.8 0 0 1 4.8 0M1.2 1.8l1.4 -0.2l0 -1.5',
};

/** The picture's box, with room for the hands beside the body. */
const viewBoxFor = (frame: ReturnType<typeof frameOf>, handSize: number) => {
  if (handSize === 0) return `${frame.x} ${frame.y} ${frame.width} ${frame.height}`;
  const height = Math.max(frame.height, handSize + 6);
  return `${frame.x} ${frame.y + frame.height - height} ${frame.width + handSize + 8} ${height}`;
};

function handlesFor(posture: SupportPosture, load: PostureLoad): Handle[] {
  const { contact, shoulder, wrist } = load.joints;
  const handles: Handle[] = [{ field: 'leanDeg', name: 'Shoulders', at: shoulder, along: 'turn', value: load.leanDeg }];
  const { support, surface } = posture;
  if (support !== 'none') {
    const name = support === 'knees' ? 'Knees' : 'Feet';
    handles.push({ field: 'distanceM', name, at: contact, along: 'x', value: load.distanceM });
    if (support !== 'feet on wall') {
      if (surface === 'level' && support !== 'soles') {
        const below = { x: contact.x - 0.22, y: posture.supportHeightM };
        handles.push({
          field: 'supportHeightM',
          name: `Bench under the ${name.toLowerCase()}`,
          at: below,
          along: 'y',
          value: posture.supportHeightM,
        });
      }
      const beside = surface === 'wall' ? wrist : { x: wrist.x + 0.24, y: load.handHeightM };
      handles.push({
        field: 'handHeightM',
        name: 'Bench under the hands',
        at: beside,
        along: 'y',
        value: load.handHeightM,
      });
    }
  }
  return handles;
}

/** The value of the field when its handle is at a point. */
function valueAt({ field }: Handle, at: Point, posture: SupportPosture, { joints }: PostureLoad): number {
  const { wrist } = joints;
  switch (field) {
    case 'leanDeg':
      return posture.surface === 'wall'
        ? toDeg(Math.atan2(at.y - wrist.y, wrist.x - at.x))
        : toDeg(Math.atan2(at.x - wrist.x, Math.max(0.01, at.y - wrist.y)));
    case 'distanceM':
      return wrist.x - at.x;
    default:
      return at.y < 0.03 ? 0 : at.y;
  }
}

function clamp(field: PostureField, value: number): number {
  const { min, max, step } = POSTURE_LIMITS[field];
  const fine = step < 0.1 ? 0.005 : 0.5;
  return Math.min(max, Math.max(min, Math.round(value / fine) * fine));
}

/** The posture in a sentence. */
export function describe(posture: SupportPosture, load: PostureLoad): string {
  return `Body on ${posture.contact} and ${posture.support}, hip angle ${load.hipAngleDeg.toFixed(0)}°, hands ${(load.distanceM * 100).toFixed(0)} cm away. Load: ${load.left.loadPercentBW.toFixed(0)} % of body weight on the left hand, ${load.right.loadPercentBW.toFixed(0)} % on the right`;
}
