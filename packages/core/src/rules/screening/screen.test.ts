import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import fc from 'fast-check';
import { shippedMovement } from '../../library/index.js';
import { referencePerson } from '../../mechanics/person.js';
import { checkAthlete } from '../../model/athlete.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { checkIntake, type Health, INTAKE_LIMITS } from '../../model/intake.js';
import { addDays } from '../../vocabulary/days.js';
import { HAND_PLACE_IDS } from '../../vocabulary/hand-places.js';
import { HANDS, WORKING_SIDES } from '../../vocabulary/hands.js';
import { CONDITION_IDS, CONDITIONS, SIGN_IDS, SYMPTOM_KIND_IDS } from '../../vocabulary/intake-words.js';
import { capital } from '../../vocabulary/text.js';
import { workOf } from '../gate/gate.js';
import { limitBroken } from '../gate/restrictions.js';
import { cautionsOn, forbidsLoading, handsOf, restsHand } from '../safety/cautions.js';
import { soreGroup, SORE_RULES } from '../safety/sore-places.js';
import { afterIntake, withReferrals } from './after-intake.js';
import { intakeDue } from './intake-due.js';
import { screen } from './screen.js';
import type { Verdict } from './screen-rules.js';
import { runs } from '../../properties.fixture.js';

const TODAY = '2026-06-10';
const INTAKE_ID = '01890000-0000-7000-8000-000000000001';
const on = (ageYears: number | null = 30) => ({ onDay: TODAY, ageYears, intakeId: INTAKE_ID });
const ago = (days: number) => addDays(TODAY, -days);
const verdict = (health: Health, ageYears: number | null = 30) => screen(health, on(ageYears)).verdict;
const cleared = { clearedOn: ago(3), clearedBy: 'Dr Example' };

describe('each answer has its verdict', () => {
  test('nothing told: go, and nothing in the record', () => {
    expect(screen({}, on())).toEqual({
      verdict: 'go',
      hands: { left: 'go', right: 'go' },
      reasons: [],
      cautions: [],
      off: [],
      unasked: ['signs', 'symptoms', 'history'],
    });
  });

  test.each<[(typeof SIGN_IDS)[number], Verdict]>([
    ['pop', 'stop now'],
    ['swelling', 'stop now'],
    ['colour', 'stop now'],
    ['thumb-hollow', 'stop now'],
    ['hot-joint', 'stop now'],
    ['weakness', 'stop now'],
    ['night-tingling', 'refer first'],
    ['dropping-things', 'refer first'],
    ['rest-pain', 'refer first'],
    ['growing-pain', 'refer first'],
  ])('sign %s: %s', (sign, expected) => {
    expect(verdict({ signs: [{ sign, hand: 'left' }] })).toBe(expected);
  });

  test('the table of signs is whole', () => {
    expect(SIGN_IDS).toHaveLength(10);
  });

  test('each place and kind: numb, tingling and swollen refer, hot stops, the rest adapts by the advice of its place', () => {
    const expected = { numb: 'refer first', tingling: 'refer first', swollen: 'refer first', hot: 'stop now' } as const;
    for (const place of HAND_PLACE_IDS) {
      for (const kind of SYMPTOM_KIND_IDS) {
        const screening = screen({ symptoms: [{ place, hand: 'right', kind, score: 4 }] }, on());
        expect([place, kind, screening.verdict]).toEqual([place, kind, expected[kind as 'numb'] ?? 'adapt']);
        expect(screening.hands.left).toBe('go');
        if (screening.verdict === 'adapt') {
          expect(sentenceText(screening.reasons[0]!.text)).toBe(capital(SORE_RULES[soreGroup(place)].advice));
          expect(screening.off[0]).toMatchObject({ hand: 'right', allows: 'with limits' });
        }
      }
    }
  });

  test('the scale of discomfort: 0–2 go on, 3–4 hold, 5 ease; worse the next morning steps back; the night refers', () => {
    const during = (score: number) => screen({ discomfort: [{ hand: 'left', during: score }] }, on());
    expect([0, 2, 3, 4, 5, 6, 7, 10].map((score) => during(score).verdict)).toEqual([
      ...['go', 'go', 'adapt', 'adapt', 'adapt', 'adapt', 'refer first', 'refer first'],
    ]);
    expect(during(4).off[0]!.caps[0]!.effortPercent).toBeGreaterThan(during(5).off[0]!.caps[0]!.effortPercent!);
    expect(verdict({ discomfort: [{ hand: 'left', after: 1, nextMorning: 3 }] })).toBe('adapt');
    expect(verdict({ discomfort: [{ hand: 'left', after: 1, nextMorning: 2 }] })).toBe('go');
    expect(verdict({ discomfort: [{ hand: 'both', atNight: 2 }] })).toBe('go');
    expect(verdict({ discomfort: [{ hand: 'both', atNight: 3 }] })).toBe('refer first');
  });

  test('under 18 adapts by age alone, and a sore finger joint then is a doctor’s question', () => {
    expect(verdict({}, 17)).toBe('adapt');
    expect(verdict({}, 18)).toBe('go');
    expect(verdict({}, null)).toBe('go');
    const sore = { symptoms: [{ place: 'middle-pip', hand: 'left', kind: 'ache', score: 1 }] } as const;
    expect(verdict(sore, 15)).toBe('refer first');
    expect(verdict(sore, 30)).toBe('adapt');
  });
});

describe('what follows stands in the record', () => {
  test('each hand by itself; alike on both is one entry', () => {
    const one = screen({ signs: [{ sign: 'night-tingling', hand: 'left' }] }, on());
    expect(one.hands).toEqual({ left: 'refer first', right: 'go' });
    expect(one.cautions).toEqual([{ caution: 'numbness', hand: 'left', since: TODAY, intakeId: INTAKE_ID }]);
    const two = screen({ symptoms: HANDS.map((hand) => ({ place: 'heel', hand, kind: 'ache', score: 3 })) }, on());
    expect(two.cautions).toHaveLength(1);
    expect(two.cautions[0]).toMatchObject({ hand: 'both', place: 'heel', score: 3 });
    const uneven = screen({ symptoms: HANDS.map((hand, index) => ({ place: 'heel', hand, kind: 'ache', score: 3 + index })) }, on());
    expect(uneven.cautions.map(({ hand, score }) => [hand, score])).toEqual([
      ['left', 3],
      ['right', 4],
    ]);
  });

  test('signs that ask for help at once rest the hand until somebody clears them', () => {
    const [entry] = screen({ signs: [{ sign: 'thumb-hollow', hand: 'right' }] }, on()).cautions;
    expect(restsHand(entry!)).toBe(true);
    expect(entry!.stopped).toEqual({ intakeId: INTAKE_ID, sign: 'thumb-hollow' });
  });

  const anyHealth = fc.record({
    history: fc.array(
      fc.constantFrom(...CONDITION_IDS).chain((condition) =>
        fc.record({
          condition: fc.constant(condition),
          ...(CONDITIONS[condition].ofHand && { hand: fc.constantFrom(...WORKING_SIDES) }),
          since: fc.integer({ min: 0, max: 900 }).map(ago),
        }),
      ),
      { maxLength: 5 },
    ),
    signs: fc.array(fc.record({ sign: fc.constantFrom(...SIGN_IDS), hand: fc.constantFrom(...WORKING_SIDES) }), { maxLength: 4 }),
    symptoms: fc.array(
      fc.record({
        place: fc.constantFrom(...HAND_PLACE_IDS),
        hand: fc.constantFrom(...HANDS),
        kind: fc.constantFrom(...SYMPTOM_KIND_IDS),
        score: fc.integer(INTAKE_LIMITS.score),
      }),
      { maxLength: 6 },
    ),
  });
  const blank = {
    name: 'Someone',
    practice: '',
    birthDate: null,
    sex: 'not stated',
    dominantHand: 'right',
    statureCm: null,
    massKg: null,
    equipment: [],
    notes: '',
  } as const;

  test('whatever is told: more never lifts a verdict, the record can be kept, and answering again doubles nothing', () => {
    const rank = (health: Health) => ['go', 'adapt', 'refer first', 'stop now'].indexOf(verdict(health));
    const completes = ({ history = [] }: Health, { symptoms = [] }: Health) =>
      symptoms.length > 0 && history.some(({ condition }) => condition === 'fall' || condition === 'sprain' || condition === 'fracture');
    fc.assert(
      fc.property(anyHealth, anyHealth, (one, other) => {
        const both = {
          history: [...one.history, ...other.history],
          signs: [...one.signs, ...other.signs],
          symptoms: [...one.symptoms, ...other.symptoms],
        };
        const gravest = Math.max(rank(one), rank(other));
        // Pain on the thumb side after a fall is graver than either: what one tells the other may complete.
        if (completes(one, other) || completes(other, one)) expect(rank(both)).toBeGreaterThanOrEqual(gravest);
        else expect(rank(both)).toBe(gravest);
        const first = afterIntake([], screen(one, on()).cautions);
        expect(checkAthlete({ ...blank, cautions: first }, TODAY)).toEqual([]);
        const later = afterIntake(first, screen(other, on()).cautions);
        expect(checkAthlete({ ...blank, cautions: later }, TODAY)).toEqual([]);
        const again = afterIntake(first, screen(one, on()).cautions);
        expect(again).toHaveLength(first.length);
        expect(again).toEqual(expect.arrayContaining(first));
        // What forbade loading before still does for each hand.
        for (const entry of first.filter(forbidsLoading)) {
          const left = later.filter(forbidsLoading).filter(({ caution }) => caution === entry.caution);
          for (const hand of entry.hand === 'both' || !entry.hand ? HANDS : [entry.hand]) {
            expect(left.some((each) => !each.hand || each.hand === 'both' || each.hand === hand)).toBe(true);
          }
        }
      }),
      runs(150),
    );
  });

  test('a sore place that is gone goes; what refers stays until it is cleared; what was cleared and comes back refers anew', () => {
    const restrictions = screen(
      { signs: [{ sign: 'rest-pain', hand: 'left' }], symptoms: [{ place: 'heel', hand: 'left', kind: 'ache', score: 5 }] },
      on(),
    ).cautions;
    const after = afterIntake(restrictions, screen({}, on()).cautions);
    expect(after.map(({ caution }) => caution)).toEqual(['rest-pain']);
    const withClearance = after.map((entry) => ({ ...entry, ...cleared }));
    expect(cautionsOn({ cautions: withClearance }, TODAY).some(forbidsLoading)).toBe(false);
    const again = afterIntake(withClearance, restrictions);
    expect(cautionsOn({ cautions: again }, TODAY).some(forbidsLoading)).toBe(true);
  });

  const numb = (hand: 'left' | 'right' | 'both', more = {}) => ({ caution: 'numbness', hand, since: ago(40), ...more }) as const;
  const restrictionOf = (hand: 'left' | 'right' | 'both') => screen({ signs: [{ sign: 'night-tingling', hand }] }, on()).cautions;
  const barredHands = (list: Parameters<typeof afterIntake>[0]) =>
    HANDS.filter((hand) => cautionsOn({ cautions: list }, TODAY).some((entry) => forbidsLoading(entry) && handsOf(entry).includes(hand)));

  test('each hand keeps its own: limits of the other’s clearance, and the other’s referral', () => {
    const cleared60 = { ...cleared, within: { extensionDeg: 60 } };
    const after = afterIntake([numb('both', cleared60)], restrictionOf('left'));
    expect(barredHands(after)).toEqual(['left']);
    expect(after.find(({ hand }) => hand === 'right')).toMatchObject(cleared60);
    const surgery = screen({ history: [{ condition: 'surgery', hand: 'left', ...cleared }] }, on()).cautions;
    expect(barredHands(afterIntake([{ caution: 'recent-injury', hand: 'both' }], surgery))).toEqual(['right']);
    expect(barredHands(afterIntake([numb('left')], restrictionOf('both')))).toEqual(['left', 'right']);
  });

  test('a condition that was cleared since is not referred anew by being told again; a sign after the clearance is', () => {
    const broken = { condition: 'fracture', hand: 'left', since: ago(90) } as const;
    const recorded = screen({ history: [broken] }, on()).cautions.map((entry) => ({ ...entry, ...cleared }));
    expect(barredHands(afterIntake(recorded, screen({ history: [broken] }, on()).cautions))).toEqual([]);
    const undated = screen({ history: [{ condition: 'nerve', hand: 'left' }] }, on()).cautions;
    expect(
      barredHands(
        afterIntake(
          undated.map((entry) => ({ ...entry, ...cleared })),
          undated,
        ),
      ),
    ).toEqual([]);
    const again = screen({ history: [{ ...broken, since: ago(1) }] }, on()).cautions;
    expect(barredHands(afterIntake(recorded, again))).toEqual(['left']);
    expect(barredHands(afterIntake([numb('left', cleared)], restrictionOf('left')))).toEqual(['left']);
  });

  test('a clearance from before a sign does not lift it', () => {
    const recorded = [{ caution: 'recent-injury', hand: 'left', since: ago(2) }] as const;
    const old = screen(
      { history: [{ condition: 'surgery', hand: 'left', since: ago(300), clearedOn: ago(200), clearedBy: 'Dr Example' }] },
      on(),
    ).cautions;
    expect(barredHands(afterIntake(recorded, old))).toEqual(['left']);
  });

  test('what came late refers each hand that is not referred yet, and nothing else', () => {
    expect(barredHands(withReferrals([numb('left')], restrictionOf('both')))).toEqual(['left', 'right']);
    const late = screen(
      { signs: [{ sign: 'night-tingling', hand: 'left' }], symptoms: [{ place: 'heel', hand: 'left', kind: 'ache', score: 5 }] },
      on(),
    ).cautions;
    expect(withReferrals([], late).map(({ caution }) => caution)).toEqual(['numbness']);
    expect(barredHands(withReferrals([numb('left', { clearedOn: ago(20), clearedBy: 'Dr Example' })], late))).toEqual(['left']);
    const sore = [{ caution: 'sore-place', place: 'heel', hand: 'left', intakeId: INTAKE_ID }] as const;
    expect(withReferrals(sore, [])).toEqual(sore);
  });

  test('age follows from the day of birth and is not written down: it would outlast the birthday', () => {
    const told17 = screen({}, on(17));
    expect(told17.cautions).toEqual([]);
    expect(told17.off).toMatchObject([{ because: 'Under 18', allows: 'with limits' }]);
  });

  test('what a coach wrote is not lost by answers', () => {
    const written = [{ caution: 'hypermobility' }, { caution: 'past-sprain', hand: 'right' }] as const;
    expect(afterIntake(written, screen({}, on()).cautions)).toEqual(written);
  });
});

describe('time', () => {
  test('a steroid injection is over after two weeks; a clearance ends on its day and refers again', () => {
    const injected = { cautions: [{ caution: 'steroid-injection', since: ago(10) }] } as const;
    expect(cautionsOn(injected, TODAY)).toHaveLength(1);
    expect(cautionsOn(injected, addDays(TODAY, 5))).toEqual([]);
    const lent = { cautions: [{ caution: 'numbness', ...cleared, clearedUntil: addDays(TODAY, 7) }] } as const;
    expect(cautionsOn(lent, addDays(TODAY, 7)).some(forbidsLoading)).toBe(false);
    expect(cautionsOn(lent, addDays(TODAY, 8)).some(forbidsLoading)).toBe(true);
  });

  test('asked again: never asked, after two weeks where it hurt, after twelve, and when a clearance ends', () => {
    expect(intakeDue(null, [], TODAY)?.why).toBe('no check-in yet');
    expect(intakeDue(ago(83), [], TODAY)).toBeNull();
    expect(intakeDue(ago(84), [], TODAY)?.why).toBe('last check-in 12 weeks ago');
    expect(intakeDue(ago(13), [{ caution: 'sore-place', place: 'heel' }], TODAY)).toBeNull();
    expect(intakeDue(ago(14), [{ caution: 'sore-place', place: 'heel' }], TODAY)?.why).toContain('something hurt');
    // An injection is over after two weeks: nothing is sore that asks for more.
    expect(intakeDue(ago(20), [{ caution: 'steroid-injection', since: ago(30) }], TODAY)).toBeNull();
    const ending = [{ caution: 'numbness' as const, ...cleared, clearedUntil: addDays(TODAY, 6) }];
    expect(sentenceText(intakeDue(ago(1), ending, TODAY)!.why)).toBe('clearance by Dr Example ends on 16 Jun 2026');
  });
});

describe('a sore place caps what loads it', () => {
  const person = referencePerson(REFERENCE_BODIES.female, TODAY);
  const breaks = (movementId: string, levelId: string, place: (typeof HAND_PLACE_IDS)[number], score: number) => {
    const movement = shippedMovement(movementId)!;
    const level = movement.ladder.find(({ id }) => id === levelId) ?? movement.ladder[0];
    const entry = { caution: 'sore-place', hand: 'both', place, symptom: 'ache', score } as const;
    return limitBroken(entry, workOf({ person }, movement, level, { ...level.dose, sides: 'left' }))?.broken ?? null;
  };

  test('a much sore back of the wrist keeps the flat palm off the floor, a slight one does not', () => {
    expect(breaks('bearing.palm-support', 'all-fours', 'wrist-back', 6)).toMatch(/of extension, limit 40°/);
    expect(breaks('bearing.palm-support', 'all-fours', 'wrist-back', 2)).toBeNull();
  });

  test('a much sore finger joint keeps off edges and fingertips, and no wrist circles', () => {
    expect(breaks('edge.hang', '', 'ring-pip', 6)).toBe('it is done on edges');
    expect(breaks('edge.hang', '', 'ring-pip', 1)).toBeNull();
    expect(breaks('free.wrist-circles', 'free-fist', 'ring-pip', 6)).toBeNull();
  });
});

test('answers are refused with the field and what would be right', () => {
  const intake = {
    onDay: '2026-06-11',
    goals: [],
    discipline: '',
    handHours: null,
    trainingYears: null,
    minutes: null,
    daysPerWeek: null,
    person: { birthDate: '2027-01-01' },
    history: [
      { condition: 'pregnancy', hand: 'left' },
      { condition: 'fracture', clearedOn: TODAY },
    ],
  } as const;
  expect(checkIntake(intake, TODAY).map(({ pointer }) => pointer)).toEqual([
    '/history/0/hand',
    '/history/1/clearedBy',
    '/onDay',
    '/person/birthDate',
  ]);
});
