import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ClassMember } from '../../model/class-session.js';
import { personOf } from '../../mechanics/person.js';
import { timelineOf } from '../../timeline/timeline-of.js';
import { plannedAgainstDone } from '../../timeline/planned-done.js';
import { athlete } from '../checks/sessions.fixture.js';
import { classOf, LOOKUP, pressed, SEQUENCE, START_MS, type Timed } from './class.fixture.js';
import { hardestAllowed } from './class-hurt.js';
import { classRecord } from './class-record.js';
import { classAfter, classAt } from './class-state.js';

const { person } = personOf({ sex: 'female', statureCm: 170, massKg: 62, birthDate: '1990-01-01' }, [], '2026-06-10');
const CLASS = classOf([{ person }, { person, athlete: athlete('tendon-pain', ['mat', 'chair', 'table', 'wall', 'handles']) }, { person }]);
const TIMELINE = timelineOf(SEQUENCE, LOOKUP);
const [ONE, TWO, THREE] = CLASS.members as readonly [ClassMember, ClassMember, ClassMember];
const LENGTH_S = TIMELINE.durationMs / 1000;
const after = (events: ReturnType<typeof pressed>, atS = LENGTH_S + 60) =>
  classAt(CLASS, TIMELINE, classAfter(CLASS, events, LOOKUP), START_MS + atS * 1000);
const recordOf = (events: ReturnType<typeof pressed>, member = ONE, atS?: number) =>
  classRecord(CLASS, events, after(events, atS), member, LOOKUP);
const blockAtS = (blockId: string) => TIMELINE.blocks.find((block) => block.blockId === blockId)!.startMs / 1000;

describe('a class led to its end', () => {
  test('gives each person all of their own plan, as done', () => {
    for (const member of CLASS.members) {
      const record = recordOf([], member)!;
      expect(record.end.ending).toBe('completed');
      const rows = plannedAgainstDone(
        timelineOf(record.plan, LOOKUP),
        record.sets.map((set, index) => ({ ...set, id: String(index) })),
      );
      expect(rows.length).toBeGreaterThan(0);
      const share = rows.reduce((sum, row) => sum + (row.doneAmount ?? 0), 0) / rows.reduce((sum, row) => sum + row.plannedAmount, 0);
      expect(share).toBeGreaterThan(0.95);
    }
  });
  test('in somebody’s own form: their movement, level and amounts, never more than the class’s time', () => {
    const changed = TWO.blocks.filter(({ forms, at }) => at >= 0 && forms[at] !== null);
    expect(changed.length).toBeGreaterThan(0);
    const { sets } = recordOf([], TWO)!;
    for (const { blockId, forms, at } of changed) {
      const mine = sets.filter((set) => set.blockId === blockId);
      expect(mine.length).toBeGreaterThan(0);
      expect(new Set(mine.map(({ movementId }) => movementId))).toEqual(new Set([forms[at]!.movementId]));
      for (const { doneAmount, plannedAmount } of mine) expect(doneAmount).toBeLessThanOrEqual(plannedAmount);
    }
  });
});

describe('presses', () => {
  test('a pause holds everybody’s clock', () => {
    const paused = after(pressed([10, { kind: 'pause' }]), 500);
    const on = after(pressed([10, { kind: 'pause' }], [500, { kind: 'play' }]), 510);
    expect(paused.head).toEqual(after([], 10).head);
    expect(on.head).toEqual(after([], 20).head);
  });
  test('a skip that comes when the class has gone on does nothing', () => {
    const { head } = after([], 30);
    const late = pressed([30, { kind: 'skip', event: head.event }], [30.2, { kind: 'skip', event: head.event }]);
    const once = pressed([30, { kind: 'skip', event: head.event }]);
    expect(after(late, 31).head).toEqual(after(once, 31).head);
  });
  test('in whichever order they come in, the class is the same on every device', () => {
    const events = pressed(
      [5, { kind: 'pause' }],
      [9, { kind: 'play' }],
      [20, { kind: 'leave', memberId: THREE.id }],
      [40, { kind: 'arrive', memberId: THREE.id }],
      [60, { kind: 'hurts', memberId: ONE.id, blockId: 'b3', hand: 'left', place: 'palm', discomfort: 6 }],
      [70, { kind: 'add time', event: after([], 66).head.event, seconds: 10 }],
    );
    const all = after(events);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (shuffled) => expect(after(shuffled)).toEqual(all)),
      { numRuns: 30 },
    );
  });
  test('time passes the same in one step as in many', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40_000 }), { maxLength: 30 }), (steps) => {
        let state = classAfter(CLASS, [], LOOKUP);
        let nowMs = START_MS;
        for (const step of steps) state = classAt(CLASS, TIMELINE, state, (nowMs += step));
        const whole = classAt(CLASS, TIMELINE, classAfter(CLASS, [], LOOKUP), nowMs);
        expect(state).toEqual(whole);
      }),
      { numRuns: 60 },
    );
  });
});

describe('who comes late and leaves early', () => {
  const atS = blockAtS('b3');
  test('gets what they were there for, from its beginning', () => {
    const { sets, end } = recordOf(pressed([atS, { kind: 'leave', memberId: ONE.id }]))!;
    expect(end.ending).toBe('ended early');
    expect(new Set(sets.map(({ blockId }) => blockId))).toEqual(new Set(['b1', 'b2']));
  });
  test('what was begun when they left counts as far as it went', () => {
    const plank = TIMELINE.stints.find(({ blockId }) => blockId === 'b3')!;
    const left = recordOf(pressed([plank.startMs / 1000 + 7.5, { kind: 'leave', memberId: ONE.id }]))!;
    expect(left.sets.at(-1)).toMatchObject({ blockId: 'b3', doneAmount: 7, plannedAmount: 20 });
  });
  test('nothing of a set that had begun before they came', () => {
    const plank = TIMELINE.stints.find(({ blockId }) => blockId === 'b3')!;
    const events = pressed([0, { kind: 'leave', memberId: ONE.id }], [plank.startMs / 1000 + 5, { kind: 'arrive', memberId: ONE.id }]);
    const { sets } = recordOf(events)!;
    expect(sets.filter(({ blockId }) => blockId === 'b3').map(({ set }) => set)).toEqual([2]);
  });
  test('who was on the list and never came has no record', () => {
    expect(recordOf(pressed([0, { kind: 'leave', memberId: ONE.id }]))).toBeNull();
  });
});

describe('what hurts', () => {
  const during = (discomfort: number, ...more: readonly Timed[]) =>
    pressed(
      [blockAtS('b3') + 15, { kind: 'hurts', memberId: ONE.id, blockId: 'b3', hand: 'left', place: 'wrist-back', discomfort }],
      ...more,
    );
  const formsAfter = (events: ReturnType<typeof pressed>) => after(events).members.get(ONE.id)!;
  const planned = (blockId: string) => ONE.blocks.find((block) => block.blockId === blockId)!;

  test('up to 4 it goes on, but is never made harder', () => {
    const state = formsAfter(
      during(4, [blockAtS('b3') + 20, { kind: 'form', memberId: ONE.id, blockId: 'b3', form: planned('b3').forms.length - 1 }]),
    );
    expect(state.forms['b3']).toBe(planned('b3').at);
  });
  test('from 5 on they sit out what hurt and step down in all that loads the same place; nobody can take them further up', () => {
    const up = [blockAtS('b4') - 1, { kind: 'form', memberId: ONE.id, blockId: 'b4', form: planned('b4').forms.length - 1 }] as const;
    const state = formsAfter(during(6, up));
    expect(state.forms['b3']).toBe(-1);
    expect(state.forms['b4']!).toBeLessThan(planned('b4').at);
    expect(hardestAllowed(ONE, state, 'b4')).toBeLessThan(planned('b4').at);
    expect(state.forms['b5']).toBe(planned('b5').at);
  });
  test('the complaint is in their record with its block', () => {
    expect(recordOf(during(6))!.complaints).toEqual([
      expect.objectContaining({ blockId: 'b3', hand: 'left', place: 'wrist-back', discomfort: 6 }),
    ]);
  });
});

describe('a stop sign', () => {
  const stop = (more: readonly Timed[] = []) => pressed([50, { kind: 'stop', memberId: ONE.id, sign: 'numbness', hand: 'right' }], ...more);
  test('ends it for that person, and for nobody else; coming back does not undo it', () => {
    const events = stop([[80, { kind: 'arrive', memberId: ONE.id }]]);
    expect(recordOf(events)!.end).toMatchObject({ ending: 'stopped', stopSign: 'numbness', stopHand: 'right' });
    expect(recordOf(events, THREE)!.end.ending).toBe('completed');
  });
  test('pressed by mistake it can be taken back for ten seconds, and then no more', () => {
    const [mistake] = stop();
    expect(recordOf(stop([[59, { kind: 'undo', id: mistake!.id }]]))!.end.ending).toBe('completed');
    expect(recordOf(stop([[61, { kind: 'undo', id: mistake!.id }]]))!.end.ending).toBe('stopped');
  });
});
