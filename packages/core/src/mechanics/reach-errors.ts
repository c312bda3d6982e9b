import type { LowerLink } from './lower-link.js';
import { PostureError, type SupportPosture } from '../model/posture.js';

/** Metres as centimetres, for messages. */
export const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

/** What the body rests on, for messages. */
export const supportName = ({ support }: SupportPosture) => (support === 'knees' ? 'knees' : 'feet');

/** The hands are further away than trunk and arms reach. */
export function tooFar(posture: SupportPosture, link: LowerLink, nearest: number, also = 'trunk and '): PostureError {
  const message = `The ${also}${link.called} are too short: the ${supportName(posture)} can be at most ${cm(nearest)} behind the hands.`;
  return new PostureError('distanceM', message, nearest);
}

/** The hands are nearer than the chain folds. */
export function tooNear(posture: SupportPosture, link: LowerLink, nearest: number): PostureError {
  const message = `The ${link.called} and trunk can’t fold that far: put the hands at least ${cm(nearest)} from the ${supportName(posture)}.`;
  return new PostureError('distanceM', message, nearest);
}

/** The hands are higher or lower than the chain reaches. */
export function tooHigh(posture: SupportPosture, link: LowerLink, rise: number, reach: number): PostureError {
  const raised = rise > 0 ? 'handHeightM' : 'supportHeightM';
  const height = posture[raised];
  const nearest = typeof height === 'number' ? Math.max(0, height - (Math.abs(rise) - reach)) : reach;
  const what = rise > 0 ? 'the hands' : `the ${supportName(posture)}`;
  const message = `The trunk and ${link.called} are too short (${cm(reach)}) for this height: lower ${what} to ${cm(nearest)}.`;
  return new PostureError(raised, message, nearest);
}
