/**
 * What practitioners mean by a plain name that says no level: “plank” is one on hands and feet. Names of levels that stand in the line come first.
 * By name, the movement and the level.
 */
export const PLAIN_FORMS: Readonly<Record<string, readonly [movementId: string, levelId: string]>> = {
  plank: ['bearing.palm-support', 'plank'],
  'high plank': ['bearing.palm-support', 'plank'],
  'straight arm plank': ['bearing.palm-support', 'plank'],
  'all fours hold': ['bearing.palm-support', 'all-fours'],
  'forearm plank': ['bearing.forearm-support', 'plank'],
  'elbow plank': ['bearing.forearm-support', 'plank'],
  'side plank': ['bearing.side-support', 'feet'],
  'fist plank': ['bearing.fist-support', 'plank'],
  'knuckle plank': ['bearing.fist-support', 'plank'],
  'fingertip plank': ['bearing.fingertip-support', 'plank'],
  'push up': ['strength.low-press', 'low'],
  'press up': ['strength.low-press', 'low'],
  pushup: ['strength.low-press', 'low'],
  'knee push up': ['strength.low-press', 'knees'],
  'wall push up': ['strength.low-press', 'wall'],
  'down dog': ['bearing.pike-support', 'long'],
  'downward dog': ['bearing.pike-support', 'long'],
  'wall handstand': ['bearing.handstand', 'wall'],
  handstand: ['bearing.handstand', 'free'],
  'dead hang': ['hang.full', 'bar'],
  'bar hang': ['hang.full', 'bar'],
  hang: ['hang.full', 'bar'],
  'reverse plank': ['bearing.reverse-support', 'floor'],
  'incline plank': ['bearing.incline-support', 'bench'],
};
