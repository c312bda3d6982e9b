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
import { Figure, prefersStill } from '../../drawing/figure.js';
import { type Baked, bakedStill } from '../../drawing/hand/baked.js';
import { HandLive } from '../../drawing/hand/hand-live.js';
import { HandStill } from '../../drawing/hand/hand-still.js';
import { hasWebGl } from '../../drawing/hand/shared-stage.js';
import { pressureFor, useLevelPicture } from './level-picture.js';

interface Props {
  movement: Movement;
  level: Level;
  body: Body;
  side?: Hand;
  /** Whether it plays; for viewers who want less motion it shows three frames. */
  moving: boolean;
  /** What the hand does now; without it an example plays in the level's own tempo. */
  beat?: () => Beat;
  /** Whether the body is drawn beside the hand, where it shows something. */
  withBody?: boolean;
  className?: string;
}

/** Start, middle and end, for who wants less motion. */
const FRAMES: readonly (readonly [name: string, phase: number])[] = [
  ['Start', 0],
  ['Middle', 0.5],
  ['End', 1],
];

/** A level large: the hand in space, moving in its tempo and to be turned, with the body beside it and the palm seen through the floor. */
export function MovingPicture({ movement, level, body, moving, className = '', ...rest }: Props) {
  const [flat, setFlat] = useState(!hasWebGl());
  const { value: drawn, trouble } = useLevelPicture(movement, level, body);
  const giveUp = useCallback(() => setFlat(true), []);
  if (!drawn) return <p className="border border-line bg-white p-4 text-small text-iron">{trouble}</p>;
  if (flat) return <Flat {...{ movement, level, body, moving, className, drawn, ...rest }} />;
  return <InSpace {...{ movement, level, body, moving, className, drawn, ...rest }} onTrouble={giveUp} />;
}

const titleOf = (movement: Movement, level: Level) => `${movement.name}, ${level.name}`;

/** Without a picture in space: start and end as they were drawn ahead, with the body beside them. */
function Flat({
  movement,
  level,
  body,
  side = 'left',
  moving,
  beat,
  withBody = true,
  className = '',
  drawn: { figure, hand },
}: DrawnProps) {
  const title = titleOf(movement, level);
  const baked = bakedEnds(movement.id, level.id, side);
  if (!baked) return <Figure body={body} figure={figure} animated={moving} title={title} className={className} />;
  const beside = withBody && hand.withBody;
  return (
    <div
      className={`grid grid-cols-[minmax(0,1fr)] overflow-hidden ${beside ? BESIDE : ''} ${beside && !beat ? 'max-sm:grid-rows-[minmax(0,1fr)_8rem]' : ''} ${className}`}
    >
      <BakedEnds baked={hand.moves ? baked : baked.slice(0, 1)} title={title} stacked />
      {beside && (
        <Figure
          {...{ body, figure }}
          animated={moving}
          title=""
          withHand={false}
          className={`h-full w-full border-line p-1 sm:border-l ${beat ? 'max-sm:hidden' : 'max-sm:border-t'}`}
        />
      )}
    </div>
  );
}

interface DrawnProps extends Props {
  drawn: NonNullable<ReturnType<typeof useLevelPicture>['value']>;
}

function InSpace({
  movement,
  level,
  body,
  side = 'left',
  moving,
  beat,
  withBody = true,
  className = '',
  drawn,
  onTrouble,
}: DrawnProps & { onTrouble: () => void }) {
  const work = useMemo(() => exampleOf(movement, level), [movement, level]);
  const example = useCallback(() => exampleNow(movement, level, work, performance.now()).beat, [movement, level, work]);
  const pressure = useMemo(() => pressureFor({ ...drawn, level, side }), [drawn, level, side]);
  const title = titleOf(movement, level);
  const { hand, figure } = drawn;
  const shown = { picture: hand, side, onTrouble, ...(pressure && { pressure }) };
  const beside = withBody && hand.withBody;
  return (
    <div
      className={`grid grid-cols-[minmax(0,1fr)] overflow-hidden ${beside ? BESIDE : ''} ${beside && !beat ? 'max-sm:grid-rows-[minmax(0,1fr)_8rem]' : ''} ${className}`}
    >
      <TheHand shown={shown} moving={moving} beat={beat} example={example} title={title} baked={bakedEnds(movement.id, level.id, side)} />
      {beside && (
        <Beside body={body} figure={figure} moving={moving && !beat} shown={shown} planted={hand.planted} onPhone={!beat} title={title} />
      )}
    </div>
  );
}

type Shown = Pick<ComponentProps<typeof HandStill>, 'picture' | 'side' | 'onTrouble' | 'pressure'>;

/** The hand, moving and to be turned; in three frames for who wants less motion. */
function TheHand({
  shown,
  moving,
  beat,
  example,
  title,
  baked,
}: {
  shown: Shown;
  moving: boolean;
  beat: (() => Beat) | undefined;
  example: () => Beat;
  title: string;
  baked: readonly Baked[] | null;
}) {
  const { picture } = shown;
  if (prefersStill() && picture.moves)
    return baked ? <BakedEnds baked={baked} title={title} /> : <ThreeFrames shown={shown} title={title} />;
  return (
    <HandLive
      {...shown}
      beat={moving ? (beat ?? example) : picture.still}
      running={moving && picture.moves}
      trail={!beat}
      turnable
      label={title}
      className="h-full min-h-40"
    />
  );
}

const BESIDE = 'sm:grid-cols-[minmax(0,5fr)_minmax(0,3fr)]';

/** Start and end of a shipped level, drawn ahead, as the left hand does it. */
function bakedEnds(movementId: string, levelId: string, side: Hand): readonly Baked[] | null {
  const [start, end] = (['start', 'end'] as const).map((name) => bakedStill(movementId, levelId, name));
  return side === 'left' && start && end ? [start, end] : null;
}

/** Start and end, there with the page: side by side, or one below the other in a tall frame. */
function BakedEnds({ baked, title, stacked = false }: { baked: readonly Baked[]; title: string; stacked?: boolean }) {
  return (
    <div className={`grid h-full divide-line ${stacked ? 'auto-rows-fr divide-y' : 'grid-cols-2 divide-x'}`}>
      {baked.map(({ src, width, height }, index) => {
        const name = index === 0 ? 'Start' : 'End';
        return (
          <figure key={name} className="flex min-h-0 flex-col">
            <div className="relative min-h-0 flex-1">
              <img
                {...{ src, width, height }}
                alt={`${title}: ${name.toLowerCase()}`}
                className="absolute inset-0 size-full object-contain"
                draggable={false}
              />
            </div>
            {baked.length > 1 && <figcaption className="pb-1 text-center text-small text-ink-soft">{name}</figcaption>}
          </figure>
        );
      })}
    </div>
  );
}

/** Start, middle and end side by side. */
function ThreeFrames({ shown, title }: { shown: Shown; title: string }) {
  return (
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
  );
}

/** The body, and below it the hand seen through the floor. */
function Beside({
  body,
  figure,
  moving,
  shown,
  planted,
  onPhone,
  title,
}: {
  body: Body;
  figure: FigureData;
  moving: boolean;
  shown: Shown;
  planted: boolean;
  /** Whether a phone shows it too, below the hand; in a session the hand has all the room. */
  onPhone: boolean;
  title: string;
}) {
  return (
    <div
      className={`min-h-0 border-line max-sm:border-t sm:grid sm:grid-rows-2 sm:border-l ${onPhone ? 'grid max-sm:grid-cols-2' : 'hidden'}`}
    >
      <Figure
        body={body}
        figure={figure}
        animated={moving}
        title=""
        withHand={false}
        className={`h-full w-full p-1 ${planted ? '' : 'max-sm:col-span-2 sm:row-span-2'}`}
      />
      {planted && (
        <HandStill
          {...shown}
          view={VIEW_POINTS['from below']}
          trail={false}
          label={`${title}: seen from below, with the pressure on the skin`}
          className="h-full min-h-0 border-line max-sm:border-l sm:border-t"
        />
      )}
    </div>
  );
}
