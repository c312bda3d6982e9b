import {
  draggedTo,
  type Frame3d,
  freeHand,
  type Hand,
  HAND_PLACES,
  HANDLE_PLACES,
  HANDLES,
  type HandJoint,
  type HandPlace,
  type HandPose,
  mirroredFrame,
  mirroredMoment,
  placeOn,
  posingFrame,
  shownAt,
  type Skeleton,
  type ViewPoint,
} from '@clay-pot/core';
import { type KeyboardEvent, type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { nearestTo, type Pin, pinAt } from '../../../drawing/hand/pins.js';
import { onStageRestored } from '../../../drawing/hand/shared-stage.js';
import { draggedView, turnedView } from '../../../drawing/hand/turning.js';
import { useCanvasSize, useStage } from '../../../drawing/hand/use-stage.js';
import { arrowWay } from '../../../ui/arrow-way.js';

interface Props {
  skeleton: Skeleton;
  pose: HandPose;
  side: Hand;
  view: ViewPoint;
  setView: (view: ViewPoint) => void;
  /** The joints that may be moved. */
  posable: readonly HandJoint[];
  held: HandPlace;
  hold: (place: HandPlace) => void;
  onPose: (pose: HandPose) => void;
  onTrouble: () => void;
}

/** How near to a handle one has to press to take it, pixels. */
const REACH_PX = 30;
/** How far an arrow key moves a handle, of the picture's half width. */
const KEY_STEP = 0.03;

/** A free hand that is posed by dragging its joints; beside them, a drag turns it. */
export function PoseStage({ skeleton, pose, side, view, setView, posable, held, hold, onPose, onTrouble }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useStage(onTrouble);
  const size = useCanvasSize(canvas);
  const [dragging, setDragging] = useState<'handle' | 'view' | null>(null);
  const frame = useFrame(skeleton, pose, view, dragging !== null);
  const moment = useMemo(() => ({ hands: [freeHand(pose)], things: [] }), [pose]);
  const pins = useMemo(() => pinsOf(skeleton, pose, frame, side, posable), [skeleton, pose, frame, side, posable]);

  useEffect(() => {
    const onto = canvas.current;
    if (!stage || !onto || !size) return;
    const draw = () => {
      const left = side === 'left';
      const shot = {
        skeleton,
        moment: left ? mirroredMoment(moment) : moment,
        frame: left ? mirroredFrame(frame) : frame,
      };
      stage.draw(shot, onto);
    };
    draw();
    return onStageRestored(draw);
  }, [stage, size, skeleton, moment, frame, side]);

  /** Takes a place to a point of the picture, shares of its width and height. */
  const take = (place: HandPlace, x: number, y: number) => {
    const right = side === 'left' ? 1 - x : x;
    onPose(draggedTo(skeleton, pose, place, frame, [right * 2 - 1, 1 - y * 2]));
  };
  const last = useRef<{ x: number; y: number } | null>(null);
  const at = (event: PointerEvent) => {
    const area = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - area.left, y: event.clientY - area.top, area };
  };
  const onPointerDown = (event: PointerEvent) => {
    const { x, y, area } = at(event);
    const place = nearestTo(pins, x, y, area, REACH_PX);
    event.currentTarget.setPointerCapture(event.pointerId);
    if (place) hold(place);
    setDragging(place ? 'handle' : 'view');
    last.current = { x, y };
  };
  const onPointerMove = (event: PointerEvent) => {
    const from = last.current;
    if (!dragging || !from) return;
    const { x, y, area } = at(event);
    if (dragging === 'handle') take(held, x / area.width, y / area.height);
    else setView(turnedView(view, side, ...draggedView(x - from.x, y - from.y)));
    last.current = { x, y };
  };
  const letGo = () => setDragging(null);
  const onKeyDown = (event: KeyboardEvent) => {
    const pin = pins.find(({ place }) => place === held) ?? pins[0];
    const way = arrowWay(event.key);
    if (way && pin) {
      take(pin.place, pin.x + way[0] * KEY_STEP, pin.y + way[1] * KEY_STEP);
    } else if (event.key === 'PageDown' || event.key === 'PageUp') {
      const index = pins.findIndex(({ place }) => place === held);
      const next = pins[(index + (event.key === 'PageDown' ? 1 : -1) + pins.length) % pins.length];
      if (!next) return;
      hold(next.place);
      box.current?.querySelector<HTMLElement>(`[data-place="${next.place}"]`)?.focus();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div
      ref={box}
      role="group"
      aria-label="Joints of the hand. Arrow keys move a joint, Page Down and Page Up go to the next."
      className="relative aspect-square w-full cursor-grab touch-none border border-line bg-white active:cursor-grabbing"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onKeyDown={onKeyDown}
    >
      <canvas ref={canvas} className="absolute inset-0 size-full" aria-hidden />
      {pins.map(({ place, x, y }) => (
        <button
          key={place}
          type="button"
          data-place={place}
          tabIndex={place === held ? 0 : -1}
          aria-label={HAND_PLACES[place]}
          aria-pressed={place === held}
          title={HAND_PLACES[place]}
          className={`absolute grid size-6 -translate-1/2 place-items-center rounded-full ${place === held ? 'z-10' : ''}`}
          style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
          onFocus={() => hold(place)}
        >
          <span
            aria-hidden
            className={`rounded-full border-2 ${place === held ? 'size-5 border-white bg-ink ring-2 ring-ink' : 'size-3 border-ink bg-white'}`}
          />
        </button>
      ))}
    </div>
  );
}

/** The frame of what is posed: it stays while something is dragged, and as long as the hand is well in it. */
function useFrame(skeleton: Skeleton, pose: HandPose, view: ViewPoint, dragging: boolean): Frame3d {
  const [kept, setKept] = useState(() => posingFrame(skeleton, pose, view));
  const next = useMemo(() => posingFrame(skeleton, pose, view, kept), [skeleton, pose, view, kept]);
  if (!dragging && next.middle !== kept.middle) setKept(next);
  // While dragging, only the eye moves; let go, the hand is brought into the picture again.
  return useMemo(() => {
    const { middle, halfWidthM, halfHeightM } = kept;
    return dragging ? { ...next, middle, halfWidthM, halfHeightM } : next;
  }, [dragging, kept, next]);
}

/** Where the handles are in the picture, those of joints that may be moved. */
function pinsOf(skeleton: Skeleton, pose: HandPose, frame: Frame3d, side: Hand, posable: readonly HandJoint[]): Pin[] {
  const hand = freeHand(pose);
  return HANDLE_PLACES.filter((place) => HANDLES[place]?.some((joint) => posable.includes(joint))).map((place) => {
    const [x, y] = shownAt(frame, placeOn(skeleton, hand, place));
    return pinAt(place, [side === 'left' ? -x : x, y]);
  });
}
