import { describe, expect, test } from '@jest/globals';
import {
  asWritten,
  calendarDay,
  capitalSentence,
  loweredSentence,
  quantity,
  say,
  joinSentences,
  sentenceText,
  uniqueSentences,
} from './sentence.js';

const POUNDS = { mass: 'lb', length: 'in' } as const;
const HELD = say`Hold ${{ ...quantity(5, 'kg'), to: 10 }}, ${quantity(20, 'cm')} apart, since ${calendarDay('2026-05-02')}.`;

describe('a sentence with its data', () => {
  test('reads as it was written, in metric units and in others', () => {
    expect(sentenceText(HELD)).toBe('Hold 5–10 kg, 20 cm apart, since 2 May 2026.');
    // By definition 1 lb = 0.45359237 kg and 1 in = 2.54 cm.
    expect(sentenceText(HELD, POUNDS)).toBe('Hold 11.0–22.0 lb, 7.9 in apart, since 2 May 2026.');
  });

  test('what no reader chooses stays: degrees, seconds, percent, millimetres', () => {
    const said = say`${quantity(71, '°')} for ${quantity(12.5, 's', 1)} at ${quantity(40, '%')} on ${quantity(20, 'mm')}`;
    expect(sentenceText(said, POUNDS)).toBe('71° for 12.5 s at 40 % on 20 mm');
  });

  test('without data it is plain words', () => {
    expect(say`${'Palm lift'}: ${3} times`).toBe('Palm lift: 3 times');
    expect(say``).toBe('');
  });

  test('sentences stand in sentences and in lists, and their words grow together', () => {
    const both = say`Both: ${say`left ${quantity(5, 'kg')}`} and right.`;
    expect(both).toEqual(['Both: left ', quantity(5, 'kg'), ' and right.']);
    expect(sentenceText(joinSentences([both, 'Again.', HELD]), POUNDS)).toMatch(/^Both: left 11\.0 lb and right\. Again\. Hold 11\.0/);
  });

  test('the same is said once, whatever it is made of', () => {
    expect(uniqueSentences([say`${quantity(5, 'kg')} more`, '5 kg more', 'less'])).toHaveLength(2);
  });

  test('begins small after a colon and large at the start; a number stays', () => {
    expect(sentenceText(loweredSentence(HELD))).toMatch(/^hold 5/);
    expect(sentenceText(capitalSentence(say`rest ${quantity(20, 's')}`))).toBe('Rest 20 s');
    expect(sentenceText(capitalSentence(say`${quantity(20, 's')} more`))).toBe('20 s more');
  });

  test.each([
    [2, '2 kg'],
    [2.5, '2.5 kg'],
    [2.25, '2.25 kg'],
  ])('%d as it was written is %s', (value, text) => expect(sentenceText(say`${asWritten(value, 'kg')}`)).toBe(text));
});
