import { handLoad } from '../../mechanics/hand-load.js';
import type { Body } from '../../model/body.js';
import type { LevelLoad } from '../../model/load.js';
import { handSaid } from '../../model/level-shapes.js';
import type { Level, Movement } from '../../model/movement.js';
import type { SupportPosture } from '../../model/posture.js';
import type { HandSetting, OtherHandDoes } from '../../vocabulary/hand-settings.js';

import { postureCourse, wayOf } from '../posture-course.js';
import { type Beat, type Course, courseOf, fingerOnTurn, outShare, saysNothing } from './course.js';
import { edgeCurl } from './edges.js';
import { free, overTheEdge, freeHand, LYING, thighUnder } from './free-hand.js';
import { fingersInTurn, onTable, planted } from './planted-hand.js';
import { hanging } from './hanging.js';
import { helped, type HelpSetting, stroked, wedged } from './helped.js';
import { holding } from './held.js';
import type { Maker, Making } from './making.js';
import { type HandMoment3d, mirroredMoment, momentBetween } from './moment.js';
import { onRibs, underFoot } from './on-body.js';
import { fingersBentBack, fingertipsTogether, hooked, interlaced, meeting, rollerTurn, towelTwist } from './pairs.js';
import { fistToBack, gathering, inWater, onBall, palmToFingertips, stepping, tableFingersBack, wallFingersDown } from './planted-moves.js';
import { type Push, pushIn } from './pushing.js';
import { settingOf, viewOf } from './setting-of.js';
import { SHAPE_POSES } from './shapes.js';
import { handSizeOf, type Skeleton, skeletonOf } from './skeleton.js';
import { bandOpening, fistOnWall, onOpenPalm, puttyPinch } from './small-things.js';
import { VIEW_POINTS, type ViewPoint } from './views.js';
import type { Hand } from '../../vocabulary/hands.js';

/** A level's hand in space, at any moment of a repetition. */
export interface HandPicture {
  readonly skeleton: Skeleton;
  /** Hands and things as `side` does it; of a movement of both hands, seen from that side. */
  readonly at: (beat: Beat, side: Hand) => HandMoment3d;
  /** From where it reads best, for a right hand; a left hand’s is its mirror. */
  readonly view: ViewPoint;
  readonly moves: boolean;
  /** Whether it goes on round rather than back the way it came. */
  readonly round: boolean;
  /** The moment that a still picture shows. */
  readonly still: Beat;
  /** Without a description of the hand a neutral one is drawn. */
  readonly unposed: boolean;
  /** What the picture is about: the hand, or the body that it carries. */
  readonly about: 'hand' | 'body';
  /** Whether the body is drawn too: the hand carries it, or the arms’ position matters. */
  readonly withBody: boolean;
  /** Whether the hand is on a surface, so that a view from below is useful. */
  readonly planted: boolean;
  /** The press of a level that does not move. */
  readonly push: Push | null;
  /** How much of the forearm belongs into the picture, metres from the wrist, where it is not the usual. */
  readonly forearmM?: number;
}

const kept = new WeakMap<Body, WeakMap<Level, HandPicture>>();
/** A level's hand as this body does it; kept by body and level. @throws as `handLoad`, when this body cannot take the posture. */
export function handPictureOf(body: Body, movement: Movement, level: Level): HandPicture {
  const mine = kept.get(body) ?? new WeakMap<Level, HandPicture>();
  kept.set(body, mine);
  const cached = mine.get(level);
  if (cached) return cached;
  const made = makePicture(body, movement, level);
  mine.set(level, made);
  return made;
}

/** Moments that are worked out between two stations; what lies between is on the way from one to the next. */
const BETWEEN_STATIONS = 4;

function makePicture(body: Body, movement: Movement, level: Level): HandPicture {
  const skeleton = skeletonOf(handSizeOf(body));
  const course = courseOf(skeleton, movement, level);
  const { loadAt, moves: bodyMoves } = bodyCourse(body, movement, level);
  const making: Making = { skeleton, body, movement, level, course, loadAt, other: otherIn(movement, level) };
  const setting = settingOf(movement, level);
  // Some are worked out when they are made: not before a picture is wanted.
  let made: Maker | undefined;
  const maker: Maker = (beat) => (made ??= MAKERS[setting](making))(beat);
  const { moves, steps, wholeWay } = motionOf(setting, course, bodyMoves || isSqueezed(movement, level, setting));
  const at = sampled(maker, steps, wholeWay);
  const about = aboutBody(movement) || level.posture === 'forward fold' ? 'body' : 'hand';
  const isPlanted = level.load.kind === 'body' && level.contact !== 'none';
  return {
    skeleton,
    at: (beat, side) => (side === 'right' ? at(beat) : mirroredMoment(at(beat))),
    view: VIEW_POINTS[viewOf(movement, level, setting)],
    moves,
    round: course.round,
    still: { phase: inTurn(setting) ? 0.6 : course.round ? 0 : 1, turn: 0 },
    unposed: saysNothing(movement, level),
    about,
    withBody: about === 'body' || isPlanted || handSaid(movement, level).arms !== undefined,
    planted: isPlanted,
    push: moves ? null : pushIn(movement, level),
  };
}

const inTurn = (setting: HandSetting) => setting === 'planted, fingers in turn' || setting === 'planted, fingers in pairs';

/** Whether a picture moves, at how many moments it is worked out, and whether over the way out or the whole way round. */
function motionOf(setting: HandSetting, { moves: ownWay, round, stations }: Course, alsoMoves: boolean) {
  const moves = ownWay || MOVING.includes(setting) || alsoMoves;
  const wholeWay = round || inTurn(setting) || setting === 'planted, stepping';
  const perWay = Math.max(1, stations - (round ? 0 : 1)) * BETWEEN_STATIONS;
  return { moves, wholeWay, steps: inTurn(setting) ? 20 : moves ? perWay : 0 };
}

/** The hand of a posture, for a bench on which it is changed. @throws as `handLoad` */
export function postureHand(body: Body, posture: SupportPosture): HandPicture {
  const skeleton = skeletonOf(handSizeOf(body));
  const { contact, facing, ...stance } = posture;
  const load = handLoad(body, posture);
  const level = {
    name: '',
    posture: 'all fours',
    contact,
    facing,
    equipment: [],
    load: { kind: 'body', stance },
  } as const;
  const course = { poseAt: () => SHAPE_POSES.open, moves: false, round: false, stations: 1 };
  const maker = planted({
    skeleton,
    body,
    movement: { id: '', equipment: [] },
    level,
    course,
    other: 'the same',
    loadAt: () => load,
  });
  const at = sampled(maker, 0, false);
  return {
    skeleton,
    at: (beat, side) => (side === 'right' ? at(beat) : mirroredMoment(at(beat))),
    view: VIEW_POINTS['thumb side'],
    ...{ moves: false, round: false, unposed: false },
    ...{ still: { phase: 1, turn: 0 }, about: 'hand', withBody: true, planted: contact !== 'none', push: null },
  };
}

/** Computes a picture at so many moments of the movement (one way, or the whole way round) and interpolates between them; a still picture is computed once. */
function sampled(maker: Maker, steps: number, wholeWay: boolean): (beat: Beat) => HandMoment3d {
  const moments = new Map<string, HandMoment3d>();
  const moment = (step: number, turn: number) => {
    const key = `${fingerOnTurn(turn)} ${step}`;
    const cached = moments.get(key);
    if (cached) return cached;
    const made = maker({ phase: steps === 0 ? 1 : (step / steps) * (wholeWay ? 2 : 1), turn });
    moments.set(key, made);
    return made;
  };
  return ({ phase, turn }) => {
    if (steps === 0) return moment(0, turn);
    const out = wholeWay ? phase / 2 : outShare({ phase });
    const way = Math.max(0, Math.min(1, out)) * steps;
    const from = Math.min(steps - 1, Math.floor(way));
    return momentBetween(moment(from, turn), moment(from + 1, turn), way - from);
  };
}

/** Loads along a repetition, where the body rests on its hands, and whether it moves over them. */
function bodyCourse(body: Body, movement: Movement, { load, contact, facing }: Level): Pick<Making, 'loadAt'> & { moves: boolean } {
  if (load.kind !== 'body') return { loadAt: null, moves: false };
  const posture = { ...load.stance, contact, facing };
  const end = handLoad(body, posture);
  const way = postureCourse(body, posture, end, wayOf(movement));
  return { loadAt: (share) => (way && share < 1 ? handLoad(body, way(share)) : end), moves: way !== null };
}

/** Movements of which the hand only carries: shoulders and elbows do the work. */
const aboutBody = ({ family, motions }: Movement) =>
  family === 'bearing-holds' || family === 'neighbours' || motions[0] === 'shoulder support';

/** Settings that move whatever the course says. */
const MOVING: readonly HandSetting[] = [
  'planted, fingers in turn',
  'planted, fingers in pairs',
  'planted, stepping',
  'planted, from fist to back',
  'planted, from palm to fingertips',
  'gathering',
  'on a ball',
  'stroked along the forearm',
  'helped between the fingers',
  'helped by two between the fingers',
  'pinching putty',
  'curling on an edge',
  'palms together, fingers back',
  'fingertips together',
  'fingertips together, shifted',
  'fingertips together, rolling',
  'on the ribs',
];

/** Whether a ball or putty gives way in the hand. */
const isSqueezed = (movement: Movement, { load, contact, equipment }: Level, setting: HandSetting) =>
  setting === 'holding' &&
  (load.kind === 'press' || load.kind === 'resist') &&
  (contact === 'ball' || [...movement.equipment, ...equipment].includes('putty'));

const helpedAt = (setting: HelpSetting) => (making: Making) => helped(setting, making);
const onThigh =
  ({ course }: Making): Maker =>
  (beat) => ({ hands: [freeHand(course.poseAt(beat), 'ahead', LYING)], things: [thighUnder()] });
const MAKERS: Readonly<Record<HandSetting, (making: Making) => Maker>> = {
  'forearm ahead': free('ahead'),
  'forearm on a table': overTheEdge,
  'forearm hanging': free('down'),
  'forearm raised': free('up'),
  'on the thigh': onThigh,
  planted,
  'planted, fingers in turn': fingersInTurn(false),
  'planted, fingers in pairs': fingersInTurn(true),
  'planted, stepping': stepping,
  'planted, from fist to back': fistToBack,
  'planted, from palm to fingertips': palmToFingertips,
  'on a wall': fistOnWall,
  'on a wall, fingers down': wallFingersDown,
  'on a table': onTable,
  'on a table, fingers back': tableFingersBack,
  'on a ball': onBall,
  'in water': inWater,
  gathering,
  'helped at the fingers': helpedAt('helped at the fingers'),
  'helped at the back': helpedAt('helped at the back'),
  'helped at the thumb side': helpedAt('helped at the thumb side'),
  'helped at the little side': helpedAt('helped at the little side'),
  'helped at one finger': helpedAt('helped at one finger'),
  'helped at the thumb': helpedAt('helped at the thumb'),
  'helped at the forearm': helpedAt('helped at the forearm'),
  'helped around the fingers': helpedAt('helped around the fingers'),
  'helped between the fingers': wedged(1),
  'helped by two between the fingers': wedged(2),
  'stroked along the forearm': stroked,
  'palms together': (making) => meeting('palms together', making),
  'palms together, fingers tipped': (making) => meeting('palms together, fingers tipped', making),
  'palms together, fingers down': (making) => meeting('palms together, fingers down', making),
  'palms together, fingers back': fingersBentBack,
  'backs together': (making) => meeting('backs together', making),
  'fingertips together': fingertipsTogether('pump'),
  'fingertips together, shifted': fingertipsTogether('pump, shifted'),
  'fingertips together, rolling': fingertipsTogether('roll'),
  'on the ribs': onRibs,
  'under the foot': underFoot,
  interlaced,
  'hooked together': hooked,
  'twisting a towel': towelTwist,
  'turning a roller': rollerTurn,
  'opening a band': bandOpening(1),
  'opening two bands': bandOpening(2),
  'pinching putty': puttyPinch,
  'curling on an edge': edgeCurl,
  'on the open palm': onOpenPalm,
  holding: (making) => (making.level.load.kind === 'hang' ? hanging(making) : holding(making)),
};

/** What the other hand does: as named, else it is away where all the weight is on one, and does the same where it is not. */
const otherIn = (movement: Movement, level: Level): OtherHandDoes =>
  handSaid(movement, level).other ?? (isOnOneHand(level.load) ? 'away' : 'the same');
const isOnOneHand = (load: LevelLoad) => load.kind === 'body' && [0, 1].includes(load.stance.leftShare);
