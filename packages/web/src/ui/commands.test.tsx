import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { useMemo } from 'react';
import { show } from '../screen.fixture.js';
import { type Command, printKeys, useCommands, useCommandState } from './commands.js';

function Keys({ commands }: { commands: readonly Command[] }) {
  useCommands(useMemo(() => commands, [commands]));
  return (
    <>
      <input aria-label="Note" />
      <div data-testid="rows">
        <button type="button">Row</button>
      </div>
    </>
  );
}
const command = (keys: string, more: Pick<Command, 'whileTyping' | 'within'> = {}) => ({
  keys,
  label: keys,
  group: 'test',
  run: jest.fn<Command['run']>(),
  ...more,
});

beforeEach(() => {
  useCommandState.setState({ singleKeys: true });
});

describe('keys', () => {
  test('act from anywhere, but not while something is typed unless they were made for it', async () => {
    const remove = command('x');
    const undo = command('Control+z', { whileTyping: true });
    const { user } = show(<Keys commands={[remove, undo]} />);
    await user.keyboard('x');
    await user.click(screen.getByLabelText('Note'));
    await user.keyboard('x{Control>}z{/Control}');
    expect(remove.run).toHaveBeenCalledTimes(1);
    expect(undo.run).toHaveBeenCalledTimes(1);
    expect(screen.getByLabelText('Note')).toHaveProperty('value', 'x');
  });

  test('Space belongs to the button that has the focus', async () => {
    const pause = command('Space');
    const { user } = show(<Keys commands={[pause]} />);
    screen.getByRole('button', { name: 'Row' }).focus();
    await user.keyboard(' ');
    expect(pause.run).not.toHaveBeenCalled();
    screen.getByRole('button', { name: 'Row' }).blur();
    await user.keyboard(' ');
    expect(pause.run).toHaveBeenCalledTimes(1);
  });

  test('Space does what the page says again once a button was only clicked, and doesn’t press it once more', async () => {
    const pause = command('Space');
    const { user } = show(<Keys commands={[pause]} />);
    const row = screen.getByRole('button', { name: 'Row' });
    const pressed = jest.fn();
    row.addEventListener('click', pressed);
    await user.click(row);
    // A button that the pointer pressed has the focus without showing it.
    Object.assign(row, { matches: (selector: string) => selector !== ':focus-visible' && Element.prototype.matches.call(row, selector) });
    await user.keyboard(' ');
    expect(pause.run).toHaveBeenCalledTimes(1);
    expect(pressed).toHaveBeenCalledTimes(1);
    expect(document.activeElement).toBe(document.body);
  });

  test('those of a part of the page leave the rest of it alone', async () => {
    const step = command('e', { within: '[data-testid=rows]' });
    const { user } = show(
      <>
        <Keys commands={[step]} />
        <button type="button">Elsewhere</button>
      </>,
    );
    screen.getByRole('button', { name: 'Elsewhere' }).focus();
    await user.keyboard('e');
    expect(step.run).not.toHaveBeenCalled();
    screen.getByRole('button', { name: 'Row' }).focus();
    await user.keyboard('e');
    expect(step.run).toHaveBeenCalledTimes(1);
  });

  test('single keys can be switched off, and those with Ctrl stay', async () => {
    const [single, held] = [command('x'), command('Control+d')];
    const { user } = show(<Keys commands={[single, held]} />);
    useCommandState.getState().setSingleKeys(false);
    await user.keyboard('x{Control>}d{/Control}');
    expect(single.run).not.toHaveBeenCalled();
    expect(held.run).toHaveBeenCalledTimes(1);
  });

  test('rest while a dialog is open', async () => {
    const remove = command('x');
    const { user } = show(<Keys commands={[remove]} />);
    const place = document.createElement('div');
    place.id = 'headlessui-portal-root';
    place.innerHTML = '<div role="dialog"></div>';
    document.body.append(place);
    await user.keyboard('x');
    place.remove();
    await user.keyboard('x');
    expect(remove.run).toHaveBeenCalledTimes(1);
  });

  test('are listed while their part of the page is shown, and gone with it', async () => {
    const remove = command('x');
    const { user, unmount } = show(<Keys commands={[remove]} />);
    const listed = () => [...useCommandState.getState().active.values()].flat();
    expect(listed()).toContain(remove);
    unmount();
    expect(listed()).toEqual([]);
    await user.keyboard('x');
    expect(remove.run).not.toHaveBeenCalled();
  });

  test.each([
    ['$mod+z', 'Ctrl z'],
    ['Alt+ArrowUp', 'Alt ↑'],
    ['Shift+?', '?'],
  ])('%s is printed %s', (keys, printed) => {
    expect(printKeys(keys)).toBe(printed);
  });
});
