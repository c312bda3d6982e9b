import { describe, expect, jest, test } from '@jest/globals';
import { potOf, referencePerson, REFERENCE_BODIES, type Sequence, viewOf } from '@clay-pot/core';
import { LIBRARY, methodOf, shippedMethod, shippedMovement } from '@clay-pot/core/library';
import { screen } from '@testing-library/react';
import { SHORT } from '../made-up.fixture.js';
import { show } from '../screen.fixture.js';
import { PotDrawing, type PotProps } from './pot.js';

function potFor(sequence: Sequence) {
  const view = viewOf({
    sequence,
    lookup: shippedMovement,
    shelf: LIBRARY,
    person: referencePerson(REFERENCE_BODIES.female, '2026-05-01'),
    method: methodOf(sequence, shippedMethod),
    athlete: null,
    past: [],
    now: '2026-05-01T08:00:00.000Z',
  });
  return potOf(view, 'effort');
}
const pot = potFor(SHORT);
const drawn = (more: Partial<PotProps> = {}) =>
  show(<PotDrawing pot={pot} description="A pot of three coils" nameOf={(id) => `block ${id}`} {...more} />);

describe('the pot as a drawing', () => {
  test('to look at is one picture with its description, and nothing to step through', () => {
    drawn();
    const picture = screen.getByRole('img', { name: 'A pot of three coils' });
    expect(picture.hasAttribute('tabindex')).toBe(false);
    expect(picture.hasAttribute('aria-valuenow')).toBe(false);
  });

  test('to choose from it is stepped through coil by coil, from foot to rim and no further', async () => {
    const onSelect = jest.fn();
    const { user } = drawn({ onSelect, selectedId: 'b' });
    const slider = screen.getByRole('slider', { name: 'A pot of three coils' });
    expect(slider.getAttribute('aria-valuenow')).toBe('2');
    expect(slider.getAttribute('aria-valuemax')).toBe('3');
    expect(slider.getAttribute('aria-valuetext')).toContain('block b');
    slider.focus();
    await user.keyboard('{ArrowUp}');
    expect(onSelect).toHaveBeenLastCalledWith('c');
    await user.keyboard('{ArrowDown}');
    expect(onSelect).toHaveBeenLastCalledWith('a');
  });

  test('at the foot there is nothing below', async () => {
    const onSelect = jest.fn();
    const { user } = drawn({ onSelect, selectedId: 'a' });
    screen.getByRole('slider').focus();
    await user.keyboard('{ArrowDown}x');
    expect(onSelect).not.toHaveBeenCalled();
  });

  test('Enter goes to the row of the coil', async () => {
    const row = document.createElement('button');
    row.id = 'block-b';
    document.body.append(row);
    const { user } = drawn({ onSelect: jest.fn(), selectedId: 'b' });
    screen.getByRole('slider').focus();
    await user.keyboard('{Enter}');
    expect(document.activeElement).toBe(row);
    row.remove();
  });

  test('of what is being done shows no more than was done, over the outline of the whole', () => {
    const heights = (container: HTMLElement) => container.querySelectorAll('path[stroke-dasharray="2 3"]').length;
    const { container, unmount } = drawn();
    expect(heights(container)).toBe(0);
    unmount();
    const halfway = drawn({ builtMs: pot.durationMs / 2, onSelect: jest.fn() });
    expect(heights(halfway.container)).toBe(2);
    const built = pot.coils.filter(({ startMs }) => startMs < pot.durationMs / 2).length;
    expect(screen.getByRole('slider').getAttribute('aria-valuemax')).toBe(String(built));
  });

  test('what rises over its minutes is marked in the colour of stopping', () => {
    const over = (container: HTMLElement) => container.querySelector('rect[fill="var(--color-iron)"]') !== null;
    expect(over(drawn().container)).toBe(false);
    expect(over(drawn({ pot: potFor({ ...SHORT, budgetMin: 1 }) }).container)).toBe(true);
  });

  test('without any block there is a ground and no slider', () => {
    drawn({ pot: potFor({ ...SHORT, blocks: [] }), onSelect: jest.fn() });
    expect(screen.queryByRole('slider')).toBeNull();
    expect(screen.getByRole('img')).toBeTruthy();
  });
});
