import { REFERENCE_BODIES } from '../../model/body.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { Beat } from './course.js';
import { eyeFor, type Frame3d, frameAround } from './framing.js';
import { type HandPicture, handPictureOf } from './hand-picture.js';
import { trailOf } from './marks.js';
import type { HandMoment3d } from './moment.js';
import { pushArrow } from './pushing.js';
import type { HandSize } from './skeleton.js';
import type { Vec3 } from './space.js';
import type { ViewPoint } from './views.js';

/** Moments by which a picture's frame is measured. */
const MEASURED_AT = [0, 0.5, 1, 1.5];

/** The frame that holds a picture through its whole repetition, from its own view or another. */
export function frameFor(picture: HandPicture, side: Hand, view: ViewPoint = picture.view): Frame3d {
  const moments = MEASURED_AT.map((phase) => picture.at({ phase, turn: 0 }, side));
  return frameAround(picture.skeleton, moments, eyeFor(view, side), picture.forearmM);
}

/** Moments of a level that are kept as pictures: as lists show it with its way drawn in, and its start and end. */
export const STILLS = ['list', 'start', 'end'] as const;
/** One of them. */
export type StillName = (typeof STILLS)[number];

const PHASE = { start: 0, end: 1 } as const;

/** The beat of a repetition that a still shows. */
export const stillBeat = (picture: HandPicture, name: StillName): Beat =>
  name === 'list' ? picture.still : { phase: PHASE[name], turn: 0 };

/** All that a still picture of a left hand shows, as numbers: two levels with the same have the same picture. */
export interface StillShows {
  readonly size: HandSize;
  readonly moment: HandMoment3d;
  readonly frame: Frame3d;
  readonly trail: readonly Vec3[] | null;
  readonly isRound: boolean;
  readonly push: readonly [Vec3, Vec3] | null;
}

/** The hand of the ordinary body at a level, which stills show. @throws as `handPictureOf` */
export const stillPicture = (movement: Movement, level: Level): HandPicture =>
  handPictureOf(REFERENCE_BODIES['not stated'], movement, level);

/** What each still of a level shows. @throws as `handPictureOf` */
export function stillsShow(movement: Movement, level: Level): Record<StillName, StillShows> {
  const picture = stillPicture(movement, level);
  const all = {
    size: picture.skeleton.size,
    frame: frameFor(picture, 'left'),
    isRound: picture.round,
    push: pushArrow(picture, 'left'),
  };
  const at = (name: StillName): StillShows => {
    const beat = stillBeat(picture, name);
    return { ...all, moment: picture.at(beat, 'left'), trail: name === 'list' ? trailOf(picture, 'left', beat.turn) : null };
  };
  return { list: at('list'), start: at('start'), end: at('end') };
}
