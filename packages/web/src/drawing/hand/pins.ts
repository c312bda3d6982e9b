import type { HandPlace } from '@clay-pot/core';

/** A place in a picture: shares of its width and height from its upper left corner. */
export interface Pin {
  readonly place: HandPlace;
  readonly x: number;
  readonly y: number;
}

/** A place as a pin: from shares of half the width and height from the middle, right and up. */
export const pinAt = (place: HandPlace, [x, y]: readonly [x: number, y: number]): Pin => ({
  place,
  x: (1 + x) / 2,
  y: (1 - y) / 2,
});

/** The place nearest to a point of the picture, pixels from its upper left corner; none where all are further than `reachPx`. */
export function nearestTo(
  pins: readonly Pin[],
  xPx: number,
  yPx: number,
  { width, height }: { readonly width: number; readonly height: number },
  reachPx: number,
): HandPlace | undefined {
  const away = ({ x, y }: Pin) => Math.hypot(x * width - xPx, y * height - yPx);
  const nearest = [...pins].sort((a, b) => away(a) - away(b))[0];
  return nearest && away(nearest) <= reachPx ? nearest.place : undefined;
}

/** Along a finger one stays on it: how much nearer its own joints count. */
const SAME_DIGIT = 0.4;
const digitOf = ({ place }: Pin) => place.split('-')[0];
/** How much more a step aside counts than one along the way. */
const ASIDE = 2.2;
/** The next place in a direction, straight ahead rather than aside; none where nothing lies there. */
export function inDirection(pins: readonly Pin[], from: Pin, alongX: number, alongY: number): Pin | undefined {
  const far = (pin: Pin) => {
    const [dx, dy] = [pin.x - from.x, pin.y - from.y];
    const ahead = dx * alongX + dy * alongY;
    const aside = Math.abs(dx * alongY - dy * alongX);
    // What lies more to the side than ahead is reached by the other keys.
    return ahead <= 0.005 || aside > ahead * ASIDE ? Infinity : (ahead + aside * ASIDE) * (digitOf(pin) === digitOf(from) ? SAME_DIGIT : 1);
  };
  const nearest = pins.filter((pin) => pin !== from).sort((a, b) => far(a) - far(b))[0];
  return nearest && Number.isFinite(far(nearest)) ? nearest : undefined;
}
