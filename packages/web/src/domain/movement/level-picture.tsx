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

/** The picture itself, computed only near the screen: a shelf has hundreds. */
function Drawn({
  movement,
  level,
  body = REFERENCE_BODIES['not stated'],
  side = 'left',
  handOnly = false,
  density,
  eager,
}: Props & { eager: boolean }) {
  const [flat, setFlat] = useState(!hasWebGl());
  const drawn = useLevelPicture(movement, level, body).value;
  const giveUp = useCallback(() => setFlat(true), []);
  if (!drawn) return null;
  const { hand, figure } = drawn;
  if (flat) return <Figure body={body} figure={figure} title="" className="size-full" />;
  return (
    <Laid hand={hand} figure={figure} body={body} side={side} handOnly={handOnly} density={density} eager={eager} onTrouble={giveUp} />
  );
}

/** Hand and body in one picture: what it is about takes the most of it. */
function Laid({
  hand,
  figure,
  body,
  side,
  handOnly,
  density,
  eager,
  onTrouble,
}: Required<Pick<Props, 'body' | 'side' | 'handOnly' | 'eager'>> & {
  hand: HandPicture;
  figure: ReturnType<typeof figureOf>;
  density: number | undefined;
  onTrouble: () => void;
}) {
  const withBody = !handOnly && hand.withBody;
  const bodyLarge = hand.about === 'body';
  const handPlace = bodyLarge ? 'right-0 bottom-0 h-[64%] w-[44%]' : 'top-0 right-0 h-full w-[80%]';
  return (
    <>
      <HandStill
        picture={hand}
        side={side}
        label=""
        {...(density !== undefined && { density })}
        eager={eager}
        className={`absolute ${withBody ? handPlace : 'inset-0'}`}
        onTrouble={onTrouble}
      />
      {withBody && (
        <Figure
          body={body}
          figure={figure}
          title=""
          withHand={false}
          className={`absolute bottom-0 left-0 ${bodyLarge ? 'h-full w-[62%]' : 'h-[46%] w-[38%]'}`}
        />
      )}
    </>
  );
}
