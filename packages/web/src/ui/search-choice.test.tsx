import { beforeEach, describe, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { choose, show } from '../screen.fixture.js';
import { SearchChoice, fitting } from './search-choice.js';

const PEOPLE = [
  { id: 'w', name: 'Wren Halloran', note: 'Hand balancing' },
  { id: 's', name: 'Sorrel Penhale', note: 'Climbing' },
  { id: 'a', name: 'Anneke Vos', note: 'Hand balancing' },
];

let chosen: string[];
beforeEach(() => {
  chosen = [];
});
function Whom() {
  const [value, setValue] = useState('s');
  return (
    <SearchChoice
      label="Whom"
      nothing="Anybody"
      options={PEOPLE}
      value={value}
      choose={(id) => {
        chosen.push(id);
        setValue(id);
      }}
    />
  );
}
const box = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Whom' });
const offered = () => screen.getAllByRole('option').map(({ textContent }) => textContent);

describe('one of a list that is too long to be read', () => {
  test('opens with all of it, and is narrowed by words of name and note in any order', async () => {
    const { user } = show(<Whom />);
    expect(box().value).toBe('Sorrel Penhale');
    await user.click(box());
    expect(offered()).toEqual(['Anybody', 'Wren HalloranHand balancing', 'Sorrel PenhaleClimbing', 'Anneke VosHand balancing']);
    await user.keyboard('hand vos');
    expect(offered()).toEqual(['Anneke VosHand balancing']);
    await user.keyboard('{Enter}');
    expect([chosen, box().value]).toEqual([['a'], 'Anneke Vos']);
  });

  test('by keys alone; Escape leaves it as it was', async () => {
    const { user } = show(<Whom />);
    await user.tab();
    await user.keyboard('anneke{Escape}');
    expect([chosen, box().value]).toEqual([[], 'Sorrel Penhale']);
    await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
    expect(chosen).toEqual(['a']);
  });

  test('nobody again is a choice as well; what fits nothing is said', async () => {
    const { user } = show(<Whom />);
    await user.click(box());
    await user.keyboard('zzz');
    expect(screen.getByText('No match for “zzz”.')).toBeTruthy();
    await user.keyboard('{Escape}');
    await choose(user, 'Whom', 'Anybody');
    expect(chosen).toEqual(['']);
  });
});

test('every word must be found, wherever', () => {
  expect(fitting(PEOPLE, 'HAND  wren').map(({ id }) => id)).toEqual(['w']);
  expect(fitting(PEOPLE, '').length).toBe(3);
  expect(fitting([{ id: 'b', name: 'Béatrice Lemoine' }], 'beatrice')).toHaveLength(1);
});
