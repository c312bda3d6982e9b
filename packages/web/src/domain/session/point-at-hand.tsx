import { capital, type Hand, type HandPlace, PLACE_SIDES, type PlaceSide, type Skeleton } from '@clay-pot/core';
import { useState } from 'react';
import { HandPlaces } from '../../drawing/hand/hand-places.js';
import { Segments } from '../../ui/segments.js';

interface Props {
  skeleton: Skeleton;
  hand: Hand;
  chosen: readonly HandPlace[];
  pick: (place: HandPlace) => void;
  /** What is asked, for who hears the page. */
  label: string;
  /** How high the hand is drawn. */
  className: string;
  /** It cannot be drawn here. */
  giveUp: () => void;
}

/** A hand or forearm from the side that shows the place, to point at. */
export function PointAtHand({ skeleton, hand, chosen, pick, label, className, giveUp }: Props) {
  const [on, setOn] = useState<PlaceSide>('palm');
  return (
    <>
      <Segments label="View" options={PLACE_SIDES} words={capital} chosen={on} choose={setOn} className="text-small" />
      <HandPlaces
        skeleton={skeleton}
        side={hand}
        on={on}
        chosen={chosen}
        onPick={pick}
        label={label}
        className={`mx-auto my-1 max-w-full ${className}`}
        onTrouble={giveUp}
      />
    </>
  );
}
