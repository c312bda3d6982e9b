import { expect, test } from '@jest/globals';
import { checkAthlete, checkBirthDate } from './athlete.js';
import { checkIntake, newIntake } from './intake.js';

const TODAY = '2026-06-10';
const athlete = {
  name: 'Wren',
  practice: '',
  birthDate: '1990-04-02',
  sex: 'not stated' as const,
  dominantHand: 'right' as const,
  statureCm: null,
  massKg: null,
  equipment: [],
  cautions: [],
  notes: '',
};

test('nobody is born after today, or is older than people get', () => {
  expect(checkBirthDate('1916-06-10', TODAY)).toEqual([]);
  expect(checkBirthDate('1916-06-09', TODAY)[0]!.message).toBe('must lie between 1916-06-10 and today, 2026-06-10');
  expect(checkAthlete({ ...athlete, birthDate: '1900-01-01' }, TODAY)).toMatchObject([{ pointer: '/birthDate' }]);
  expect(checkAthlete({ ...athlete, birthDate: '2027-01-01' }, TODAY)).toMatchObject([{ pointer: '/birthDate' }]);
});

test('an injury before the date of birth, and a check-in in 1900, are refused', () => {
  const cautions = [{ caution: 'recent-injury' as const, since: '1989-12-31' }];
  expect(checkAthlete({ ...athlete, cautions }, TODAY)).toMatchObject([{ pointer: '/cautions/0/since' }]);
  const answers = newIntake(athlete, null, '1900-01-01');
  expect(checkIntake(answers, TODAY)).toMatchObject([{ pointer: '/onDay', message: 'must not lie before 1990-01-01' }]);
});
