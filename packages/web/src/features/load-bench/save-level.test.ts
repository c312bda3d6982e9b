import { describe, expect, test } from '@jest/globals';
import { checkMovement } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { insertLevel } from './insert-level.js';
import { MOST_PINS, pinName, readPins, writePins } from './pins.js';
import { postureSubject } from '../../domain/subject.js';

describe('keeping a level', () => {
  const support = shippedMovement('bearing.palm-support')!;
  const [first] = support.ladder;
  const leaning = (leanDeg: number, id: string) => {
    if (first.load.kind !== 'body') throw new Error('a posture');
    return { ...first, id, load: { kind: 'body' as const, stance: { ...first.load.stance, leanDeg } } };
  };

  test('it joins the ladder where its demand belongs, and the ladder still rises', () => {
    const between = insertLevel(support, leaning(3, 'between'));
    expect(between.ladder.map(({ id }) => id).slice(0, 3)).toEqual(['all-fours', 'between', 'knees-back']);
    expect(checkMovement(between)).toEqual([]);
    expect(insertLevel(support, leaning(-8, 'easier')).ladder[0].id).toBe('easier');
  });

  test('one that is as hard as another is refused by the same check as everywhere', () => {
    expect(checkMovement(insertLevel(support, { ...first, id: 'twin' }))[0]!.message).toContain('does not rise');
  });
});

describe('pins', () => {
  const pin = (name: string) => ({ name, subject: postureSubject('plank') });
  test('go into the address and come back; what cannot be read is left out, and three are the most', () => {
    const four = ['a', 'b', 'c', 'd'].map(pin);
    expect(readPins(writePins(four))).toEqual(four.slice(0, MOST_PINS));
    expect([readPins(null), readPins('nonsense'), readPins('[{"name":"x","at":"y"}]')]).toEqual([[], [], []]);
    expect(writePins([])).toBeNull();
  });
  test('the same name twice is told apart', () => {
    expect(pinName(pin('Plank'), [])).toBe('Plank');
    expect(pinName(pin('Plank'), [pin('Plank')])).toBe('Plank 2');
  });
});
