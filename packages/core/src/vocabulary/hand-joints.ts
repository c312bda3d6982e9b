import type { Limit } from './limit.js';

/** The four fingers, from the thumb's side. */
export const FINGER_NAMES = ['index', 'middle', 'ring', 'little'] as const;
/** One of the four fingers. */
export type FingerName = (typeof FINGER_NAMES)[number];

/** Degrees of a joint, in whole steps. */
const degrees = (min: number, max: number) => ({ min, max, step: 1, unit: '°' }) as const;

/**
 * The joints of a finger. Bending counts up, a straight finger is 0; `SpreadDeg` is the finger's own turn in the plane of the palm against the
 * line of the middle metacarpal, toward the thumb (+) or the little finger (−). Bounds are what help reaches: MCP 90–95° of flexion, with the
 * fingers eased back up to 70–90°; PIP 110°, DIP 80° (Kapandji 2007, The Physiology of the Joints I, 6th ed.).
 */
const fingerJoints = <F extends FingerName>(finger: F) =>
  ({
    [`${finger}SpreadDeg`]: degrees(-35, 30),
    [`${finger}McpDeg`]: degrees(-80, 100),
    [`${finger}PipDeg`]: degrees(-10, 115),
    [`${finger}DipDeg`]: degrees(-15, 85),
  }) as Record<`${F}${'SpreadDeg' | 'McpDeg' | 'PipDeg' | 'DipDeg'}`, Limit>;

/**
 * The joints of forearm, wrist, thumb and fingers, with how far they go with help, degrees.
 * Forearm and wrist: active range and its spread of Boone, Azen 1979, three standard deviations wide, and the gain with help. Thumb: radial and
 * palmar abduction at its root 60–70° from the index’s line and −15…50° out of the palm, MCP 60°, IP −20…80° (Kapandji 2007; AAOS 1965).
 */
export const HAND_JOINTS = {
  /** Palm up (+) or down (−) from the thumb up. */
  supinationDeg: degrees(-100, 105),
  wristExtensionDeg: degrees(-95, 95),
  wristRadialDeg: degrees(-55, 35),
  /** The thumb’s metacarpal away from the index, in the plane of the palm. */
  thumbRadialDeg: degrees(-15, 70),
  /** The thumb’s metacarpal out of the plane of the palm, in front of it. */
  thumbPalmarDeg: degrees(-15, 60),
  thumbMcpDeg: degrees(-15, 65),
  thumbIpDeg: degrees(-25, 85),
  ...fingerJoints('index'),
  ...fingerJoints('middle'),
  ...fingerJoints('ring'),
  ...fingerJoints('little'),
} as const satisfies Record<string, Limit>;

/** Palm down and palm up, as far as forearms turn with a little help of the shoulder; degrees of supination. */
export const PALM_DOWN_DEG = -85;
/** Palm up. */
export const PALM_UP_DEG = 85;

/** A joint of the hand by its name. */
export type HandJoint = keyof typeof HAND_JOINTS;
/** The names of the joints, forearm first. */
export const HAND_JOINT_NAMES = Object.keys(HAND_JOINTS) as HandJoint[];

/** A hand by the angles of its joints, degrees. */
export type HandPose = Readonly<Record<HandJoint, number>>;

/** What the joints of a finger are called. */
export const FINGER_JOINT_WORDS = {
  SpreadDeg: 'spread',
  McpDeg: 'knuckle',
  PipDeg: 'middle joint',
  DipDeg: 'end joint',
} as const;

/** What a joint is called in a sentence. @example handJointWords('ringPipDeg') → 'Ring finger, middle joint' */
export function handJointWords(joint: HandJoint): string {
  const own = OWN_WORDS[joint];
  if (own) return own;
  for (const finger of FINGER_NAMES) {
    for (const [ending, words] of Object.entries(FINGER_JOINT_WORDS)) {
      if (joint === `${finger}${ending}`) return `${finger[0]?.toUpperCase()}${finger.slice(1)} finger, ${words}`;
    }
  }
  return joint;
}

const OWN_WORDS: Partial<Record<HandJoint, string>> = {
  supinationDeg: 'Forearm, palm up (+) or down (−)',
  wristExtensionDeg: 'Wrist, bent back (+) or down (−)',
  wristRadialDeg: 'Wrist, to the thumb (+) or the little finger (−)',
  thumbRadialDeg: 'Thumb, away from the index',
  thumbPalmarDeg: 'Thumb, in front of the palm',
  thumbMcpDeg: 'Thumb, knuckle',
  thumbIpDeg: 'Thumb, end joint',
};
