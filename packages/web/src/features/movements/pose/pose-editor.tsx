import {
  type Hand,
  HAND_SHAPE_NAMES,
  HANDS,
  HAND_WORDS,
  handSaid,
  type HandPlace,
  type HandPose,
  type HandShapeName,
  handSizeOf,
  type HandStation,
  itemAt,
  type Level,
  MOST_STATIONS,
  type Movement,
  type Person,
  posableIn,
  poseOfStation,
  settingOf,
  skeletonOf,
  stationOf,
  stationsOf,
  turnedOver,
  VIEW_POINTS,
  type ViewPoint,
} from '@clay-pot/core';
import { FlipHorizontal2, Plus, X } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { Choice } from '../../../domain/movement/subject-fields.js';
import { hasWebGl } from '../../../drawing/hand/shared-stage.js';
import { Button } from '../../../ui/button.js';
import { Segments } from '../../../ui/segments.js';
import { CopyPose } from './copy-pose.js';
import { JointFields } from './joint-fields.js';
import { PictureWords } from './picture-words.js';
import { PoseStage } from './pose-stage.js';
import { stationName, withHand, withStations } from './stations.js';

interface Props {
  movement: Movement;
  level: Level;
  person: Person;
  set: (level: Level) => void;
}

/** Poses the hand of a level: start, middle and end, by dragging its joints or by numbers. */
export function PoseEditor({ movement, level, person, set }: Props) {
  const skeleton = skeletonOf(handSizeOf(person.body));
  const stations = stationsOf(movement, level);
  const round = handSaid(movement, level).round === true;
  const setting = settingOf(movement, level);
  const posable = posableIn(setting);
  const [chosen, setChosen] = useState(stations.length - 1);
  const index = Math.min(chosen, stations.length - 1);
  const station = itemAt(stations, index);
  const pose = useMemo(() => poseOfStation(skeleton, station, 'index'), [skeleton, station]);
  const [side, setSide] = useState<Hand>('right');
  const [view, setView] = useState<ViewPoint>(VIEW_POINTS['thumb side, from above']);
  const [held, hold] = useState<HandPlace>('middle-mcp');
  const [flat, setFlat] = useState(!hasWebGl());
  const giveUp = useCallback(() => setFlat(true), []);

  const setStation = (next: HandStation) => set(withStations(level, stations.with(index, next)));
  const setPose = (next: HandPose) => setStation(stationOf(next));
  const add = () => {
    set(withStations(level, stations.toSpliced(index + 1, 0, station)));
    setChosen(index + 1);
  };
  return (
    <section aria-label="The hand" className="mt-3 grid gap-3 border-t border-line pt-3">
      <PictureWords movement={movement} level={level} set={set} />
      <CopyPose movement={movement} level={level} set={set} />
      <div role="group" aria-label="Moments of the movement" className="flex flex-wrap items-center gap-1">
        {stations.map((_, i) => (
          <button
            key={i}
            type="button"
            aria-pressed={i === index}
            className={`min-h-9 border border-ink/60 px-3 font-semibold ${i === index ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
            onClick={() => setChosen(i)}
          >
            {stationName(i, stations.length, round)}
          </button>
        ))}
        <Button kind="quiet" disabled={stations.length >= MOST_STATIONS} onClick={add}>
          <Plus size={16} aria-hidden /> Add a moment
        </Button>
        <Button kind="quiet" disabled={stations.length === 1} onClick={() => set(withStations(level, stations.toSpliced(index, 1)))}>
          <X size={16} aria-hidden /> Delete {stationName(index, stations.length, round).toLowerCase()}
        </Button>
        <Button kind="quiet" onClick={() => setStation(turnedOver(station))}>
          <FlipHorizontal2 size={16} aria-hidden /> Flip
        </Button>
        {level.hand?.course && (
          <Button kind="quiet" onClick={() => set(withHand(level, { course: undefined }))}>
            Reset
          </Button>
        )}
      </div>
      <div className="grid gap-4 sm:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
        {!flat && (
          <div>
            <PoseStage skeleton={skeleton} {...{ pose, side, view, setView, posable, held, hold }} onPose={setPose} onTrouble={giveUp} />
            <div className="mt-1 flex flex-wrap items-center justify-between gap-2">
              <p className="text-small text-ink-soft">Drag a joint, or beside it to turn the hand.</p>
              <Segments label="Shown as" options={HANDS} words={(hand) => HAND_WORDS[hand]} chosen={side} choose={setSide} size="small" />
            </div>
          </div>
        )}
        <div className="grid content-start gap-3">
          {posable.includes('indexMcpDeg') ? (
            <Choice
              label="Start from"
              value={station.shape}
              options={HAND_SHAPE_NAMES}
              set={(shape) => setStation(shaped(station, shape as HandShapeName))}
            />
          ) : (
            <p className="text-small text-ink-soft">
              The surface decides the fingers. What you set for forearm and wrist adds to the posture.
            </p>
          )}
          <JointFields pose={pose} posable={posable} held={held} hold={hold} setPose={setPose} />
          {level.load.kind === 'move' && level.load.reachPercent < 100 && (
            <p className="text-small text-ink-soft">
              This shows the whole movement; this level uses {level.load.reachPercent} % of it at the wrist.
            </p>
          )}
        </div>
      </div>
    </section>
  );
}

/** Another shape for the fingers, with forearm and wrist as they are. */
function shaped({ joints }: HandStation, shape: HandShapeName): HandStation {
  const kept = Object.entries(joints ?? {}).filter(([joint]) => joint.startsWith('wrist') || joint === 'supinationDeg');
  return kept.length ? { shape, joints: Object.fromEntries(kept) } : { shape };
}
