import { type Body, postureHand, type PostureLoad, pressureOn, shown, type SupportPosture, VIEW_POINTS } from '@clay-pot/core';
import { useMemo } from 'react';
import { HandLive } from '../../drawing/hand/hand-live.js';

/** How far a wrist goes back and down with help, degrees. */
export interface WristRange {
  readonly extension: number;
  readonly flexion: number;
}

interface Props {
  body: Body;
  posture: SupportPosture;
  load: PostureLoad;
  rangeDeg: WristRange;
  onTrouble: () => void;
  className: string;
}

const STILL = { phase: 1, turn: 0 };

/** The hand in the very posture that is computed: its wrist’s angle against this person’s range, and its contact areas. */
export function BenchHand({ body, posture, load, rangeDeg, onTrouble, className }: Props) {
  const picture = useMemo(() => postureHand(body, posture), [body, posture]);
  const { wristExtensionDeg } = load;
  const range = wristExtensionDeg < 0 ? rangeDeg.flexion : rangeDeg.extension;
  const pressure = useMemo(() => [load.left, load.right].map((hand) => pressureOn(hand, load, posture.contact)), [load, posture.contact]);
  const bent = wristExtensionDeg < 0 ? 'flexed' : 'extended';
  const drawn = { picture, beat: STILL, pressure, onTrouble };
  return (
    <div className={`grid ${picture.planted ? 'grid-rows-[minmax(0,3fr)_minmax(0,2fr)]' : ''} ${className}`}>
      <HandLive
        {...drawn}
        wristRangeDeg={range}
        turnable
        label={`The hand: wrist ${bent} by ${shown(Math.abs(wristExtensionDeg), 1)}° of ${shown(range, 1)}°`}
      />
      {picture.planted && (
        <HandLive
          {...drawn}
          view={VIEW_POINTS['from below']}
          label="The hand from below, with the pressure on its skin"
          className="border-t border-line"
        />
      )}
    </div>
  );
}
