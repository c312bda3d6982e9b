import { expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { show } from '../screen.fixture.js';
import { useCommandState } from '../ui/commands.js';
import ShortcutsDialog from './shortcuts-dialog.js';

test('single keys are switched off and on again in the list of keys', async () => {
  const close = jest.fn();
  const { user } = show(<ShortcutsDialog onClose={close} />);
  const single = () => screen.getByRole('switch', { name: 'Use single-key shortcuts' });
  expect(single().getAttribute('aria-checked')).toBe('true');
  await user.click(single());
  expect(useCommandState.getState().singleKeys).toBe(false);
  await user.click(single());
  expect(useCommandState.getState().singleKeys).toBe(true);
  await user.click(screen.getByRole('button', { name: 'Close' }));
  expect(close).toHaveBeenCalled();
});
