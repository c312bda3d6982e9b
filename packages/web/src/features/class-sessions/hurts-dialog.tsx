import {
  DISCOMFORT_HOLD_MAX,
  type ClassMember,
  HAND_WORDS,
  capital,
  STOP_SIGN_IDS,
  STOP_SIGNS,
  type SorePlace,
  WORKING_SIDES,
  type WorkingSide,
} from '@clay-pot/core';
import { useState } from 'react';
import { WhereItHurts } from '../../domain/session/where-it-hurts.js';
import { press } from '../../store/class-run.js';
import { Button } from '../../ui/button.js';
import { Dialog } from '../../ui/dialog.js';
import { ScoreScale } from '../../ui/score-scale.js';
import { Segments } from '../../ui/segments.js';
import { tell } from './roster.js';

interface Props {
  member: ClassMember;
  blockId: string;
  /** The hand that works is the one that is meant unless somebody says otherwise. */
  working: WorkingSide;
  onClose: () => void;
}

/** What hurts somebody in a class. A stop sign ends it for that person; anything else changes what they do. The class goes on. */
export function HurtsDialog({ member, blockId, working, onClose }: Props) {
  const [hand, setHand] = useState(working);
  const [place, setPlace] = useState<SorePlace | null>(null);
  const [isOther, setOther] = useState(false);
  const { id: memberId, name } = member;
  const hands = (
    <Segments
      label="Hand"
      className="mt-3"
      options={WORKING_SIDES}
      words={(side) => capital(HAND_WORDS[side])}
      chosen={hand}
      choose={setHand}
    />
  );
  if (isOther) {
    return (
      <Dialog title={`${name}: where, and how much?`} tone="stop" onClose={onClose}>
        {hands}
        <WhereItHurts hand={hand} place={place} choose={setPlace} />
        <p className="mt-3 mb-1 font-semibold">{place === null ? 'First say where. Then: how much, of 10?' : 'How much, of 10?'}</p>
        <ScoreScale
          name="Discomfort"
          low="none"
          high="worst"
          onChoose={(discomfort) => {
            if (place === null) return;
            const said = press({ kind: 'hurts', memberId, blockId, hand, place, discomfort });
            tell(
              said,
              discomfort > DISCOMFORT_HOLD_MAX
                ? `${name} sits this block out and does less of what loads the same place`
                : `${name}: ${discomfort} of 10 recorded`,
            );
            onClose();
          }}
        />
      </Dialog>
    );
  }
  return (
    <Dialog title={`${name}: what is it?`} tone="stop" onClose={onClose}>
      <p className="mt-1">
        Any of these ends the class for {name}. Don’t load that hand again until a doctor or hand therapist has seen it.
      </p>
      {hands}
      <div className="mt-3 grid gap-2">
        {STOP_SIGN_IDS.map((sign) => (
          <button
            key={sign}
            type="button"
            className="min-h-14 border-2 border-iron px-3 py-2 text-left font-semibold hover:bg-iron-wash"
            onClick={() => {
              tell(press({ kind: 'stop', memberId, sign, hand }), `Stopped: ${name}, ${STOP_SIGNS[sign].toLowerCase()}`);
              onClose();
            }}
          >
            {STOP_SIGNS[sign]}
          </button>
        ))}
        <Button className="min-h-14" onClick={() => setOther(true)}>
          None of these: something else hurts
        </Button>
        <Button kind="quiet" className="min-h-14" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Dialog>
  );
}
