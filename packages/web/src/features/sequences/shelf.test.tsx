import { beforeEach, describe, expect, test } from '@jest/globals';
import { FAMILIES } from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { screen, within } from '@testing-library/react';
import { createRef } from 'react';
import { sequenceOf, someone } from '../../made-up.fixture.js';
import { answering, show } from '../../screen.fixture.js';
import { openSequence, useEditor } from '../../store/editor.js';
import { MethodChoice } from './method-choice.js';
import { Shelf } from './shelf.js';

const shelf = (athlete?: ReturnType<typeof someone>) =>
  show(<Shelf athlete={athlete} search={createRef()} weaker={null} />);
const names = () =>
  within(screen.getByRole('list', { name: 'Movements to add' }))
    .queryAllByRole('button')
    .map((button) => button.getAttribute('aria-label')!.replace('Add ', ''));
const blocks = () => useEditor.getState().document!.blocks;

beforeEach(() => {
  answering({});
  openSequence(sequenceOf([]));
});

describe('the movement shelf', () => {
  test('holds the whole library; search and family narrow it; nothing found is said', async () => {
    const { user } = shelf();
    expect(names()).toHaveLength(LIBRARY.length);
    await user.selectOptions(screen.getByRole('combobox', { name: 'Family' }), FAMILIES.grip);
    const grips = names();
    expect(grips.length).toBeGreaterThan(4);
    expect(LIBRARY.filter(({ family }) => family === 'grip').map(({ name }) => name)).toEqual(grips);
    await user.type(screen.getByRole('searchbox'), 'squeeze');
    expect(names().length).toBeLessThan(grips.length);
    await user.type(screen.getByRole('searchbox'), ' zzz');
    expect(names()).toEqual([]);
    expect(screen.getByText('Nothing suits. Widen the search.')).toBeTruthy();
  });

  test('Enter adds the first that is shown, at its easiest level that passes, with its usual amount', async () => {
    const { user } = shelf();
    await user.type(screen.getByRole('searchbox'), 'ball squeeze{Enter}');
    const squeeze = shippedMovement('grip.ball-squeeze')!;
    const { work, effortPercent } = squeeze.ladder[0].dose;
    expect(blocks()).toMatchObject([
      { movementId: squeeze.id, levelId: squeeze.ladder[0].id, dose: { work, effortPercent } },
    ]);
  });

  test('for an athlete it leaves out what they have not the things for and what they must not do', async () => {
    const bare = someone({ equipment: [], cautions: [{ caution: 'recent-injury' }] });
    const { user } = shelf(bare);
    const suited = names();
    expect(suited).not.toContain('Ball squeeze');
    expect(suited).not.toContain(shippedMovement('bearing.palm-support')!.name);
    await user.click(screen.getByRole('checkbox', { name: 'Only what suits Wren' }));
    expect(names()).toHaveLength(LIBRARY.length);
    expect(suited.length).toBeLessThan(LIBRARY.length / 2);
  });
});

describe('the method of a sequence', () => {
  test('is chosen from those that the studio knows, and shown with a way to read it', async () => {
    const { user } = show(<MethodChoice methodId={undefined} />);
    const choice = screen.getByRole('combobox', { name: 'Method' });
    const options = within(choice).getAllByRole('option');
    expect(options.length).toBeGreaterThanOrEqual(5);
    const other = options.find((option) => option.getAttribute('value') !== (choice as HTMLSelectElement).value)!;
    await user.selectOptions(choice, other);
    expect(useEditor.getState().document!.methodId).toBe(other.getAttribute('value'));
  });
});
