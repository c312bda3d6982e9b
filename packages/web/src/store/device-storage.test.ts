import { beforeEach, describe, expect, test } from '@jest/globals';
import { clearAccount, storedNamesOf, switchAccount } from './device-storage.js';
import { useKeeping } from './keeping.js';
import { toggleFavourite, useShelfHabits } from './shelf-habits.js';

const [WREN, SORREL] = ['wren@hall.example', 'sorrel@hall.example'];
const favourites = () => useShelfHabits.getState().favourites;

beforeEach(() => {
  switchAccount(null);
  localStorage.clear();
  useKeeping.setState({ trouble: null });
});

describe('what an account keeps on a device', () => {
  test('is shown to it alone, and there again when it comes back', () => {
    switchAccount(WREN);
    toggleFavourite('a');
    switchAccount(SORREL);
    expect(favourites()).toEqual([]);
    toggleFavourite('b');
    switchAccount(WREN);
    expect(favourites()).toEqual(['a']);
    switchAccount(null);
    expect(favourites()).toEqual([]);
  });

  test('nothing is kept while nobody is signed in', () => {
    toggleFavourite('a');
    expect(localStorage.length).toBe(0);
  });

  test('what an older version kept without an account goes to the one that is signed in', () => {
    localStorage.setItem('clay-pot-shelf', JSON.stringify({ state: { favourites: ['old'], recent: [] }, version: 0 }));
    switchAccount(WREN);
    expect(favourites()).toEqual(['old']);
    switchAccount(SORREL);
    expect(favourites()).toEqual([]);
  });

  test('it stays where it was, and is shown, where there is no room to take it over', () => {
    const older = JSON.stringify({ state: { favourites: ['old'], recent: [] }, version: 0 });
    localStorage.setItem('clay-pot-shelf', older);
    const { setItem } = localStorage;
    localStorage.setItem = (name, value) => {
      if (name.includes(WREN)) throw new DOMException('full', 'QuotaExceededError');
      setItem(name, value);
    };
    switchAccount(WREN);
    localStorage.setItem = setItem;
    expect([favourites(), localStorage.getItem('clay-pot-shelf')]).toEqual([['old'], older]);
    expect(useKeeping.getState().trouble).toMatch(/no space left/);
  });

  test('another tab’s change is shown here', () => {
    switchAccount(WREN);
    toggleFavourite('a');
    const [key] = Object.values({ key: `clay-pot:${WREN}:shelf` });
    localStorage.setItem(key!, JSON.stringify({ state: { favourites: ['theirs'], recent: [] }, version: 0 }));
    window.dispatchEvent(Object.assign(new Event('storage'), { key }));
    expect(favourites()).toEqual(['theirs']);
  });

  test('is removed when it signs out, but for what is to stay', () => {
    switchAccount(WREN);
    toggleFavourite('a');
    localStorage.setItem(`clay-pot:${WREN}:run`, '{}');
    localStorage.setItem(`clay-pot:${SORREL}:run`, '{}');
    clearAccount(WREN, ['shelf']);
    expect([storedNamesOf(WREN), storedNamesOf(SORREL)]).toEqual([['shelf'], ['run']]);
  });

  test('a browser without room is told of, and the page goes on', () => {
    switchAccount(WREN);
    const { setItem } = localStorage;
    localStorage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    toggleFavourite('a');
    localStorage.setItem = setItem;
    expect(favourites()).toEqual(['a']);
    expect(useKeeping.getState().trouble).toMatch(/no space left/);
    toggleFavourite('b');
    expect(useKeeping.getState().trouble).toBeNull();
  });
});
