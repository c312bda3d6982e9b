import { METRIC } from '@clay-pot/core';
import type { DataSource, EntityTarget, ObjectLiteral } from 'typeorm';
import { AccountRow, StudioRow } from '../../accounts/entities.js';
import { hashPassword } from '../../accounts/sign-in.service.js';
import { dayIn } from '../../http/clock.js';
import { GradeRow } from '../../grades/grade.entity.js';
import { MethodRow } from '../../methods/method.entity.js';
import { MovementNameRow } from '../../movements/movement-name.entity.js';
import { MovementRow } from '../../movements/movement.entity.js';
import { movementRowsOf, SequenceMovementRow } from '../../sequences/sequence-movements.js';
import { SequenceRow } from '../../sequences/sequence.entity.js';
import { StudioScope } from '../studio-scope.js';
import { type DemoSize, USUAL_DEMO } from './demo-size.js';
import { lanternWeeks } from './own-method.js';
import { strapHang } from './own-movement.js';
import { HALL_GRADES } from './hall-grades.js';
import { HALL_NAMES } from './own-names.js';
import { morePeople } from './more-people.js';
import { demoPeople } from './people.js';
import { PersonRows, SEED, sequenceRow } from './person-rows.js';
import { SeededRandom } from './random.js';
import { DEMO_FILING, DEMO_SEQUENCES, type SequenceKey } from './sequences.js';

/** Who can sign in to the demo studio. */
export const DEMO_SIGN_IN = { email: 'coach@lanternfield.example', password: 'lantern-hall' };
const TIME_ZONE = 'Europe/Amsterdam';
const ROWS_PER_INSERT = 400;

/** Fills an empty database with Lanternfield Hall. Does nothing when there is a studio already. */
export async function seedWhenEmpty(source: DataSource, now: Date, size: DemoSize = USUAL_DEMO): Promise<void> {
  if ((await source.getRepository(StudioRow).count()) > 0) return;
  const random = new SeededRandom(SEED);
  const today = dayIn(TIME_ZONE, now);
  const early = new Date(now.getTime() - 80 * 24 * 3600 * 1000);
  const studioId = random.id(early);
  const passwordHash = await hashPassword(DEMO_SIGN_IN.password);
  await source.transaction(async (manager) => {
    const add = async <E extends ObjectLiteral>(entity: EntityTarget<E>, rows: readonly E[]) => {
      for (let start = 0; start < rows.length; start += ROWS_PER_INSERT) {
        const some = rows.slice(start, start + ROWS_PER_INSERT);
        await manager.createQueryBuilder().insert().into(entity).values(some).updateEntity(false).execute();
      }
    };
    await add(StudioRow, [{ id: studioId, name: 'Lanternfield Hall', timeZone: TIME_ZONE, isDemo: true }]);
    const { email } = DEMO_SIGN_IN;
    const units = { massUnit: METRIC.mass, lengthUnit: METRIC.length };
    await add(AccountRow, [{ id: random.id(early), studioId, email, name: 'Maren Holloway', passwordHash, ...units }]);
    const sequenceIds = new Map<SequenceKey, string>();
    for (const [key, document] of Object.entries(DEMO_SEQUENCES) as [SequenceKey, (typeof DEMO_SEQUENCES)[SequenceKey]][]) {
      const id = random.id(early);
      sequenceIds.set(key, id);
      await add(SequenceRow, [{ ...sequenceRow({ studioId, id, document, early }), ...DEMO_FILING[key] }]);
      await add(
        SequenceMovementRow,
        movementRowsOf(id, document).map((row) => ({ ...row, studioId })),
      );
    }
    const ownId = new SeededRandom(SEED + 2).id(early);
    const own = strapHang(ownId);
    await add(MovementRow, [{ id: ownId, studioId, rowVersion: 1, name: own.name, document: own, updatedAt: early, removedAt: null }]);
    const nameIds = new SeededRandom(SEED + 4);
    const named = Object.entries(HALL_NAMES);
    await add(
      MovementNameRow,
      named.map(([movementId, name]) => ({ id: nameIds.id(early), studioId, movementId, name })),
    );
    const gradeIds = new SeededRandom(SEED + 9);
    await add(
      GradeRow,
      HALL_GRADES.map((grade) => ({ id: gradeIds.id(early), studioId, ...grade })),
    );
    const methodId = new SeededRandom(SEED + 3).id(early);
    const method = lanternWeeks(methodId);
    await add(MethodRow, [
      { id: methodId, studioId, rowVersion: 1, name: method.name, document: method, updatedAt: early, removedAt: null },
    ]);
    const birthDate = (yearsAgo: number, monthDay: string) => {
      const thisYear = Number(today.slice(0, 4));
      const hadBirthday = monthDay <= today.slice(5);
      return `${thisYear - yearsAgo - (hadBirthday ? 0 : 1)}-${monthDay}`;
    };
    const context = { studioId, today, early, sequenceIds, add, held: new StudioScope(studioId, TIME_ZONE, manager) };
    const writer = new PersonRows(context, random);
    for (const person of demoPeople(birthDate)) await writer.add(person);
    const more = size.athletes - USUAL_DEMO.athletes;
    for (const person of morePeople(more, size.years, new SeededRandom(SEED + 10), birthDate)) await writer.add(person);
  });
}
