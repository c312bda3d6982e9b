import {
  type Body,
  type BodyPose,
  fingerLine,
  footOutline,
  HAND_SHAPES,
  type HandShape,
  headOutline,
  itemAt,
  limbOutline,
  type Point,
  segmentsOf,
  shortsOutline,
  trunkOutline,
} from '@clay-pot/core';
import { cm, smoothPath, taperPath } from './path.js';

/** Colours of the near and the far side. */
export const SKIN = { near: '#d5dbe0', far: '#a9b3bb' };
const CLOTH = { shirt: '#6a7883', shorts: '#3d4850', shortsFar: '#2f383f', hair: '#2b3238' };

interface Piece {
  readonly d: string;
  readonly fill: string;
}

interface Props {
  body: Body;
  pose: BodyPose;
  /** The hand's shape where it is free; planted hands follow from their contact. */
  shape: HandShape;
  palm: 'down' | 'up';
}

/** A person in side view, from the joints of a pose: far limbs, trunk and head, near limbs, each with one outline around it. */
export function BodyDrawing({ body, pose, shape, palm }: Props) {
  const { statureM, sex } = body;
  const outline = (points: readonly Point[]) => smoothPath(points.map(cm));
  const limbFront = pose.front || 1;
  const leg = (side: 'near' | 'far'): Piece[] => {
    const { knee, ankle, heel, ball, toe } = pose[side].leg;
    const skin = SKIN[side];
    const shorts = shortsOutline(sex, { shoulder: pose.shoulder, hip: pose.hip, knee }, statureM, pose.front);
    return [
      { d: outline(limbOutline('thigh', pose.hip, knee, statureM, limbFront)), fill: skin },
      { d: outline(limbOutline('shank', knee, ankle, statureM, limbFront)), fill: skin },
      { d: outline(footOutline(ankle, heel, ball, toe, statureM)), fill: skin },
      { d: outline(shorts.thigh), fill: side === 'near' ? CLOTH.shorts : CLOTH.shortsFar },
    ];
  };
  const arm = (side: 'near' | 'far'): Piece[] => {
    const { elbow, wrist } = pose[side].arm;
    const skin = SKIN[side];
    return [
      ...hand(body, pose, side, shape, palm),
      { d: outline(limbOutline('upperArm', pose.shoulder, elbow, statureM, limbFront)), fill: skin },
      { d: outline(limbOutline('forearm', elbow, wrist, statureM, limbFront)), fill: skin },
    ];
  };
  const { head, hair } = headOutline(pose.chin, pose.vertex, pose.front);
  const shorts = shortsOutline(sex, { shoulder: pose.shoulder, hip: pose.hip, knee: pose.near.leg.knee }, statureM, pose.front);
  return (
    <>
      <Layer pieces={leg('far')} />
      <Layer pieces={arm('far')} />
      <Layer
        pieces={[
          { d: outline(head), fill: SKIN.near },
          { d: outline(hair), fill: CLOTH.hair },
          { d: outline(trunkOutline(sex, pose.shoulder, pose.hip, statureM, pose.front)), fill: CLOTH.shirt },
          { d: outline(shorts.hips), fill: CLOTH.shorts },
        ]}
      />
      <Layer pieces={leg('near')} />
      <Layer pieces={[{ d: outline(shorts.hips), fill: CLOTH.shorts }]} bare />
      <Layer pieces={arm('near')} />
    </>
  );
}

/** Pieces that grow together: first all their edges, then all their faces, so that only the outer edge stays. */
export function Layer({ pieces, bare = false }: { pieces: readonly Piece[]; bare?: boolean }) {
  return (
    <>
      {!bare &&
        pieces.map(({ d }, index) => (
          <path
            key={`edge ${index}`}
            d={d}
            fill="none"
            stroke="#16191c"
            style={{ strokeWidth: 'var(--figure-line, 2.4px)' }}
            strokeLinejoin="round"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      {pieces.map(({ d, fill }, index) => (
        <path key={index} d={d} fill={fill} />
      ))}
    </>
  );
}

/** Hand of a figure: palm and fingers from the side, or end on where the fingers point at the viewer. */
function hand(body: Body, pose: BodyPose, side: 'near' | 'far', shape: HandShape, palm: 'down' | 'up'): Piece[] {
  const fill = SKIN[side];
  const segments = segmentsOf(body);
  const { wrist, palmRad } = pose[side].arm;
  const { contact, facing, pitchDeg } = pose.hand;
  const length = segments.hand.lengthM;
  const planted = contact !== 'none' && facing !== 'free';
  const across = planted && (facing === 'outward' || facing === 'inward') && contact !== 'fist' && contact !== 'handle';
  if (across) {
    // End on: the hand shows its width and, below the wrist, its thickness.
    const drop = contact === 'raised palm' ? 0.045 : 0.028;
    const under = { x: wrist.x, y: wrist.y - drop * 0.4 };
    return [
      { d: taperPath(cm(wrist), cm(under), 4, 5), fill },
      {
        d: taperPath(cm({ x: wrist.x - 0.032, y: under.y - 0.008 }), cm({ x: wrist.x + 0.032, y: under.y - 0.008 }), 2.4, 2.4),
        fill,
      },
    ];
  }
  const knuckle = { x: wrist.x + Math.cos(palmRad) * length, y: wrist.y + Math.sin(palmRad) * length };
  const [own, sense] = plantedShape(contact, facing, pitchDeg) ?? [shape, palm === 'up' ? 1 : -1];
  const fingers = fingerLine(knuckle, palmRad, segments.fingerM, own, sense).map(cm);
  const widths = [2.3, 1.9, 1.7, 1.4];
  const thumbRad = palmRad + sense * (0.6 - own.thumb * 0.1);
  const root = { x: wrist.x + Math.cos(palmRad) * length * 0.3, y: wrist.y + Math.sin(palmRad) * length * 0.3 };
  const tip = { x: root.x + Math.cos(thumbRad) * length * 0.72, y: root.y + Math.sin(thumbRad) * length * 0.72 };
  const flat = planted && contact !== 'fist' && contact !== 'fingertips';
  return [
    { d: taperPath(cm(wrist), cm(knuckle), 3.6, 2.7), fill },
    ...fingers.slice(1).map((to, index) => ({
      d: taperPath(itemAt(fingers, index), to, itemAt(widths, index), itemAt(widths, index + 1)),
      fill,
    })),
    ...(flat ? [] : [{ d: taperPath(cm(root), cm(tip), 2.1, 1.6), fill }]),
  ];
}

/** What a planted hand's fingers do, and to which side they bend; null for a hand in the air. */
function plantedShape(contact: string, facing: string, pitchDeg: number): [HandShape, 1 | -1] | null {
  if (facing === 'free') return null;
  const sense = facing === 'backward' ? 1 : -1;
  const flat = { ...HAND_SHAPES.spread, knuckleDeg: 0 };
  switch (contact) {
    case 'open palm':
    case 'raised palm':
      return [{ ...flat, knuckleDeg: -pitchDeg }, sense];
    case 'fingertips':
      return [{ ...flat, knuckleDeg: -10, middleDeg: 8, endDeg: 8 }, sense];
    case 'back of hand':
      return [flat, sense === 1 ? -1 : 1];
    case 'fist':
      return [HAND_SHAPES.fist, -1];
    case 'handle':
    case 'edge':
      return [HAND_SHAPES['around a bar'], -1];
    default:
      return null;
  }
}
