import { handLoad, type PostureLoad } from '../mechanics/hand-load.js';
import { point, type Point } from '../mechanics/plane.js';
import { segmentsOf } from '../mechanics/segments.js';
import { withField } from '../mechanics/vary.js';
import type { Body } from '../model/body.js';
import type { Level, Movement } from '../model/movement.js';
import { PostureError, type SupportPosture } from '../model/posture.js';
import { handView, type HandView } from './figure-hand.js';
import { armFrom, type ArmPose, armTo, type BodyPose, type FreeStance, freeTrunk, supportPose } from './pose.js';

/** Things around the body, in the drawing's metres. */
export type Prop =
  | {
      readonly kind: 'block';
      readonly name: string;
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    }
  | { readonly kind: 'wall'; readonly x: number; readonly side: 1 | -1 }
  | { readonly kind: 'bar'; readonly at: Point }
  | {
      readonly kind: 'in hand';
      readonly thing: 'weight' | 'lever' | 'block' | 'edge' | 'ball' | 'roller';
      readonly hang: number;
    };

/** A movement at a level as a picture: the body at any moment between start (0) and end (1), what is around it, and the hand close up. */
export interface Figure {
  readonly poseAt: (share: number) => BodyPose;
  readonly props: readonly Prop[];
  readonly hand: HandView;
  /** The posture that the load is computed from, when the body rests on the hands. */
  readonly load: PostureLoad | null;
  readonly moves: boolean;
}

/** @throws as `handLoad`, when this body cannot take the posture. */
export function figureOf(body: Body, movement: Movement, level: Level): Figure {
  const hand = handView(movement, level);
  if (level.load.kind === 'body') {
    const { contact, facing } = level;
    return supportFigure(
      body,
      { ...level.load.stance, contact, facing },
      hand,
      movement.strokes[0],
      movement.timed === 'bout',
    );
  }
  return freeFigure(body, movement, level, hand);
}

/** The picture of a posture on the hands as it stands: what the bench shows. */
export function postureFigure(body: Body, posture: SupportPosture, hand: HandView): Figure {
  return supportFigure(body, posture, hand, 'in', false);
}

function supportFigure(body: Body, posture: SupportPosture, hand: HandView, stroke: string, rocks: boolean): Figure {
  const segments = segmentsOf(body);
  const load = handLoad(body, posture);
  const start = startOf(body, posture, load, stroke, rocks);
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
  stroke: string,
  rocks: boolean,
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
/** How far the shoulders travel in a rock, for the picture. */
const ROCK_DEG = 14;

/** Benches, tables and walls are as high as the posture says. */
function aroundSupport(posture: SupportPosture, { joints }: PostureLoad): Prop[] {
  const props: Prop[] = [];
  const { wrist, contact } = joints;
  if (posture.surface === 'wall') props.push({ kind: 'wall', x: 0, side: 1 });
  else if (posture.handHeightM > 0.02) {
    props.push({
      kind: 'block',
      name: posture.handHeightM > 0.6 ? 'table' : 'bench',
      x: wrist.x - 0.14,
      y: 0,
      width: 0.6,
      height: posture.handHeightM,
    });
  }
  if (posture.support === 'feet on wall') props.push({ kind: 'wall', x: contact.x, side: -1 });
  else if (posture.supportHeightM > 0.02 && posture.support !== 'none') {
    props.push({
      kind: 'block',
      name: 'bench',
      x: contact.x - 0.35,
      y: 0,
      width: 0.55,
      height: posture.supportHeightM,
    });
  }
  return props;
}

function freeFigure(body: Body, movement: Movement, level: Level, hand: HandView): Figure {
  const segments = segmentsOf(body);
  const { load } = level;
  const things = [...movement.equipment, ...level.equipment];
  const stance = stanceOf(level);
  const { leg, farLeg, ...trunk } = freeTrunk(segments, stance, body.statureM);
  const props: Prop[] = [];
  const { shoulder, hip } = trunk;
  const arm = segments.upperArm.lengthM + segments.forearm.lengthM;
  let arms: (share: number) => { near: ArmPose; far: ArmPose };

  const same = (pose: (share: number) => ArmPose) => (share: number) => ({ near: pose(share), far: pose(share) });
  const wristDeg = (share: number) => hand.at(share).wristDeg * (hand.palm === 'up' ? -1 : 1);
  const free = (shoulderDeg: number, elbowDeg: number) =>
    same((share) => armFrom(segments, shoulder, { shoulderDeg, elbowDeg, wristDeg: wristDeg(share) }));

  if (stance === 'seated')
    props.push({
      kind: 'block',
      name: 'chair',
      x: hip.x - 0.24,
      y: 0,
      width: 0.5,
      height: hip.y - 0.05 * body.statureM,
    });

  if (load.kind === 'hang') {
    const bar = point(shoulder.x + 0.1, shoulder.y + arm * 0.985);
    props.push({ kind: 'bar', at: point(bar.x, bar.y + segments.hand.lengthM * 0.8) });
    const hold = armTo(segments, shoulder, bar, Math.PI / 2 - (load.wristBendDeg * Math.PI) / 180);
    const idle = armFrom(segments, shoulder, { shoulderDeg: 4, elbowDeg: 8, wristDeg: 0 });
    arms = () => ({ near: hold, far: load.hands === 2 ? hold : idle });
  } else if (stance === 'lying') {
    const up = armTo(segments, shoulder, point(shoulder.x + 0.22, shoulder.y + arm * 0.8), Math.PI / 2);
    arms = () => ({ near: up, far: up });
  } else if (load.kind === 'lift') {
    props.push({
      kind: 'in hand',
      thing: load.on === 'pinch' ? 'block' : load.on === 'edge' ? 'edge' : 'weight',
      hang: 0.16,
    });
    arms = free(6, 6);
  } else if (load.kind === 'weight' && (load.action === 'radial deviation' || load.action === 'ulnar deviation')) {
    props.push({
      kind: 'in hand',
      thing: 'lever',
      hang: load.action === 'radial deviation' ? (load.leverM ?? 0.3) : -(load.leverM ?? 0.3),
    });
    arms = free(4, 8);
  } else if (load.kind === 'weight' && load.action === 'elbow flexion') {
    props.push({ kind: 'in hand', thing: 'weight', hang: 0 });
    const pushesBack = movement.strokes[0] === 'straighten';
    arms = same((share) =>
      armFrom(segments, shoulder, {
        shoulderDeg: pushesBack ? -32 : 4,
        elbowDeg: pushesBack ? 100 * (1 - share) : 15 + 105 * share,
        wristDeg: 0,
      }),
    );
  } else if (load.kind === 'roller') {
    props.push({ kind: 'in hand', thing: 'roller', hang: 0.55 });
    arms = load.arms === 'in front' ? free(82, 5) : free(30, 50);
  } else if (
    load.kind === 'move' &&
    load.actions.every((action) => action === 'shoulder flexion' || action === 'elbow flexion')
  ) {
    const far = load.reachPercent * 1.25;
    arms = load.actions.includes('elbow flexion')
      ? same((share) => armFrom(segments, shoulder, { shoulderDeg: -25, elbowDeg: 95 * (1 - share), wristDeg: 0 }))
      : same((share) =>
          armFrom(segments, shoulder, { shoulderDeg: 10 + (far - 10) * share, elbowDeg: 4, wristDeg: 0 }),
        );
  } else if (load.kind === 'move' && load.actions.includes('shoulder flexion')) {
    arms = free(load.reachPercent * 0.92, 4);
  } else if (stance === 'seated') {
    const onTable = things.includes('table');
    const top = hip.y + 0.16 * body.statureM;
    const at = onTable
      ? point(hip.x + 0.5 * arm + 0.1, top + 0.025)
      : point(hip.x + segments.thigh.lengthM * 0.92, hip.y + 0.075);
    if (onTable)
      props.push({
        kind: 'block',
        name: 'table',
        x: hip.x + 0.22,
        y: top - 0.04,
        width: 0.26 + 0.5 * arm,
        height: 0.04,
      });
    const helps = hand.held === 'other hand' || hand.held === 'tool';
    arms = (share) => {
      const near = armTo(segments, shoulder, at, (wristDeg(share) * Math.PI) / 180);
      const reach = point(at.x + segments.hand.lengthM * 0.7, at.y + 0.07);
      return { near, far: helps ? armTo(segments, shoulder, reach, -0.9) : near };
    };
  } else {
    const helps = hand.held === 'other hand';
    const leans = things.includes('wall');
    const own = leans ? free(84, 6) : free(helps ? 55 : 6, helps ? 8 : 84);
    if (leans) props.push({ kind: 'wall', x: own(0).near.wrist.x + segments.hand.lengthM * 1.25, side: 1 });
    arms = (share) => {
      const { near } = own(share);
      const reach = point(near.wrist.x + 0.05, near.wrist.y + 0.06);
      return { near, far: helps ? armTo(segments, shoulder, reach, -0.7) : near };
    };
  }
  const held = { contact: level.contact, facing: level.facing, pitchDeg: 0 };
  const poseAt = (share: number): BodyPose => {
    const { near, far } = arms(share);
    const front = stance === 'lying' ? -1 : 1;
    return { ...trunk, front, near: { arm: near, leg }, far: { arm: far, leg: farLeg }, hand: held };
  };
  const moves = hand.moves || (load.kind === 'weight' && load.action === 'elbow flexion') || load.kind === 'move';
  return { poseAt, props, hand, load: null, moves };
}

function stanceOf({ posture, load }: Level): FreeStance {
  if (load.kind === 'hang') return load.feetPercentBW > 0 ? 'hanging, feet down' : 'hanging';
  if (posture === 'seated' || posture === 'lying') return posture;
  return 'standing';
}
