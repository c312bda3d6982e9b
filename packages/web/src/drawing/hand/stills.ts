import type { Beat, Hand, HandPicture, PressureSpot, ViewPoint } from '@clay-pot/core';
import { frameOf, pushFor, trailFor } from './frames.js';
import { drawPush, drawTrail } from './overlay.js';
import { onStageRestored, sharedStage } from './shared-stage.js';

/** A still picture that is wanted: of what, how large in pixels, seen from where. */
export interface StillWish {
  readonly picture: HandPicture;
  readonly side: Hand;
  readonly beat: Beat;
  readonly width: number;
  readonly height: number;
  readonly view?: ViewPoint;
  readonly pressure?: readonly (readonly PressureSpot[])[];
  readonly trail?: boolean;
}

/** A picture that nobody has any more takes its drawings along. */
const letGo = new FinalizationRegistry<string>((address) => URL.revokeObjectURL(address));
const made = new WeakMap<HandPicture, Map<string, Promise<string>>>();
const keyOf = ({ side, beat, width, height, view, pressure, trail }: StillWish) =>
  [side, beat.phase, beat.turn, width, height, view?.aroundDeg, view?.upDeg, trail, pressure ? JSON.stringify(pressure) : ''].join(' ');

/** The address of a still picture, drawn once and kept. @throws where it cannot be drawn; it may be asked for again */
export function stillOf(wish: StillWish): Promise<string> {
  const mine = made.get(wish.picture) ?? new Map<string, Promise<string>>();
  made.set(wish.picture, mine);
  const key = keyOf(wish);
  const known = mine.get(key);
  if (known) return known;
  const drawn = inTurn(() => drawStill(wish));
  mine.set(key, drawn);
  drawn.catch(() => mine.delete(key));
  return drawn;
}

async function drawStill(wish: StillWish): Promise<string> {
  const canvas = await drawnStill(wish);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (!blob) throw new Error('Couldn’t keep the picture.');
  const address = URL.createObjectURL(blob);
  letGo.register(wish.picture, address);
  return address;
}

/** A still picture on a canvas of its own. @throws where it cannot be drawn */
export async function drawnStill({
  picture,
  side,
  beat,
  width,
  height,
  view,
  pressure,
  trail = true,
}: StillWish): Promise<HTMLCanvasElement> {
  const stage = await sharedStage();
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const frame = frameOf(picture, side, view);
  const shot = { skeleton: picture.skeleton, moment: picture.at(beat, side), frame, ...(pressure && { pressure }) };
  if (!stage.draw(shot, canvas)) {
    await restored();
    stage.draw(shot, canvas);
  }
  const way = trail ? trailFor(picture, side, beat) : null;
  if (way) drawTrail(canvas, frame, way, picture.round);
  const push = pushFor(picture, side);
  if (push) drawPush(canvas, frame, push);
  return canvas;
}

const restored = () =>
  new Promise<void>((done) => {
    const off = onStageRestored(() => {
      off();
      done();
    });
  });

/** One picture at a time, and only while the page has nothing better to do: scrolling never waits for them. */
let queue: Promise<unknown> = Promise.resolve();
function inTurn<T>(draw: () => Promise<T>): Promise<T> {
  const mine = queue.then(idle).then(draw);
  queue = mine.catch(() => undefined);
  return mine;
}
/** Longest wait for an idle moment, milliseconds. */
const WAIT_MS = 200;
const idle = () =>
  new Promise<void>((done) => {
    if ('requestIdleCallback' in window) window.requestIdleCallback(() => done(), { timeout: WAIT_MS });
    else setTimeout(done, 0);
  });
