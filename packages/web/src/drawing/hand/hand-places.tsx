import {
  type Hand,
  HAND_PLACES,
  type HandPlace,
  placeOn,
  placePicture,
  type PlaceSide,
  PLACES_ON,
  shownAt,
  type Skeleton,
} from '@clay-pot/core';
import { type KeyboardEvent, type MouseEvent, useMemo, useRef, useState } from 'react';
import { frameOf } from './frames.js';
import { HandStill } from './hand-still.js';
import { arrowWay } from '../../ui/arrow-way.js';
import { inDirection, nearestTo, type Pin, pinAt } from './pins.js';

interface Props {
  skeleton: Skeleton;
  side: Hand;
  /** Palm or back, hand or forearm. */
  on: PlaceSide;
  chosen: readonly HandPlace[];
  onPick: (place: HandPlace) => void;
  /** What is asked, for who hears the page. */
  label: string;
  className?: string;
  onTrouble?: () => void;
}

/** How far from a place one may tap and still mean it, pixels. */
const REACH_PX = 44;

/** A hand whose places are pointed at: by a tap near them, or with the arrow keys from one to the next. */
export function HandPlaces({ skeleton, side, on, chosen, onPick, label, className = '', onTrouble }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const picture = placePicture(skeleton, on);
  const frame = frameOf(picture, side);
  const pins = useMemo(() => {
    const [hand] = picture.at(picture.still, side).hands;
    return PLACES_ON[on].flatMap((place): Pin[] => {
      if (!hand) return [];
      return [pinAt(place, shownAt(frame, placeOn(skeleton, hand, place)))];
    });
  }, [picture, frame, skeleton, side, on]);
  const [reached, setReached] = useState<HandPlace | null>(null);
  const stop = pins.find(({ place }) => place === (reached ?? chosen[0]))?.place ?? pins[0]?.place;

  const onKeyDown = (event: KeyboardEvent) => {
    const way = arrowWay(event.key);
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const from = pins.find(({ place }) => place === stop);
    const next = from && inDirection(pins, from, ...way);
    if (!next) return;
    setReached(next.place);
    box.current?.querySelector<HTMLElement>(`[data-place="${next.place}"]`)?.focus();
  };
  const tapped = (event: MouseEvent) => {
    const area = box.current?.getBoundingClientRect();
    // A press of a key comes without a point.
    if (!area || event.detail === 0) return;
    const place = nearestTo(pins, event.clientX - area.left, event.clientY - area.top, area, REACH_PX);
    if (place) onPick(place);
  };
  return (
    <div
      ref={box}
      role="group"
      aria-label={`${label}. Arrow keys go from place to place.`}
      className={`relative cursor-crosshair ${className}`}
      style={{ aspectRatio: frame.halfWidthM / frame.halfHeightM }}
      onKeyDown={onKeyDown}
      onClick={tapped}
    >
      <HandStill picture={picture} side={side} trail={false} label="" className="absolute inset-0" {...(onTrouble && { onTrouble })} />
      {pins.map(({ place, x, y }) => (
        <Place
          key={place}
          place={place}
          chosen={chosen.includes(place)}
          reachable={place === stop}
          left={x}
          top={y}
          onPick={(byKey) => byKey && onPick(place)}
        />
      ))}
    </div>
  );
}

function Place({
  place,
  chosen,
  reachable,
  left,
  top,
  onPick,
}: {
  place: HandPlace;
  chosen: boolean;
  reachable: boolean;
  left: number;
  top: number;
  onPick: (byKey: boolean) => void;
}) {
  return (
    <button
      type="button"
      data-place={place}
      aria-pressed={chosen}
      aria-label={HAND_PLACES[place]}
      title={HAND_PLACES[place]}
      tabIndex={reachable ? 0 : -1}
      className="group absolute grid size-6 -translate-1/2 cursor-crosshair place-items-center rounded-full focus-visible:outline-offset-0"
      style={{ left: `${left * 100}%`, top: `${top * 100}%` }}
      // A tap goes to whatever place is nearest, this one or not: the whole picture takes it.
      onClick={(event) => onPick(event.detail === 0)}
    >
      <span
        aria-hidden
        className={
          chosen
            ? 'size-5 rounded-full border-[3px] border-white bg-iron ring-2 ring-iron'
            : 'size-2.5 rounded-full border-2 border-ink/70 bg-white/80 group-hover:scale-150 group-hover:bg-iron/40'
        }
      />
    </button>
  );
}
