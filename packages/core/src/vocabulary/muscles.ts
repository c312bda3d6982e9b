import { type Action, OPPOSITES, PAIR_NAMES, type PairName } from './actions.js';
import { type Hand, HANDS } from './hands.js';

/** Muscle groups that loads and fatigue are kept for, on each side. */
export const MUSCLE_GROUPS = [
  'wrist flexors',
  'wrist extensors',
  'radial deviators',
  'ulnar deviators',
  'pronators',
  'supinators',
  'finger flexors',
  'finger extensors',
  'hand intrinsics',
  'thumb muscles',
  'elbow muscles',
  'shoulder girdle',
] as const;
/** The name of a muscle group. */
export type MuscleGroup = (typeof MUSCLE_GROUPS)[number];

/** A muscle group on a side, as one word: the key that courses and doses are kept under. */
export type SideGroup = `${Hand} ${MuscleGroup}`;
/** Every muscle group of either hand. */
export const SIDE_GROUPS = HANDS.flatMap((hand) => MUSCLE_GROUPS.map((group): SideGroup => `${hand} ${group}`));
/** What groups do, both hands together, in holds to failure. */
export type GroupDoses = Readonly<Partial<Record<MuscleGroup, number>>>;

/** A key taken apart. @example partsOf('left wrist flexors') → { hand: 'left', group: 'wrist flexors' } */
export const partsOf = (key: SideGroup): { hand: Hand; group: MuscleGroup } => {
  const hand: Hand = key.startsWith('left') ? 'left' : 'right';
  return { hand, group: key.slice(hand.length + 1) as MuscleGroup };
};

/** Which muscles bring an action. */
export const GROUP_OF: Record<Action, MuscleGroup> = {
  'wrist flexion': 'wrist flexors',
  'wrist extension': 'wrist extensors',
  'radial deviation': 'radial deviators',
  'ulnar deviation': 'ulnar deviators',
  pronation: 'pronators',
  supination: 'supinators',
  grip: 'finger flexors',
  pinch: 'thumb muscles',
  'MCP flexion': 'finger flexors',
  'finger extension': 'finger extensors',
  'elbow flexion': 'elbow muscles',
  'elbow extension': 'elbow muscles',
  'shoulder flexion': 'shoulder girdle',
};

/** Every group that an action tires as much: the fingers press against the thumb as hard as it against them. @example groupsOf('pinch') → ['thumb muscles', 'finger flexors'] */
export const groupsOf = (action: Action): readonly MuscleGroup[] =>
  action === 'pinch' ? [GROUP_OF.pinch, GROUP_OF.grip] : [GROUP_OF[action]];

/** The two muscle groups that bring a pair of opposite actions. @example pairOf('grip : opening') → ['finger flexors', 'finger extensors'] */
export function pairOf(name: PairName): readonly [MuscleGroup, MuscleGroup] {
  const [first, second] = OPPOSITES[name];
  return [GROUP_OF[first], GROUP_OF[second]];
}

/** The group that answers another; undefined where none is kept. @example oppositeGroup('pronators') → 'supinators' */
export function oppositeGroup(group: MuscleGroup): MuscleGroup | undefined {
  for (const [first, second] of PAIR_NAMES.map(pairOf)) {
    if (group === first) return second;
    if (group === second) return first;
  }
  return undefined;
}
