import { handLoad, type PostureLoad } from '../mechanics/hand-load.js';
import { withField } from '../mechanics/vary.js';
import type { Body } from '../model/body.js';
import type { Movement } from '../model/movement.js';
import { PostureError, type SupportPosture } from '../model/posture.js';

/** How the shoulders travel in a rock, for the picture. */
const ROCK_DEG = 14;
/** What a repetition does: its first stroke, and whether it goes to and fro. */
export interface Way {
  readonly stroke: string;
  readonly rocks: boolean;
}

/** What a repetition of a movement does. */
export const wayOf = ({ strokes, timed, family }: Pick<Movement, 'strokes' | 'timed' | 'family'>): Way => ({
  stroke: strokes[0],
  rocks: timed === 'bout' && family === 'planted-rocks',
});

/**
 * Where a repetition on the hands begins: a lift from the flat palm, a press from straight arms, a rock with the shoulders further back.
 * A hold does not move.
 */
export function postureCourse(
  body: Body,
  posture: SupportPosture,
  load: PostureLoad,
  { stroke, rocks }: Way,
): ((share: number) => SupportPosture) | null {
  const lowers = stroke === 'lower' && posture.elbowBendDeg > 0;
  if (posture.contact === 'raised palm' && !lowers) {
    return (share) => ({ ...posture, heelLiftDeg: posture.heelLiftDeg * share });
  }
  const between = (field: 'elbowBendDeg' | 'leanDeg', from: number, to: number) => {
    const at = (share: number) => withField(posture, load, field, from + (to - from) * share);
    try {
      for (const share of [0, 0.5]) handLoad(body, at(share));
      return at;
    } catch (error) {
      if (error instanceof PostureError) return null;
      throw error;
    }
  };
  if (lowers) return between('elbowBendDeg', 0, posture.elbowBendDeg);
  if (stroke === 'sit back') return between('leanDeg', load.leanDeg + ROCK_DEG, load.leanDeg);
  if (rocks || stroke === 'lean') return between('leanDeg', load.leanDeg - ROCK_DEG, load.leanDeg);
  return null;
}
