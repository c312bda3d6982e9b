import { point, RAD } from '../mechanics/plane.js';
import { type Segments, segmentsOf } from '../mechanics/segments.js';
import type { Body } from '../model/body.js';
import { answerFor, type LevelLoad, type LoadKind, type LoadOf, type LoadTable } from '../model/load.js';
import type { Level, Movement } from '../model/movement.js';
import { handSaid } from '../model/level-shapes.js';
import type { Action } from '../vocabulary/actions.js';
import type { ArmHold } from '../vocabulary/hand-settings.js';
import type { HandView } from './figure-hand.js';
import { type ArmAngles, armFrom, type ArmPose, armTo, type BodyPose, type FreeStance, freeTrunk } from './pose.js';
import type { Figure, InHand, Prop } from './scene.js';

type FreeKind = Exclude<LoadKind, 'body'>;
type FreeLevel = Level & { readonly load: LoadOf<FreeKind> };
type Trunk = Omit<ReturnType<typeof freeTrunk>, 'leg' | 'farLeg'>;

/** Whose arms are drawn, with what, and where the rest of the body is. */
interface Scene {
  readonly body: Body;
  readonly segments: Segments;
  readonly stance: FreeStance;
  readonly trunk: Trunk;
  readonly movement: Movement;
  readonly level: FreeLevel;
  readonly hand: HandView;
}

/** Both arms at any moment, and the things that they reach for. */
interface Drawn {
  readonly arms: (share: number) => { readonly near: ArmPose; readonly far: ArmPose };
  readonly props: readonly Prop[];
}

/** An arm that hangs or is held out, in degrees. */
type Hung = Pick<ArmAngles, 'shoulderDeg' | 'elbowDeg'>;

/** Arms beside the body or in front of it. */
const ARMS = {
  hanging: { shoulderDeg: 4, elbowDeg: 8 },
  carrying: { shoulderDeg: 6, elbowDeg: 6 },
  inFront: { shoulderDeg: 82, elbowDeg: 5 },
  onThighs: { shoulderDeg: 30, elbowDeg: 50 },
  forearmsLevel: { shoulderDeg: 6, elbowDeg: 84 },
  /** One arm held out, so that the other hand can get hold of its fingers. */
  heldOut: { shoulderDeg: 55, elbowDeg: 8 },
  toWall: { shoulderDeg: 84, elbowDeg: 6 },
} as const satisfies Record<string, Hung>;

/** How far things hang below the grip, metres. */
const HANG = { hold: 0.16, roller: 0.55, usualLever: 0.3 };
/** What is lifted by each hold. */
const LIFTED = { bar: 'weight', edge: 'edge', pinch: 'block' } as const;
/** Bends of the elbow where a weight is curled, and pushed back behind the body; degrees. */
const CURL = { shoulderDeg: 4, fromDeg: 15, toDeg: 120 };
const PUSH_BACK = { shoulderDeg: -32, bentDeg: 100 };
/** A nerve’s glide and a raised arm: degrees of the shoulder, and of it per percent of reach. */
const GLIDE = { shoulderDeg: -25, bentDeg: 95 };
const RAISE = { fromDeg: 10, elbowDeg: 4, degPerPercent: 1.25, heldDegPerPercent: 0.92 };

/** What each kind of load has the arms do. */
const DRAWN: LoadTable<FreeKind, Drawn, [Scene]> = {
  hang: hanging,
  lift: ({ on }, scene) => ({ arms: both(scene, ARMS.carrying), props: [inHand(LIFTED[on], HANG.hold)] }),
  weight: turningWeight,
  roller: ({ arms }, scene) => ({
    arms: both(scene, arms === 'in front' ? ARMS.inFront : ARMS.onThighs),
    props: [inHand('roller', HANG.roller)],
  }),
  move: moving,
  press: (_, scene) => atRest(scene),
  resist: (_, scene) => atRest(scene),
  stretch: (_, scene) => atRest(scene),
  rest: (_, scene) => atRest(scene),
};

/** The picture of a movement that does not rest on the hands. */
export function freeFigure(body: Body, movement: Movement, level: FreeLevel, hand: HandView): Figure {
  const segments = segmentsOf(body);
  const stance = stanceOf(level);
  const { leg, farLeg, ...trunk } = freeTrunk(segments, stance, body.statureM);
  const { load } = level;
  const scene: Scene = { body, segments, stance, trunk, movement, level, hand };
  const { arms, props } = armsOf(scene);
  const held = { contact: level.contact, facing: level.facing, pitchDeg: 0 };
  const poseAt = (share: number): BodyPose => {
    const { near, far } = arms(share);
    const front = stance === 'lying' ? -1 : 1;
    return { ...trunk, front, near: { arm: near, leg }, far: { arm: far, leg: farLeg }, hand: held };
  };
  return {
    poseAt,
    props: stance === 'seated' ? [chair(scene), ...props] : props,
    hand,
    load: null,
    moves: hand.moves || isCurl(load) || load.kind === 'move',
  };
}

/** Arms as the level says, else as its load has them. */
function armsOf(scene: Scene): Drawn {
  const { movement, level, stance } = scene;
  const { arms } = handSaid(movement, level);
  if (stance === 'lying') return liftedUp(scene);
  const drawn = answerFor(DRAWN, level.load, scene);
  return arms ? { arms: bothAt((share) => HELD_ARMS[arms](scene, wristDegAt(scene, share))), props: drawn.props } : drawn;
}

/** An arm that is held out by its angles, and one that brings its hand to a place from the shoulder, metres. */
const angled = (hung: Hung) => (scene: Scene, wristDeg: number) => hungArm(scene, hung, wristDeg);
const brought =
  (aheadM: number, belowM: number, palmRad: number) =>
  ({ segments, trunk: { shoulder } }: Scene) =>
    armTo(segments, shoulder, point(shoulder.x + aheadM, shoulder.y - belowM), palmRad);
const HELD_ARMS: Readonly<Record<ArmHold, (scene: Scene, wristDeg: number) => ArmPose>> = {
  hanging: angled(ARMS.hanging),
  'behind the hips': angled({ shoulderDeg: -16, elbowDeg: 6 }),
  ahead: angled(ARMS.inFront),
  overhead: angled({ shoulderDeg: 168, elbowDeg: 12 }),
  'before the chest': brought(0.24, 0.14, 0.9),
  'at the ribs': brought(0.1, 0.24, -2.2),
  'to the feet': ({ segments, trunk: { shoulder, hip } }) =>
    armTo(segments, shoulder, point(hip.x + 0.2, segments.ankleHeightM * 0.6), -2.9),
};

function stanceOf({ posture, load }: FreeLevel): FreeStance {
  if (posture === 'forward fold') return 'folded';
  if (load.kind === 'hang') return load.feetPercentBW > 0 ? 'hanging, feet down' : 'hanging';
  if (posture === 'seated' || posture === 'lying') return posture;
  return 'standing';
}

const isCurl = (load: LevelLoad) => load.kind === 'weight' && (load.action === 'elbow flexion' || load.action === 'elbow extension');
const inHand = (thing: InHand['thing'], hang: number): InHand => ({ kind: 'in hand', thing, hang });
const armLengthM = ({ upperArm, forearm }: Segments) => upperArm.lengthM + forearm.lengthM;
const usesThing = ({ movement, level }: Scene, thing: (typeof movement.equipment)[number]) =>
  movement.equipment.includes(thing) || level.equipment.includes(thing);

/** How the wrist bends in the side view: palm up, extension points down. */
const wristDegAt = ({ hand }: Scene, share: number) => hand.at(share).wristDeg * (hand.palm === 'up' ? -1 : 1);

function bothAt(pose: (share: number) => ArmPose): Drawn['arms'] {
  return (share) => ({ near: pose(share), far: pose(share) });
}

/** Both arms held one way; the wrists move as the hand's close-up does. */
function both(scene: Scene, hung: Hung): Drawn['arms'] {
  return bothAt((share) => hungArm(scene, hung, wristDegAt(scene, share)));
}

const hungArm = ({ segments, trunk }: Scene, hung: Hung, wristDeg = 0) => armFrom(segments, trunk.shoulder, { ...hung, wristDeg });

/** How much of the arms' length reaches the bar, and how far in front of the shoulders it is. */
const BAR = { aheadM: 0.1, reach: 0.985, aboveWrist: 0.8 };

function hanging({ wristBendDeg, hands }: LoadOf<'hang'>, scene: Scene): Drawn {
  const { segments, trunk } = scene;
  const wrist = point(trunk.shoulder.x + BAR.aheadM, trunk.shoulder.y + armLengthM(segments) * BAR.reach);
  const hold = armTo(segments, trunk.shoulder, wrist, Math.PI / 2 - wristBendDeg * RAD);
  const far = hands === 2 ? hold : hungArm(scene, ARMS.hanging);
  const at = point(wrist.x, wrist.y + segments.hand.lengthM * BAR.aboveWrist);
  return { arms: () => ({ near: hold, far }), props: [{ kind: 'bar', at }] };
}

/** Lying, the hands are held above the chest. */
function liftedUp({ segments, trunk }: Scene): Drawn {
  const { shoulder } = trunk;
  const at = point(shoulder.x + 0.22, shoulder.y + armLengthM(segments) * 0.8);
  const up = armTo(segments, shoulder, at, Math.PI / 2);
  return { arms: () => ({ near: up, far: up }), props: [] };
}

function turningWeight(load: LoadOf<'weight'>, scene: Scene): Drawn {
  const { action, leverM = HANG.usualLever } = load;
  if (isCurl(load)) return { arms: curling(scene), props: [inHand('weight', 0)] };
  if (action === 'radial deviation') return { arms: both(scene, ARMS.hanging), props: [inHand('lever', leverM)] };
  if (action === 'ulnar deviation') return { arms: both(scene, ARMS.hanging), props: [inHand('lever', -leverM)] };
  return atRest(scene);
}

function curling(scene: Scene): Drawn['arms'] {
  const pushesBack = scene.movement.strokes[0] === 'straighten';
  const { shoulderDeg } = pushesBack ? PUSH_BACK : CURL;
  const elbowDeg = (share: number) => (pushesBack ? PUSH_BACK.bentDeg * (1 - share) : CURL.fromDeg + (CURL.toDeg - CURL.fromDeg) * share);
  return bothAt((share) => hungArm(scene, { shoulderDeg, elbowDeg: elbowDeg(share) }));
}

const ARM_ACTIONS: readonly Action[] = ['shoulder flexion', 'elbow flexion'];

/** Where the arm itself moves it does so; where it only carries a moving hand, it is held up. */
function moving({ actions, reachPercent }: LoadOf<'move'>, scene: Scene): Drawn {
  const raises = actions.includes('shoulder flexion');
  const armOnly = actions.every((action) => ARM_ACTIONS.includes(action));
  if (armOnly && actions.includes('elbow flexion')) {
    const { shoulderDeg, bentDeg } = GLIDE;
    return { arms: bothAt((share) => hungArm(scene, { shoulderDeg, elbowDeg: bentDeg * (1 - share) })), props: [] };
  }
  const { fromDeg, elbowDeg, degPerPercent, heldDegPerPercent } = RAISE;
  if (armOnly) {
    const farDeg = reachPercent * degPerPercent;
    const shoulderDeg = (share: number) => fromDeg + (farDeg - fromDeg) * share;
    return { arms: bothAt((share) => hungArm(scene, { shoulderDeg: shoulderDeg(share), elbowDeg })), props: [] };
  }
  if (raises) return { arms: both(scene, { shoulderDeg: reachPercent * heldDegPerPercent, elbowDeg }), props: [] };
  return atRest(scene);
}

/** Arms that only bring the hands to where they are seen and helped. */
function atRest(scene: Scene): Drawn {
  return scene.stance === 'seated' ? onTableOrThighs(scene) : inFrontOrAtWall(scene);
}

/** Where seated hands lie: heights over stature, lengths over the arm's or the thigh's; the rest in metres. */
const TABLE = { above: 0.16, thicknessM: 0.04, fromM: 0.22, overM: 0.26, reach: 0.5, aheadM: 0.1, wristAboveM: 0.025 };
const THIGHS = { along: 0.92, aboveM: 0.075 };
/** Where the helping hand takes hold, beyond the wrist, and how steeply it comes. */
const HELP_SEATED = { handLengths: 0.7, aboveM: 0.07, palmRad: -0.9 };
const HELP_STANDING = { aheadM: 0.05, aboveM: 0.06, palmRad: -0.7 };

function onTableOrThighs(scene: Scene): Drawn {
  const { segments, trunk, body, hand } = scene;
  const { hip, shoulder } = trunk;
  const onTable = usesThing(scene, 'table');
  const armM = armLengthM(segments);
  const topM = hip.y + TABLE.above * body.statureM;
  const at = onTable
    ? point(hip.x + TABLE.reach * armM + TABLE.aheadM, topM + TABLE.wristAboveM)
    : point(hip.x + segments.thigh.lengthM * THIGHS.along, hip.y + THIGHS.aboveM);
  const table: Prop = {
    kind: 'block',
    name: 'table',
    x: hip.x + TABLE.fromM,
    y: topM - TABLE.thicknessM,
    width: TABLE.overM + TABLE.reach * armM,
    height: TABLE.thicknessM,
  };
  const reach = point(at.x + segments.hand.lengthM * HELP_SEATED.handLengths, at.y + HELP_SEATED.aboveM);
  const helper = armTo(segments, shoulder, reach, HELP_SEATED.palmRad);
  const helps = hand.held === 'other hand' || hand.held === 'tool';
  return {
    props: onTable ? [table] : [],
    arms: (share) => {
      const near = armTo(segments, shoulder, at, wristDegAt(scene, share) * RAD);
      return { near, far: helps ? helper : near };
    },
  };
}

/** How many of the hand's lengths the wall is beyond the wrist. */
const WALL_BEYOND = 1.25;

function inFrontOrAtWall(scene: Scene): Drawn {
  const { segments, trunk, hand } = scene;
  const helps = hand.held === 'other hand';
  const leans = usesThing(scene, 'wall');
  const own = both(scene, leans ? ARMS.toWall : helps ? ARMS.heldOut : ARMS.forearmsLevel);
  const x = own(0).near.wrist.x + segments.hand.lengthM * WALL_BEYOND;
  return {
    props: leans ? [{ kind: 'wall', x, side: 1 }] : [],
    arms: (share) => {
      const { near } = own(share);
      const reach = point(near.wrist.x + HELP_STANDING.aheadM, near.wrist.y + HELP_STANDING.aboveM);
      return { near, far: helps ? armTo(segments, trunk.shoulder, reach, HELP_STANDING.palmRad) : near };
    },
  };
}

/** Height of a seat's top below the hips, over stature; where it begins behind them and its width, metres. */
const CHAIR = { below: 0.05, behindM: 0.24, widthM: 0.5 };

function chair({ trunk, body }: Scene): Prop {
  const { hip } = trunk;
  const height = hip.y - CHAIR.below * body.statureM;
  return { kind: 'block', name: 'chair', x: hip.x - CHAIR.behindM, y: 0, width: CHAIR.widthM, height };
}
