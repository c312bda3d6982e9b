import { handLoad, type PostureLoad } from '../mechanics/hand-load.js';
import { segmentsOf } from '../mechanics/segments.js';
import { withField } from '../mechanics/vary.js';
import type { Body } from '../model/body.js';
import { PostureError, type SupportPosture } from '../model/posture.js';
import type { HandView } from './figure-hand.js';
import { type BodyPose, supportPose } from './pose.js';
import type { Figure, Prop } from './scene.js';

/** How the shoulders travel in a rock, for the picture. */
const ROCK_DEG = 14;
/** Lower than this nothing is drawn under hands or feet. */
const LOWEST_BLOCK_M = 0.02;
/** From this height on, what the hands stand on is a table. */
const TABLE_FROM_M = 0.6;
/** A bench or table under the hands: how far it reaches behind the wrists, and its width. */
const UNDER_HANDS = { behindM: 0.14, widthM: 0.6 };
/** A bench under knees or feet: how far it reaches behind what rests on it, and its width. */
const UNDER_FEET = { behindM: 0.35, widthM: 0.55 };

/** What a repetition does: its first stroke, and whether it goes to and fro. */
interface Way {
  readonly stroke: string;
  readonly rocks: boolean;
}

/** The picture of a posture on the hands as it stands: what the load bench shows. @throws as `handLoad` */
export function postureFigure(body: Body, posture: SupportPosture, hand: HandView): Figure {
  return supportFigure(body, posture, hand, { stroke: 'in', rocks: false });
}

/** The picture of a movement on the hands, whose end is this posture. @throws as `handLoad` */
export function supportFigure(body: Body, posture: SupportPosture, hand: HandView, way: Way): Figure {
  const segments = segmentsOf(body);
  const load = handLoad(body, posture);
  const start = startOf(body, posture, load, way);
  const poseAt = (share: number): BodyPose => {
    const now = start ? start(share) : posture;
    const at = share === 1 || !start ? load : handLoad(body, now);
    return supportPose(segments, now, at.joints, at.handPitchDeg);
  };
  return { poseAt, props: aroundSupport(posture, load), hand, load, moves: start !== null };
}

/**
 * Where a repetition on the hands begins: a lift from the flat palm, a press from straight arms, a rock with the shoulders further back.
 * A hold does not move.
 */
function startOf(
  body: Body,
  posture: SupportPosture,
  load: PostureLoad,
  { stroke, rocks }: Way,
): ((share: number) => SupportPosture) | null {
  if (posture.contact === 'raised palm') {
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
  if (stroke === 'lower' && posture.elbowBendDeg > 0) return between('elbowBendDeg', 0, posture.elbowBendDeg);
  if (rocks || stroke === 'lean') return between('leanDeg', load.leanDeg - ROCK_DEG, load.leanDeg);
  return null;
}

/** Benches, tables and walls are as high as the posture says. */
function aroundSupport(posture: SupportPosture, { joints, handHeightM }: PostureLoad): Prop[] {
  const props: Prop[] = [];
  const { wrist, contact } = joints;
  const { supportHeightM } = posture;
  const block = (name: string, atX: number, height: number, { behindM, widthM }: typeof UNDER_HANDS) =>
    props.push({ kind: 'block', name, x: atX - behindM, y: 0, width: widthM, height });

  if (posture.surface === 'wall') props.push({ kind: 'wall', x: 0, side: 1 });
  else if (handHeightM > LOWEST_BLOCK_M) {
    block(handHeightM > TABLE_FROM_M ? 'table' : 'bench', wrist.x, handHeightM, UNDER_HANDS);
  }
  if (posture.support === 'feet on wall') props.push({ kind: 'wall', x: contact.x, side: -1 });
  else if (posture.support !== 'none' && supportHeightM > LOWEST_BLOCK_M) {
    block('bench', contact.x, supportHeightM, UNDER_FEET);
  }
  return props;
}
