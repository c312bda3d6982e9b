import type { Athlete, StoredSequence, WhoAmI } from '@clay-pot/contracts';
import { parseDose, type Phase, type Sequence, USUAL_PACING } from '@clay-pot/core';

/** Somebody with nothing on record but a body. */
export const someone = (change: Partial<Athlete> = {}): Athlete => ({
  id: '01890000-0000-7000-8000-00000000000a',
  etag: '"1"',
  name: 'Wren Halloran',
  practice: 'hand balancing',
  birthDate: '1994-03-02',
  sex: 'female',
  dominantHand: 'right',
  statureCm: 168,
  massKg: 62,
  equipment: ['mat', 'chair', 'table', 'wall', 'soft ball'],
  cautions: [],
  notes: '',
  ...change,
});

type Row = readonly [id: string, phase: Phase, movementId: string, levelId: string, dose: string];

/** A sequence from rows as a coach would type them. */
export const sequenceOf = (rows: readonly Row[], change: Partial<Sequence> = {}): Sequence => ({
  title: 'Two hands',
  purpose: '',
  budgetMin: 10,
  pacing: { ...USUAL_PACING, readyS: 0 },
  blocks: rows.map(([id, phase, movementId, levelId, dose]) => ({
    id,
    phase,
    movementId,
    levelId,
    dose: parseDose(dose),
  })),
  ...change,
});

/** A short one: opening and closing, a squeeze, waves. */
export const SHORT = sequenceOf([
  ['a', 'prepare', 'free.open-close', 'fast', '1x20s'],
  ['b', 'load', 'grip.ball-squeeze', 'firm', '2x4 @50% 2s tempo1-1 rest10 L,R'],
  ['c', 'settle', 'free.bending-waves', 'arms-side', '1x3 tempo2-2 L/R'],
]);

export const SHORT_ID = '01890000-0000-7000-8000-0000000000aa';

/** As the server stores it. */
export const storedShort = (document: Sequence = SHORT): StoredSequence => ({
  id: SHORT_ID,
  etag: '"3"',
  updatedAt: '2026-05-01T08:00:00.000Z',
  document,
});

/** A coach whose own studio is new. */
export const NEW_COACH: WhoAmI = {
  ...{ name: 'Isla', email: 'isla@tideline.example', units: { mass: 'kg', length: 'cm' } },
  studio: { name: 'Tideline', timeZone: 'UTC', isDemo: false },
};
/** A server with a demo beside the coach’s studio. */
export const FRONT_DOOR = { 'GET /api/front-door': { canSetUp: false, hasDemo: true } } as const;
