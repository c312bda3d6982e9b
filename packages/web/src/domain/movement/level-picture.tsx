import {
  type Body,
  figureOf,
  type Hand,
  type HandPicture,
  handPictureOf,
  itemAt,
  type Level,
  type Movement,
  otherHand,
  pressureOn,
  type PressureSpot,
  REFERENCE_BODIES,
} from '@clay-pot/core';
import { memo, useCallback, useMemo, useRef, useState } from 'react';
import { Figure } from '../../drawing/figure.js';
import { bakedStill } from '../../drawing/hand/baked.js';
import { HandStill } from '../../drawing/hand/hand-still.js';
import { hasWebGl } from '../../drawing/hand/shared-stage.js';
import { useNear } from '../../drawing/near-screen.js';
import { possibly } from './possibly.js';

interface Props {
  movement: Movement;
  level: Level;
  body?: Body;
  side?: Hand;
  /** Whether the words beside it say already what it shows. */
  silent?: boolean;
  /** Draws the hand alone, for the smallest pictures. */
  handOnly?: boolean;
  /** Pixels of the picture for each of the page's: more where it is printed. */
  density?: number;
  /** Whether to draw it before it is scrolled into view, as for print. */
  eager?: boolean;
  className?: string;
}

/** The middle of the ladder shows a movement as most people meet it. */
export const middleLevel = ({ ladder }: Movement): Level => itemAt(ladder, Math.floor((ladder.length - 1) / 2));

/** A level's body and hand, worked out once; null where this body cannot take the posture. */
export function useLevelPicture(movement: Movement, level: Level, body: Body) {
  return useMemo(
    () => possibly(() => ({ figure: figureOf(body, movement, level), hand: handPictureOf(body, movement, level) })),
    [movement, level, body],
  );
}

/** Pressure on the skin of planted hands, in the order in which a picture has them: the one that is looked at first. */
export function pressureFor({
  figure: { load },
  level,
  side,
  hand,
}: {
  figure: ReturnType<typeof figureOf>;
  level: Level;
  side: Hand;
  hand: HandPicture;
}): (readonly PressureSpot[])[] | undefined {
  if (!load || !hand.planted) return undefined;
  return [side, otherHand(side)].map((which) => pressureOn(load[which], load, level.contact));
}

/** A level as a still picture for lists and sheets: the hand large, or the body where that is the point, and the other beside it. */
export const LevelPicture = memo(function LevelPicture(props: Props) {
  const { movement, level, silent = false, eager = false, className = '' } = props;
  const box = useRef<HTMLDivElement>(null);
  const near = useNear(box, eager);
  const described = silent ? { 'aria-hidden': true } : { role: 'img', 'aria-label': `${movement.name}, ${level.name}` };
  return (
    <div ref={box} className={`relative ${className}`} {...described}>
      {near && <Drawn {...props} eager={eager} />}
    </div>
  );
});

/** The picture itself: baked where the library has it, else drawn near the screen, since a shelf has hundreds. */
function Drawn(props: Props & { eager: boolean }) {
  const { movement, level, handOnly = false, side = 'left', eager } = props;
  const [isMissing, setMissing] = useState(false);
  const miss = useCallback(() => setMissing(true), []);
  // Baked hands are left ones; they also serve where nothing can draw the right one.
  const baked =
    (side === 'left' || !hasWebGl()) && !isMissing ? bakedStill(movement.id, level.id, 'list', handOnly ? 'small' : 'large') : null;
  if (!baked) return <DrawnLive {...props} />;
  const { src, width, height, beside } = baked;
  const place = handOnly ? 'hand alone' : PLACES[beside];
  return (
    <>
      <img
        src={src}
        width={width}
        height={height}
        alt=""
        loading={eager ? 'eager' : 'lazy'}
        decoding={eager ? 'sync' : 'async'}
        draggable={false}
        className={`absolute object-contain ${HAND_PLACES[place]}`}
        onError={miss}
      />
      {place !== 'hand alone' && <BodyBeside {...props} place={place} />}
    </>
  );
}

/** How hand and body share a picture. */
type Place = 'hand alone' | 'body small' | 'body large';
const PLACES = { alone: 'hand alone', 'with body': 'body small', 'body large': 'body large' } as const satisfies Record<string, Place>;
const HAND_PLACES: Record<Place, string> = {
  'hand alone': 'inset-0 size-full',
  'body small': 'top-0 right-0 h-full w-[80%]',
  'body large': 'right-0 bottom-0 h-[64%] w-[44%]',
};
const BODY_PLACES = { 'body small': 'h-[46%] w-[38%]', 'body large': 'h-full w-[62%]' } as const;

/** The body beside a baked hand, in the posture that the load is computed from. */
function BodyBeside({ movement, level, body = REFERENCE_BODIES['not stated'], place }: Props & { place: Exclude<Place, 'hand alone'> }) {
  const figure = useMemo(() => possibly(() => figureOf(body, movement, level)).value, [movement, level, body]);
  if (!figure) return null;
  return <Figure body={body} figure={figure} title="" withHand={false} className={`absolute bottom-0 left-0 ${BODY_PLACES[place]}`} />;
}

/** The picture drawn now: of a studio’s own movement, or where the baked one has not come. */
function DrawnLive({
  movement,
  level,
  body = REFERENCE_BODIES['not stated'],
  side = 'left',
  handOnly = false,
  density,
  eager,
}: Props & { eager: boolean }) {
  const [flat, setFlat] = useState(!hasWebGl());
  const { value: drawn } = useLevelPicture(movement, level, body);
  const giveUp = useCallback(() => setFlat(true), []);
  if (!drawn) return null;
  const { hand, figure } = drawn;
  if (flat) return <Figure body={body} figure={figure} title="" className="size-full" />;
  const place: Place = handOnly || !hand.withBody ? 'hand alone' : hand.about === 'body' ? 'body large' : 'body small';
  return (
    <>
      <HandStill
        picture={hand}
        side={side}
        label=""
        {...(density !== undefined && { density })}
        eager={eager}
        className={`absolute ${HAND_PLACES[place]}`}
        onTrouble={giveUp}
      />
      {place !== 'hand alone' && (
        <Figure body={body} figure={figure} title="" withHand={false} className={`absolute bottom-0 left-0 ${BODY_PLACES[place]}`} />
      )}
    </>
  );
}
