/** What the body does. */
export const POSTURES = [
  'standing',
  'seated',
  'all fours',
  'knees back',
  'plank',
  'pike',
  'side support',
  'reverse support',
  'incline',
  'wall handstand',
  'handstand',
  'kneeling',
  'forward fold',
  'lying',
  'hang',
] as const;
/** How the body is while a movement is done. */
export type Posture = (typeof POSTURES)[number];

/** Things a studio may or may not have in the room. */
export const EQUIPMENT = [
  'mat',
  'chair',
  'table',
  'wall',
  'bench',
  'soft ball',
  'firm ball',
  'light dumbbell',
  'stick',
  'finger band',
  'hand gripper',
  'plate',
  'towel',
  'bar',
  'putty',
  'weight',
  'lever',
  'wrist roller',
  'thick bar',
  'handles',
  'edge',
  'paper',
  'massage tool',
] as const;
/** Something that a movement needs. */
export type Equipment = (typeof EQUIPMENT)[number];

/** Where in the room a posture is done: getting from one place to another takes time. */
export const PLACES = ['standing', 'seated', 'floor', 'wall', 'bar'] as const;
/** Where a posture is taken: floor, chair, standing. */
export type Place = (typeof PLACES)[number];

/** The one table of places: the clock, the check on changes of position and the player all ask it. */
export const PLACE_OF: Record<Posture, Place> = {
  standing: 'standing',
  seated: 'seated',
  'all fours': 'floor',
  'knees back': 'floor',
  plank: 'floor',
  pike: 'floor',
  'side support': 'floor',
  'reverse support': 'floor',
  kneeling: 'floor',
  'forward fold': 'standing',
  lying: 'floor',
  incline: 'standing',
  'wall handstand': 'wall',
  handstand: 'floor',
  hang: 'bar',
};
