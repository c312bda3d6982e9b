import {
  HAND_JOINTS,
  HAND_PLACES,
  HANDLES,
  type HandJoint,
  type HandPlace,
  type HandPose,
  handJointWords,
  withJoint,
} from '@clay-pot/core';
import { NumberField } from '../../../domain/movement/subject-fields.js';

const PARTS = ['wrist', 'thumb', 'index', 'middle', 'ring', 'little'] as const;
type HandPart = (typeof PARTS)[number];
const PART_NAMES: Record<HandPart, string> = {
  wrist: 'Forearm and wrist',
  thumb: 'Thumb',
  index: 'Index finger',
  middle: 'Middle finger',
  ring: 'Ring finger',
  little: 'Little finger',
};
const partOf = (joint: HandJoint): HandPart => PARTS.find((part) => joint.startsWith(part)) ?? 'wrist';
/** The handle of a part that is taken when its numbers are asked for. */
const FIRST_HANDLE: Record<HandPart, HandPlace> = {
  wrist: 'middle-mcp',
  thumb: 'thumb-mcp',
  index: 'index-pip',
  middle: 'middle-pip',
  ring: 'ring-pip',
  little: 'little-pip',
};

/** The joints of one digit, or of forearm and wrist, in degrees. */
export function JointFields({
  pose,
  posable,
  held,
  hold,
  setPose,
}: {
  pose: HandPose;
  posable: readonly HandJoint[];
  held: HandPlace;
  hold: (place: HandPlace) => void;
  setPose: (pose: HandPose) => void;
}) {
  const moved = HANDLES[held] ?? [];
  const part = moved[0] ? partOf(moved[0]) : 'wrist';
  const parts = PARTS.filter((each) => posable.some((joint) => partOf(joint) === each));
  const shown = parts.includes(part) ? part : 'wrist';
  return (
    <div>
      <div role="group" aria-label="Part of the hand" className="mb-2 flex flex-wrap gap-1">
        {parts.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === shown}
            className={`border px-2 py-1 text-small font-semibold ${each === shown ? 'border-ink bg-ground' : 'border-transparent hover:bg-ground'}`}
            onClick={() => hold(FIRST_HANDLE[each])}
          >
            {PART_NAMES[each]}
          </button>
        ))}
      </div>
      <div className="grid gap-2" aria-label={HAND_PLACES[held]}>
        {posable
          .filter((joint) => partOf(joint) === shown)
          .map((joint) => (
            <NumberField
              key={joint}
              field={{
                name: joint,
                label: handJointWords(joint),
                value: Math.round(pose[joint]),
                ...HAND_JOINTS[joint],
              }}
              set={(deg) => setPose(withJoint(pose, joint, deg))}
            />
          ))}
      </div>
    </div>
  );
}
