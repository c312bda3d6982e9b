import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
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
    expect(screen.getByRole('status').textContent).toBe('2 blocks read');
    const rows = within(screen.getByRole('list', { name: 'Read as' })).getAllByRole('listitem');
    expect(rows.map(({ textContent }) => textContent)).toContainEqual(
      expect.stringMatching(/^wrist circels: .*Wrist circles, Forearm on the thigh/),
    );
    await user.click(take());
    expect(onClose).toHaveBeenCalled();
    const { document } = useEditor.getState();
    expect([document!.title, document!.rounds?.[0]?.times]).toEqual(['Evening', 2]);
    useEditor.temporal.getState().undo();
    expect(useEditor.getState().document).toEqual(HERE);
  });

  test('of which nothing can be read has nothing to take; pressing the line goes there', async () => {
    const { user } = panel('Broken\nstrength\nPalm lift, knees back: 2x6 hard');
    expect(screen.getByRole('alert').textContent).toMatch(/^Line 3, 28: Can’t read “hard” in a dose/);
    expect(take()).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('button', { name: 'Line 3, 28' }));
    const at = (field() as HTMLTextAreaElement).selectionStart;
    expect((field() as HTMLTextAreaElement).value.slice(at)).toMatch(/^hard/);
  });

  test('asks about the line that it does not understand, and keeps all others; a choice takes its place', async () => {
    const { user } = panel('Loading\nstrength\nPalm lift, on the moon: 2x6\n3 sets of 10 push-ups on the knees');
    expect(screen.getByRole('status').textContent).toBe('1 block read; 1 line not understood');
    expect(screen.getByRole('alert').textContent).toContain('“Palm lift” has no level “on the moon”.');
    await user.click(screen.getByRole('button', { name: 'Palm lift, Knees back: 2x6' }));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(take());
    expect(useEditor.getState().document?.blocks.map(({ movementId, levelId }) => `${movementId} ${levelId}`)).toEqual([
      'strength.palm-lift knees-back',
      'strength.low-press knees',
    ]);
  });

  test('what was understood can be used without the rest', async () => {
    const { user } = panel('Loading\nFloating anvils: 2x6\nPalm lift, all fours: 2x6');
    await user.click(screen.getByRole('button', { name: 'Use 1 block' }));
    expect(useEditor.getState().document?.blocks).toHaveLength(1);
  });

  test('names what the studio calls a movement', () => {
    setOwnNames([{ movementId: 'strength.palm-lift', name: 'Tide out' }]);
    panel('Short\n5 min\nTide out, all fours: 2x6');
    expect(screen.getByText('1 block read')).toBeTruthy();
    expect(take()).toHaveProperty('disabled', false);
  });
});
