import { between, type Hand, HANDS, list, RANGE_MOTIONS, type RangeMotion, READING_LIMITS, record } from '@clay-pot/core';
import { IsBetween, IsDay, IsText, IsWord } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';

/** A picture of half a megabyte is enough to see three points again. */
export const PICTURE_LIMITS = {
  base64Length: 900_000,
  consentLength: 120,
  pointPx: { min: 0, max: 20_000, step: 1, unit: 'px' },
} as const;

const POINT = record({ x: between(PICTURE_LIMITS.pointPx, 'x'), y: between(PICTURE_LIMITS.pointPx, 'y') });

/** Who agreed that a picture is kept: the athlete, or for whom they cannot who may; and when. */
export class PictureConsent {
  @IsText(PICTURE_LIMITS.consentLength, 2, 'Agreed by')
  readonly consentBy: string;
  @IsDay('Agreed on')
  readonly consentOn: string;
}

/** A picture that an angle was read off, kept on purpose, with who agreed to that. */
export class PictureInput extends PictureConsent {
  @IsWord(RANGE_MOTIONS, 'Of what')
  readonly of: RangeMotion;
  @IsWord(HANDS, 'Hand')
  readonly hand: Hand;
  @IsDay('Day')
  readonly onDay: string;
  @IsBetween(READING_LIMITS['°'], 'Angle')
  readonly deg: number;
  /** On the arm of the angle, where it turns, on the other arm; pixels of the picture. */
  @IsDocument(list(POINT, { min: 3, max: 3 }))
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** JPEG. */
  @IsText(PICTURE_LIMITS.base64Length, 100, 'Picture')
  readonly jpegBase64: string;
}

/** A kept picture as it is listed; its bytes are fetched by themselves. */
export interface StoredPicture extends Omit<PictureInput, 'jpegBase64'> {
  id: string;
}
