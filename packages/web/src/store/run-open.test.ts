import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { DoneSetInput, faultsOfRequest, HandLookInput } from '@clay-pot/contracts';
import { parseDose, type Sequence } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { sequenceOf } from '../made-up.fixture.js';
import { useOutbox } from './outbox.js';
import { beginRun, finishNow, look as lookAt, tick, ledTimeline, useRun } from './run.js';

const run = () => useRun.getState().run!;
const runToTheEnd = () => tick(ledTimeline(run().sequence).durationMs + 60_000);
const pathsOf = (part: string) => useOutbox.getState().messages.filter(({ path }) => path.includes(part));

beforeEach(() => {
  // Nobody answers: messages stay in the outbox, where the tests read them.
  globalThis.fetch = jest.fn<typeof fetch>().mockRejectedValue(new TypeError('no network'));
});

describe('what is open', () => {
  const dose = (text: string) => parseDose(text);
  const begin = (blocks: Sequence['blocks'], rounds?: Sequence['rounds']) => {
    useOutbox.setState({ messages: [], refused: [] });
    useRun.setState({ run: null });
    const plan = { ...sequenceOf([]), blocks, ...(rounds && { rounds }) };
    beginRun({
      athleteId: uuid(),
      athleteName: 'Test',
      cautions: [],
      equipment: [],
      sequenceId: uuid(),
      sequence: plan,
    });
  };
  const bodies = (part: string) => pathsOf(part).map(({ body }) => body as Record<string, unknown>);

  test('an open set ends when somebody says so; a distance waits for the tap at its end', () => {
    begin([
      {
        id: 'c',
        phase: 'strength',
        movementId: 'grip.bar-carry',
        levelId: 'light',
        dose: dose('1x12m,1xmax24m rest5'),
      },
    ]);
    const walk = ledTimeline(run().sequence).stints[0]!;
    tick(walk.startMs + 60_000);
    expect(run().sets).toHaveLength(0);
    finishNow();
    tick(5000 + 5000);
    finishNow();
    expect(bodies('/sets/')).toMatchObject([
      { unit: 'metres', plannedAmount: 12, doneAmount: 12 },
      { unit: 'metres', plannedAmount: 24, doneAmount: 6 },
    ]);
    for (const body of bodies('/sets/')) expect(faultsOfRequest(DoneSetInput, body)).toEqual([]);
    expect(run().ended?.ending).toBe('completed');
  });

  test('each round is recorded by its number, and a block is asked about once its last round is over', () => {
    const block = (id: string) => ({
      id,
      phase: 'prepare' as const,
      movementId: 'free.open-close',
      levelId: 'fast',
      dose: dose('1x10s'),
    });
    begin([block('a'), block('b')], [{ id: 'r', blockIds: ['a', 'b'], times: 2, restS: 10 }]);
    const { turns } = ledTimeline(run().sequence);
    tick(turns[2]!.startMs + 1);
    expect(bodies('/sets/').map(({ blockId, round }) => [blockId, round])).toEqual([
      ['a', 1],
      ['b', 1],
    ]);
    expect(run().toRate).toEqual([]);
    tick(turns[2]!.endMs - turns[2]!.startMs);
    expect(run().toRate).toEqual(['a']);
    runToTheEnd();
    expect(bodies('/sets/').map(({ round }) => round)).toEqual([1, 1, 2, 2]);
  });

  test('what was seen at a look is sent with its stop and hand, and the clock stands there', () => {
    begin([
      {
        id: 's',
        phase: 'range',
        movementId: 'stretch.flexors',
        levelId: 'open',
        dose: dose('1x10s L,R'),
        lookAgain: ['between hands'],
      },
    ]);
    const look = ledTimeline(run().sequence).events.find(({ kind }) => kind === 'look')!;
    tick(look.startMs + 120_000);
    expect(ledTimeline(run().sequence).events[run().head.event]).toBe(look);
    lookAt('left', 'looser');
    expect(bodies('/looks/')).toMatchObject([{ blockId: 's', stop: 'between hands', hand: 'left', answer: 'looser' }]);
    expect(faultsOfRequest(HandLookInput, bodies('/looks/')[0])).toEqual([]);
    finishNow();
    expect(ledTimeline(run().sequence).events[run().head.event]!.kind).toBe('change-sides');
  });
});
