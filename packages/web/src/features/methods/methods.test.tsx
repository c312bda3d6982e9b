import { beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredMethod } from '@clay-pot/contracts';
import { METHODS } from '@clay-pot/core/library';
import { fireEvent, screen } from '@testing-library/react';
import { answering, settle, show } from '../../screen.fixture.js';
import { setOwnMethods } from '../../store/own-methods.js';
import MethodEditorPage from './method-editor-page.js';
import MethodsPage from './methods-page.js';

const ID = '01890000-0000-7000-8000-0000000000bb';
const floor = METHODS['floor-loading'];
const stored: StoredMethod = { id: ID, etag: '"2"', method: { ...floor, id: ID, name: 'Breathing floor' } } as StoredMethod;
beforeEach(() => {
  setOwnMethods([]);
});

describe('methods', () => {
  test('a shipped one is copied under an id of its own, with all of its choices, and opened to be changed', async () => {
    const requests = answering({ 'PUT /api/methods/*': stored });
    const { user } = show(<MethodsPage />, '/methods', '/methods/:id?');
    await user.click(screen.getByRole('button', { name: `Duplicate ${floor.name} and edit it` }));
    await settle();
    const put = requests.find(({ what }) => what.startsWith('PUT /api/methods/'))!;
    expect(put.body).toMatchObject({ dosing: floor.dosing, effortCeilingPercent: floor.effortCeilingPercent });
    expect(screen.getByTestId('where').textContent).toMatch(/^\/methods\/[0-9a-f-]{36}\/edit$/);
  });

  test('a choice outside its limits is refused beside its field; within them it is kept with its version', async () => {
    const requests = answering({ 'GET /api/methods': [stored], 'PUT /api/methods/*': stored });
    const { user } = show(<MethodEditorPage />, `/methods/${ID}/edit`, '/methods/:id/edit');
    await settle();
    const ceiling = screen.getByLabelText('Maximum effort of any block, %');
    fireEvent.change(ceiling, { target: { value: '200' } });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/within 10–100 %/)).toBeTruthy();
    expect(requests.some(({ what }) => what.startsWith('PUT'))).toBe(false);
    fireEvent.change(ceiling, { target: { value: '20' } });
    await user.selectOptions(screen.getByLabelText('Dosing'), 'breaths');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await settle();
    expect(requests.find(({ what }) => what === `PUT /api/methods/${ID}`)!.body).toMatchObject({
      effortCeilingPercent: 20,
      dosing: 'breaths',
      name: 'Breathing floor',
    });
    expect(screen.getByTestId('where').textContent).toBe(`/methods/${ID}`);
  });

  test('an address of none says where the methods are', async () => {
    answering({ 'GET /api/methods': [] });
    show(<MethodEditorPage />, `/methods/${ID}/edit`, '/methods/:id/edit');
    await settle();
    expect(screen.getByRole('link', { name: 'Back to the methods' })).toBeTruthy();
  });
});
