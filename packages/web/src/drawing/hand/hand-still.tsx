import type { Beat, Hand, HandPicture, PressureSpot, ViewPoint } from '@clay-pot/core';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { useNear } from '../near-screen.js';
import { stillOf } from './stills.js';

interface Props {
  picture: HandPicture;
  side?: Hand;
  beat?: Beat;
  view?: ViewPoint;
  pressure?: readonly (readonly PressureSpot[])[];
  trail?: boolean;
  /** What it shows; empty where the words beside it say so already. */
  label: string;
  /** Pixels of the picture for each of the page's: more where it is printed. */
  density?: number;
  /** Whether to draw it before it is scrolled into view, as for print. */
  eager?: boolean;
  className?: string;
  /** Called where it cannot be drawn, so that something else can stand in. */
  onTrouble?: () => void;
}

/** A hand in space as a still picture: drawn when it comes near the screen, and kept. */
export function HandStill({
  picture,
  side = 'left',
  beat = picture.still,
  view,
  pressure,
  trail,
  label,
  density,
  eager = false,
  className = '',
  onTrouble,
}: Props) {
  const box = useRef<HTMLDivElement>(null);
  const size = useSizeWhenNear(box, eager);
  const [src, setSrc] = useState<string | null>(null);
  const scale = density ?? FINE;
  const [width, height] = size ? [Math.round(size.width * scale), Math.round(size.height * scale)] : [0, 0];
  const { phase, turn } = beat;
  useEffect(() => {
    if (!width || !height) return;
    let wanted = true;
    stillOf({
      picture,
      side,
      beat: { phase, turn },
      width,
      height,
      ...(view && { view }),
      ...(pressure && { pressure }),
      ...(trail !== undefined && { trail }),
    })
      .then((made) => wanted && setSrc(made))
      .catch(() => wanted && onTrouble?.());
    return () => {
      wanted = false;
    };
  }, [picture, side, phase, turn, width, height, view, pressure, trail, onTrouble]);
  return (
    <div ref={box} className={`[contain:size] ${className}`} {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}>
      {src && <img src={src} alt="" className="size-full object-contain" draggable={false} />}
    </div>
  );
}

/** Pixels of a drawing for each of the page’s: twice as fine as most screens, so that lines are smooth on all. */
const FINE = 2;
/** How long a box keeps its size before it is drawn again: not with every step of a window that is resized. */
const REST_MS = 150;
/** The size of a box once it comes near the screen, in CSS pixels; null before. */
function useSizeWhenNear(box: RefObject<HTMLDivElement | null>, eager: boolean): { width: number; height: number } | null {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const near = useNear(box, eager);
  useEffect(() => {
    const element = box.current;
    if (!near || !element) return;
    const measure = () => {
      const { width, height } = element.getBoundingClientRect();
      setSize((before) => (before?.width === width && before.height === height ? before : { width, height }));
    };
    measure();
    // Drawn again once it has come to rest in another size.
    let resting: ReturnType<typeof setTimeout> | undefined;
    const sized = new ResizeObserver(() => {
      clearTimeout(resting);
      resting = setTimeout(measure, REST_MS);
    });
    sized.observe(element);
    return () => {
      sized.disconnect();
      clearTimeout(resting);
    };
  }, [box, near]);
  return size;
}
