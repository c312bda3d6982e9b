import { beforeEach, describe, expect, test } from '@jest/globals';
import { classAfter, type ClassSession, type ClassEvent } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SHORT } from '../../made-up.fixture.js';
import { useClassRun } from '../../store/class-run.js';
import { useToast } from '../../ui/toast.js';
import { type Asking, Roster } from './roster.js';

const [MEMBER, BLOCK] = ['01900000-0000-7000-8000-000000000002', SHORT.blocks[0]!];
const gentler = { movementId: BLOCK.movementId, levelId: BLOCK.levelId, dose: { ...BLOCK.dose, restS: 90 } };
const blocks = SHORT.blocks.map(({ id }) => ({
  blockId: id,
  forms: id === BLOCK.id ? [gentler, null, gentler] : [null],
  at: id === BLOCK.id ? 1 : 0,
  like: [id],
}));
const SESSION: ClassSession = {
  sequenceId: MEMBER,
  sequence: SHORT,
  members: [{ id: MEMBER, athleteId: MEMBER, name: 'ليلى', blocks, sore: [] }],
  startedAt: '2026-05-04T18:00:00.000Z',
};
const AT = Date.parse(SESSION.startedAt) + 1000;
type Press = ClassEvent extends infer E ? (E extends ClassEvent ? Omit<E, 'at'> : never) : never;
const asked: Asking[] = [];

function show(...pressed: Press[]) {
  const events = pressed.map((event, index) => ({ id: `e${index}`, event: { ...event, at: AT + index } as ClassEvent }));
  const state = classAfter(SESSION, events, shippedMovement);
  const props = { sequence: SHORT, members: SESSION.members, events, state, blockId: BLOCK.id, lookup: shippedMovement };
  render(<Roster {...props} ask={(asking) => asked.push(asking)} />);
}
beforeEach(() => {
  asked.length = 0;
  const run = { id: MEMBER, session: SESSION, events: [], code: null, offsetMs: 0, shiftMs: 0, isOurs: true, own: [] };
  useClassRun.setState({ run });
});
const made = () => useClassRun.getState().run!.events.map(({ event }) => event);
const button = (label: string) => screen.getByRole('button', { name: `${label}: ليلى` });

describe('everybody of a class', () => {
  test('one press makes it easier, says what it changes, and can be taken back', async () => {
    show();
    await userEvent.click(button('Easier'));
    expect(made()).toMatchObject([{ kind: 'form', memberId: MEMBER, blockId: BLOCK.id, form: 0 }]);
    const { toast } = useToast.getState();
    expect(toast!.text).toMatch(/^ليلى: .*rest/);
    toast!.action!.run();
    expect(made().map(({ kind }) => kind)).toEqual(['form', 'undo']);
  });

  test('never harder where something hurts', () => {
    show({ kind: 'hurts', memberId: MEMBER, blockId: BLOCK.id, hand: 'left', place: 'palm', discomfort: 4 });
    expect(button('Harder')).toHaveProperty('disabled', true);
    expect(screen.getByText('Hurts, 4 of 10')).toBeTruthy();
  });

  test('who was stopped has nothing to press any more', () => {
    show({ kind: 'stop', memberId: MEMBER, sign: 'numbness', hand: 'left' });
    expect(screen.getByText('Stopped: numbness or tingling')).toBeTruthy();
    expect(screen.queryAllByRole('button')).toEqual([]);
  });

  test('who left can come back', async () => {
    show({ kind: 'leave', memberId: MEMBER });
    expect(button('Easier')).toHaveProperty('disabled', true);
    await userEvent.click(button('Arrives'));
    expect(made()).toMatchObject([{ kind: 'arrive', memberId: MEMBER }]);
  });

  test('notes stand with the person', () => {
    show({ kind: 'note', memberId: MEMBER, note: 'Left elbow bends.' });
    expect(screen.getByText('“Left elbow bends.”')).toBeTruthy();
  });
});
