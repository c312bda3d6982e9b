import { beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredMovement } from '@clay-pot/contracts';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { movementById } from './library.js';
import { clearAccount, storedNamesOf, switchAccount } from './device-storage.js';
import { hasOwnMovements, ownMovement, setOwnMovements } from './own-movements.js';

const own: StoredMovement = {
  id: 'own-1',
  etag: '"1"',
  updatedAt: '2026-11-24T10:00:00.000Z',
  removed: false,
  movement: { ...LIBRARY[0]!, id: 'own-1', name: 'Ours' },
};

const WREN = 'wren@hall.example';
beforeEach(() => {
  localStorage.clear();
  switchAccount(null);
  switchAccount(WREN);
});

describe('finding movements', () => {
  test('shipped ones are always there, the studio’s own once the server told of them', () => {
    expect(movementById('free.wrist-circles')).toBe(shippedMovement('free.wrist-circles'));
    expect([movementById('own-1'), hasOwnMovements()]).toEqual([undefined, false]);
    setOwnMovements([own]);
    expect([movementById('own-1')!.name, hasOwnMovements()]).toEqual(['Ours', true]);
  });

  test('one that was taken off the shelf is still found by what names it', () => {
    setOwnMovements([{ ...own, removed: true }]);
    expect(ownMovement('own-1')!.name).toBe('Ours');
  });

  test('it is kept in the browser, and forgotten when somebody signs out', () => {
    setOwnMovements([own]);
    expect(storedNamesOf(WREN)).toEqual(['movements']);
    clearAccount(WREN);
    switchAccount(null);
    expect(storedNamesOf(WREN)).toEqual([]);
    expect(movementById('own-1')).toBeUndefined();
  });
});
