import {
  type Beat,
  type Body,
  type Figure as FigureData,
  exampleNow,
  exampleOf,
  type Hand,
  type Level,
  type Movement,
  VIEW_POINTS,
} from '@clay-pot/core';
import { type ComponentProps, useCallback, useMemo, useState } from 'react';
import { Figure, prefersStill } from '../drawing/figure.js';
import { HandLive } from '../drawing/hand/hand-live.js';
import { HandStill } from '../drawing/hand/hand-still.js';
import { hasWebGl } from '../drawing/hand/shared-stage.js';
import { pressureFor, useLevelPicture } from './level-picture.js';

interface Props {
  movement: Movement;
  level: Level;
  body: Body;
  side?: Hand;
  /** Whether it plays; where the viewer wants less motion it stands in three frames. */
  moving: boolean;
  /** What the hand does now; without it an example plays in the level's own tempo. */
  beat?: () => Beat;
  className?: string;
}

/** Start, middle and end, for who wants less motion. */
const FRAMES: readonly (readonly [name: string, phase: number])[] = [
  ['Start', 0],
  ['Middle', 0.5],
  ['End', 1],
];

/** A level large: the hand in space, moving in its tempo and to be turned, with the body beside it and the palm seen through the floor. */
export function MovingPicture({ movement, level, body, side = 'left', moving, beat, className = '' }: Props) {
  const [flat, setFlat] = useState(!hasWebGl());
  const { value: drawn, trouble } = useLevelPicture(movement, level, body);
  const giveUp = useCallback(() => setFlat(true), []);
  const work = useMemo(() => exampleOf(movement, level), [movement, level]);
  const example = useCallback(() => exampleNow(movement, level, work, performance.now()).beat, [movement, level, work]);
  const pressure = useMemo(() => drawn && pressureFor({ ...drawn, level, side }), [drawn, level, side]);
  if (!drawn) return <p className="border border-line bg-white p-4 text-small text-iron">{trouble}</p>;
  const title = `${movement.name}, ${level.name}`;
  const { hand, figure } = drawn;
  if (flat) return <Figure body={body} figure={figure} animated={moving} title={title} className={className} />;
  const still = prefersStill() && hand.moves;
  const shown = { picture: hand, side, onTrouble: giveUp, ...(pressure && { pressure }) };
  const withBody = hand.about === 'body' || hand.planted;
  return (
    <div
      className={`grid grid-cols-[minmax(0,1fr)] overflow-hidden ${withBody ? 'sm:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]' : ''} ${className}`}
    >
      {still ? (
        <div className="grid h-full grid-cols-3 divide-x divide-line">
          {FRAMES.map(([name, phase]) => (
            <figure key={name} className="flex min-h-0 flex-col">
              <HandStill
                {...shown}
                beat={{ phase, turn: 0 }}
                trail={false}
                label={`${title}: ${name.toLowerCase()}`}
                className="min-h-0 flex-1"
              />
              <figcaption className="pb-1 text-center text-small text-ink-soft">{name}</figcaption>
            </figure>
          ))}
        </div>
      ) : (
        <HandLive
          {...shown}
          beat={moving ? (beat ?? example) : hand.still}
          running={moving && hand.moves}
          trail={!beat}
          turnable
          label={title}
          className="h-full min-h-40"
        />
      )}
      {withBody && (
        <Beside
          body={body}
          figure={figure}
          moving={moving && !beat}
          shown={shown}
          planted={hand.planted}
          title={title}
        />
      )}
    </div>
  );
}

/** The body, and below it the hand seen through the floor. */
function Beside({
  body,
  figure,
  moving,
  shown,
  planted,
  title,
}: {
  body: Body;
  figure: FigureData;
  moving: boolean;
  shown: Pick<ComponentProps<typeof HandStill>, 'picture' | 'side' | 'onTrouble' | 'pressure'>;
  planted: boolean;
  title: string;
}) {
  return (
    <div className="hidden min-h-0 grid-rows-2 border-l border-line sm:grid">
      <Figure
        body={body}
        figure={figure}
        animated={moving}
        title=""
        withHand={false}
        className={`h-full w-full p-1 ${planted ? '' : 'row-span-2'}`}
      />
      {planted && (
        <HandStill
          {...shown}
          view={VIEW_POINTS['from below']}
          trail={false}
          label={`${title}: seen through the floor, with the pressure on the skin`}
          className="h-full min-h-0 border-t border-line"
        />
      )}
    </div>
  );
}
