import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { SHORT } from '../made-up.fixture.js';
import { changeDose, changeSequence, openSequence, redo, undo, useEditor } from './editor.js';
import { keepSteps, restoreSteps } from './steps.js';

const budget = () => useEditor.getState().document!.budgetMin;
const dose = (sets: number) => ({ ...SHORT.blocks[0]!.dose, sets });

beforeEach(() => {
  sessionStorage.clear();
  openSequence(SHORT);
});

describe('steps through a reload', () => {
  test('all of them come back, what was undone as well, each document as it was', () => {
    changeSequence({ budgetMin: 11 });
    changeDose('a', dose(2));
    changeSequence({ budgetMin: 12 });
    undo();
    const now = useEditor.getState().document!;
    keepSteps('s');
    openSequence(JSON.parse(JSON.stringify(now)) as typeof now);
    restoreSteps('s');
    redo();
    expect(budget()).toBe(12);
    undo();
    undo();
    expect(useEditor.getState().document!.blocks[0]!.dose.sets).toBe(SHORT.blocks[0]!.dose.sets);
    undo();
    expect(useEditor.getState().document).toEqual(SHORT);
  });

  test('steps that lead to another version than is open are of no use', () => {
    changeSequence({ budgetMin: 11 });
    keepSteps('s');
    openSequence({ ...SHORT, budgetMin: 99 });
    restoreSteps('s');
    undo();
    expect(budget()).toBe(99);
  });

  test('of very many the older go; what is kept still leads step by step', () => {
    for (let step = 0; step < 3000; step++) changeSequence({ purpose: `${step} ${'x'.repeat(600)}`, budgetMin: 10 + (step % 7) });
    keepSteps('s');
    const now = useEditor.getState().document!;
    openSequence(JSON.parse(JSON.stringify(now)) as typeof now);
    restoreSteps('s');
    const { pastStates } = useEditor.temporal.getState();
    expect(pastStates.length).toBeGreaterThan(500);
    expect(pastStates.length).toBeLessThan(3000);
    undo();
    expect(useEditor.getState().document!.purpose.startsWith('2998 ')).toBe(true);
  });

  test('a window without room loses the steps and nothing else: leaving goes on', () => {
    changeSequence({ budgetMin: 11 });
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(() => keepSteps('s')).not.toThrow();
    full.mockRestore();
    restoreSteps('s');
    expect(budget()).toBe(11);
  });
});
