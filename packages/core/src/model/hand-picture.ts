import type { Fault } from '../vocabulary/fault.js';
import { HAND_JOINT_NAMES, HAND_JOINTS, type HandJoint, handJointWords } from '../vocabulary/hand-joints.js';
import { ARM_HOLDS, HAND_SETTINGS, HAND_VIEWS, type HandSetting, OTHER_HANDS } from '../vocabulary/hand-settings.js';
import type { LevelLoad, LoadKind } from './load.js';
import { HAND_SHAPE_NAMES } from '../vocabulary/hand-shapes.js';
import { type Of, oneOf, optional, record, someOf, trueOrFalse, bounded } from '../vocabulary/schema.js';

/** How many stations a course may have. */
export const MOST_STATIONS = 12;

const joint = (name: HandJoint) => optional(bounded(HAND_JOINTS[name], handJointWords(name)));
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
  /** What the other hand does, where hands are planted with their fingers turned. */
  other: optional(oneOf(OTHER_HANDS, 'The other hand')),
  /** How the arms are held in the body’s picture. */
  arms: optional(oneOf(ARM_HOLDS, 'Arms')),
  /** Whether it presses into its surface without moving. */
  presses: optional(trueOrFalse()),
  /** What the hand goes through from start to end; one station holds still. */
  course: optional(someOf(HAND_STATION, { max: MOST_STATIONS })),
  /** Whether it goes on round through the stations rather than back the way it came. */
  round: optional(trueOrFalse()),
});
/** How a movement’s hand is drawn, as far as its load does not say. */
export type HandPictureSpec = Of<typeof HAND_PICTURE>;

/** Settings that are drawn from what a level's load says: of which kind it has to be. */
const ASKS: Partial<Record<HandSetting, LoadKind>> = {
  planted: 'body',
  'planted, stepping': 'body',
  'turning a roller': 'roller',
  'curling on an edge': 'lift',
};
/** Whether a hand can be drawn in a setting under this load. @example fitsSetting('planted', { kind: 'rest', pressN: 0 }) → false */
export const fitsSetting = (setting: HandSetting, { kind }: LevelLoad): boolean => (ASKS[setting] ?? kind) === kind;

/** A setting that a level names and that its load cannot be drawn in. @returns faults with pointers from the level */
export function checkSetting({ hand, load }: { hand?: HandPictureSpec; load: LevelLoad }): Fault[] {
  if (!hand?.setting || fitsSetting(hand.setting, load)) return [];
  const message = `“${hand.setting}” is drawn from a load of the kind “${ASKS[hand.setting]}”, and this level’s is “${load.kind}”. Choose another hand position.`;
  return [{ pointer: '/hand/setting', message }];
}
