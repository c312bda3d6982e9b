import { beforeEach, describe, expect, test } from '@jest/globals';
import type { Athlete } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { SHORT_ID, sequenceOf, someone, storedShort } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { useEditor } from '../../store/editor.js';
import EditorPage from './editor-page.js';

/** A class of seven blocks: on the floor and free, with something for each panel to say. */
const CLASS = sequenceOf(
  [
    ['turns', 'prepare', 'free.forearm-turns', 'bent', '1x8 tempo2-2'],
    ['circles', 'prepare', 'free.wrist-circles', 'free-fist', '1x4 tempo4-4 L,R <>'],
    ['stretch', 'range', 'stretch.flexors', 'open', '1x20s L,R'],
    ['lift', 'strength', 'strength.palm-lift', 'all-fours', '2x6 tempo2-2 rest20'],
    ['towel', 'strength', 'grip.towel-gather', 'small', '2x10s L,R rest10'],
    ['squeeze', 'strength', 'grip.ball-squeeze', 'firm', '2x6 @50% 2s tempo1-1 rest10 L,R'],
    ['waves', 'settle', 'free.bending-waves', 'arms-side', '1x6 tempo2-2'],
  ],
  { title: 'Seven things', budgetMin: 20 },
);

// What one test left unsaved is kept on the device.
beforeEach(() => localStorage.clear());

/** @param athlete whom it is seen for, where it is */
async function editing(document: Sequence = CLASS, athlete?: Athlete) {
  const requests = answering({
    [`GET /api/sequences/${SHORT_ID}`]: storedShort(document),
    [`PUT /api/sequences/${SHORT_ID}`]: storedShort(document),
    'GET /api/athletes': [],
    'GET /api/athletes/*': athlete,
    'GET /api/athletes/*/*': [],
  });
  const shown = show(<EditorPage />, `/sequences/${SHORT_ID}${athlete ? `?athlete=${athlete.id}` : ''}`, '/sequences/:id');
  await settle();
  return { ...shown, asked: requests };
}
const block = (number: number) => screen.getByRole('listitem', { name: new RegExp(`^Block ${number}:`) });
// Searching a full screen by label takes a second here, by role a tenth of it.
const doseOf = (name: string) => screen.getByRole<HTMLInputElement>('combobox', { name: `Dose of ${name}` });
const total = () => {
  const [minutes, seconds] = screen.getByTestId('total').textContent!.split(':').map(Number);
  return minutes! * 60 + seconds!;
};
const pot = () => screen.getByRole('slider', { name: /blocks/ });
const dose = (of: string, typed: string) => {
  fireEvent.change(doseOf(of), { target: { value: typed } });
  fireEvent.keyDown(doseOf(of), { key: 'Enter' });
};

describe('the editor', () => {
  test('keeps a dose that it cannot read in its field, with the reason; Escape brings the old one back', async () => {
    await editing();
    const before = doseOf('Forearm rotations').value;
    act(() => doseOf('Forearm rotations').focus());
    for (const [typed, words] of [
      ['3x8 wildly', 'Can’t read “wildly” in a dose'],
      ['3x900', 'Repetitions must be within 1–200'],
      ['3x5br', 'is dosed in repetitions or time'],
      ['', 'Type a dose'],
    ] as const) {
      dose('Forearm rotations', typed);
      expect(screen.getByRole('alert').textContent).toContain(words);
      expect(doseOf('Forearm rotations').value).toBe(typed);
    }
    fireEvent.keyDown(doseOf('Forearm rotations'), { key: 'Escape' });
    expect(doseOf('Forearm rotations').value).toBe(before);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(useEditor.getState().document).toEqual(CLASS);
  });

  test('adds up one total from steppers, pace and budget, and says what is unusual and what is too long', async () => {
    const { user } = await editing();
    const before = total();
    const row = block(5);
    act(() => row.focus());
    await user.click(within(row).getByRole('button', { name: 'More seconds' }));
    // Five seconds more in two sets on each hand.
    await waitFor(() => expect(total()).toBe(before + 20));
    dose('Towel scrunch', '1x10min L,R');
    await waitFor(() => expect(screen.getByText(/too long/)).toBeTruthy());
    expect(block(5).textContent).toContain('600 s is above the usual 5–40 s for grip holds');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(total()).toBe(before));
    await user.click(screen.getByRole('button', { name: 'Pace' }));
    const announce = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Announce, s' });
    const pace = (seconds: string) => {
      fireEvent.change(announce(), { target: { value: seconds } });
      fireEvent.blur(announce());
    };
    pace('8');
    // Seven blocks, three seconds more each.
    await waitFor(() => expect(total()).toBe(before + 21));
    pace('99');
    await waitFor(() => expect(announce().value).toBe('8'));
  });

  test('goes by keys to the first fix, through the pot, and back to the row', async () => {
    const { user, container } = await editing({ ...CLASS, budgetMin: 3 });
    const found = () => Number(/(\d+) found/.exec(screen.getByRole('region', { name: 'Checks' }).textContent!)![1]);
    const before = found();
    await waitFor(() => expect(container.querySelector('[data-first-fix]')).not.toBeNull(), { timeout: 8000 });
    act(() => block(1).focus());
    await user.keyboard('f');
    expect(document.activeElement).toBe(container.querySelector('[data-first-fix]'));
    await user.keyboard('{Enter}');
    await waitFor(() => expect(found()).toBeLessThan(before));
    act(() => block(3).focus());
    act(() => pot().focus());
    expect(pot().getAttribute('aria-valuetext')).toMatch(/^Block 3:/);
    await user.keyboard('{ArrowUp}');
    expect(pot().getAttribute('aria-valuetext')).toMatch(/^Block 4:/);
    expect(block(4).getAttribute('aria-current')).toBe('true');
    await user.keyboard('{ArrowDown}{Enter}');
    expect(document.activeElement).toBe(block(3));
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(found()).toBe(before));
  });

  test('lets coil and row know each other: pointing at one marks the other, pressing a coil opens its row', async () => {
    const { user, container } = await editing();
    const coil = container.querySelector('[data-coil="lift"]')!;
    await user.hover(block(4));
    expect(coil.querySelector('rect')!.getAttribute('fill')).toBe('var(--color-ink)');
    await user.hover(screen.getByTestId('total'));
    await user.hover(coil);
    expect(block(4).className).toContain('bg-ground');
    await user.click(coil);
    expect(block(4).getAttribute('aria-current')).toBe('true');
  });

  test('tells the same sequence by wheel, sums and capacity', async () => {
    const { user } = await editing();
    await user.click(screen.getByRole('tab', { name: 'Wheel' }));
    expect(
      within(screen.getByRole('region', { name: 'Wheel' }))
        .getByRole('img')
        .getAttribute('aria-label'),
    ).toMatch(/unloaded: .*flexion.*planted: .*extension/);
    await user.click(screen.getByRole('tab', { name: 'Totals' }));
    expect(screen.getByRole('region', { name: 'Totals' }).textContent).toMatch(/wrist flexors\s*\d\.\d\d/);
    await user.click(screen.getByRole('tab', { name: 'Capacity' }));
    expect(screen.getByRole('region', { name: 'Capacity left' }).textContent).toContain('wrist flexors');
    act(() => block(3).focus());
    await user.keyboard('c');
    await waitFor(() => expect(document.activeElement).toBe(pot()));
  });

  test('follows every edit with the capacity left, and leads from what cannot be held to its block', async () => {
    const { user } = await editing(CLASS, someone());
    await user.click(screen.getByRole('tab', { name: 'Capacity' }));
    const panel = () => screen.getByRole('region', { name: 'Capacity left' });
    expect(panel().textContent).not.toContain('give out');
    dose('Palm lift', '6x20 tempo3-3 rest5');
    await waitFor(() => expect(panel().textContent).toMatch(/left wrist flexors (tire out|can’t start)/));
    act(() => block(1).focus());
    await user.click(within(panel()).getAllByRole('button', { name: 'Block 4' })[0]!);
    expect(block(4).getAttribute('aria-current')).toBe('true');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(panel().textContent).not.toContain('give out'));
  });

  test('never mutes a rule of safety, and saves a check that is muted with its reason', async () => {
    const { user, asked: requests } = await editing(CLASS, someone({ cautions: [{ caution: 'recent-injury' }] }));
    const checks = screen.getByRole('region', { name: 'Checks' });
    const stop = within(checks)
      .getAllByRole('listitem')
      .find((item) => item.textContent!.includes('Not cleared for loading'))!;
    expect(within(stop).queryByRole('button', { name: 'Mute' })).toBeNull();
    const mute = within(checks).getAllByRole('button', { name: 'Mute' })[0]!;
    await user.click(mute);
    await user.type(screen.getByLabelText(/^Why “/), 'Their thumbs do not like to push.{Enter}');
    await waitFor(
      () =>
        expect(requests.filter(({ what }) => what.startsWith('PUT')).at(-1)?.body).toMatchObject({
          mutes: [{ reason: 'Their thumbs do not like to push.' }],
        }),
      { timeout: 4000 },
    );
    await user.click(screen.getByText('Muted here: 1'));
    await user.click(screen.getByRole('button', { name: 'Unmute' }));
    expect(useEditor.getState().document!.mutes ?? []).toEqual([]);
  });
});
