import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import fc from 'fast-check';
import { checkProgramme, type Programme, weekIndexOf } from '../model/programme.js';
import { METHODS } from '../library/methods.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';
import { nextInProgramme } from './done-days.js';
import { editProgramme } from './edits.js';
import { noonOf } from './seen.js';
import { day, evaluated, MONDAY, on, programmeOf, saidBy } from './programme.fixture.js';
import { PROGRAMME_RULES } from './rules/index.js';
import { runs } from '../properties.fixture.js';
import { write } from '../rules/checks/sessions.fixture.js';
import { EQUIPMENT } from '../vocabulary/places.js';

/** What the fix of the only thing that a rule says makes of a programme. */
const mended = (rule: string, programme: Programme, more?: Parameters<typeof saidBy>[2]) =>
  editProgramme(programme, saidBy(rule, programme, more)[0]!.fix!.edits);

describe('hard days', () => {
  test('on neighbouring days are too close; the fix leaves the hours that the method wants', () => {
    const programme = programmeOf(on('0/1 hard', '0/2 hard', '0/5 hard'));
    const [said] = saidBy('spacing', programme);
    expect(sentenceText(said!.text)).toBe(
      'Finger flexors work for half a minute or longer at 60 % or more on 8 Jun 2026 and again on 9 Jun 2026. This method leaves 48 h between.',
    );
    const after = mended('spacing', programme);
    expect(after.sessions.map((session) => session.day)).toEqual([day(0, 1), day(0, 3), day(0, 5)]);
    expect(saidBy('spacing', after)).toEqual([]);
  });
  test('every second day are two days, and easy days count for nothing', () => {
    expect(saidBy('spacing', programmeOf(on('0/1 hard', '0/2 easy', '0/3 hard', '0/4 easy', '0/5 hard')))).toEqual([]);
  });
  test('two on one day are one too many', () => {
    expect(sentenceText(saidBy('spacing', programmeOf(on('0/1 hard', '0/1 hard')))[0]!.text)).toContain('twice on one day');
  });
  test('what was carried out yesterday counts, whatever it was planned as', () => {
    const today = day(0, 2);
    const past = [{ day: MONDAY, doses: {}, hard: ['left finger flexors' as const] }];
    expect(saidBy('spacing', programmeOf(on('0/2 hard')), { past, today })).toHaveLength(1);
    expect(saidBy('spacing', programmeOf(on('0/3 hard')), { past, today })).toHaveLength(0);
  });
});

describe('weeks', () => {
  const weekly = (week: number, count: number, plan = 'whole') =>
    Array.from({ length: count }, (_, index) => `${week}/${1 + 2 * index} ${plan}`);
  test('that grow too fast are told of, and made smaller by the fix', () => {
    const programme = programmeOf(on(...weekly(0, 2), ...weekly(1, 2), ...weekly(2, 2), ...weekly(3, 4)));
    const [said] = saidBy('growth', programme);
    expect(said!.day).toBe(day(3, 1));
    expect(sentenceText(said!.text)).toMatch(/\d+ % above what the three weeks before usually held\. The cap is 20 %/);
    expect(mended('growth', programme).weeks[3]!.amountPercent).toBeLessThan(100);
  });
  test('that go on after an easier one are no growth', () => {
    const weeks = [100, 100, 50, 100, 100, 100].map((amountPercent) => ({
      kind: amountPercent < 100 ? ('easier' as const) : ('build' as const),
      amountPercent,
    }));
    const programme = programmeOf(on(...[0, 1, 2, 3].flatMap((week) => weekly(week, 2))), { weeks });
    expect(saidBy('growth', programme)).toEqual([]);
  });
  test('with more sessions that load than the method has room for', () => {
    const method = METHODS['grip-and-iron'];
    const four = programmeOf(on('0/1 whole', '0/3 whole', '0/5 whole', '0/7 whole'));
    expect(sentenceText(saidBy('too-many', four, { method })[0]!.text)).toBe('4 loading sessions. Grip and iron allows up to 3 a week.');
    // Easy range between them is welcome.
    expect(saidBy('too-many', programmeOf(on('0/1 whole', '0/3 whole', '0/5 whole', '0/2 easy', '0/4 easy')), { method })).toEqual([]);
  });
  test('with load on every day', () => {
    const seven = [1, 2, 3, 4, 5, 6, 7].map((weekday) => `0/${weekday} whole`);
    expect(saidBy('no-rest-day', programmeOf(on(...seven)))).toHaveLength(1);
    expect(saidBy('no-rest-day', programmeOf(on(...seven.slice(0, 6), '0/7 easy')))).toEqual([]);
  });
  test('of building on end, without an easier one', () => {
    const programme = programmeOf(on(...[0, 1, 2, 3, 4, 5].flatMap((week) => weekly(week, 2))));
    expect(saidBy('easier-missing', programme).map((said) => said.day)).toEqual([day(4, 1)]);
    const after = mended('easier-missing', programme);
    expect(after.weeks[4]).toEqual({ kind: 'easier', amountPercent: 60 });
    expect(saidBy('easier-missing', after)).toEqual([]);
  });
  test('come to what their sessions come to, and an easier one to less', () => {
    const weeks = [
      { kind: 'build' as const, amountPercent: 100 },
      { kind: 'easier' as const, amountPercent: 60 },
    ];
    const [first, second] = evaluated(programmeOf(on('0/1 whole', '1/1 whole'), { weeks })).weeks;
    expect(second!.doses['wrist extensors']).toBeLessThan(first!.doses['wrist extensors']!);
    expect(second!.durationMs).toBeLessThan(first!.durationMs);
  });
});

describe('days away', () => {
  const away = [{ fromDay: day(0, 3), toDay: day(0, 5), kind: 'ill' as const }];
  test('are kept free; the fix moves the session out of them', () => {
    const programme = programmeOf(on('0/4 whole'), { away });
    expect(sentenceText(saidBy('on-free-day', programme)[0]!.text)).toBe('Whole session falls on a day marked “ill or injured”.');
    expect(mended('on-free-day', programme).sessions[0]!.day).toBe(day(0, 6));
    expect(saidBy('on-free-day', programmeOf(on('0/2 whole'), { away }))).toEqual([]);
  });
  test('on the way only what is there is trained with', () => {
    const travel = [{ fromDay: day(0, 3), toDay: day(0, 5), kind: 'travel' as const }];
    const programme = programmeOf(on('0/4 hard', '0/5 easy'), { away: travel });
    expect(saidBy('equipment-there', programme).map(({ text }) => sentenceText(text))).toEqual([
      'Hard grip: needs soft ball, not available while travelling.',
    ]);
    const packed = programmeOf(on('0/4 hard'), { away: [{ ...travel[0]!, equipment: ['soft ball'] }] });
    expect(saidBy('equipment-there', packed)).toEqual([]);
  });
});

describe('an event', () => {
  const event = { day: day(5, 6), name: 'Lantern show' };
  test('has nothing hard in its last three days and nothing that loads the day before', () => {
    const programme = programmeOf(on('5/4 hard', '5/5 whole', '5/4 easy', '5/1 hard'), { event });
    const said = saidBy('before-event', programme);
    expect(said.map(({ text }) => sentenceText(text))).toEqual([
      'Hard grip works hard 2 days before Lantern show, 18 Jul 2026.',
      'Whole session loads 1 day before Lantern show, 18 Jul 2026.',
    ]);
    expect(mended('before-event', programme).sessions.find(({ id }) => id === 's1')!.day).toBe(day(5, 2));
  });
  const weeks = [0, 1, 2, 3, 4].flatMap((week) => [`${week}/1 whole`, `${week}/3 whole`, `${week}/5 whole`]);
  test('is led to by about half of the fullest week: neither by all of it, nor by next to nothing', () => {
    const full = programmeOf(on(...weeks, '5/1 whole', '5/3 whole', '5/4 whole'), { event });
    expect(sentenceText(saidBy('taper', full)[0]!.text)).toBe(
      'Week 6 leads up to Lantern show with 100 % of the fullest week’s load. A taper holds 40 % to 60 %.',
    );
    const after = mended('taper', full);
    expect(after.weeks[5]).toMatchObject({ kind: 'taper' });
    expect(saidBy('taper', after)).toEqual([]);
    const empty = {
      ...programmeOf(on(...weeks, '5/1 whole'), { event }),
      weeks: after.weeks.with(5, { kind: 'taper', amountPercent: 20 }),
    };
    expect(sentenceText(saidBy('taper', empty)[0]!.text)).toMatch(/with [0-9] % of the fullest/);
    expect(mended('taper', empty).weeks[5]!.amountPercent).toBeGreaterThan(80);
  });
  test('early in a week is led to by the week before it, whichever weekday the programme began on', () => {
    const early = programmeOf(on(...weeks), { event: { day: day(5, 1), name: 'Show' } });
    for (const fromDay of [MONDAY, day(0, 3)]) {
      const [said] = saidBy('taper', { ...early, fromDay, sessions: early.sessions.filter((each) => each.day >= fromDay) });
      expect(said).toMatchObject({ day: day(4, 1), week: 5 });
      expect(sentenceText(said!.text)).toMatch(/^Weeks 5 and 6 lead up to Show with 100 %/);
    }
  });
});

describe('a week that was missed', () => {
  const weeks = [60, 70, 80, 90, 100, 100].map((amountPercent) => ({ kind: 'build' as const, amountPercent }));
  const programme = programmeOf(on('0/1 whole', '1/1 whole', '1/3 whole', '2/1 whole', '3/1 whole', '4/1 whole'), { weeks });
  const wholeId = '00000000-0000-4000-8000-000000000003';
  const done = [{ sequenceId: wholeId, day: MONDAY }];
  const past = [{ day: MONDAY, doses: {}, hard: [] }];
  test('is spoken to, and repeated by the fix: no later week holds more than it did', () => {
    const [said] = saidBy('missed-week', programme, { today: day(2, 1), done, past });
    expect(sentenceText(said!.text)).toBe('None of the 2 sessions of week 2 took place. Repeat it: 70 % in week 3 instead of 80 %.');
    expect(said!.week).toBe(3);
    const after = editProgramme(programme, said!.fix!.edits);
    expect(after.weeks.map(({ amountPercent }) => amountPercent)).toEqual([60, 70, 70, 80, 90, 100]);
  });
  test('is nothing to speak of where it was begun, was to be easier, or is made up for', () => {
    const said = (more: Parameters<typeof saidBy>[2]) => saidBy('missed-week', programme, { today: day(2, 1), past, ...more });
    expect(said({ done: [...done, { sequenceId: wholeId, day: day(1, 3) }] })).toEqual([]);
    expect(said({ done, past: [{ day: day(1, 4), doses: {}, hard: [] }] })).toEqual([]);
    const easier = { ...programme, weeks: weeks.with(1, { kind: 'easier' as never, amountPercent: 60 }) };
    expect(saidBy('missed-week', easier, { today: day(2, 1), done, past })).toEqual([]);
  });
});

describe('somebody', () => {
  const numb = (hand: 'left' | 'right') => ({ cautions: [{ caution: 'numbness' as const, hand }], equipment: EQUIPMENT });
  test('who became barred is loaded by nothing that uses the hand: a stop stands before all else, with the change that answers it', () => {
    const programme = programmeOf(on('0/1 whole', '0/3 easy', '1/1 whole'));
    const { findings } = evaluated(programme, { athlete: numb('left') });
    expect(findings[0]).toMatchObject({ rule: 'blocked', severity: 'stop', sessionIds: ['s1', 's3'] });
    expect(sentenceText(findings[0]!.text)).toMatch(/^“Whole session” can’t be led: \d+ blocks go past a restriction\. /);
    // Moving alone is out for a hand that waits for a doctor, too: each plan has its own answer.
    const after = findings.filter(({ rule }) => rule === 'blocked').reduce((of, { fix }) => editProgramme(of, fix!.edits), programme);
    expect(checkProgramme(after)).toEqual([]);
    expect(saidBy('blocked', after, { athlete: numb('left') })).toEqual([]);
    // The change can be undone: what was planned is still there.
    const back = after.changes!.map(({ id }) => ({ kind: 'take back' as const, changeId: id }));
    expect(editProgramme(after, back)).toEqual(programme);
  });
  test('whose other hand works alone is told of nothing', () => {
    const one = write([['strength', 'grip.ball-squeeze', 'soft', '2x8 @40% 3s R']]);
    const sequences = new Map([['whole', one]]);
    expect(saidBy('blocked', programmeOf(on('0/1 whole')), { athlete: numb('left'), sequences })).toEqual([]);
    expect(saidBy('blocked', programmeOf(on('0/1 whole')), { athlete: numb('right'), sequences })).toHaveLength(1);
  });
  test('who is away for two weeks begins a level lower', () => {
    expect(saidBy('long-gap', programmeOf(on('0/1 whole', '2/2 whole', '2/4 whole')))).toHaveLength(1);
    expect(saidBy('long-gap', programmeOf(on('0/1 whole', '1/7 whole')))).toEqual([]);
  });
  test('whose sequence was removed is told so', () => {
    const sequences = new Map();
    expect(saidBy('plan-removed', programmeOf(on('0/1 whole', '0/3 whole')), { sequences })[0]!.text).toMatch(/^2 sessions use/);
    expect(saidBy('plan-removed', programmeOf(on('0/1 whole')))).toEqual([]);
  });
});

describe('what was carried out', () => {
  test('is found on its day or near it, once for each session; what was not is missed and loads nothing', () => {
    const sequenceId = programmeOf([]).plans[2]!.sequenceId;
    const programme = programmeOf(on('0/1 whole', '0/3 whole', '0/5 whole', '1/1 whole'));
    const view = evaluated(programme, {
      today: day(0, 6),
      done: [
        { sequenceId, day: day(0, 1) },
        { sequenceId, day: day(0, 4) },
      ],
    });
    expect(view.sessions.map(({ state }) => state)).toEqual(['done', 'done', 'missed', 'planned']);
    expect(view.course.map(({ startedAt }) => startedAt)).toEqual([noonOf(day(1, 1))]);
    const { durationMs } = view.sessions[0]!.load!;
    expect(view.weeks[0]!.durationMs).toBe(2 * durationMs);
  });
});

test('the next session of a programme is today’s until it is done, then the first after it', () => {
  const programme = programmeOf(on('0/5 easy', '0/3 whole'));
  expect(nextInProgramme(programme, day(0, 1))).toEqual({ day: day(0, 3), sequenceId: programme.plans[2]!.sequenceId });
  expect(nextInProgramme(programme, day(0, 3))!.day).toBe(day(0, 3));
  expect(nextInProgramme(programme, day(0, 3), [programme.plans[1]!.sequenceId])!.day).toBe(day(0, 3));
  expect(nextInProgramme(programme, day(0, 3), [programme.plans[2]!.sequenceId])!.day).toBe(day(0, 5));
  expect(nextInProgramme(programme, day(0, 6))).toBeNull();
});

describe('a programme', () => {
  test.each<[string, Partial<Programme>, string, RegExp]>([
    ['a session outside', { sessions: on('9/1 whole') }, '/sessions/0/day', /must lie within the programme, 2026-06-08 to 2026-07-19/],
    ['a session before', { fromDay: day(0, 3), sessions: on('0/1 whole') }, '/sessions/0/day', /must lie within/],
    ['an unknown plan', { sessions: on('0/1 nothing') }, '/sessions/0/planId', /must be one of the plans: hard, easy, whole/],
    ['an id twice', { sessions: [...on('0/1 whole'), ...on('0/2 whole')] }, '/sessions/1/id', /is already used/],
    ['away backwards', { away: [{ fromDay: day(1, 1), toDay: day(0, 1), kind: 'rest' }] }, '/away/0/toDay', /must not be before/],
    ['an event outside', { event: { day: '2026-06-01', name: 'Show' } }, '/event/day', /must lie within/],
    ['no weeks', { weeks: [] }, '/weeks', /1 to 52 weeks/],
    ['an event without a day', { event: { day: '2026-02-31', name: 'Show' } }, '/event/day', /day|date/],
  ])('with %s is not sound, and says where', (_, more, pointer, message) => {
    const [fault] = checkProgramme(programmeOf([], more));
    expect(fault).toMatchObject({ pointer });
    expect(fault!.message).toMatch(message);
  });

  test('is the same whatever the order of its sessions, and every fix makes fewer of its findings', () => {
    const anySession = fc.record({
      week: fc.nat(5),
      weekday: fc.integer({ min: 1, max: 7 }),
      plan: fc.constantFrom('hard', 'easy', 'whole'),
    });
    fc.assert(
      fc.property(fc.array(anySession, { minLength: 1, maxLength: 14 }), (some) => {
        const programme = programmeOf(on(...some.map(({ week, weekday, plan }) => `${week}/${weekday} ${plan}`)), {
          event: { day: day(5, 6), name: 'Show' },
        });
        expect(checkProgramme(programme)).toEqual([]);
        const view = evaluated(programme);
        const turned = evaluated({ ...programme, sessions: programme.sessions.toReversed() });
        turned.weeks.forEach(({ doses }, at) => {
          for (const [group, dose] of Object.entries(doses)) expect(view.weeks[at]!.doses[group as MuscleGroup]).toBeCloseTo(dose, 9);
        });
        for (const finding of view.findings) {
          if (!finding.fix) continue;
          const after = editProgramme(programme, finding.fix.edits);
          expect(checkProgramme(after)).toEqual([]);
          const same = evaluated(after).findings.filter(
            ({ rule, sessionIds, day: at }) =>
              rule === finding.rule &&
              (sessionIds[0] === finding.sessionIds[0] || weekIndexOf(programme, at) === weekIndexOf(programme, finding.day)),
          );
          const before = view.findings.filter(
            ({ rule, sessionIds, day: at }) =>
              rule === finding.rule &&
              (sessionIds[0] === finding.sessionIds[0] || weekIndexOf(programme, at) === weekIndexOf(programme, finding.day)),
          );
          expect(same.length).toBeLessThanOrEqual(before.length);
        }
      }),
      runs(40),
    );
  });

  test('is held against rules that each have a name of their own', () => {
    expect(new Set(PROGRAMME_RULES.map(({ id }) => id)).size).toBe(PROGRAMME_RULES.length);
  });
});
