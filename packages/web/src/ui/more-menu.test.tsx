import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { show } from '../screen.fixture.js';
import { MoreMenu } from './more-menu.js';

test('what is wanted now and then is behind one button: it leads, loads and does, by keys alone', async () => {
  const done: string[] = [];
  const { user } = show(
    <MoreMenu
      label="More for Warm thumbs"
      items={[
        { name: 'Compare', to: '/compare' },
        { name: 'Export', download: '/api/export' },
        { name: 'Duplicate', run: () => done.push('copy') },
        { name: 'Remove', disabled: true, run: () => done.push('remove') },
      ]}
    />,
  );
  expect(screen.queryByRole('menuitem')).toBeNull();
  await user.tab();
  await user.keyboard('{Enter}');
  const items = screen.getAllByRole('menuitem');
  expect(items.map(({ textContent }) => textContent)).toEqual(['Compare', 'Export', 'Duplicate', 'Remove']);
  expect(items[1]!.getAttribute('href')).toBe('/api/export');
  await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
  expect(done).toEqual(['copy']);
  await user.click(screen.getByRole('button', { name: 'More for Warm thumbs' }));
  await user.click(screen.getByRole('menuitem', { name: 'Compare' }));
  expect(screen.getByTestId('where').textContent).toBe('/compare');
});
