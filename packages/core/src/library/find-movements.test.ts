import { describe, expect, test } from '@jest/globals';
import { complaintIn, movementFinder } from './find-movements.js';
import { LIBRARY } from './index.js';
import { QUERIES } from './search-queries.fixture.js';
import { COMPLAINTS, SYNONYMS } from './search-words.js';
import { FAMILIES } from '../model/movement.js';

const find = movementFinder(LIBRARY, (id) => (id === 'free.open-close' ? 'Jellyfish' : undefined));
const ids = (text: string) => find(text).map(({ movement }) => movement.id);

describe('finding a movement', () => {
  test.each([
    ['palm lift', 'strength.palm-lift'],
    ['Palm Lift, held', 'strength.palm-lift-hold'],
    ['plank', 'bearing.palm-support'],
    ['side plank', 'bearing.side-support'],
    ['forearm plank', 'bearing.forearm-support'],
    ['push-up', 'strength.low-press'],
    ['wrist circels', 'free.wrist-circles'],
    ['finger wavs', 'free.finger-waves'],
    ['prayer', 'stretch.palm-press'],
    ['farmer walk', 'grip.bar-carry'],
    ['rubber band', 'grip.band-opening'],
    ['fingerboard hang', 'edge.hang'],
    ['hammer supination', 'weight.lever-turn-up'],
    ['handstand', 'bearing.handstand'],
    ['jellyfish', 'free.open-close'],
    ['jelyfish', 'free.open-close'],
    ['bar hang', 'hang.full'],
  ])('“%s” finds %s first', (text, id) => {
    expect(ids(text)[0]).toBe(id);
  });

  test.each([
    ['tendon', 'tendon-glides'],
    ['tendons', 'tendon-glides'],
    ['climbing', 'edge-work'],
    ['isometric', 'isometrics'],
  ])('“%s” brings the family %s', (text, family) => {
    const found = find(text).slice(0, 5);
    expect(found.map(({ movement }) => movement.family)).toEqual(found.map(() => family));
  });

  test('muscles, motions and things are looked for too', () => {
    expect(ids('finger extensors spread')).toContain('free.spread-close');
    expect(ids('supinators').slice(0, 8)).toContain('weight.lever-turn-up');
    expect(ids('putty').slice(0, 3)).toEqual(expect.arrayContaining(['grip.putty-pinch']));
  });

  test('every movement is found first by its own name, whole', () => {
    for (const { id, name } of LIBRARY) expect([name, ids(name)[0]]).toEqual([name, id]);
  });

  test('nothing typed is the whole shelf in its order; nonsense is nothing', () => {
    expect(find('  ').map(({ movement }) => movement)).toEqual(LIBRARY);
    expect(find('zzxqwv')).toEqual([]);
  });

  test('of more than 150 things that people type, 95 % are answered among the first three', () => {
    const missed = QUERIES.filter(
      ([text, ...answers]) =>
        !ids(text)
          .slice(0, 3)
          .some((id) => answers.includes(id)),
    );
    const allIds = new Set(LIBRARY.map(({ id }) => id));
    expect(QUERIES.flatMap(([, ...answers]) => answers).filter((id) => !allIds.has(id))).toEqual([]);
    expect(new Set(QUERIES.map(([text]) => text)).size).toBeGreaterThanOrEqual(150);
    expect(missed.map(([text]) => `${text}: ${ids(text).slice(0, 3).join(', ')}`)).toHaveLength(
      Math.min(missed.length, Math.floor(QUERIES.length * 0.05)),
    );
  });

  test('words of the field belong to movements and families that are there', () => {
    const allIds = new Set<string>([...LIBRARY.map(({ id }) => id), ...Object.keys(FAMILIES)]);
    const named = [...Object.keys(SYNONYMS), ...COMPLAINTS.flatMap(({ movementIds }) => movementIds)];
    expect(named.filter((id) => !allIds.has(id))).toEqual([]);
  });

  test('a complaint is known by its name wherever it stands in the words, and numbness finds no movement', () => {
    expect(complaintIn('stretches for golfer’s elbow')?.name).toBe('Golfer’s elbow');
    expect(complaintIn('elbow')).toBeUndefined();
    expect(complaintIn('tingling in the thumb')?.name).toBe('Numbness or tingling');
    expect(find('tingling')).toEqual([]);
  });
});
