/**
 * Where a hand is and what is around it in its picture: free, planted, helped by the other hand at a place, both hands together, holding something.
 * What a level does not name follows from its load and its things.
 */
export const HAND_SETTINGS = [
  'forearm ahead',
  'forearm on a table',
  'forearm hanging',
  'forearm raised',
  'on the thigh',
  'planted',
  'planted, fingers in turn',
  'planted, fingers in pairs',
  'planted, stepping',
  'planted, from fist to back',
  'planted, from palm to fingertips',
  'on a wall',
  'on a wall, fingers down',
  'on a table',
  'on a table, fingers back',
  'on a ball',
  'in water',
  'gathering',
  'helped at the fingers',
  'helped at the back',
  'helped at the thumb side',
  'helped at the little side',
  'helped at one finger',
  'helped at the thumb',
  'helped at the forearm',
  'helped around the fingers',
  'helped between the fingers',
  'helped by two between the fingers',
  'stroked along the forearm',
  'palms together',
  'palms together, fingers tipped',
  'palms together, fingers down',
  'palms together, fingers back',
  'backs together',
  'fingertips together',
  'fingertips together, shifted',
  'fingertips together, rolling',
  'on the ribs',
  'under the foot',
  'interlaced',
  'hooked together',
  'twisting a towel',
  'turning a roller',
  'opening a band',
  'opening two bands',
  'pinching putty',
  'curling on an edge',
  'on the open palm',
  'holding',
] as const;
/** Where a hand is and what is around it. */
export type HandSetting = (typeof HAND_SETTINGS)[number];

/** What the other hand does while one is planted: the same, standing there with its fingers forward, or nothing there. */
export const OTHER_HANDS = ['the same', 'fingers forward', 'away'] as const;
/** What the other hand does while one is planted. */
export type OtherHandDoes = (typeof OTHER_HANDS)[number];

/** From where a hand is looked at: toward its thumb side, its back, its palm … */
export const HAND_VIEWS = [
  'thumb side',
  'thumb side, from above',
  'thumb side, from behind',
  'from behind',
  'little-finger side',
  'from above',
  'from below',
  'from the fingertips',
  'from the fingertips, above',
  'as one sees it',
  'facing',
] as const;
/** From where a hand is looked at. */
export type HandViewName = (typeof HAND_VIEWS)[number];

/** How the arms are held in a body’s picture, where it does not follow from what is done. */
export const ARM_HOLDS = ['hanging', 'behind the hips', 'ahead', 'overhead', 'before the chest', 'at the ribs', 'to the feet'] as const;
/** How the arms are held. */
export type ArmHold = (typeof ARM_HOLDS)[number];
