import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { LIBRARY, shippedMethod, shippedMovement } from '../library/index.js';
import { METHODS } from '../library/methods.js';
import { printDose } from '../model/dose-shorthand.js';
import { readSequenceText } from './read-sequence-text.js';
import { writeSequenceText } from './write-sequence-text.js';

const FILES = join(import.meta.dirname, '../../test/files');
const read = (text: string) => readSequenceText(text, { shelf: LIBRARY, methods: Object.values(METHODS) });

/** Texts as coaches write them, each under a line with its name. */
const TEXTS = readFileSync(join(FILES, 'coaches-texts.txt'), 'utf8')
  .split(/^==== /m)
  .slice(1)
  .map((text) => {
    const [name = '', ...lines] = text.split('\n');
    return { name, text: lines.join('\n').trim() };
  });

/** What is led of a text, a line a block: it was looked at line by line, and stays as it is. */
const ledOf = (text: string): string[] => {
  const { document } = read(text);
  return (document?.blocks ?? []).map(({ movementId, levelId, dose, breakS, note, id }) => {
    const round = document?.rounds?.find(({ blockIds }) => blockIds.includes(id));
    const more = [breakS && `break ${breakS}`, round && `in ${round.times} rounds, rest ${round.restS}`, note && `(${note})`].filter(
      Boolean,
    );
    return [`${movementId} ${levelId}: ${printDose(dose)}`, ...more].join(', ');
  });
};

test('of forty texts, nineteen lines of twenty are read', () => {
  expect(TEXTS.length).toBeGreaterThanOrEqual(40);
  const lines = TEXTS.flatMap(({ text }) => text.split('\n').filter((line) => line.trim() !== ''));
  const unread = TEXTS.flatMap(({ text }) => read(text).faults);
  expect(unread.length).toBeLessThanOrEqual(0.05 * lines.length);
  // What is not read is asked, with what it could be.
  for (const { choices } of unread) expect(choices.length).toBeGreaterThan(1);
});

test('each text is led as it says, in its order', () => {
  const led = `${TEXTS.map(({ name, text }) => [`==== ${name}`, ...ledOf(text)].join('\n')).join('\n')}\n`;
  expect(led).toBe(readFileSync(join(FILES, 'coaches-texts-led.txt'), 'utf8'));
});

test('what was read of a text is written, and read back as itself', () => {
  for (const { text } of TEXTS) {
    const { document } = read(text);
    const again = read(writeSequenceText(document!, { lookup: shippedMovement, method: shippedMethod, shelf: LIBRARY }));
    expect(again.faults).toEqual([]);
    expect(again.document).toEqual(document);
  }
});
