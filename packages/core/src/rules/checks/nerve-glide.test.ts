import { describe, expect, test } from '@jest/globals';
import { LIBRARY } from '../../library/index.js';
import { applyEdits } from '../../model/edits.js';
import type { Round } from '../../model/round.js';
import { editsOf } from './finding.js';
import { isNerveGlide } from '../gate/nerve-glides.js';
import { ask, athlete, found, instead, type More, write } from './sessions.fixture.js';

const glides = LIBRARY.filter(({ ladder }) => ladder.some(isNerveGlide));
const withDose = (dose: string, more: More = {}, rounds?: readonly Round[]) =>
  ask(write(instead('free.finger-touches', ['prepare', 'glide.nerve-median', 'elbow-bent', dose]), rounds ? { rounds } : {}), more);
const harsh = (question: ReturnType<typeof ask>) => found(question).filter(({ check }) => check.id === 'nerve-glide');

describe('glides of a nerve', () => {
  test('are three movements, done by repetitions alone, and off for whoever feels a tingling', () => {
    expect(glides.map(({ id }) => id)).toEqual(['glide.nerve-median', 'glide.nerve-ulnar', 'glide.nerve-radial']);
    for (const { work, cautions } of glides) {
      expect(work).toEqual(['repetitions']);
      expect(cautions.some(({ avoid, concerns }) => avoid && concerns.includes('numbness'))).toBe(true);
    }
    const ids = found(withDose('1x5 tempo3-3 L,R', { athlete: athlete('numbness') })).map(({ check }) => check.id);
    expect(ids).toContain('leave-out');
  });

  test.each([
    ['1x5 5s tempo3-3 L,R', 'held for 5 s'],
    ['1x5 @30% tempo3-3 L,R', '30 % effort'],
    ['1x5,1xmax8 tempo3-3 L,R', 'as many as possible'],
    ['1x5 tempo0.5-0.5 L,R', 'faster than four seconds'],
  ])('%s is stopped, and brought back to gentle motion', (dose, words) => {
    const question = withDose(dose);
    const [finding, ...more] = harsh(question);
    expect(more).toEqual([]);
    expect(finding?.text).toContain(words);
    const mended = applyEdits(question.sequence, editsOf(finding!.fix!));
    expect(harsh({ ...question, sequence: mended })).toEqual([]);
    expect(mended.blocks.length).toBe(question.sequence.blocks.length);
  });

  test('a slow glide is not spoken of', () => expect(harsh(withDose('1x5 tempo3-3 L,R'))).toEqual([]));

  test('a round that hurries a usual glide takes it out', () => {
    const id = withDose('1x5 tempo3-3 L,R').sequence.blocks.find(({ movementId }) => movementId.startsWith('glide.'))!.id;
    const round: Round = { id: 'r', blockIds: [id], times: 3, restS: 0, change: { fasterPercent: 100 } };
    const question = withDose('1x5 tempo3-3 L,R', {}, [round]);
    const [finding] = harsh(question);
    expect(editsOf(finding!.fix!)).toEqual([{ kind: 'remove', blockId: id }]);
  });
});
