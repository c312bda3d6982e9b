import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { FileError } from './json-file.js';
import { decodeSequence, encodeSequence } from './sequence-file.js';
import { READABLE_VERSIONS, SEQUENCE_FORMAT_VERSION } from './sequence-schema.js';
import { asStoredSequence, readStoredSequence } from './upgrade-sequence.js';

/** Files as each version wrote them. They are never changed: what somebody kept must be read as it was. */
const fileOf = (version: number) => readFileSync(join(import.meta.dirname, `../../test/files/sequence-v${version}.claypot.json`), 'utf8');

describe('files of every version', () => {
  test.each(READABLE_VERSIONS.map((version) => [version]))('one of version %i is read, led, and written as today’s', (version) => {
    const sequence = decodeSequence(fileOf(version), shippedMovement);
    expect(compileTimeline(sequence, shippedMovement).durationMs).toBeGreaterThan(60_000);
    const written = encodeSequence(sequence);
    expect(JSON.parse(written)).toMatchObject({ version: SEQUENCE_FORMAT_VERSION });
    expect(decodeSequence(written, shippedMovement)).toEqual(sequence);
  });

  test('the first had no method, no muted checks and no time to get ready', () => {
    const sequence = decodeSequence(fileOf(1), shippedMovement);
    expect(sequence).toMatchObject({ title: 'Warm thumbs, first version', pacing: USUAL_PACING });
    expect(sequence.methodId).toBeUndefined();
    expect(sequence.mutes).toBeUndefined();
  });

  test('the second kept an effort beside a weight, which nobody read: it does not begin to find one; a press keeps its own', () => {
    const raw = JSON.parse(fileOf(2)) as { blocks: { id: string; dose: { effortPercent?: number } }[] };
    expect(raw.blocks.find(({ id }) => id === 'curl')?.dose.effortPercent).toBe(40);
    const { blocks, tests, mutes } = decodeSequence(fileOf(2), shippedMovement);
    expect(blocks.find(({ id }) => id === 'curl')?.dose.effortPercent).toBeUndefined();
    const pressed = raw.blocks.filter(({ id, dose }) => id !== 'curl' && dose.effortPercent !== undefined);
    for (const { id, dose } of pressed) expect(blocks.find((block) => block.id === id)?.dose.effortPercent).toBe(dose.effortPercent);
    expect([tests, mutes?.length]).toEqual([['force.grip'], 1]);
  });

  test('the third holds all that can be written, to the letter', () => {
    const sequence = decodeSequence(fileOf(3), shippedMovement);
    expect(encodeSequence(sequence)).toBe(fileOf(3));
    expect(sequence.rounds?.[0]).toMatchObject({ blockIds: ['curl', 'back'], times: 3, change: { fasterPercent: 10 } });
    expect(sequence.blocks.map(({ dose, breakS, lookAgain }) => [dose.load, dose.then?.length, breakS, lookAgain])).toContainEqual([
      { massKg: 16 },
      1,
      60,
      undefined,
    ]);
  });

  test('one of a version to come says that it needs the newer program', () => {
    const future = fileOf(3).replace('"version": 3', '"version": 9');
    try {
      decodeSequence(future, shippedMovement);
      throw new Error('It was read.');
    } catch (error) {
      expect(error).toBeInstanceOf(FileError);
      const [fault] = (error as FileError).faults;
      expect(fault).toMatchObject({ pointer: '/version', line: 3 });
      expect(fault?.message).toBe(
        'This file has version 9; this Clay Pot reads up to version 3. Open it with the newer Clay Pot that wrote it.',
      );
    }
  });

  test('a stored document is read by what it holds, and one of today comes back as it is', () => {
    const { format: _format, version: _version, ...old } = JSON.parse(fileOf(2)) as { format: string; version: number };
    expect(readStoredSequence(old as never, shippedMovement)).toEqual(decodeSequence(fileOf(2), shippedMovement));
    const today = decodeSequence(fileOf(3), shippedMovement);
    expect(readStoredSequence(today, shippedMovement)).toBe(today);
  });
});

test('a document of today that says no time to get ready keeps its efforts through the store; one of before does not get any', () => {
  const { readyS: _usual, ...unsaid } = USUAL_PACING;
  const dose = parseDose('2x10 @40% L,R');
  const document: Sequence = {
    ...{ title: 'Quick', purpose: '', budgetMin: 10, pacing: unsaid },
    blocks: [{ id: 'a', phase: 'strength', movementId: 'weight.curl', levelId: 'light', dose }],
  };
  const effortOf = (stored: Sequence) => readStoredSequence(stored, shippedMovement).blocks[0]!.dose.effortPercent;
  expect(asStoredSequence(document).pacing.readyS).toBe(USUAL_PACING.readyS);
  expect(effortOf(asStoredSequence(document))).toBe(40);
  // Stored by an older house: an effort beside a weight was read by nobody then.
  expect(effortOf(document)).toBeUndefined();
  const said = asStoredSequence({ ...document, pacing: { ...unsaid, readyS: 0 } });
  expect(said.pacing.readyS).toBe(0);
});
