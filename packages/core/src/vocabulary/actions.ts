/** Things that a hand or arm does with a measurable maximum, and the unit of it. Terms of anatomy: MCP are the knuckle joints. */
export const ACTIONS = {
  'wrist flexion': 'N·m',
  'wrist extension': 'N·m',
  'radial deviation': 'N·m',
  'ulnar deviation': 'N·m',
  pronation: 'N·m',
  supination: 'N·m',
  grip: 'N',
  pinch: 'N',
  'finger extension': 'N',
  'MCP flexion': 'N·m',
  'shoulder flexion': 'N·m',
  'elbow flexion': 'N·m',
  'elbow extension': 'N·m',
} as const;
/** The name of an action. */
export type Action = keyof typeof ACTIONS;
/** All actions, as they are listed. */
export const ACTION_NAMES = Object.keys(ACTIONS) as Action[];

/** Actions that oppose each other, the one stronger in daily life first; with the name of their balance. */
export const OPPOSITES = {
  'flexors : extensors': ['wrist flexion', 'wrist extension'],
  'grip : opening': ['grip', 'finger extension'],
  'radial : ulnar': ['radial deviation', 'ulnar deviation'],
  'pronators : supinators': ['pronation', 'supination'],
} as const satisfies Record<string, readonly [Action, Action]>;
/** The name of a pair of opposites. */
export type PairName = keyof typeof OPPOSITES;
/** The pairs of opposite actions, as they are listed. */
export const PAIR_NAMES = Object.keys(OPPOSITES) as PairName[];

/** The action that answers another; undefined where none is kept. @example oppositeAction('pronation') → 'supination' */
export function oppositeAction(action: Action): Action | undefined {
  for (const [first, second] of Object.values(OPPOSITES)) {
    if (action === first) return second;
    if (action === second) return first;
  }
  return undefined;
}
