import {
  type Beat,
  eyeFor,
  type Hand,
  type HandPicture,
  type PressureSpot,
  turnedFrame,
  type ViewPoint,
  wristArcOf,
} from '@clay-pot/core';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { frameOf, trailFor } from './frames.js';
import { drawTrail, drawWristArc } from './overlay.js';
import { onStageRestored, sharedStage } from './shared-stage.js';
import type { Stage } from './stage.js';

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
/** Degrees for a press of an arrow key, and for a pixel of dragging. */
const KEY_DEG = 12;
const DRAG_DEG = 0.6;
/** How far one can look from above and from below. */
const MOST_UP_DEG = 88;

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
      const [hand] = moment.hands;
      if (wristRangeDeg !== undefined && hand) {
        const arc = wristArcOf(picture.skeleton, hand, wristRangeDeg);
        drawWristArc(onto, frame, arc, hand.pose.wristExtensionDeg, wristRangeDeg);
      }
    };
    draw();
    const off = onStageRestored(draw);
    if (!running) return off;
    let rested = 0;
    let frame = requestAnimationFrame(function tick(now) {
      // A slow machine draws less often, and keeps half of its time for everything else.
      if (now >= rested) {
        draw();
        if (stage.lastMs() > FREE_MS) rested = performance.now() + stage.lastMs();
      }
      frame = requestAnimationFrame(tick);
    });
    return () => {
      off();
      cancelAnimationFrame(frame);
    };
  }, [stage, picture, side, beat, running, view, turned, pressure, trail, wristRangeDeg, size]);

  const turnBy = (aroundDeg: number, upDeg: number) => {
    // Around the left hand the other way, as its picture is a mirror.
    const sign = side === 'left' ? -1 : 1;
    setTurned({
      aroundDeg: now.aroundDeg + sign * aroundDeg,
      upDeg: Math.max(-MOST_UP_DEG, Math.min(MOST_UP_DEG, now.upDeg + upDeg)),
    });
  };
  const drag = useRef<{ x: number; y: number } | null>(null);
  const handlers = turnable && {
    tabIndex: 0,
    role: 'group',
    'aria-label': `${label}. Arrow keys turn it, Home turns it back.`,
    onKeyDown: (event: KeyboardEvent) => {
      const by = {
        ArrowLeft: [-KEY_DEG, 0],
        ArrowRight: [KEY_DEG, 0],
        ArrowUp: [0, KEY_DEG],
        ArrowDown: [0, -KEY_DEG],
      }[event.key];
      if (by) turnBy(by[0] ?? 0, by[1] ?? 0);
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
      turnBy((event.clientX - from.x) * -DRAG_DEG, (event.clientY - from.y) * DRAG_DEG);
      drag.current = { x: event.clientX, y: event.clientY };
    },
    onPointerUp: () => (drag.current = null),
    onPointerCancel: () => (drag.current = null),
  };
  return (
    <div
      className={`relative ${turnable ? 'cursor-grab touch-pan-y active:cursor-grabbing' : ''} ${className}`}
      {...handlers}
    >
      <canvas
        ref={canvas}
        className="absolute inset-0 size-full"
        {...(turnable ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      />
    </div>
  );
}

/** The page's stage once it is there. */
function useStage(onTrouble?: () => void): Stage | null {
  const [stage, setStage] = useState<Stage | null>(null);
  useEffect(() => {
    let wanted = true;
    sharedStage()
      .then((open) => wanted && setStage(open))
      .catch(() => wanted && onTrouble?.());
    return () => {
      wanted = false;
    };
  }, [onTrouble]);
  return stage;
}

/** Pixels of a drawing for each of the page’s, and how many there are at most: lines are smooth, and a phone keeps up. */
const FINE = 2;
const MOST_PIXELS = 1_600_000;
/** Keeps a canvas as fine as the screen; tells its size whenever it changes. */
function useCanvasSize(canvas: React.RefObject<HTMLCanvasElement | null>): string | null {
  const [size, setSize] = useState<string | null>(null);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const watch = new ResizeObserver(() => {
      const area = element.clientWidth * element.clientHeight;
      const scale = Math.min(FINE, Math.sqrt(MOST_PIXELS / Math.max(1, area)));
      element.width = Math.round(element.clientWidth * scale);
      element.height = Math.round(element.clientHeight * scale);
      setSize(`${element.width} ${element.height}`);
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, [canvas]);
  return size;
}
