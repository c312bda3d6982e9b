import { beforeEach, describe, expect, test } from '@jest/globals';
import { AFTER_CARE, DISCOMFORT_WORDS, SORE_PLACES, STOP_RULES, STOP_SIGNS } from '@clay-pot/core';
import { screen, within } from '@testing-library/react';
import { sequenceOf, SHORT, someone } from '../../made-up.fixture.js';
import { answering, show } from '../../screen.fixture.js';
import { useOutbox } from '../../store/outbox.js';
import { beginRun, endRun, tick, ledTimeline, useRun } from '../../store/run.js';
import { EndScreen } from './end-screen.js';
import { AskBar, RatePanel } from './rate-panel.js';
import { EaseDialog, StopDialog } from './stop-dialog.js';
import { WatchFor } from './watch-for.js';

const wren = someone();
const run = () => useRun.getState().run!;
const sent = (part: string) =>
  useOutbox
    .getState()
    .messages.filter(({ path }) => path.includes(part))
    .map(({ body }) => body);

function begin(methodId?: string) {
  const sequence = methodId ? { ...SHORT, methodId } : SHORT;
  beginRun({
    athleteId: wren.id,
    athleteName: wren.name,
    cautions: [],
    equipment: wren.equipment,
    sequenceId: 's',
    sequence,
  });
}
/** To the end of a block's work. */
function throughBlock(index: number) {
  const { blocks } = ledTimeline(run().sequence);
  tick(blocks[index]!.endMs + 100);
}

beforeEach(() => {
  answering({});
  useOutbox.setState({ messages: [], refused: [] });
  useRun.setState({ run: null });
});

function Rating({ blockId = 'b' }) {
  const now = useRun((state) => state.run)!;
  return <RatePanel run={now} blockId={blockId} onDone={() => undefined} />;
}
const score = (name: string) => screen.getByRole('button', { name });

describe('how a block felt', () => {
  test('one tap for discomfort, one for exertion, and both are sent', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score('Discomfort 2'));
    expect(screen.queryByRole('alert')).toBeNull();
    await user.click(score('Effort (RPE) 6'));
    expect(sent('/reports/')).toMatchObject([{ blockId: 'b', discomfort: 2, exertion: 6, note: '' }]);
    expect(run().toRate).not.toContain('b');
  });

  test.each([
    [undefined, 3, 'hold-level', false],
    [undefined, 5, 'ease-or-stop', true],
    ['careful-return', 3, 'ease-or-stop', true],
  ] as const)('by the method %s a %i is “%s”', async (methodId, felt, advice, isAdvised) => {
    begin(methodId);
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score(`Discomfort ${felt}`));
    expect(screen.getByRole('alert').textContent).toContain(DISCOMFORT_WORDS[advice]);
    expect(run().paused).toBe(isAdvised);
    expect(screen.queryByRole('button', { name: 'End here' }) !== null).toBe(isAdvised);
  });

  test('a tap that slipped is taken back before it counts', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(score('Discomfort 9'));
    await user.click(screen.getByRole('button', { name: 'Discomfort 9' }));
    await user.click(score('Discomfort 1'));
    await user.click(score('Effort (RPE) 3'));
    expect(sent('/reports/')).toMatchObject([{ discomfort: 1 }]);
  });

  test('counts are put right beside the question; the wrong row stays, another says what holds', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(screen.getByRole('button', { name: 'Note, form, reps' }));
    const rows = within(screen.getByRole('list', { name: 'Reps done' })).getAllByRole('listitem');
    expect(rows).toHaveLength(4);
    await user.click(screen.getByRole('button', { name: 'Fewer, set 2, right' }));
    const [fixed] = run().sets.slice(-1);
    expect(fixed).toMatchObject({ set: 2, side: 'right', doneAmount: 3, plannedAmount: 4 });
    expect(run().sets.find(({ id }) => id === fixed!.corrects)).toMatchObject({ doneAmount: 4 });
  });
});

describe('the line that asks', () => {
  test('fine is one tap; how hard it was stays untold', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<AskBar run={run()} blockId="b" onTell={() => undefined} />);
    await user.click(screen.getByRole('button', { name: /^Fine/ }));
    expect(sent('/reports/')).toMatchObject([{ blockId: 'b', discomfort: 0, exertion: null }]);
  });
});

describe('discomfort of five and more', () => {
  const FIRM = sequenceOf([
    ['a', 'load', 'grip.ball-squeeze', 'firm', '1x4 @50% 2s tempo1-1'],
    ['b', 'load', 'free.open-close', 'fast', '1x20s'],
    ['c', 'load', 'grip.ball-squeeze', 'firm', '1x4 @50% 2s tempo1-1'],
  ]);
  function beginFirm() {
    const who = {
      athleteId: wren.id,
      athleteName: wren.name,
      cautions: [],
      equipment: wren.equipment,
      sequenceId: 's',
    };
    beginRun({ ...who, sequence: FIRM });
  }

  test('eases the rest of its kind, not what happens to be done now, and says what it will do', async () => {
    beginFirm();
    throughBlock(0);
    const { user } = show(<Rating blockId="a" />);
    await user.click(score('Discomfort 6'));
    const ease = await screen.findByRole('button', { name: /^Ball squeeze: firm.* → .*soft/ });
    expect(screen.getByRole('button', { name: 'Remove ball squeeze' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /open and close/ })).toBeNull();
    await user.click(ease);
    expect(run().sequence.blocks.map(({ levelId }) => levelId)).toEqual(['firm', 'fast', 'soft']);
    expect(screen.getByRole('alert').textContent).toContain('Eased');
    await user.click(score('Effort (RPE) 4'));
    expect(sent('/reports/')).toMatchObject([{ blockId: 'a', discomfort: 6, exertion: 4 }]);
  });

  test('ending there keeps what was told so far', async () => {
    beginFirm();
    throughBlock(0);
    const { user } = show(<Rating blockId="a" />);
    await user.click(score('Discomfort 7'));
    await user.click(screen.getByRole('button', { name: 'End here' }));
    expect(sent('/reports/')).toMatchObject([{ blockId: 'a', discomfort: 7, exertion: null }]);
    expect(run().ended).toMatchObject({ ending: 'ended early' });
  });

  test('at the lowest level there is still an answer: less of it, or without', async () => {
    beginRun({
      ...{ athleteId: wren.id, athleteName: wren.name, cautions: [], equipment: wren.equipment, sequenceId: 's' },
      sequence: sequenceOf([
        ['a', 'load', 'grip.ball-squeeze', 'soft', '1x12 @30% 2s tempo1-1'],
        ['b', 'load', 'free.open-close', 'fast', '1x20s'],
      ]),
    });
    tick(6_000);
    const { user } = show(<EaseDialog run={run()} onClose={() => undefined} />);
    expect(run().paused).toBe(true);
    expect(await screen.findByRole('button', { name: /12 times → \d+ times/ })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Remove ball squeeze' }));
    expect(ledTimeline(run().sequence).events[run().head.event]).toMatchObject({ blockId: 'b' });
  });
});

describe('something else that hurts', () => {
  test('is recorded with hand, place and how much; a low one asks for nothing more', async () => {
    begin();
    tick(25_000);
    const { user } = show(<StopDialog run={run()} working="right" onClose={() => undefined} />);
    await user.click(screen.getByRole('button', { name: /^None of these/ }));
    expect(screen.getByRole('button', { name: 'Say where it hurts and how much' })).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('radio', { name: 'Left hand' }));
    await user.click(screen.getByRole('button', { name: SORE_PLACES['wrist-back'] }));
    await user.click(score('Discomfort 2'));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent('/complaints/')).toMatchObject([{ blockId: 'b', hand: 'left', place: 'wrist-back', discomfort: 2 }]);
    expect(screen.getByRole('dialog').textContent).toContain('Left hand, wrist, back: 2 of 10');
    expect(screen.queryByRole('button', { name: 'End here' })).toBeNull();
    expect(run().ended).toBeNull();
  });

  test('from five on, what can be done about it stands there at once', async () => {
    begin();
    tick(25_000);
    const { user } = show(<StopDialog run={run()} working="right" onClose={() => undefined} />);
    await user.click(screen.getByRole('button', { name: /^None of these/ }));
    await user.click(screen.getByRole('button', { name: SORE_PLACES.palm }));
    await user.click(score('Discomfort 5'));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(screen.getByRole('heading').textContent).toBe(DISCOMFORT_WORDS['ease-or-stop']);
    expect(await screen.findByRole('button', { name: 'Remove ball squeeze' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'End here' }));
    expect(run().ended).toMatchObject({ ending: 'ended early' });
  });
});

describe('a stop', () => {
  test('stands the clock while it asks; each sign ends the session as stopped', async () => {
    begin();
    tick(5_000);
    const { user } = show(<StopDialog run={run()} working="right" onClose={() => undefined} />);
    expect(run().paused).toBe(true);
    for (const words of Object.values(STOP_SIGNS)) expect(screen.getByRole('button', { name: words })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: STOP_SIGNS.numbness }));
    expect(run().ended).toMatchObject({ ending: 'stopped', stopSign: 'numbness', stopHand: 'right' });
  });

  test('the other hand can be named before the sign is', async () => {
    begin();
    tick(5_000);
    const { user } = show(<StopDialog run={run()} working="both" onClose={() => undefined} />);
    expect(screen.getByRole('radio', { name: 'Both hands', checked: true })).toBeTruthy();
    await user.click(screen.getByRole('radio', { name: 'Left hand' }));
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
    expect(alert).toContain('Don’t load the left hand until a doctor or hand therapist has seen it.');
    expect(alert).toContain(STOP_RULES[2]);
    expect(screen.queryByRole('button', { name: 'Continue after all' })).toBeNull();
  });
});

describe('the end', () => {
  test('of a whole session: what to do after, what is still untold, and the note that goes with the record', async () => {
    begin();
    tick(ledTimeline(SHORT).durationMs + 1000);
    expect(run().ended).toMatchObject({ ending: 'completed' });
    const { user } = show(<EndScreen run={run()} ended={run().ended!} />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Done');
    expect(document.body.textContent).toContain(Object.values(AFTER_CARE).find((words) => document.body.textContent.includes(words)));
    expect(screen.getByText(/^3 blocks not rated/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'All in all 6' }));
    await user.type(screen.getByRole('textbox', { name: 'Note on the session' }), 'Quiet wrists.');
    const { id } = run();
    await user.click(screen.getByRole('button', { name: 'Save record' }));
    expect(sent('/end')).toMatchObject([{ ending: 'completed', note: 'Quiet wrists.', exertion: 6 }]);
    expect(screen.getByTestId('where').textContent).toBe(`/records/${id}`);
    expect(useRun.getState().run).toBeNull();
  });

  test('tells of the exceptions, then of all the others with one tap', async () => {
    begin();
    tick(ledTimeline(SHORT).durationMs + 1000);
    const Ended = () => {
      const now = useRun((state) => state.run)!;
      return <EndScreen run={now} ended={now.ended!} />;
    };
    const { user } = show(<Ended />);
    await user.click(screen.getByRole('button', { name: 'Tell more: Ball squeeze' }));
    await user.click(score('Discomfort 3'));
    await user.click(score('Effort (RPE) 8'));
    await user.click(screen.getByRole('button', { name: /^All 2 were fine/ }));
    expect(sent('/reports/')).toMatchObject([
      { blockId: 'b', discomfort: 3, exertion: 8 },
      { blockId: 'a', discomfort: 0, exertion: null },
      { blockId: 'c', discomfort: 0, exertion: null },
    ]);
    expect(screen.queryByRole('heading', { name: 'Did anything hurt?' })).toBeNull();
  });

  test('of one that was ended early can be taken back', async () => {
    begin();
    tick(5_000);
    endRun('ended early');
    const { user } = show(<EndScreen run={run()} ended={run().ended!} />);
    await user.click(screen.getByRole('button', { name: 'Continue after all' }));
    expect(run()).toMatchObject({ ended: null, paused: true });
  });
});

describe('faults of form', () => {
  function Watching() {
    const now = useRun((state) => state.run)!;
    return <WatchFor run={now} event={ledTimeline(now.sequence).events[now.head.event]!} className="" />;
  }
  const left = () => screen.getByRole('button', { name: 'Held breath: left' });

  test('are ticked of the hand that is seen, sent, and may be ticked off again', async () => {
    begin();
    throughBlock(0);
    tick(8000);
    const { user } = show(<Watching />);
    await user.click(left());
    expect(left().getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole('button', { name: 'Held breath: right' }).getAttribute('aria-pressed')).toBe('false');
    await user.click(left());
    expect(left().getAttribute('aria-pressed')).toBe('false');
    const ticks = sent('/form/');
    expect(ticks).toMatchObject([true, false].map((seen) => ({ blockId: 'b', hand: 'left', fault: 'Held breath', seen })));
    expect(run().form).toEqual(ticks);
  });

  test('of one hand’s work name that hand alone', () => {
    const [, grip] = SHORT.blocks;
    beginRun({
      athleteId: wren.id,
      athleteName: wren.name,
      cautions: [],
      equipment: [],
      sequenceId: 's',
      sequence: { ...SHORT, blocks: [{ ...grip!, dose: { ...grip!.dose, sides: 'right' } }] },
    });
    show(<Watching />);
    expect(screen.queryByRole('button', { name: /: left$/ })).toBeNull();
    expect(screen.getAllByRole('button', { name: /: right$/ }).length).toBeGreaterThan(2);
  });

  test('are told afterwards with the note as well', async () => {
    begin();
    throughBlock(1);
    const { user } = show(<Rating />);
    await user.click(screen.getByRole('button', { name: 'Note, form, reps' }));
    await user.click(screen.getByRole('button', { name: 'Racing: right' }));
    expect(sent('/form/')).toMatchObject([{ blockId: 'b', hand: 'right', fault: 'Racing', seen: true }]);
  });
});
