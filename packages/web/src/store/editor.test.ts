import { beforeEach, describe, expect, test } from '@jest/globals';
import { checkSequence, findLevel, PHASES, printDose, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import fc from 'fast-check';
import {
  addBlock,
  changeBlock,
  changeRound,
  changeSequence,
  groupBlocks,
  groupWithNext,
  ungroup,
  dropBlock,
  duplicateBlock,
  moveBlock,
  openSequence,
  redo,
  removeBlock,
  stepLevel,
  undo,
  useEditor,
} from './editor.js';

const sample: Sequence = {
  title: 'test',
  purpose: '',
  budgetMin: 20,
  pacing: USUAL_PACING,
  blocks: (
    [
      ['a', 'prepare', 'free.open-close', 'fast'],
      ['b', 'prepare', 'free.wrist-circles', 'free-fist'],
      ['c', 'load', 'grip.ball-squeeze', 'soft'],
    ] as const
  ).map(([id, phase, movementId, levelId]) => {
    const { dose } = findLevel(shippedMovement(movementId)!, levelId)!;
    return { id, phase, movementId, levelId, dose };
  }),
};
const doc = () => useEditor.getState().document!;
const order = () => doc().blocks.map(({ id, phase }) => `${id} ${phase}`);
beforeEach(() => openSequence(sample));

describe('rounds', () => {
  const rounds = () => doc().rounds?.map(({ blockIds, times, restS }) => [blockIds.join(''), times, restS]);

  test('a block is taken in rounds with the next, the next one joins, and undo takes each back', () => {
    const sweeps = shippedMovement('free.side-sweeps')!;
    addBlock(sweeps, sweeps.ladder[0], sweeps.ladder[0].dose);
    groupWithNext('a');
    const [first, second] = doc().blocks;
    expect(rounds()).toEqual([[`${first!.id}${second!.id}`, 3, 60]]);
    groupWithNext('a');
    expect(doc().rounds![0]!.blockIds).toHaveLength(3);
    expect(checkSequence(doc(), shippedMovement)).toEqual([]);
    undo();
    expect(doc().rounds![0]!.blockIds).toHaveLength(2);
    ungroup('a');
    expect(doc().rounds).toBeUndefined();
  });

  test('over a stretch of blocks: of the first one’s phase only, and a round that it touches is taken in', () => {
    groupBlocks('a', 'c');
    expect(rounds()).toEqual([['ab', 3, 60]]);
    changeRound({ ...doc().rounds![0]!, times: 4, change: { fasterPercent: 20, levels: 0 } });
    expect(doc().rounds![0]).toMatchObject({ times: 4, change: { fasterPercent: 20 } });
    changeRound({ ...doc().rounds![0]!, change: { fasterPercent: 0 } });
    expect(doc().rounds![0]).not.toHaveProperty('change');
    groupBlocks('b', 'b');
    expect(rounds()).toEqual([['ab', 4, 60]]);
  });

  test('a block that leaves its phase leaves its round, and the last one takes the round along', () => {
    groupBlocks('a', 'b');
    moveBlock('b', 1);
    expect(rounds()).toEqual([['a', 3, 60]]);
    removeBlock('a');
    expect(doc().rounds).toBeUndefined();
    expect(checkSequence(doc(), shippedMovement)).toEqual([]);
  });
});

describe('the sequence in the editor', () => {
  test('undo and redo walk through every change, and opening forgets the steps before', () => {
    const seen = [doc()];
    for (let budgetMin = 21; budgetMin <= 60; budgetMin++) {
      changeSequence({ budgetMin });
      seen.push(doc());
    }
    for (const past of seen.slice(0, -1).reverse()) {
      undo();
      expect(doc()).toBe(past);
    }
    undo();
    expect(doc()).toBe(seen[0]);
    for (const next of seen.slice(1)) {
      redo();
      expect(doc()).toBe(next);
    }
    openSequence(sample);
    undo();
    expect(doc()).toBe(sample);
  });

  test('moving past the edge of a phase enters the next one there', () => {
    moveBlock('b', 1);
    expect(order()).toEqual(['a prepare', 'b range', 'c load']);
    moveBlock('b', 1);
    expect(order()).toEqual(['a prepare', 'b load', 'c load']);
    moveBlock('b', 1);
    expect(order()).toEqual(['a prepare', 'c load', 'b load']);
    moveBlock('a', -1);
    expect(order()[0]).toBe('a prepare');
  });

  test('a dropped block takes place and phase of what it was dropped on', () => {
    dropBlock('a', 'c');
    expect(order()).toEqual(['b prepare', 'c load', 'a load']);
    dropBlock('a', 'b');
    expect(order()).toEqual(['a prepare', 'b prepare', 'c load']);
    dropBlock('a', 'nobody');
    expect(order()).toEqual(['a prepare', 'b prepare', 'c load']);
  });

  test('a usual dose follows the level; a dose of the coach’s own stays', () => {
    stepLevel('c', 1);
    expect(printDose(doc().blocks[2]!.dose)).toBe('2x6 @50% 5s tempo1-1 rest30 L,R');
    changeBlock('c', { dose: { ...doc().blocks[2]!.dose, sets: 5 } });
    stepLevel('c', 1);
    expect(doc().blocks[2]).toMatchObject({ levelId: 'gripper', dose: { sets: 5, effortPercent: 50 } });
    stepLevel('c', 1);
    expect(doc().blocks[2]).toMatchObject({ levelId: 'gripper' });
  });

  test('an emptied note is no note', () => {
    changeBlock('a', { note: 'warm hands' });
    changeBlock('a', { note: '' });
    expect('note' in doc().blocks[0]!).toBe(false);
  });

  test('removing selects the neighbour, so that the keys go on working', () => {
    useEditor.setState({ selectedId: 'c' });
    removeBlock('c');
    expect(useEditor.getState().selectedId).toBe('b');
  });

  test('whatever is done, the sequence stays sound', () => {
    type Step = (ids: readonly string[], pick: number) => void;
    const steps: Step[] = [
      (ids, pick) => moveBlock(ids[pick % ids.length]!, 1),
      (ids, pick) => moveBlock(ids[pick % ids.length]!, -1),
      (ids, pick) => duplicateBlock(ids[pick % ids.length]!),
      (ids, pick) => stepLevel(ids[pick % ids.length]!, pick % 2 ? 1 : -1),
      (ids, pick) => dropBlock(ids[pick % ids.length]!, ids[(pick * 7) % ids.length]!),
      (ids, pick) => (ids.length > 1 ? removeBlock(ids[pick % ids.length]!) : undefined),
      (_ids, pick) => {
        const movement = LIBRARY[pick % LIBRARY.length]!;
        addBlock(movement, movement.ladder[0], movement.ladder[0].dose);
      },
      () => undo(),
      () => redo(),
    ];
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(steps.length - 1), fc.nat(1000)), { maxLength: 30 }), (walk) => {
        openSequence(sample);
        for (const [step, pick] of walk)
          steps[step]!(
            doc().blocks.map(({ id }) => id),
            pick,
          );
        expect(checkSequence(doc(), shippedMovement)).toEqual([]);
        expect(doc().blocks.every(({ phase }) => PHASES.includes(phase))).toBe(true);
      }),
    );
  });
});
