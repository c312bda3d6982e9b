import {
  HAND_PLACES,
  type HandPlace,
  handSizeOf,
  REFERENCE_BODIES,
  skeletonOf,
  SORE_PLACE_LIST,
  SORE_PLACES,
  type SorePlace,
  type WorkingSide,
} from '@clay-pot/core';
import { useCallback, useState } from 'react';
import { PointAtHand } from './point-at-hand.js';
import { hasWebGl } from '../../drawing/hand/shared-stage.js';

interface Props {
  hand: WorkingSide;
  place: SorePlace | null;
  choose: (place: SorePlace) => void;
}

const skeleton = skeletonOf(handSizeOf(REFERENCE_BODIES['not stated']));
const isOnHand = (place: SorePlace | null): place is HandPlace => place !== null && place in HAND_PLACES;

/** Where it hurts: pointed at on the hand, or read from a list. */
export function WhereItHurts({ hand, place, choose }: Props) {
  const [listed, setListed] = useState(!hasWebGl());
  const giveUp = useCallback(() => setListed(true), []);
  if (listed) {
    return (
      <div role="group" aria-label="Where" className="mt-3 grid grid-cols-2 gap-1">
        {SORE_PLACE_LIST.map((id) => (
          <Choice key={id} chosen={id === place} choose={() => choose(id)} words={SORE_PLACES[id]} />
        ))}
        {hasWebGl() && <Choice chosen={false} choose={() => setListed(false)} words="Point at it" />}
      </div>
    );
  }
  return (
    <div className="mt-3">
      <PointAtHand
        skeleton={skeleton}
        hand={hand === 'right' ? 'right' : 'left'}
        chosen={isOnHand(place) ? [place] : []}
        pick={choose}
        label="Where it hurts"
        className="h-[19rem]"
        giveUp={giveUp}
      />
      <p className="min-h-6 text-center font-semibold" aria-live="polite">
        {place ? SORE_PLACES[place] : 'Tap where it hurts'}
      </p>
      <div className="mt-1 grid grid-cols-2 gap-1">
        <Choice chosen={place === 'elsewhere'} choose={() => choose('elsewhere')} words={SORE_PLACES.elsewhere} />
        <Choice chosen={false} choose={() => setListed(true)} words="Show a list" />
      </div>
    </div>
  );
}

function Choice({ chosen, choose, words }: { chosen: boolean; choose: () => void; words: string }) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`min-h-11 border border-ink/60 px-2 py-1 text-left text-small font-semibold sm:text-body ${chosen ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
      onClick={choose}
    >
      {words}
    </button>
  );
}
