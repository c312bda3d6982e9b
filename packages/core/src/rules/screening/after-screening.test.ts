import { handsUsed } from '../safety/hands-used.js';
import { sentenceText } from '../../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import { shippedMovement, LIBRARY } from '../../library/index.js';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { type Intake, newIntake, withPerson } from '../../model/intake.js';
import type { Level } from '../../model/movement.js';
import type { Reading } from '../../model/reading.js';
import { cautionsOn } from '../safety/cautions.js';
import { movementsOpen } from './movements-open.js';
import { referralLetter } from './referral-letter.js';
import { screen } from './screen.js';
import { REMEDIES, WHY_IT_HURTS, whyItHurts } from './why-it-hurts.js';

const TODAY = '2026-06-10';

describe('why it hurts', () => {
  /** Every path that can be answered, to its end. */
  function paths(path: readonly string[] = []): (readonly string[])[] {
    const { next } = whyItHurts(path);
    return next ? Object.keys(next.question.answers).flatMap((answer) => paths([...path, answer])) : [path];
  }

  test('every path ends in something to try, every remedy is the end of one, and none is long', () => {
    const all = paths();
    expect(new Set(all.map((path) => whyItHurts(path).remedy?.id))).toEqual(new Set(Object.keys(REMEDIES)));
    expect(Math.max(...all.map((path) => path.length))).toBeLessThanOrEqual(Object.keys(WHY_IT_HURTS).length);
    for (const path of all) expect(whyItHurts(path).said).toHaveLength(path.length);
  });

  // What practice says of planted hands that hurt in training.
  test.each([
    [['all-day'], 'unload'],
    [['late', 'yes'], 'step-back'],
    [['late', 'no', 'yes'], 'side-load'],
    [['late', 'no', 'no', 'no'], 'set-up'],
    [['late', 'no', 'no', 'yes', 'yes', 'no'], 'fists'],
    [['late', 'no', 'no', 'yes', 'yes', 'yes'], 'handles'],
    [['after', 'no', 'no', 'yes', 'no'], 'less'],
  ] as const)('%j: %s', (path, id) => expect(whyItHurts(path).remedy?.id).toBe(id));

  test('what a remedy is of is on the shelf', () => {
    for (const { movementIds } of Object.values(REMEDIES)) {
      for (const id of movementIds) expect([id, shippedMovement(id)?.id]).toEqual([id, id]);
    }
  });

  test('says which answers there are, and when there is nothing to answer', () => {
    expect(() => whyItHurts(['never'])).toThrow('with all-day, late, start, after, not never');
    expect(() => whyItHurts(['toString'])).toThrow('Answer “When does it hurt?” with');
    expect(() => whyItHurts(['all-day', 'yes'])).toThrow('remove the answers after it');
  });
});

describe('what is left of the shelf', () => {
  const person = referencePerson(REFERENCE_BODIES.female, TODAY);
  const open = (health: Parameters<typeof screen>[0]) => {
    const { cautions } = screen(health, { onDay: TODAY, ageYears: 30, intakeId: 'i' });
    return movementsOpen(person, LIBRARY, cautionsOn({ cautions }, TODAY));
  };
  const levels = (list: ReturnType<typeof open>) => list.reduce((sum, { openLevels }) => sum + openLevels.length, 0);

  test('all of it without a caution; free motion alone where both hands are referred; nothing where both rest', () => {
    const all = LIBRARY.reduce((sum, { ladder }) => sum + ladder.length, 0);
    expect(levels(open({}))).toBe(all);
    const referred = open({ signs: [{ sign: 'dropping-things', hand: 'both' }] });
    for (const { movementId, openLevels } of referred) {
      const free = shippedMovement(movementId)!.ladder.filter(({ loading }) => loading === 'unloaded');
      expect([movementId, openLevels]).toEqual([movementId, free.map(({ id }) => id)]);
    }
    expect(levels(open({ signs: [{ sign: 'pop', hand: 'both' }] }))).toBe(0);
  });

  test('beside a hand at rest only that stays open which the other does alone, without a planted hand beside it', () => {
    const right = open({ signs: [{ sign: 'pop', hand: 'left' }] });
    expect(levels(right)).toBeGreaterThan(150);
    for (const { movementId, openLevels } of right) {
      const { ladder, sides, otherHand } = shippedMovement(movementId)!;
      const isAlone = (level: Level) => level.loading === 'unloaded' || otherHand === undefined;
      const alone = ladder.filter((level) => isAlone(level) && sides.some((plan) => !handsUsed(level, plan).includes('left')));
      expect([movementId, openLevels]).toEqual([movementId, alone.map(({ id }) => id)]);
    }
    expect(right.find(({ movementId }) => movementId === 'bearing.palm-support')!.openLevels).toEqual([]);
  });

  test('a hand that may not be loaded still helps a stretch, and pushes back against nothing', () => {
    const right = open({ signs: [{ sign: 'night-tingling', hand: 'left' }] });
    const openOf = (id: string) => right.find(({ movementId }) => movementId === id)!.openLevels.length;
    expect([openOf('isometric.extension'), openOf('isometric.end-extension')]).toEqual([0, 0]);
    expect([openOf('stretch.flexors'), openOf('grip.ball-squeeze')].every((count) => count > 0)).toBe(true);
  });

  test('whatever is off says why', () => {
    const sore = open({ symptoms: (['left', 'right'] as const).map((hand) => ({ place: 'wrist-back', hand, kind: 'ache', score: 7 })) });
    expect(levels(sore)).toBeLessThan(levels(open({})));
    for (const { openLevels, ofLevels, why } of sore) expect(why === null).toBe(openLevels.length === ofLevels);
  });
});

describe('a letter', () => {
  const athlete = { name: 'Somebody Made Up', birthDate: '1981-01-29', dominantHand: 'right', practice: 'Signing' } as const;
  const answers: Intake = {
    ...newIntake(athlete, null, TODAY),
    signs: [{ sign: 'night-tingling', hand: 'right' }],
    symptoms: [{ place: 'thumb-tip', hand: 'right', kind: 'tingling', score: 4 }],
    discomfort: [{ hand: 'right', atNight: 5 }],
    history: [{ condition: 'arthritis', hand: 'left', note: 'thumb' }],
  };
  const { cautions } = screen(answers, { onDay: TODAY, ageYears: 45, intakeId: 'i' });
  const grip = (hand: 'left' | 'right', onDay: string, value: number): Reading => ({ kind: 'maximum', of: 'grip', hand, onDay, value });
  const letter = referralLetter({
    athlete,
    cautions,
    intake: answers,
    readings: [grip('left', '2026-04-01', 250), grip('left', '2026-06-01', 262), grip('right', '2026-06-01', 231)],
    coach: 'A Coach',
    studio: 'A Hall',
    today: TODAY,
  });
  const part = (heading: RegExp) =>
    letter.parts.find((each) => heading.test(sentenceText(each.heading)))?.lines.map((line) => sentenceText(line)) ?? [];

  test('says who, why, what was told, what was stopped, what else is minded, and the latest readings', () => {
    expect(letter.opening).toContain('Somebody Made Up, 45 years old, right-handed');
    expect(part(/Why/).join()).toContain('Numbness or tingling, right hand, since 10 Jun 2026');
    expect(part(/Answers of 10 Jun 2026/)).toEqual([
      'Numbness or tingling, especially at night, right hand',
      'Arthritis of hand or wrist, left hand. thumb',
      'Thumb, tip, right hand: tingles, 4 of 10',
      'Discomfort of 10, right hand: at night 5',
    ]);
    expect(part(/stopped/).every((line) => line.includes('no loading until'))).toBe(true);
    expect(part(/Other restrictions/).join()).toContain('Arthritis');
    expect(part(/Measurements/)).toEqual(['Grip, maximum strength: left 262 N, right 231 N (1 Jun 2026)']);
  });

  test('asks for limits and names no diagnosis of its own', () => {
    expect(letter.asks.join()).toMatch(/extension beyond.*percent.*body weight/s);
    expect(sentenceText(letter.closing)).toContain('not a diagnosis');
    expect(JSON.stringify(letter)).not.toMatch(/syndrome|carpal|tendinitis/i);
  });

  test('leaves out what there is nothing to say of', () => {
    const bare = referralLetter({
      athlete: { ...athlete, birthDate: null, practice: '' },
      cautions: [],
      intake: null,
      readings: [],
      coach: 'A',
      studio: 'B',
      today: TODAY,
    });
    expect(bare.parts).toEqual([]);
    expect(bare.opening).toContain('Somebody Made Up, right-handed, trains with me.');
  });
});

test('of the person only what was said goes into the record', () => {
  const record = {
    name: 'S',
    practice: 'Ropes',
    birthDate: '1990-01-01',
    sex: 'female',
    dominantHand: 'left',
    statureCm: 170,
    massKg: 60,
    equipment: ['mat'],
    cautions: [],
    notes: '',
  } as const;
  const answers = { ...newIntake(record, null, TODAY), discipline: '', person: { massKg: 62, statureCm: null } };
  expect(withPerson(record, answers)).toEqual({ ...record, massKg: 62 });
});
