import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { viewOf } from '../../effort/session-view.js';
import { shippedMovement } from '../../library/index.js';
import { type AthleteRecord, checkAthlete, type RecordedCaution } from '../../model/athlete.js';
import { applyEdits } from '../../model/edits.js';
import { cautionAdvice, cautionLabel, cautionsOn, forbidsLoading } from './cautions.js';
import { editsOf } from '../checks/finding.js';
import { ask, GOOD, type Line, write } from '../checks/sessions.fixture.js';
import { advicesOf, concernsOf } from './clearance.js';
import { stopsOf } from './may-begin.js';

const TODAY = '2026-06-10';
const SESSION = '01890000-0000-7000-8000-000000000001';
const stopped = (sign: 'numbness' | 'pop', hand: 'left' | 'right' | 'both' = 'left'): RecordedCaution => ({
  caution: 'stop-sign',
  hand,
  since: '2026-06-01',
  stopped: { sessionId: SESSION, sign },
});
const cleared = { clearedOn: '2026-06-05', clearedBy: 'Dr Amari Voss' };

const seen = (cautions: readonly RecordedCaution[], lines: readonly Line[]) => {
  const athlete = {
    cautions: cautionsOn({ cautions }, TODAY),
    equipment: ['mat', 'chair', 'soft ball', 'table'] as const,
  };
  return viewOf(ask(write(lines), { athlete }));
};
const line = (movementId: string, dose: string): Line => ['strength', movementId, shippedMovement(movementId)!.ladder[0].id, dose];

describe('a sign that stopped a session', () => {
  test('stands until somebody has cleared it, and says which hand, when and why', () => {
    expect(stopsOf(seen([stopped('numbness')], GOOD)).map((stop) => ({ ...stop, text: sentenceText(stop.text) }))).toMatchObject([
      {
        check: { id: 'not-cleared' },
        text: 'Left hand: numbness or tingling, stopped on 1 Jun 2026: no loading until a doctor or hand therapist has checked it.',
      },
    ]);
    expect(stopsOf(seen([{ ...stopped('numbness'), ...cleared }], GOOD))).toEqual([]);
  });

  test('keeps the other hand free: one-handed work of it may begin', () => {
    const right = [line('grip.ball-squeeze', '2x8 @30% R')];
    expect(stopsOf(seen([stopped('numbness')], right))).toEqual([]);
    expect(stopsOf(seen([stopped('numbness', 'right')], right))).not.toEqual([]);
    expect(stopsOf(seen([stopped('numbness', 'both')], right))).not.toEqual([]);
  });

  test('offers to leave the work to the other hand, and takes out what needs both', () => {
    const lines = [line('grip.ball-squeeze', '2x8 @30% L,R'), line('bearing.palm-support', '1x20s')];
    const view = seen([stopped('numbness')], lines);
    const [stop] = stopsOf(view);
    expect(sentenceText(stop!.fix!.label)).toBe('Do 1 block with the right hand only, remove 1 block');
    const mended = applyEdits(view.sequence, editsOf(stop!.fix!));
    expect(mended.blocks.map(({ dose }) => dose.sides)).toEqual(['right']);
  });

  test('of a pop, a swelling or a cold hand rests the hand altogether: free motion waits, too', () => {
    const free: readonly Line[] = [['prepare', 'free.wrist-circles', 'free-fist', '1x4 L']];
    expect(stopsOf(seen([stopped('numbness')], free))).toEqual([]);
    expect(sentenceText(stopsOf(seen([stopped('pop')], free))[0]!.text)).toContain('including free movement');
    expect(stopsOf(seen([stopped('pop', 'right')], free))).toEqual([]);
  });
});

describe('a caution of one hand', () => {
  test('is minded for that hand alone', () => {
    const pinch = shippedMovement('grip.pinch-hold')!;
    const arthritis: RecordedCaution = { caution: 'arthritis', hand: 'left' };
    expect(concernsOf(pinch, pinch.ladder[0], [arthritis], ['left']).avoid).not.toEqual([]);
    expect(concernsOf(pinch, pinch.ladder[0], [arthritis], ['right']).avoid).toEqual([]);
    expect(concernsOf(pinch, pinch.ladder[0], [arthritis]).avoid).not.toEqual([]);
    expect(cautionLabel(arthritis)).toBe('Arthritis of hand or wrist, left hand');
  });

  test('holds its limits against that hand alone', () => {
    const strong = (sides: string) => [line('grip.ball-squeeze', `1x6 @70% 3s ${sides}`)];
    const tendon: RecordedCaution = { caution: 'tendon-pain', hand: 'right' };
    expect(stopsOf(seen([tendon], strong('L')))).toEqual([]);
    expect(stopsOf(seen([tendon], strong('R')))).toMatchObject([{ check: { id: 'caution-limit' } }]);
    expect(stopsOf(seen([tendon], strong('L,R')))).toMatchObject([{ check: { id: 'caution-limit' } }]);
  });

  test('holds them against a hand that pushes back too: it is as busy as the one that pushes', () => {
    const pressed = (effort: number) => [line('isometric.flexion', `1x5 @${effort}% 4s L`)];
    const tendon: RecordedCaution = { caution: 'tendon-pain', hand: 'right' };
    expect(stopsOf(seen([tendon], pressed(30)))).toEqual([]);
    expect(stopsOf(seen([tendon], pressed(70)))).toMatchObject([{ check: { id: 'caution-limit' } }]);
  });
});

describe('a clearance', () => {
  const fracture: RecordedCaution = { caution: 'recent-injury', hand: 'left', since: '2026-02-01' };

  test('of a healed fracture says so, and nothing of “until cleared”', () => {
    expect(cautionAdvice(fracture)).toBe(
      'Left hand: After surgery or a fracture: no loading until the treating doctor or therapist clears it.',
    );
    expect(sentenceText(cautionAdvice({ ...fracture, ...cleared }))).toBe(
      'Left hand: surgery or fracture, cleared by Dr Amari Voss on 5 Jun 2026.',
    );
    expect(advicesOf([{ ...fracture, ...cleared }])).toEqual([]);
  });

  test('counts from its day on', () => {
    const later = { ...fracture, clearedOn: '2026-06-20', clearedBy: 'Dr Amari Voss' };
    expect(cautionsOn({ cautions: [later] }, '2026-06-19').some(forbidsLoading)).toBe(true);
    expect(cautionsOn({ cautions: [later] }, '2026-06-20').some(forbidsLoading)).toBe(false);
  });

  test('within limits is minded and held against: effort, extension, body weight', () => {
    const within = { effortPercent: 40, extensionDeg: 60, noBodyWeight: true, until: '2026-07-01' };
    const limited: RecordedCaution = { ...fracture, ...cleared, within };
    expect(sentenceText(cautionAdvice(limited))).toBe(
      'Left hand: surgery or fracture, cleared by Dr Amari Voss on 5 Jun 2026: effort up to 40 %, extension up to 60°, no body weight on the hand, until 1 Jul 2026.',
    );
    expect(advicesOf([limited])).toMatchObject([{ forbids: false }]);
    const said = (entry: RecordedCaution, ...lines: Line[]) => stopsOf(seen([entry], lines)).map(({ text }) => sentenceText(text));
    expect(said(limited, line('isometric.flexion', '1x4 @70% 4s L,R'))[0]).toContain('70 % effort, limit 40 %');
    expect(said(limited, line('isometric.flexion', '1x4 @40% 4s L,R'))).toEqual([]);
    expect(said(limited, line('bearing.palm-support', '1x10s'))[0]).toContain('it puts weight on the hand');
    const onlyAngle = { ...limited, within: { extensionDeg: 60 } };
    expect(said(onlyAngle, line('stretch.flexors', '1x20s L,R'))[0]).toMatch(/° of extension, limit 60°/);
    expect(said(onlyAngle, line('stretch.flexors', '1x20s R'))).toEqual([]);
  });

  test('loses its limits after their day, and keeps its clearance', () => {
    const limited: RecordedCaution = { ...fracture, ...cleared, within: { effortPercent: 40, until: '2026-06-09' } };
    expect(cautionsOn({ cautions: [limited] }, '2026-06-09')[0]).toHaveProperty('within');
    const [after] = cautionsOn({ cautions: [limited] }, TODAY);
    expect(after).not.toHaveProperty('within');
    expect(forbidsLoading(after!)).toBe(false);
  });
});

describe('what may be recorded', () => {
  const record = (cautions: readonly RecordedCaution[]): AthleteRecord => ({
    name: 'Wren',
    practice: '',
    birthDate: null,
    sex: 'female',
    dominantHand: 'right',
    statureCm: null,
    massKg: null,
    equipment: [],
    cautions,
    notes: '',
  });
  const faults = (...cautions: RecordedCaution[]) => checkAthlete(record(cautions), TODAY).map(({ pointer }) => pointer);

  test('the same thing once for each hand', () => {
    expect(faults({ caution: 'arthritis', hand: 'left' }, { caution: 'arthritis', hand: 'right' })).toEqual([]);
    expect(faults({ caution: 'arthritis' }, { caution: 'arthritis', hand: 'right' })).toEqual(['/cautions/1/caution']);
  });

  test.each<[string, RecordedCaution, string]>([
    ['a beginning after today', { caution: 'arthritis', since: '2026-06-11' }, '/since'],
    ['a clearance before it began', { caution: 'numbness', since: '2026-06-06', ...cleared }, '/clearedOn'],
    ['limits without a clearance', { caution: 'numbness', within: { effortPercent: 40 } }, '/within'],
    ['limits that end before they begin', { caution: 'numbness', ...cleared, within: { until: '2026-06-01' } }, '/within/until'],
    ['a stop that no session had', { caution: 'stop-sign' }, '/caution'],
  ])('%s is refused', (_what, entry, pointer) => {
    expect(faults(entry)).toEqual([`/cautions/0${pointer}`]);
  });
});
