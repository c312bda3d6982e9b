import { type HandPose, PALM_DOWN_DEG } from '../../vocabulary/hand-joints.js';
import { toDeg } from '../../mechanics/plane.js';
import type { PlacedHand } from './flesh.js';
import { freeHand } from './free-hand.js';
import { edgeGrip, ON_EDGE, USUAL_EDGE_MM } from './edges.js';
import { fingersOf, inHand } from './in-hand.js';
import { distanceToHand } from './helping.js';
import { rod, rodGrip, slab } from './holding.js';
import { type Maker, type Making, uses } from './making.js';
import { type HandMoment3d, movedMoment } from './moment.js';
import { SHAPE_POSES } from './shapes.js';
import { furthest } from './solving.js';
import { add, cross, lengthOf, times, type Turn, turnAbout, turned, UNTURNED, type Vec3, X, Y, Z } from './space.js';
import type { Thing } from './things.js';

/** How long a bar or an edge is drawn, metres. */
const LONG_M = 0.34;

/** A hand that hangs from a bar, a towel over a bar, or an edge. */
export function hanging(making: Making): Maker {
  const { load } = making.level;
  if (load.kind !== 'hang') throw new TypeError('a hanging hand needs a hang');
  const moment =
    load.on === 'edge'
      ? fromEdge(making, (load.edgeMm ?? USUAL_EDGE_MM) / 1000)
      : load.wristBendDeg > 0
        ? hookedOver(making, load.wristBendDeg, (load.handleMm ?? 30) / 2000)
        : uses(making, 'towel')
          ? fromTowel(making, (load.handleMm ?? 45) / 2000)
          : fromBar(making, (load.handleMm ?? 30) / 2000);
  return () => moment;
}

/** Hanging, the palm looks forward. */
const HUNG: Partial<HandPose> = { supinationDeg: PALM_DOWN_DEG, wristExtensionDeg: 0, wristRadialDeg: 0 };

/** Puts the middle of what is held at the origin. */
function centred(hand: PlacedHand, things: readonly Thing[], on: number): HandMoment3d {
  const at: Vec3 = things[on]?.placement.at ?? [0, 0, 0];
  return movedMoment({ at: [-at[0], -at[1], -at[2]], turn: UNTURNED }, { hands: [hand], things });
}

function fromBar({ skeleton }: Making, radiusM: number): HandMoment3d {
  const grip = rodGrip(skeleton, radiusM);
  const hand = freeHand({ ...grip.pose, ...HUNG }, 'up');
  const [bar] = inHand(skeleton, hand, [rod(grip.at, radiusM, LONG_M)]);
  const level = bar ? { ...bar, placement: { at: bar.placement.at, turn: turnAbout(Z, 90) } } : null;
  return centred(hand, level ? [level] : [], 0);
}

/** How a fist around a hanging towel is bent toward the little finger, degrees. */
const TOWEL_BEND_DEG = -26;
function fromTowel({ skeleton }: Making, radiusM: number): HandMoment3d {
  const grip = rodGrip(skeleton, radiusM, 'oblique');
  const bent = { supinationDeg: -20, wristExtensionDeg: 0, wristRadialDeg: TOWEL_BEND_DEG };
  const hand = freeHand(fingersOf(grip.pose, { ...grip.pose, ...bent }), 'up');
  const [towel] = inHand(skeleton, hand, [rod(grip.at, radiusM, 0.1, 'cloth')]);
  if (!towel) return { hands: [hand], things: [] };
  // Turned until the towel hangs straight down.
  const along = turned(towel.placement.turn, Y);
  const up: Vec3 = along[2] < 0 ? times(along, -1) : along;
  const upright = movedMoment({ at: [0, 0, 0], turn: uprightTurn(up) }, { hands: [hand], things: [towel] });
  const at: Vec3 = upright.things[0]?.placement.at ?? [0, 0, 0];
  const cloth = rod({ at: add(at, [0, 0, 0.04]), turn: turnAbout(X, 90) }, radiusM, 0.34, 'cloth');
  const bar = rod({ at: add(at, [0, 0, 0.22]), turn: turnAbout(Z, 90) }, 0.015, LONG_M);
  const [first] = upright.hands;
  return first ? centred(first, [cloth, bar], 0) : upright;
}
/** The shortest turn that brings a direction upright. */
function uprightTurn(up: Vec3): Turn {
  const axis = cross(up, Z);
  const sine = lengthOf(axis);
  return sine < 1e-6 ? UNTURNED : turnAbout(times(axis, 1 / sine), toDeg(Math.atan2(sine, up[2])));
}

/** The wrist hooked over a bar: the hand lies over it, the forearm hangs below. */
function hookedOver({ skeleton }: Making, bendDeg: number, radiusM: number): HandMoment3d {
  const pose: HandPose = { ...SHAPE_POSES.fist, ...HUNG, wristExtensionDeg: -bendDeg - 25 };
  const hand = freeHand(pose, 'up');
  const distanceTo = distanceToHand(skeleton, hand);
  const barAt = (share: number) => {
    const way = 0.16 * (1 - share);
    return rod({ at: [0, way, -0.012 - way * 0.35], turn: turnAbout(Z, 90) }, radiusM, LONG_M);
  };
  // Pushed into the bend of the wrist until it lies there.
  const points = Array.from({ length: 9 }, (_, i): Vec3 => [-0.06 + 0.015 * i, 0, 0]);
  const free = (share: number) => points.every((at) => distanceTo(add(barAt(share).placement.at, at)) > radiusM - 0.001);
  return centred(hand, [barAt(furthest(free, 24))], 0);
}

function fromEdge({ skeleton, level }: Making, deepM: number): HandMoment3d {
  const grip = level.load.kind === 'hang' ? (level.load.edgeGrip ?? 'open hand') : 'open hand';
  const { pose, edge } = edgeGrip(skeleton, deepM, ON_EDGE[grip]);
  const hand = freeHand(fingersOf(pose, { ...pose, ...HUNG }), 'up');
  const [x, y, z] = edge.placement.at;
  const board = slab({ at: [x, y + 0.02, z - deepM / 2 - 0.012], turn: UNTURNED }, [0.24, 0.13, 0.024], 'wood');
  const wide = slab(edge.placement, [0.2, 0.022, deepM], 'wood');
  return { hands: [hand], things: inHand(skeleton, hand, [wide, board]) };
}
