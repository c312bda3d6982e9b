import { HAND_JOINT_NAMES, HAND_JOINTS, type HandJoint, handJointWords } from '../vocabulary/hand-joints.js';
import { HAND_SETTINGS, HAND_VIEWS } from '../vocabulary/hand-settings.js';
import { HAND_SHAPE_NAMES } from '../vocabulary/hand-shapes.js';
import { type Of, oneOf, optional, record, someOf, trueOrFalse, within } from '../vocabulary/schema.js';

/** How many stations a course may have. */
const MOST_STATIONS = 12;

const joint = (name: HandJoint) => optional(within(HAND_JOINTS[name], handJointWords(name)));
type JointFields = Record<HandJoint, ReturnType<typeof joint>>;

/** A hand at one moment of its way: a shape by name, and the joints that differ from it, degrees. */
export const HAND_STATION = record({
  shape: oneOf(HAND_SHAPE_NAMES, 'Shape'),
  joints: optional(record(Object.fromEntries(HAND_JOINT_NAMES.map((name) => [name, joint(name)])) as JointFields)),
});
/** A hand at one moment of its way. */
export type HandStation = Of<typeof HAND_STATION>;

/** How a movement’s hand is drawn, as far as its load does not say. */
export const HAND_PICTURE = record({
  setting: optional(oneOf(HAND_SETTINGS, 'Setting')),
  view: optional(oneOf(HAND_VIEWS, 'Seen from')),
  /** What the hand goes through from start to end; one station holds still. */
  course: optional(someOf(HAND_STATION, { max: MOST_STATIONS })),
  /** Whether it goes on round through the stations rather than back the way it came. */
  round: optional(trueOrFalse()),
});
/** How a movement’s hand is drawn, as far as its load does not say. */
export type HandPictureSpec = Of<typeof HAND_PICTURE>;
