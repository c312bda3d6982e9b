import { handLoad, type PostureLoad } from '../mechanics/hand-load.js';
import { point, RAD } from '../mechanics/plane.js';
import { type Segments, segmentsOf } from '../mechanics/segments.js';
import type { Body } from '../model/body.js';
import type { SupportPosture } from '../model/posture.js';
import type { HandView } from './figure-hand.js';
import { type BodyPose, supportPose } from './pose.js';
import { postureCourse, type Way } from './posture-course.js';
import type { Figure, Prop } from './scene.js';

/** Lower than this nothing is drawn under hands or feet. */
const LOWEST_BLOCK_M = 0.02;
/** From this height on, what the hands stand on is a table. */
const TABLE_FROM_M = 0.6;
/** A bench or table under the hands: how far it reaches behind the wrists, and its width. */
const UNDER_HANDS = { behindM: 0.14, widthM: 0.6 };
/** A bench under knees or feet: how far it reaches behind what rests on it, and its width. */
const UNDER_FEET = { behindM: 0.35, widthM: 0.55 };

/** The picture of a posture on the hands: what the load bench shows. @throws as `handLoad` */
export function postureFigure(body: Body, posture: SupportPosture, hand: HandView): Figure {
  return supportFigure(body, posture, hand, { stroke: 'in', rocks: false });
}

/** The picture of a movement on the hands, whose end is this posture. @throws as `handLoad` */
export function supportFigure(body: Body, posture: SupportPosture, hand: HandView, way: Way): Figure {
  const segments = segmentsOf(body);
  const load = handLoad(body, posture);
  const start = postureCourse(body, posture, load, way);
  const poseAt = (share: number): BodyPose => {
    const now = start ? start(share) : posture;
    const at = share === 1 || !start ? load : handLoad(body, now);
    return supportPose(segments, now, at.joints, at.handPitchDeg);
  };
  return {
    poseAt,
    props: [...aroundSupport(posture, load), ...underHeel(segments, posture, load)],
    hand,
    load,
    moves: start !== null,
  };
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

/** A wedge from behind the wrist to before the knuckles: shares of the hand's length. */
const WEDGE = { behind: 0.15, ahead: 0.8 };

/** The wedge under the heels of the hands; turned fingers show it from its thick end. */
function underHeel(
  { hand: { lengthM } }: Segments,
  { wedgeDeg = 0, facing, surface }: SupportPosture,
  { joints: { wrist }, handHeightM }: PostureLoad,
): Prop[] {
  if (wedgeDeg === 0) return [];
  const highM = Math.sin(wedgeDeg * RAD) * (WEDGE.behind + WEDGE.ahead) * lengthM;
  const [from, to] = [-WEDGE.behind * lengthM, WEDGE.ahead * lengthM * (facing === 'forward' || facing === 'backward' ? 1 : 0.4)];
  if (surface === 'wall') {
    return [{ kind: 'wedge', corners: [point(0, wrist.y + from), point(0, wrist.y + to), point(-highM, wrist.y + from)] }];
  }
  const sense = facing === 'backward' ? -1 : 1;
  const at = (along: number, up: number) => point(wrist.x + sense * along, handHeightM + up);
  return [{ kind: 'wedge', corners: [at(from, 0), at(to, 0), at(from, highM)] }];
}
