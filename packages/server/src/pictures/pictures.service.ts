import type { PictureInput, StoredPicture } from '@clay-pot/contracts';
import type { Fault } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { conflict, invalid, notFound } from '../http/problem.js';
import { jpegSize } from './jpeg.js';
import { PictureRow } from './picture.entity.js';

/** A phone takes twelve million; more would be unpacked into more memory than looking at three points is worth. */
const MOST_PIXELS = 16_000_000;
/** So many are kept of one athlete, and so many bytes for one studio. */
const MOST_PICTURES = 200;
const MOST_BYTES = 500 * 1_048_576;
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
    await this.refuseTooMany(scope, athleteId, id, jpeg.length);
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

  /** @throws 409 where there is no room for another */
  private async refuseTooMany(scope: StudioScope, athleteId: string, id: string, bytes: number): Promise<void> {
    const kept = await scope
      .of(PictureRow)
      .query('picture')
      .select('COUNT(*)', 'ofStudio')
      .addSelect('SUM(picture.athlete_id = :athleteId)', 'ofAthlete')
      .addSelect('SUM(LENGTH(picture.jpeg))', 'bytes')
      .andWhere('picture.id <> :id')
      .setParameters({ athleteId, id })
      .getRawOne<Record<'ofStudio' | 'ofAthlete' | 'bytes', string | null>>();
    if (Number(kept?.ofAthlete ?? 0) >= MOST_PICTURES) {
      throw conflict(`This athlete has ${MOST_PICTURES} pictures. Delete one first.`);
    }
    if (Number(kept?.bytes ?? 0) + bytes > MOST_BYTES) throw conflict('The studio has no room for more pictures. Delete some first.');
  }

  private faultsOf({ onDay, consentOn }: PictureInput, jpeg: Buffer, today: string): Fault[] {
    const faults: Fault[] = [];
    const size = jpegSize(jpeg);
    if (!size) faults.push({ pointer: '/jpegBase64', message: 'must be a JPEG picture in base64' });
    else if (size.widthPx * size.heightPx > MOST_PIXELS) {
      faults.push({ pointer: '/jpegBase64', message: `must have at most ${MOST_PIXELS / 1e6} million pixels` });
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
