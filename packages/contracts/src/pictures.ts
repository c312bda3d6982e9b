import { between, day, HANDS, list, type Of, oneOf, RANGE_MOTIONS, READING_LIMITS, record, text } from '@clay-pot/core';

/** A picture of half a megabyte is enough to see three points again. */
export const PICTURE_LIMITS = {
  base64Length: 900_000,
  consentLength: 120,
  pointPx: { min: 0, max: 20_000, step: 1, unit: 'px' },
} as const;

const POINT = record({ x: between(PICTURE_LIMITS.pointPx, 'x'), y: between(PICTURE_LIMITS.pointPx, 'y') });

/** A picture that an angle was read off, kept on purpose, with who agreed to that. */
export const PICTURE_INPUT = record({
  of: oneOf(RANGE_MOTIONS, 'Of what'),
  hand: oneOf(HANDS, 'Hand'),
  onDay: day('Day'),
  deg: between(READING_LIMITS['°'], 'Angle'),
  /** On the arm of the angle, where it turns, on the other arm; pixels of the picture. */
  points: list(POINT, { min: 3, max: 3 }),
  /** JPEG. */
  jpegBase64: text(PICTURE_LIMITS.base64Length, 100, 'Picture'),
  /** Who agreed that it is kept: the athlete, or for whom they cannot who may. */
  consentBy: text(PICTURE_LIMITS.consentLength, 2, 'Agreed by'),
  consentOn: day('Agreed on'),
});
/** A picture that is kept, with who agreed to it. */
export type PictureInput = Of<typeof PICTURE_INPUT>;

/** A kept picture as it is listed; its bytes are fetched by themselves. */
export interface StoredPicture extends Omit<PictureInput, 'jpegBase64'> {
  id: string;
}
