/** The form checklist of a planted hand, as the faults that a coach looks for while watching. */
export const FORM = {
  knuckle: 'Index knuckle lifts',
  shoulders: 'Shoulders creep up toward the ears',
  pads: 'Finger pads stop pressing and the hand slips',
  elbows: 'Elbows give way',
  breath: 'Held breath',
  shake: 'Growing shake',
  fingers: 'Fingers slide together',
} as const;

/** Faults that are named everywhere, whatever the movement (practice: caution). */
export const FAULTS_EVERYWHERE = [FORM.breath, 'Racing'] as const;
