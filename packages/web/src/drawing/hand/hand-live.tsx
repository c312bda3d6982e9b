import { type Beat, eyeFor, type Hand, type HandPicture, type PressureSpot, turnedFrame, type ViewPoint, wristArcOf } from '@clay-pot/core';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { frameOf, pushFor, trailFor } from './frames.js';
import { drawPush, drawTrail, drawWristArc } from './overlay.js';
import { arrowWay } from '../../ui/arrow-way.js';
import { FILM_MS, film } from '../film.js';
import { onStageRestored } from './shared-stage.js';
import { draggedView, turnedView } from './turning.js';
import { useCanvasSize, useStage } from './use-stage.js';

interface Props {
  picture: HandPicture;
  side?: Hand;
  /** The moment that is shown: one, or what it is whenever a frame is drawn. */
  beat: Beat | (() => Beat);
  /** Whether it is drawn frame by frame. */
  running?: boolean;
  view?: ViewPoint;
  pressure?: readonly (readonly PressureSpot[])[];
  trail?: boolean;
  /** Draws the wrist’s bend, and how far the wrist goes: degrees. */
  wristRangeDeg?: number;
  label: string;
  /** Whether it can be turned by dragging and by keys. */
  turnable?: boolean;
  className?: string;
  onTrouble?: () => void;
}

/** A drawing that takes less than this is made with every frame, milliseconds. */
const FREE_MS = 6;
/** Degrees for a press of an arrow key. */
const KEY_DEG = 12;

/** A hand in space that moves, and that can be turned. */
export function HandLive({
  picture,
  side = 'left',
  beat,
  running = false,
  view = picture.view,
  pressure,
  trail = false,
  wristRangeDeg,
  label,
  turnable = false,
  className = '',
  onTrouble,
}: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [turned, setTurned] = useState<ViewPoint | null>(null);
  const stage = useStage(onTrouble);
  const size = useCanvasSize(canvas);
  const now = turned ?? view;

  useEffect(() => {
    const onto = canvas.current;
    if (!stage || !onto || !size) return;
    const draw = () => {
      const at = typeof beat === 'function' ? beat() : beat;
      const own = frameOf(picture, side, view);
      const moment = picture.at(at, side);
      const frame = turned ? turnedFrame(own, eyeFor(turned, side)) : own;
      stage.draw({ skeleton: picture.skeleton, moment, frame, ...(pressure && { pressure }) }, onto);
      const way = trail ? trailFor(picture, side, at) : null;
      if (way) drawTrail(onto, frame, way, picture.round);
      const push = pushFor(picture, side);
      if (push) drawPush(onto, frame, push);
      const [hand] = moment.hands;
      if (wristRangeDeg !== undefined && hand) {
        const arc = wristArcOf(picture.skeleton, hand, wristRangeDeg);
        drawWristArc(onto, frame, arc, hand.pose.wristExtensionDeg, wristRangeDeg);
      }
    };
    draw();
    const off = onStageRestored(draw);
    if (!running) return off;
    let shown: Beat | null = null;
    const stop = film(FILM_MS, () => {
      const at = typeof beat === 'function' ? beat() : beat;
      // Whoever holds still is not drawn again.
      if (shown && shown.phase === at.phase && shown.turn === at.turn) return 0;
      shown = at;
      draw();
      // A slow machine draws less often, and keeps half of its time for everything else.
      return stage.lastMs() > FREE_MS ? stage.lastMs() : 0;
    });
    return () => {
      off();
      stop();
    };
  }, [stage, picture, side, beat, running, view, turned, pressure, trail, wristRangeDeg, size]);

  const turnBy = (aroundDeg: number, upDeg: number) => setTurned(turnedView(now, side, aroundDeg, upDeg));
  const drag = useRef<{ x: number; y: number } | null>(null);
  const handlers = turnable && {
    tabIndex: 0,
    role: 'group',
    'aria-label': `${label}. Arrow keys turn it, Home turns it back.`,
    onKeyDown: (event: KeyboardEvent) => {
      const way = arrowWay(event.key);
      if (way) turnBy(way[0] * KEY_DEG, -way[1] * KEY_DEG);
      else if (event.key === 'Home') setTurned(null);
      else return;
      // The page’s own arrow keys (skip and back in the player) are not meant.
      event.preventDefault();
      event.stopPropagation();
    },
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { x: event.clientX, y: event.clientY };
    },
    onPointerMove: (event: PointerEvent) => {
      const from = drag.current;
      if (!from) return;
      turnBy(...draggedView(event.clientX - from.x, event.clientY - from.y));
      drag.current = { x: event.clientX, y: event.clientY };
    },
    onPointerUp: () => (drag.current = null),
    onPointerCancel: () => (drag.current = null),
  };
  return (
    <div className={`relative ${turnable ? 'cursor-grab touch-pan-y active:cursor-grabbing' : ''} ${className}`} {...handlers}>
      <canvas
        ref={canvas}
        className="absolute inset-0 size-full"
        {...(turnable ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      />
    </div>
  );
}
