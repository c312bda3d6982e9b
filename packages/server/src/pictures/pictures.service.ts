import type { PictureInput, StoredPicture } from '@clay-pot/contracts';
import type { Fault } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid, notFound } from '../http/problem.js';
import { PictureRow } from './picture.entity.js';

/** A JPEG begins so. */
const JPEG_STARTS = Buffer.from([0xff, 0xd8, 0xff]);
const BASE64 = /^[A-Za-z0-9+/]+={0,2}$/;

/** Keeps pictures whose keeping was agreed to, and forgets them when that is taken back. */
@Injectable()
export class PicturesService {
  constructor(private readonly clock: Clock) {}

  /** All of an athlete’s, the newest first, without their bytes. */
  async list(scope: StudioScope, athleteId: string): Promise<StoredPicture[]> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const rows = await scope.of(PictureRow).find({ where: { athleteId }, order: { onDay: 'DESC', id: 'DESC' } });
    return rows.map(({ studioId: _studio, athleteId: _athlete, jpeg: _bytes, ...picture }) => picture);
  }

  /** Keeps a picture; the same again is fine. @throws 404, 409, 422 */
  async add(scope: StudioScope, athleteId: string, id: string, input: PictureInput): Promise<StoredPicture> {
    await scope.of(AthleteRow).get(athleteId, 'athlete');
    const { jpegBase64, points, ...rest } = input;
    const jpeg = Buffer.from(BASE64.test(jpegBase64) ? jpegBase64 : '', 'base64');
    const faults = this.faultsOf(input, jpeg, dayIn(scope.timeZone, this.clock.now()));
    if (faults.length > 0) throw invalid(faults);
    const picture = { id, ...rest, points: [...points] };
    const isNew = await scope.of(PictureRow).insert({ ...picture, athleteId, jpeg }, 'picture');
    if (!isNew) {
      const there = await scope.of(PictureRow).get(id, 'picture');
      if (there.athleteId !== athleteId || !(await this.bytes(scope, athleteId, id)).equals(jpeg)) {
        throw conflict('Another picture is stored under this id. Use a new id.');
      }
    }
    return picture;
  }

  /** The picture itself. @throws 404 */
  async bytes(scope: StudioScope, athleteId: string, id: string): Promise<Buffer> {
    const [row] = await scope.of(PictureRow).find({ where: { athleteId, id }, select: { id: true, jpeg: true } });
    if (!row) throw notFound('picture');
    return row.jpeg;
  }

  /** Consent is taken back: the picture is gone. @throws 404 */
  async remove(scope: StudioScope, athleteId: string, id: string): Promise<void> {
    if ((await scope.of(PictureRow).remove({ athleteId, id })) === 0) throw notFound('picture');
  }

  private faultsOf({ onDay, consentOn }: PictureInput, jpeg: Buffer, today: string): Fault[] {
    const faults: Fault[] = [];
    if (!jpeg.subarray(0, JPEG_STARTS.length).equals(JPEG_STARTS)) {
      faults.push({ pointer: '/jpegBase64', message: 'must be a JPEG picture in base64' });
    }
    for (const [pointer, value] of [
      ['/onDay', onDay],
      ['/consentOn', consentOn],
    ] as const) {
      if (value > today) faults.push({ pointer, message: `must not lie after today, ${today}` });
    }
    return faults;
  }
}
