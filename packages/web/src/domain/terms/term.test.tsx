import { describe, expect, test } from '@jest/globals';
import { TERMS } from '@clay-pot/core';
import { screen } from '@testing-library/react';
import { show } from '../../screen.fixture.js';
import { Term } from './term.js';

describe('a number that is asked about', () => {
  test('tells with one press what it is, from what, and whether this one is much', async () => {
    const { user } = show(
      <Term term="effort" value={72}>
        72 %
      </Term>,
    );
    await user.click(screen.getByRole('button', { name: '72 %' }));
    await screen.findByText('Where it comes from');
    const { what, from, scale, term, plain } = TERMS.effort;
    const said = screen.getByRole('dialog', { name: plain }).textContent;
    for (const words of [what, from, scale, term, 'Hard: for short holds']) expect(said).toContain(words);
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(document.activeElement).toBe(screen.getByRole('button', { name: '72 %' }));
  });

  test('in a table the numbers leave the way of the Tab key to the headings', () => {
    show(
      <Term term="enduranceDose" inTable value={0.4}>
        0.40
      </Term>,
    );
    expect(screen.getByRole('button', { name: '0.40' })).toHaveProperty('tabIndex', -1);
  });
});
