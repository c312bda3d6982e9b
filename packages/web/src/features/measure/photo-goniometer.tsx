import type { Athlete } from '@clay-pot/contracts';
import {
  type Hand,
  type PhotoAngle,
  photoAngleOf,
  photoWayOf,
  type PicturePoint,
  type RangeMotion,
  type ThreePoints,
} from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/button.js';
import { KeepPicture } from './keep-picture.js';
import { openCamera, type Picture, pictureFromFile, pictureFromVideo } from './take-picture.js';

interface Props {
  athlete: Athlete;
  motion: RangeMotion;
  hand: Hand;
  take: (deg: number) => void;
}

/** Where the points lie until somebody moves them, as parts of the picture. */
const AT_FIRST = [
  { x: 0.2, y: 0.55 },
  { x: 0.5, y: 0.55 },
  { x: 0.75, y: 0.4 },
] as const;
/** How far off a point is placed by finger or mouse, pixels of the screen. */
const OFF_SCREEN_PX = 3;

/** An angle read off a picture by three points. The picture stays on this device unless it is kept on purpose. */
export function PhotoGoniometer({ athlete, motion, hand, take }: Props) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [camera, setCamera] = useState<MediaStream | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  // Whoever leaves takes the picture along, and lets the camera go.
  useEffect(
    () => () => {
      if (picture) URL.revokeObjectURL(picture.url);
    },
    [picture],
  );
  useEffect(() => () => camera?.getTracks().forEach((track) => track.stop()), [camera]);
  const say = (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error));
  const show = (next: Promise<Picture>) => {
    setTrouble(null);
    next.then((made) => {
      setCamera(null);
      setPicture(made);
    }, say);
  };
  return (
    <div className="mb-2 basis-full border border-line p-2">
      {picture ? (
        <Placing key={picture.url} {...{ athlete, motion, hand, picture, take }} again={() => setPicture(null)} />
      ) : camera ? (
        <Viewfinder camera={camera} snap={(video) => show(pictureFromVideo(video))} leave={() => setCamera(null)} />
      ) : (
        <div className="grid gap-2">
          <p className="text-small text-ink-soft">
            Hold the camera square to the hand, with hand and forearm in view. The photo stays on this device.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button
              className="min-h-11"
              onClick={() => {
                setTrouble(null);
                openCamera().then(setCamera, say);
              }}
            >
              Take a photo
            </Button>
            <label className="inline-flex min-h-11 cursor-pointer items-center border border-ink/50 bg-white px-3 py-1.5 font-semibold focus-within:outline-2 hover:bg-ground">
              Load a photo
              <input
                type="file"
                accept="image/*"
                className="sr-only"
                onChange={(event) => {
                  const [file] = event.target.files ?? [];
                  if (file) show(pictureFromFile(file));
                  event.target.value = '';
                }}
              />
            </label>
          </div>
        </div>
      )}
      {trouble && (
        <p role="alert" className="mt-2 text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
    </div>
  );
}

function Viewfinder({ camera, snap, leave }: { camera: MediaStream; snap: (video: HTMLVideoElement) => void; leave: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (video.current) video.current.srcObject = camera;
  }, [camera]);
  return (
    <div className="grid gap-2">
      <video ref={video} autoPlay playsInline muted aria-label="Camera view" className="max-h-96 w-full bg-ink" />
      <div className="flex gap-2">
        <Button kind="primary" className="min-h-11" onClick={() => video.current && snap(video.current)}>
          Take photo
        </Button>
        <Button className="min-h-11" onClick={leave}>
          Close camera
        </Button>
      </div>
    </div>
  );
}

interface PlacingProps extends Props {
  picture: Picture;
  again: () => void;
}

function Placing({ athlete, motion, hand, picture, take, again }: PlacingProps) {
  const { width, height, url } = picture;
  const way = photoWayOf(motion);
  const place = useRef<HTMLDivElement>(null);
  const [points, setPoints] = useState<ThreePoints>(() => {
    const [a, b, c] = AT_FIRST;
    const at = (part: PicturePoint) => ({ x: part.x * width, y: part.y * height });
    return [at(a), at(b), at(c)];
  });
  const [shownWidth, setShownWidth] = useState(width);
  useEffect(() => {
    const element = place.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => setShownWidth(element.clientWidth || width));
    observer.observe(element);
    return () => observer.disconnect();
  }, [width]);
  const angle = photoAngleOf(points, way.isFromStraight, (OFF_SCREEN_PX * width) / shownWidth);
  const move = (index: number, to: PicturePoint) => {
    const inside = { x: Math.min(width, Math.max(0, to.x)), y: Math.min(height, Math.max(0, to.y)) };
    setPoints(([first, pivot, second]) => [index === 0 ? inside : first, index === 1 ? inside : pivot, index === 2 ? inside : second]);
  };
  return (
    <div className="grid gap-2">
      <div ref={place} className="relative touch-none overflow-hidden bg-ground select-none">
        <img src={url} alt={`${hand} hand, ${motion}`} className="block w-full" draggable={false} />
        <Arms points={points} width={width} height={height} />
        {points.map((point, index) => (
          <PointHandle
            key={way.points[index]}
            number={index + 1}
            name={`Point ${index + 1}: ${way.points[index] ?? ''}`}
            {...{ point, width, height }}
            move={(to) => move(index, to)}
            place={place}
          />
        ))}
      </div>
      <ol className="text-small text-ink-soft">
        {way.points.map((name, index) => (
          <li key={name}>
            <b>{index + 1}</b> {name}
          </li>
        ))}
      </ol>
      <Result angle={angle} take={take} again={again} />
      {angle && <KeepPicture {...{ athlete, motion, hand, picture, points }} deg={angle.deg} />}
    </div>
  );
}

function Result({ angle, take, again }: { angle: PhotoAngle | null; take: (deg: number) => void; again: () => void }) {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <b className="display text-head figures" role="status" aria-label="Angle">
        {angle ? `${angle.deg.toFixed(0)}° ± ${angle.errorDeg.toFixed(0)}°` : '–'}
      </b>
      <span className="order-last basis-full text-small text-ink-soft">
        {angle ? 'from how exactly the points can be placed; a slanted camera adds to it' : 'two points are in the same place'}
      </span>
      {angle && (
        <Button kind="primary" className="min-h-11" onClick={() => take(angle.deg)}>
          Use {angle.deg.toFixed(0)}°
        </Button>
      )}
      <Button className="min-h-11" onClick={again}>
        Another photo
      </Button>
    </div>
  );
}

/** The arms of the angle, dark on light and light on dark. */
export function Arms({ points, width, height }: { points: ThreePoints; width: number; height: number }) {
  const line = points.map(({ x, y }) => `${x},${y}`).join(' ');
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      <polyline points={line} fill="none" stroke="white" strokeWidth={width / 130} />
      <polyline points={line} fill="none" stroke="var(--color-cobalt)" strokeWidth={width / 260} />
    </svg>
  );
}

interface HandleProps {
  number: number;
  name: string;
  point: PicturePoint;
  width: number;
  height: number;
  move: (to: PicturePoint) => void;
  place: { readonly current: HTMLDivElement | null };
}

/** Parts of the picture that a key moves a point by. */
const KEY_STEP = 0.003;
const SHIFT_TIMES = 8;
const WAYS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A point that is dragged, or moved by the arrow keys; with Shift further. */
function PointHandle({ number, name, point, width, height, move, place }: HandleProps) {
  return (
    <button
      type="button"
      aria-label={name}
      aria-description="Arrow keys move it; hold Shift to move further"
      className="absolute grid size-11 -translate-1/2 cursor-grab place-items-center rounded-full focus-visible:outline-3 focus-visible:outline-cobalt"
      style={{ left: `${(100 * point.x) / width}%`, top: `${(100 * point.y) / height}%` }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        const box = place.current?.getBoundingClientRect();
        if (!box || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
        move({
          x: ((event.clientX - box.left) / box.width) * width,
          y: ((event.clientY - box.top) / box.height) * height,
        });
      }}
      onKeyDown={(event) => {
        const way = WAYS[event.key];
        if (!way) return;
        event.preventDefault();
        const step = width * KEY_STEP * (event.shiftKey ? SHIFT_TIMES : 1);
        move({ x: point.x + way[0] * step, y: point.y + way[1] * step });
      }}
    >
      {/* A ring to look through: what it lies on stays in sight. */}
      <span className="grid size-6 place-items-center rounded-full border-3 border-white outline-2 outline-cobalt">
        <span className="size-1 rounded-full bg-cobalt" />
      </span>
      <b className="absolute top-0 right-0 bg-cobalt px-1 text-fine text-white" aria-hidden>
        {number}
      </b>
    </button>
  );
}
