import { describe, expect, test } from '@jest/globals';
import { typedDose } from '../exchange/typed-dose.js';
import { withGrades } from '../exchange/grade-names.js';
import { readSequenceText } from '../exchange/read-sequence-text.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import { REFERENCE_BODIES } from './body.js';
import { foundKilograms } from '../mechanics/as-dosed.js';
import type { Person } from '../mechanics/capacity.js';
import { joinSentences, sentenceText } from '../vocabulary/sentence.js';
import { ownLoadWords } from './dose-words.js';
import { parseDose, printDose } from './dose-shorthand.js';
import { checkGrades, type Grade, gradeAt, gradesFor } from './grades.js';

const GRADES: readonly Grade[] = [
  { kind: 'spring', name: 'Black', kg: 45 },
  { kind: 'spring', name: 'Grey', kg: 18 },
  { kind: 'spring', name: 'Light grey', kg: 10 },
  { kind: 'band', name: 'Grey', kg: 0.8 },
  { kind: 'band', name: 'Red', kg: 1.2 },
];
const gripper = shippedMovement('grip.gripper-close')!;
const opening = shippedMovement('grip.band-opening')!;
const squeeze = shippedMovement('grip.ring-little-squeeze')!;

describe('springs and bands of a studio', () => {
  test('a movement takes those of its own kind, lightest first; a ball takes none', () => {
    expect(gradesFor(GRADES, gripper).map(({ kg }) => kg)).toEqual([10, 18, 45]);
    expect(gradesFor(GRADES, opening).map(({ name }) => name)).toEqual(['Grey', 'Red']);
    expect(gradesFor(GRADES, squeeze)).toEqual([]);
    expect(gradeAt(GRADES, 'band', 0.82)?.name).toBe('Grey');
    expect(gradeAt(GRADES, 'spring', 17)).toBeUndefined();
  });

  test('an effort finds one of them: the heaviest that asks no more, else the lightest', () => {
    const man: Person = { body: REFERENCE_BODIES.male, ageYears: 30, evidence: [], today: '2026-06-01' };
    const found = (effortPercent: number, grades: readonly Grade[]) =>
      foundKilograms({ ...man, grades }, gripper, gripper.ladder[0], { effortPercent })!;
    const free = found(60, []);
    expect(free).toBeGreaterThan(18);
    expect(free).toBeLessThan(45);
    expect(found(60, GRADES)).toBeCloseTo(18, 9);
    expect(found(5, GRADES)).toBeCloseTo(10, 9);
    expect(found(60, [{ kind: 'band', name: 'Red', kg: 1.2 }])).toBe(free);
  });

  test('are called by their names where a dose sets one', () => {
    const words = (dose: string) => sentenceText(joinSentences(ownLoadWords(parseDose(dose), GRADES), ', '));
    expect(words('2x10 spring18kg')).toBe('Grey spring (18 kg)');
    expect(words('2x10 band0.8kg')).toBe('Grey band (0.8 kg)');
    expect(words('2x10 spring20kg')).toBe('spring 20 kg');
  });

  test.each([
    ['2x10 grey spring', '2x10 spring18kg'],
    ['2x10 with the light grey gripper', '2x10 with the gripper spring10kg'],
    ['Finger extension with red band 2x20', 'Finger extension with band band1.2kg 2x20'],
    ['Finger extension with band (red), 2x20', 'Finger extension with band band1.2kg, 2x20'],
    ['spring black', 'spring45kg'],
    ['a greyish spring, tired band', 'a greyish spring, tired band'],
  ])('%s is read as %s', (line, read) => expect(withGrades(line, GRADES)).toBe(read));

  test('a text and a dose field understand them', () => {
    const text = 'Hands\nGripper close, grey gripper: 3x8\nFinger extension with red band: 2x20';
    const { document } = readSequenceText(text, { shelf: LIBRARY, methods: [], grades: GRADES });
    expect(document?.blocks.map(({ movementId, dose }) => [movementId, dose.load])).toEqual([
      ['grip.gripper-close', { springKg: 18 }],
      ['grip.band-opening', { bandKg: 1.2 }],
    ]);
    const dose = typedDose('3x8 black spring', parseDose('2x10 rest60'), gripper, gripper.ladder[0], GRADES);
    expect(printDose(dose)).toBe('3x8 spring45kg rest60');
  });

  test.each<[string, Grade, string]>([
    ['a name twice', { kind: 'band', name: ' RED', kg: 2 }, '/grades/5/name'],
    ['marks in a name', { kind: 'band', name: '3x8 @40%', kg: 2 }, '/grades/5/name'],
    ['a band of a quarter of a ton', { kind: 'band', name: 'Stiff', kg: 150 }, '/grades/5/kg'],
    ['a spring of a feather', { kind: 'spring', name: 'Feather', kg: 0.3 }, '/grades/5/kg'],
  ])('%s is no grade', (_what, grade, pointer) => {
    expect(checkGrades(GRADES)).toEqual([]);
    expect(checkGrades([...GRADES, grade]).map((fault) => fault.pointer)).toEqual([pointer]);
  });
});
