import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { sequenceOf } from '../../made-up.fixture.js';
import { answering, show } from '../../screen.fixture.js';
import { openSequence, useEditor } from '../../store/editor.js';
import { setOwnNames } from '../../store/own-names.js';
import { TextPanel } from './text-panel.js';

const HERE = sequenceOf([['a', 'prepare', 'free.wrist-circles', 'free-fist', '1x4 tempo4-4 L,R <>']]);
const panel = (pasted: string | null = null) => {
  const onClose = jest.fn();
  return { ...show(<TextPanel document={HERE} pasted={pasted} onClose={onClose} />), onClose };
};
const field = () => screen.getByRole('textbox', { name: 'The sequence as text' });
const write = (text: string) => fireEvent.change(field(), { target: { value: text } });
const take = () => screen.getByRole('button', { name: 'Use this text' });

beforeEach(() => {
  answering({});
  setOwnNames([]);
  openSequence(HERE);
});

describe('a sequence as text, beside its rows', () => {
  test('says what stands there, and has nothing to take until it is changed', () => {
    panel();
    expect(field()).toHaveProperty('value', expect.stringContaining('Wrist circles, Arm forward, fist: 1x4 tempo4-4'));
    expect(take()).toHaveProperty('disabled', true);
  });

  test('is taken whole, with what was made of it said, and undone in one step', async () => {
    const { user, onClose } = panel();
    write('Evening\n12 min\nstrength\n2 rounds, rest 30 s:\n  Palm lift, knees: 2x6 tempo1-3\n  wrist circels: 1x3 L,R <>');
    const said = screen.getByText(/2 blocks, complete/).closest('[role=status]')!;
    expect(said.textContent).toContain('“wrist circels” was read as Wrist circles');
    await user.click(take());
    expect(onClose).toHaveBeenCalled();
    const { document } = useEditor.getState();
    expect([document!.title, document!.rounds?.[0]?.times]).toEqual(['Evening', 2]);
    useEditor.temporal.getState().undo();
    expect(useEditor.getState().document).toEqual(HERE);
  });

  test('that cannot be read takes nothing; pressing the line goes there', async () => {
    const { user } = panel('Broken\nstrength\nPalm lift, knees back: 2x6 hard');
    expect(screen.getByRole('alert').textContent).toMatch(/^Line 3, 28: Can’t read “hard” in a dose/);
    expect(take()).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('button', { name: 'Line 3, 28' }));
    const at = (field() as HTMLTextAreaElement).selectionStart;
    expect((field() as HTMLTextAreaElement).value.slice(at)).toMatch(/^hard/);
  });

  test('of a level that there is not says so with the nearest names', () => {
    panel('Loading\nstrength\nPalm lift, knees bak: 2x6\nPalm lift: 2x6 hard');
    const message = screen.getByRole('alert').textContent;
    expect(message).toContain('Line 3, 1: “Palm lift” has no level “knees bak”.');
    expect(message).toContain('Hands on a table · All fours');
    expect(message).toContain('Line 4, 16: Can’t read “hard” in a dose');
    expect(take()).toHaveProperty('disabled', true);
  });

  test('names what the studio calls a movement', () => {
    setOwnNames([{ movementId: 'strength.palm-lift', name: 'Tide out' }]);
    panel('Short\n5 min\nTide out, all fours: 2x6');
    expect(screen.getByText(/1 block, complete/)).toBeTruthy();
    expect(take()).toHaveProperty('disabled', false);
  });
});
