import { beforeEach, describe, expect, test } from '@jest/globals';
import { findingsOf, keyOfFinding, personOf, type Sequence, type SessionView, viewOf } from '@clay-pot/core';
import { LIBRARY, methodOf, shippedMethod, shippedMovement } from '@clay-pot/core/library';
import { act, screen, within } from '@testing-library/react';
import { useMemo } from 'react';
import { sequenceOf, someone } from '../../made-up.fixture.js';
import { show } from '../../screen.fixture.js';
import { openSequence, undo, useEditor } from '../../store/editor.js';
import { useToast } from '../../ui/toast.js';
import { Checks, ChecksPanel } from './checks-panel.js';

/** A hold that goes one way round only, and closes the hand without opening it. */
const LOPSIDED = sequenceOf([
  ['a', 'prepare', 'free.wrist-circles', 'free-fist', '1x8 >'],
  ['b', 'strength', 'grip.ball-squeeze', 'firm', '3x8 @60% 2s tempo1-1 rest30 L,R'],
]);

function viewFor(document: Sequence, cautions: Parameters<typeof someone>[0] = {}): SessionView {
  const athlete = someone(cautions);
  const { person } = personOf(athlete, [], '2026-05-01');
  return viewOf({
    sequence: document,
    lookup: shippedMovement,
    shelf: LIBRARY,
    person,
    method: methodOf(document, shippedMethod),
    athlete: { cautions: athlete.cautions, equipment: athlete.equipment },
    past: [],
    now: '2026-05-01T08:00:00.000Z',
  });
}

function Panel({ cautions }: { cautions?: Parameters<typeof someone>[0] }) {
  const document = useEditor((state) => state.document)!;
  const view = useMemo(() => viewFor(document, cautions), [document, cautions]);
  const findings = useMemo(() => findingsOf(view), [view]);
  return <Checks view={view} findings={findings} document={document} />;
}
const offered = (title: string) => within(item(title)).findAllByRole('button', { name: /→|^Add|^Take/ }, { timeout: 4000 });
const item = (title: string) => screen.getByText(title).closest('li')!;

beforeEach(() => {
  openSequence(LOPSIDED);
  useToast.setState({ toast: null });
});

describe('what the checks say', () => {
  test('is counted, and each finding leads to the block that it means', async () => {
    const { user } = show(<Panel />);
    expect(screen.getByTestId('findings').textContent).toBe(`${findingsOf(viewFor(LOPSIDED)).length} found`);
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Show block 1' }));
    expect(useEditor.getState().selectedId).toBe('a');
  });

  test('what would answer it is looked for, says exactly what it changes, and is taken back by one undo', async () => {
    const { user } = show(<Panel />);
    expect(within(item('Only one direction')).getByText('Looking for fixes…')).toBeTruthy();
    const [first] = await offered('Only one direction');
    expect(first!.textContent).toBe('Wrist circles: first → each direction');
    await user.click(first!);
    expect(useEditor.getState().document!.blocks[0]!.dose.directions).toBe('each');
    expect(screen.queryByText('Only one direction')).toBeNull();
    expect(useToast.getState().toast!.text).toBe('Wrist circles: first → each direction: done. Press Ctrl Z to undo.');
    act(undo);
    expect(useEditor.getState().document).toEqual(LOPSIDED);
  });

  test('where nothing helps without harm it says so, and whose it is to decide', () => {
    const [finding] = findingsOf(viewFor(LOPSIDED));
    show(<ChecksPanel findings={[finding!]} document={LOPSIDED} offers={new Map([[keyOfFinding(finding!), []]])} />);
    expect(screen.getByText(/^No fix without a new problem\. Your decision\.$/)).toBeTruthy();
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
    expect(useEditor.getState().document!.mutes).toEqual([{ check: 'direction-missing', reason: 'the other way hurts today' }]);
    expect(screen.getByTestId('findings').textContent).not.toBe(before);
    await user.click(screen.getByText('Muted here: 1'));
    expect(screen.getByText('the other way hurts today')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Unmute' }));
    expect(screen.getByTestId('findings').textContent).toBe(before);
  });

  test('Escape leaves a check as loud as it was', async () => {
    const { user } = show(<Panel />);
    await user.click(within(item('Only one direction')).getByRole('button', { name: 'Mute' }));
    await user.type(screen.getByRole('textbox', { name: /^Why “Only one direction”/ }), 'no{Escape}');
    expect(screen.queryByRole('textbox', { name: /^Why\?/ })).toBeNull();
    expect(useEditor.getState().document!.mutes).toBeUndefined();
  });

  test('a rule of safety cannot be muted, and stands first', () => {
    show(<Panel cautions={{ cautions: [{ caution: 'recent-injury' }] }} />);
    const [first] = within(screen.getByRole('region', { name: 'Checks' })).getAllByRole('listitem');
    expect(first!.textContent).toMatch(/^Stop: /);
    expect(within(first!).queryByRole('button', { name: 'Mute' })).toBeNull();
  });

  test('a sequence without a fault is told to be one', () => {
    show(<ChecksPanel findings={[]} document={LOPSIDED} offers={new Map()} />);
    expect(screen.getByTestId('findings').textContent).toBe('no findings');
    expect(screen.getByRole('status').textContent).toBe('The checks find no problems.');
  });
});
