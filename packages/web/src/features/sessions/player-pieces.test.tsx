import { beforeEach, describe, expect, test } from '@jest/globals';
import { AFTER_CARE, DISCOMFORT_WORDS, STOP_RULES, STOP_SIGNS } from '@clay-pot/core';
import { screen, within } from '@testing-library/react';
import { SHORT, someone } from '../../made-up.fixture.js';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { beginRun, endRun, tick, timelineOf, useRun } from '../../store/run.js';
import { EndScreen } from './end-screen.js';
import { RatePanel } from './rate-panel.js';
import { StopDialog } from './stop-dialog.js';

const wren = someone();
const run = () => useRun.getState().run!;
const sent = (part: string) =>
  useOutbox
    .getState()
    .letters.filter(({ path }) => path.includes(part))
    .map(({ body }) => body);

function begin(methodId?: string) {
  const sequence = methodId ? { ...SHORT, methodId } : SHORT;
  beginRun({ athleteId: wren.id, athleteName: wren.name, cautions: [], sequenceId: 's', sequence });
}
/** To the end of a block's work. */
function throughBlock(index: number) {
  const { blocks } = timelineOf(run().sequence);
  tick(blocks[index]!.endMs + 100);
}

beforeEach(() => {
  answering({});
  useOutbox.setState({ letters: [], refused: [] });
  useRun.setState({ run: null });
});

function Rating({ blockId = 'b' }) {
  const now = useRun((state) => state.run)!;
  return <RatePanel run={now} blockId={blockId} />;
}
const score = (name: string) => screen.getByRole('button', { name });

describe('how a block felt', () => {
  test('one tap for discomfort, one for exertion, and both are sent', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score('Discomfort 2'));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(score('Exertion 6'));
    expect(sent('/reports/')).toMatchObject([{ blockId: 'b', discomfort: 2, exertion: 6, note: '' }]);
    expect(run().toRate).not.toContain('b');
  });

  test.each([
    [undefined, 3, 'hold-level', false],
    [undefined, 5, 'ease-or-stop', true],
    ['careful-return', 3, 'ease-or-stop', true],
  ] as const)('by the method %s a %i is “%s”', async (methodId, felt, advice, stands) => {
    begin(methodId);
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score(`Discomfort ${felt}`));
    expect(screen.getByRole('alert').textContent).toContain(DISCOMFORT_WORDS[advice]);
    expect(run().paused).toBe(stands);
    expect(screen.queryByRole('button', { name: 'End here' }) !== null).toBe(stands);
  });

  test('a tap that slipped is taken back before it counts', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score('Discomfort 9'));
    await user.click(screen.getByRole('button', { name: 'Discomfort 9' }));
    await user.click(score('Discomfort 1'));
    await user.click(score('Exertion 3'));
    expect(sent('/reports/')).toMatchObject([{ discomfort: 1 }]);
  });

  test('counts are put right beside the question; the wrong row stays, another says what holds', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(screen.getByRole('button', { name: 'Note, counts' }));
    const rows = within(screen.getByRole('list', { name: 'Counts' })).getAllByRole('listitem');
    expect(rows).toHaveLength(4);
    await user.click(screen.getByRole('button', { name: 'Fewer, set 2, right' }));
    const [fixed] = run().sets.slice(-1);
    expect(fixed).toMatchObject({ set: 2, side: 'right', doneAmount: 3, plannedAmount: 4 });
    expect(run().sets.find(({ id }) => id === fixed!.corrects)).toMatchObject({ doneAmount: 4 });
  });
});

describe('a stop', () => {
  test('stands the clock while it asks; each sign ends the session as stopped', async () => {
    begin();
    tick(5_000);
    const { user } = show(<StopDialog working="right" onClose={() => undefined} />);
    expect(run().paused).toBe(true);
    for (const words of Object.values(STOP_SIGNS)) expect(screen.getByRole('button', { name: words })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: STOP_SIGNS.numbness }));
    expect(run().ended).toMatchObject({ ending: 'stopped', stopSign: 'numbness', stopHand: 'right' });
  });

  test('the other hand can be named before the sign is', async () => {
    begin();
    tick(5_000);
    const { user } = show(<StopDialog working="both" onClose={() => undefined} />);
    expect(screen.getByRole('button', { name: 'Both hands', pressed: true })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Left hand' }));
    await user.click(screen.getByRole('button', { name: STOP_SIGNS.swelling }));
    expect(run().ended).toMatchObject({ stopSign: 'swelling', stopHand: 'left' });
  });

  test('its end says that nothing is loaded before it was looked at, and offers no way back into the session', () => {
    begin();
    tick(5_000);
    endRun('stopped', { sign: 'numbness', hand: 'left' });
    show(<EndScreen run={run()} ended={run().ended!} />);
    const alert = screen.getByRole('alert').textContent;
    expect(alert).toContain(STOP_SIGNS.numbness);
    expect(alert).toContain('left hand');
    expect(alert).toContain('From now on nothing loads the left hand until a licensed practitioner has looked at it.');
    expect(alert).toContain(STOP_RULES[2]);
    expect(screen.queryByRole('button', { name: 'Go on after all' })).toBeNull();
  });
});

describe('the end', () => {
  test('of a whole session: what to do after, what is still untold, and the note that goes with the record', async () => {
    begin();
    tick(timelineOf(SHORT).durationMs + 1000);
    expect(run().ended).toMatchObject({ ending: 'completed' });
    const { user } = show(<EndScreen run={run()} ended={run().ended!} />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Done');
    expect(document.body.textContent).toContain(
      Object.values(AFTER_CARE).find((words) => document.body.textContent.includes(words)),
    );
    expect(screen.getByText(/^3 blocks left to tell about/)).toBeTruthy();
    await user.type(screen.getByRole('textbox', { name: 'Note on the session' }), 'Quiet wrists.');
    const { id } = run();
    await user.click(screen.getByRole('button', { name: 'Keep the record' }));
    expect(sent('/end')).toMatchObject([{ ending: 'completed', note: 'Quiet wrists.' }]);
    expect(screen.getByTestId('where').textContent).toBe(`/records/${id}`);
    expect(useRun.getState().run).toBeNull();
  });

  test('of one that was ended early can be taken back', async () => {
    begin();
    tick(5_000);
    endRun('ended early');
    const { user } = show(<EndScreen run={run()} ended={run().ended!} />);
    await user.click(screen.getByRole('button', { name: 'Go on after all' }));
    expect(run()).toMatchObject({ ended: null, paused: true });
  });
});
