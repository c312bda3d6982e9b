import { describe, expect, test } from '@jest/globals';
import { checkFit } from '../model/fit.js';
import { FORM } from '../vocabulary/form-faults.js';
import { LIBRARY, shippedMovement } from './index.js';
import type { Person } from '../mechanics/capacity.js';
import type { Sex } from '../model/body.js';
import { parseDose, printDose } from '../model/dose-shorthand.js';
import { checkDose } from '../model/check-dose.js';
import { leversBetween } from '../model/levers.js';
import { checkLoad } from '../model/load.js';
import { FAMILIES, neighbourLevel, usualWay } from '../model/movement.js';
import { flatSteps } from '../rules/ladders/ladder.js';
import { unusualInDose } from '../rules/doses/usual-dose.js';
import { CORNERS, MOTIONS } from '../vocabulary/motions.js';
import { MUSCLE_GROUPS } from '../vocabulary/muscles.js';

const size = (sex: Sex, statureM: number, massKg: number): Person => ({
  body: { sex, statureM, massKg },
  ageYears: 30,
  evidence: [],
  today: '2026-11-24',
});
/** The average of both sexes, and the corners of the range that the models answer for. */
const SIZES = [
  size('male', 1.741, 73),
  size('female', 1.735, 61.9),
  size('female', 1.5, 45),
  size('male', 2, 110),
  size('male', 1.5, 45),
  size('female', 2, 110),
];

const each = LIBRARY.map((movement) => [movement.id, movement] as const);

describe('the shipped library', () => {
  test('covers all thirteen families with at least 175 movements', () => {
    expect(LIBRARY.length).toBeGreaterThanOrEqual(175);
    for (const family of Object.keys(FAMILIES)) {
      expect(LIBRARY.filter((movement) => movement.family === family).length).toBeGreaterThanOrEqual(5);
    }
  });

  test('what may begin with one hand may begin with the other: the weaker one is not always the left', () => {
    const oneWay = LIBRARY.filter(({ sides }) => sides.includes('left-then-right') !== sides.includes('right-then-left'));
    expect(oneWay.map(({ id }) => id)).toEqual([]);
  });

  test.each(each)('%s: its ladder rises for every size and sex, by what it says it climbs', (_id, movement) => {
    for (const person of SIZES) {
      const flat = flatSteps(person, movement);
      expect(flat.map(({ from, to }) => `${from.level.id} ${from.climbed} → ${to.level.id} ${to.climbed}`)).toEqual([]);
    }
  });

  test.each(each)('%s: every level’s load can be computed, stands upright in a file, and says what made it harder', (_id, movement) => {
    for (const level of movement.ladder) {
      expect(checkLoad(JSON.parse(JSON.stringify(level.load)))).toEqual([]);
      if (level.load.kind === 'press') expect(level.dose.effortPercent).toBe(level.load.effortPercent);
      if (level.loading === 'planted') expect(level.load.kind).toBe('body');
    }
    for (const [index, level] of movement.ladder.slice(1).entries()) {
      const byDose = movement.climbs === 'time' || level.load.kind === 'press';
      if (!byDose) expect(leversBetween(movement.ladder[index]!, level)).not.toEqual([]);
    }
  });

  test('whatever bears on palm or fingertips is watched by the form checklist', () => {
    const checklist: string[] = Object.values(FORM);
    const bearing = LIBRARY.filter(({ ladder }) =>
      ladder.some(({ loading, contact }) => loading === 'planted' && /palm|fingertips/.test(contact)),
    );
    expect(bearing.length).toBeGreaterThan(25);
    for (const { id, faults } of bearing) expect([id, faults.some((fault) => checklist.includes(fault))]).toEqual([id, true]);
  });

  test('a ladder whose levels stand in the wrong order is found, with both numbers', () => {
    const support = shippedMovement('bearing.palm-support')!;
    const [lowest, first, second, ...rest] = support.ladder;
    const muddled = { ...support, ladder: [lowest!, second!, first!, ...rest] as const };
    const [step, ...more] = flatSteps(SIZES[0]!, muddled);
    expect(more).toEqual([]);
    expect([step!.from.level.id, step!.to.level.id]).toEqual(['knees-back', 'all-fours']);
    expect(step!.from.climbed).toBeGreaterThan(step!.to.climbed);
  });

  test('the wrist’s four two-joint corners and all motions are visited', () => {
    for (const corner of CORNERS) expect(LIBRARY.some(({ corners }) => corners.includes(corner))).toBe(true);
    for (const motion of MOTIONS) expect(LIBRARY.some(({ motions }) => motions.includes(motion))).toBe(true);
    for (const group of MUSCLE_GROUPS) expect(LIBRARY.some(({ trains }) => trains.includes(group))).toBe(true);
  });

  test('ids and names are unique', () => {
    expect(new Set(LIBRARY.map(({ id }) => id)).size).toBe(LIBRARY.length);
    expect(new Set(LIBRARY.map(({ name }) => name)).size).toBe(LIBRARY.length);
    expect(shippedMovement(LIBRARY[0]!.id)).toBe(LIBRARY[0]);
    expect(shippedMovement('unknown')).toBeUndefined();
  });

  test.each(each)('%s is complete', (_id, movement) => {
    expect(movement.ladder.length).toBeGreaterThanOrEqual(2);
    expect(movement.ladder.length).toBeLessThanOrEqual(6);
    expect(new Set(movement.ladder.map(({ id }) => id)).size).toBe(movement.ladder.length);
    for (const list of [movement.howTo, movement.cues, movement.faults]) expect(list.length).toBeGreaterThan(0);
    if (movement.family !== 'settle') {
      expect(movement.cautions.length).toBeGreaterThan(0);
      expect(movement.trains.length).toBeGreaterThan(0);
    }
  });

  test.each(each)('%s: each level’s usual dose is allowed, fits, is usual, and prints as it was written', (_id, movement) => {
    for (const level of movement.ladder) {
      expect(checkDose(level.dose)).toEqual([]);
      expect(checkFit(level.dose, movement)).toEqual([]);
      expect(unusualInDose(level.dose, level.dosing)).toEqual([]);
      if (level.dose.work.kind === 'repetitions') expect(level.dose.tempo).toBeDefined();
      expect(parseDose(printDose(level.dose), usualWay(movement))).toEqual(
        level.dose.sides === 'together' ? { ...level.dose, sides: movement.sides[0] } : level.dose,
      );
    }
  });

  test.each(each)('%s: planted levels bear on something, unplanted ones face nowhere in particular', (_id, movement) => {
    for (const level of movement.ladder) {
      if (level.loading === 'planted') {
        expect(level.contact).not.toBe('none');
        expect(level.facing).not.toBe('free');
      }
      if (level.loading === 'unloaded' && level.posture !== 'seated') expect(level.facing).toBe('free');
    }
  });

  test('levels have neighbours up to the ends of the ladder', () => {
    const movement = LIBRARY[0]!;
    const [first, second] = movement.ladder;
    expect(neighbourLevel(movement, first.id, 1)).toBe(second);
    expect(neighbourLevel(movement, first.id, -1)).toBeUndefined();
    expect(neighbourLevel(movement, 'no such level', 1)).toBeUndefined();
  });

  test('a dose outside its customary range is named with the range and the reason', () => {
    const notes = unusualInDose(parseDose('2x50 @95% 3s'), 'grip-holds');
    expect(notes).toEqual([
      '50 repetitions is above the usual 3–12 repetitions for grip holds.',
      '95 % effort is above the usual 30–90 % effort for grip holds.',
      expect.stringContaining('form breaks down'),
    ]);
  });
});
