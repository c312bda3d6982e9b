import { describe, expect, test } from '@jest/globals';
import { joinSentences, sentenceText } from '../../vocabulary/sentence.js';
import { type SessionView, viewOf } from '../../effort/session-view.js';
import { personOf } from '../../mechanics/person.js';
import { METHODS } from '../../library/methods.js';
import { parseDose } from '../../model/dose-shorthand.js';
import type { Grade } from '../../model/grades.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { shippedMovement } from '../../library/index.js';
import { editsOf } from '../checks/finding.js';
import { findingsOf } from '../checks/index.js';
import { ask, athlete, type Line, write } from '../checks/sessions.fixture.js';
import { doseChanges } from '../../model/dose-changes.js';
import { editWords } from './edit-words.js';
import { gentlerOf } from './gentler.js';
import { offersFor, raisedBy } from './offered.js';

const { person } = personOf({ sex: 'female', statureCm: 168, massKg: 62, birthDate: '1990-01-01' }, [], '2026-06-10');

/** A yoga teacher's practice as it is: circles, a stretch, rocks, planks, a lift, a pike, the wall. */
const YOGA: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist'],
  ['prepare', 'free.open-close', 'fast'],
  ['range', 'stretch.flexors', 'open'],
  ['range', 'rock.palm-fore-aft', 'over'],
  ['load', 'bearing.palm-support', 'plank', '2x45s rest15'],
  ['load', 'strength.palm-lift', 'plank'],
  ['strength', 'bearing.palm-support', 'pike', '2x40s rest10'],
  ['skill', 'bearing.handstand', 'wall'],
  ['settle', 'settle.shakes', 'hanging'],
];
const THINGS = ['mat', 'chair', 'table', 'wall', 'bench', 'handles', 'towel', 'soft ball'];
const seen = (lines: readonly Line[], caution?: string) =>
  viewOf(
    ask(write(lines, { methodId: 'woven-into-practice' }), {
      person,
      method: METHODS['woven-into-practice'],
      ...(caution && { athlete: athlete(caution, THINGS) }),
    }),
  );
const offersOf = (view: SessionView, check: string) => {
  const finding = findingsOf(view).find((each) => each.check.id === check)!;
  return offersFor(view, finding).map(({ label }) => sentenceText(label));
};

const BANDS: readonly Grade[] = [
  { kind: 'band', name: 'Yellow', kg: 0.6 },
  { kind: 'band', name: 'Red', kg: 1.1 },
  { kind: 'band', name: 'Blue', kg: 1.9 },
];

test('less of a band is the next lighter one that the studio owns', () => {
  const lines: Line[] = [['strength', 'grip.band-opening', 'held', '2x12 band1.9kg rest60']];
  const less = (grades: readonly Grade[]) => {
    const view = viewOf(ask(write(lines), { person: { ...person, grades } }));
    const tries = gentlerOf('less', view, view.blocks[0]!, 'hard');
    return tries.flatMap((edits) => edits.flatMap((edit) => (edit.kind === 'change' ? (edit.dose?.load?.bandKg ?? []) : [])));
  };
  expect(less(BANDS).slice(0, 2)).toEqual([1.1, 0.6]);
  expect(less([])[0]).toBe(1.25);
});

test('a band that nobody feels to be lighter is none', () => {
  const view = viewOf(
    ask(write([['strength', 'grip.band-opening', 'light', '2x12 rest60']]), {
      person: {
        ...person,
        grades: [
          { kind: 'band', name: 'Yellow', kg: 0.5 },
          { kind: 'band', name: 'Green', kg: 0.8 },
        ],
      },
    }),
  );
  const tries = gentlerOf('less', view, view.blocks[0]!, 'hurts');
  const bands = tries.flatMap((edits) => edits.flatMap((edit) => (edit.kind === 'change' ? (edit.dose?.load?.bandKg ?? []) : [])));
  // The level’s own is 0.82 kg.
  expect(bands).toEqual([0.5]);
});

describe('what would answer a finding', () => {
  test('follows a yoga routine through its checks without losing a block', () => {
    let view = seen(YOGA);
    const first = findingsOf(view).length;
    let presses = 0;
    for (; presses < 30; presses++) {
      const [next] = findingsOf(view).flatMap((finding) => offersFor(view, finding).slice(0, 1));
      if (!next) break;
      view = viewOf({ ...view, sequence: applyEdits(view.sequence, next.edits) });
    }
    const kept = view.sequence.blocks.filter(({ id }) => /^b\d+$/.test(id));
    expect(kept).toHaveLength(YOGA.length);
    expect(presses).toBeLessThanOrEqual(first);
    expect(findingsOf(view).length).toBeLessThanOrEqual(2);
  });

  test('with tendon pain does not bring an end-range press “into the usual range”, from 40 to 70 %', () => {
    const press: Line = ['strength', 'isometric.end-extension', 'strong', '1x5 @40% 6s tempo1-2 L,R'];
    const lines: readonly Line[] = [YOGA[0]!, press];
    const view = seen(lines, 'tendon-pain');
    const all = findingsOf(view);
    const outside = all.find(({ check }) => check.id === 'dose-outside')!;
    expect(all.map(({ check }) => check.id)).not.toContain('caution-limit');
    expect(raisedBy(view, outside, all, editsOf(outside.fix!))).toContain('caution-limit');
    expect(offersFor(view, outside)).toEqual([]);
  });

  test('comes gentlest first: less, what spares the wrist, an incline, and out only when nothing else would do', () => {
    const lines = YOGA.map((line): Line =>
      line[1] === 'strength.palm-lift' ? [line[0], 'strength.palm-lift-hold', 'all-fours', '2x60s rest15'] : line,
    );
    const offers = offersOf(seen(lines), 'failing-hold');
    expect(offers).toEqual([
      'Palm lift, held: 2 sets of 60 s → 30 s',
      'Palm lift, held: 2 sets of 60 s → 2 sets of 24 s',
      expect.stringMatching(/^Palm lift, held → palm lift, all fours, 2 sets of 8/),
    ]);
    expect(offers.some((label) => sentenceText(label).startsWith('Remove'))).toBe(false);
  });

  test('takes out what no level of it would make right', () => {
    const pinch: readonly Line[] = [
      ['prepare', 'free.wrist-circles', 'free-fist'],
      ['strength', 'grip.pinch-hold', 'light'],
    ];
    const offers = offersOf(viewOf(ask(write(pinch), { athlete: athlete('arthritis', []) })), 'leave-out');
    expect(offers).toEqual([`Remove ${shippedMovement('grip.pinch-hold')!.name.toLowerCase()}`]);
  });
});

describe('what changes, in words', () => {
  test.each([
    ['2x8 rest30', '2x5 rest60', '2 sets of 8 → 2 sets of 5, rest 30 → 60 s'],
    ['1x5 @70% 6s', '1x5 @40% 6s', 'effort 70 → 40 %'],
    ['2x8 tempo1-2 L,R', '2x8 tempo2-2 R', 'out 1 s, back 2 s → 4 s each, hands left then right → right'],
    ['1x30s >', '1x3br <>', '30 s → 3 slow breaths, first → each direction'],
    ['1x8', '1x8 band0.5kg', 'with band 0.5 kg'],
    ['1x8 band1kg', '1x8 band0.5kg', 'band 1 kg → band 0.5 kg'],
    ['2x8', '2x8', ''],
  ])('%s to %s: %s', (before, after, words) => {
    expect(sentenceText(joinSentences(doseChanges(parseDose(before), parseDose(after)), ', '))).toBe(words);
  });

  test('names what is added, moved and taken out, two of them and how many more', () => {
    const sequence = write(YOGA);
    const [first, second] = sequence.blocks;
    const words = (...edits: Parameters<typeof editWords>[1]) => sentenceText(editWords(sequence, edits, shippedMovement));
    expect(words({ kind: 'remove', blockId: 'b1' })).toBe('Remove wrist circles');
    expect(words({ kind: 'budget', budgetMin: 25 })).toBe('30 → 25 min');
    expect(words({ kind: 'move', blockId: 'b1', phase: 'prepare', before: null })).toBe('Move wrist circles to the end of “Warm-up”');
    const shake = { ...second!, id: 'new', movementId: 'settle.shakes', levelId: 'hanging', dose: parseDose('1x30s') };
    expect(words({ kind: 'add', block: { ...shake, phase: 'settle' }, before: null })).toBe('Add hand shake-out, arms hanging, 30 s');
    const rest = ['b5', 'b7', 'b8'].map((blockId) => ({
      kind: 'change' as const,
      blockId,
      dose: { ...first!.dose, sets: 3 },
    }));
    expect(words(...rest)).toMatch(/; and 1 more$/);
    // A level’s own weight is named where a dose changes it.
    const curl = write([['strength', 'weight.curl', 'light', '1x10']]);
    const lighter: Edit = { kind: 'change', blockId: 'b1', dose: parseDose('1x10 0.5kg') };
    expect(sentenceText(editWords(curl, [lighter], shippedMovement))).toMatch(/: [\d.]+ kg → 0\.5 kg/);
  });
});
