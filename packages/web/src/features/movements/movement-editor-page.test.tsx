import { beforeEach, describe, expect, test } from '@jest/globals';
import { type Level, must } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { act, fireEvent, screen } from '@testing-library/react';
import { answering, settle, show } from '../../screen.fixture.js';
import { setOwnMovements } from '../../store/own-movements.js';
import MovementEditorPage from './movement-editor-page.js';

beforeEach(() => {
  setOwnMovements([]);
});

describe('a movement of the studio’s own', () => {
  test('is kept only when its ladder rises and every caution says something', async () => {
    const requests = answering({ 'PUT /api/movements/*': {} });
    const { user } = show(<MovementEditorPage />, '/movements/new/edit?from=bearing.fist-support', '/movements/:id/edit');
    await settle();
    const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });
    fireEvent.change(screen.getAllByLabelText('Name', { exact: true })[0]!, { target: { value: 'Fist support on the jetty' } });
    await settle();
    expect(keep().disabled).toBe(false);
    await user.click(screen.getByRole('button', { name: 'Add a caution' }));
    expect(keep().disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Caution 5', { exact: true }), { target: { value: 'Not on wet planks.' } });
    await settle();
    expect(keep().disabled).toBe(false);
    const falls = () => screen.queryAllByRole('status').some(({ textContent }) => textContent!.includes('doesn’t increase'));
    await user.click(screen.getByRole('button', { name: 'Move level 1 up' }));
    expect(falls()).toBe(true);
    expect(keep().disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Move level 1 up' }));
    expect(falls()).toBe(false);
    await user.click(screen.getByRole('button', { name: 'Add a harder level' }));
    expect(falls()).toBe(true);
    const lean = screen.getAllByLabelText('Shoulders in front of the hands, °', { exact: true }).at(-1)!;
    act(() => lean.focus());
    fireEvent.change(lean, { target: { value: '15' } });
    fireEvent.keyDown(lean, { key: 'Enter' });
    await settle();
    expect(falls()).toBe(false);
    await user.click(keep());
    await settle();
    const put = requests.find(({ what }) => what.startsWith('PUT /api/movements/'))!;
    expect(put.body).toMatchObject({ name: 'Fist support on the jetty', family: 'bearing-holds' });
    const { ladder } = put.body as { ladder: Level[] };
    expect(ladder).toHaveLength(must(shippedMovement('bearing.fist-support'), 'fist support').ladder.length + 1);
    expect(JSON.stringify(ladder.at(-1))).toContain('"leanDeg":15');
    expect((put.body as { cautions: object[] }).cautions.at(-1)).toMatchObject({ text: 'Not on wet planks.' });
  });

  test('that nobody has says so, and where the movements are', () => {
    answering({});
    show(<MovementEditorPage />, '/movements/none/edit', '/movements/:id/edit');
    expect(screen.getByRole('heading', { name: 'Movement not found' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Back to the movements' }).getAttribute('href')).toBe('/movements');
  });
});
