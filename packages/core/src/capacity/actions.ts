/** Things that a hand does with a measurable maximum, and the unit of it. */
export const ACTIONS = {
  'wrist flexion': 'N·m',
  'wrist extension': 'N·m',
  'radial deviation': 'N·m',
  'ulnar deviation': 'N·m',
  pronation: 'N·m',
  supination: 'N·m',
  grip: 'N',
  'hand opening': 'N',
  'knuckle flexion': 'N·m',
  'shoulder lift': 'N·m',
  'elbow bend': 'N·m',
} as const;
export type Action = keyof typeof ACTIONS;
