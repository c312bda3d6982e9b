import { beforeEach, describe, expect, test } from '@jest/globals';
import { type Finding, findingsOf, personOf, type Sequence, viewOf } from '@clay-pot/core';
import { LIBRARY, methodOf, shippedMethod, shippedMovement } from '@clay-pot/core/library';
import { act, screen, within } from '@testing-library/react';
import { sequenceOf, someone } from '../../made-up.fixture.js';
import { show } from '../../screen.fixture.js';
import { openSequence, undo, useEditor } from '../../store/editor.js';
import { useToast } from '../../ui/toast.js';
import { ChecksPanel } from './checks-panel.js';

/** A hold that goes one way round only, and closes the hand without opening it. */
const LOPSIDED = sequenceOf([
  ['a', 'prepare', 'free.wrist-circles', 'free-fist', '1x8 >'],
  ['b', 'strength', 'grip.ball-squeeze', 'firm', '3x8 @60% 2s tempo1-1 rest30 L,R'],
]);

function seen(document: Sequence, cautions: Parameters<typeof someone>[0] = {}): readonly Finding[] {
  const athlete = someone(cautions);
  const { person } = personOf(athlete, [], '2026-05-01');
  return findingsOf(
    viewOf({
      sequence: document,
      lookup: shippedMovement,
      shelf: LIBRARY,
      person,
      method: methodOf(document, shippedMethod),
      athlete: { cautions: athlete.cautions, equipment: athlete.equipment },
      past: [],
      now: '2026-05-01T08:00:00.000Z',
    }),
  );
}

function Panel({ cautions }: { cautions?: Parameters<typeof someone>[0] }) {
  const document = useEditor((state) => state.document)!;
  return <ChecksPanel findings={seen(document, cautions)} document={document} />;
}
const item = (title: string) => screen.getByText(title).closest('li')!;

beforeEach(() => {
  openSequence(LOPSIDED);
  useToast.setState({ toast: null });
});

describe('what the checks say', () => {
  test('is counted, and each finding leads to the block that it means', async () => {
    const { user } = show(<Panel />);
    expect(screen.getByTestId('findings').textContent).toBe(`${seen(LOPSIDED).length} found`);
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Show block 1' }));
    expect(useEditor.getState().selectedId).toBe('a');
  });

  test('a fix is one step, said, and taken back by one undo', async () => {
    const { user } = show(<Panel />);
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Both directions' }));
    expect(useEditor.getState().document!.blocks[0]!.dose.directions).toBe('each');
    expect(screen.queryByText('Only one direction')).toBeNull();
    expect(useToast.getState().toast!.text).toBe('Both directions: done. Ctrl Z brings it back.');
    act(undo);
    expect(useEditor.getState().document).toEqual(LOPSIDED);
  });

  test('a check is muted with a reason or not at all, and heard again', async () => {
    const { user } = show(<Panel />);
    const before = screen.getByTestId('findings').textContent;
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Mute' }));
    const reason = screen.getByRole('textbox', { name: /^Why “Only one direction”/ });
    await user.type(reason, '   {Enter}');
    expect(useEditor.getState().document!.mutes).toBeUndefined();
    await user.clear(reason);
    await user.type(reason, 'the other way hurts today{Enter}');
    expect(useEditor.getState().document!.mutes).toEqual([
      { check: 'direction-missing', reason: 'the other way hurts today' },
    ]);
    expect(screen.getByTestId('findings').textContent).not.toBe(before);
    expect(screen.getByText('the other way hurts today')).toBeTruthy();
    await user.click(screen.getByText('Muted here: 1'));
    await user.click(screen.getByRole('button', { name: 'Hear again' }));
    expect(screen.getByTestId('findings').textContent).toBe(before);
  });

  test('Escape leaves a check as loud as it was', async () => {
    const { user } = show(<Panel />);
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Mute' }));
    await user.type(screen.getByRole('textbox', { name: /^Why “Only one direction”/ }), 'no{Escape}');
    expect(screen.queryByRole('textbox', { name: /^Why/ })).toBeNull();
    expect(useEditor.getState().document!.mutes).toBeUndefined();
  });

  test('a rule of safety cannot be muted, and stands first', () => {
    show(<Panel cautions={{ cautions: [{ caution: 'recent-injury' }] }} />);
    const [first] = within(screen.getByRole('region', { name: 'Checks' })).getAllByRole('listitem');
    expect(first!.textContent).toMatch(/^Stop: /);
    expect(within(first!).queryByRole('button', { name: 'Mute' })).toBeNull();
  });

  test('a sequence without a fault is told to be one', () => {
    show(<ChecksPanel findings={[]} document={LOPSIDED} />);
    expect(screen.getByTestId('findings').textContent).toBe('nothing found');
    expect(screen.getByRole('status').textContent).toBe('The checks find nothing.');
  });
});
