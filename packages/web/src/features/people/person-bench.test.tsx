import { describe, expect, test } from '@jest/globals';
import type { Athlete, ClassRow, StoredReading } from '@clay-pot/contracts';
import type { Reading } from '@clay-pot/core';
import { screen, within } from '@testing-library/react';
import { FRONT_DOOR, NEW_COACH, SHORT_ID, sequenceOf, someone, storedShort } from '../../made-up.fixture.js';
import { queryClient } from '../../api/queries.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import { BeginHere } from './begin-here.js';
import ClassPage from './class-page.js';
import { Clearance } from './clearance.js';
import { LeftRight } from './left-right.js';
import { RangeWheel } from './range-wheel.js';

const wren = someone();
const at = `/api/athletes/${wren.id}`;
const read = (kind: Reading['kind'], of: string, hand: Reading['hand'], value: number, more: Partial<Reading> = {}): StoredReading => ({
  id: `${kind} ${of} ${hand}`,
  kind,
  of,
  hand,
  value,
  onDay: isoToday(),
  ...more,
});
const both = (kind: Reading['kind'], of: string, left: number, right: number, more: Partial<Reading> = {}) => [
  read(kind, of, 'left', left, more),
  read(kind, of, 'right', right, more),
];
const answers = (readings: StoredReading[] = [], athlete: Athlete = wren) => ({
  [`GET ${at}`]: athlete,
  [`GET ${at}/readings`]: readings,
  [`GET ${at}/evidence`]: [],
  [`GET ${at}/intakes`]: [],
  [`GET ${at}/past`]: [],
});

describe('left beside right', () => {
  const shown = async (readings: StoredReading[], change: Partial<Athlete> = {}) => {
    answering(answers(readings));
    show(<LeftRight athlete={someone(change)} readings={readings} />);
    await settle();
    return screen.getAllByRole('row').map((row) => row.textContent);
  };

  test('the most uneven comes first, and is named with how much the lesser lacks', async () => {
    const rows = await shown([...both('active range', 'wrist extension', 70, 73), ...both('maximum', 'grip', 290, 430)]);
    expect(rows[0]).toContain('Grip');
    expect(rows[0]).toContain('left 33 % weaker');
    expect(rows[1]).toContain('within the error');
  });

  test('two alike hands of a right-hander are not uneven', async () => {
    const [row] = await shown(both('maximum', 'grip', 400, 402));
    expect(row).not.toContain('less');
  });

  test('what was measured of one hand only, and what both do together, is left out', async () => {
    answering(answers());
    const readings = [read('maximum', 'pinch', 'left', 80), ...both('hold', 'hang', 40, 40)];
    show(<LeftRight athlete={wren} readings={readings} />);
    await settle();
    expect(screen.queryByText('Left vs. right')).toBeNull();
  });

  test('another edge is another thing', async () => {
    const rows = await shown([
      ...both('maximum', 'edge pull', 300, 310, { detail: '20 mm' }),
      ...both('maximum', 'edge pull', 200, 330, { detail: '10 mm' }).map((each) => ({ ...each, id: `${each.id} 10` })),
    ]);
    expect(rows[0]).toContain('10 mm');
    expect(rows).toHaveLength(2);
  });
});

describe('where to begin', () => {
  test('says what to ask and what to measure first, each with why', async () => {
    answering(answers());
    show(<BeginHere athlete={wren} wasScreened={false} />);
    await settle();
    expect(screen.getByRole('link', { name: 'Start check-in with Wren' }).getAttribute('href')).toBe(`/people/${wren.id}/check-in`);
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    expect(screen.getByText(/a flat palm needs about 79°/)).toBeTruthy();
  });

  test('offers nothing to measure that has to be cleared first', async () => {
    const referred = someone({ cautions: [{ caution: 'numbness' }] });
    answering(answers([], referred));
    show(<BeginHere athlete={referred} wasScreened />);
    await settle();
    expect(
      screen
        .getAllByRole('listitem')
        .map((item) => item.textContent)
        .join(),
    ).not.toContain('strength');
    expect(screen.getByText(/other things not before clearance/)).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Start check-in with Wren' })).toBeNull();
  });
});

describe('what stands today', () => {
  const shown = async (cautions: Athlete['cautions'], asked: object | null = { signs: [], symptoms: [], history: [] }) => {
    const athlete = someone({ cautions });
    const intakes = asked ? [{ id: 'i1', onDay: '2026-05-01', verdict: 'go', answers: asked }] : [];
    answering({ ...answers([], athlete), [`GET ${at}/intakes`]: intakes });
    show(<Clearance person={athlete} edit={() => undefined} />);
    await settle();
  };

  test('each hand has its own word, the gravest of what is minded of it', async () => {
    await shown([{ caution: 'numbness', hand: 'left' }, { caution: 'arthritis' }]);
    expect(screen.getByText('Get it checked first')).toBeTruthy();
    expect(screen.getByText('Train with limits')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Record clearance' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Letter' })).toBeTruthy();
  });

  test('who may go on is told so', async () => {
    await shown([]);
    expect(screen.getByText('Clear to train')).toBeTruthy();
    expect(screen.getByText('No restrictions.')).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Letter' })).toBeNull();
  });

  test('nobody is clear to train who was not asked', async () => {
    await shown([], null);
    expect(screen.getByText('Not asked yet')).toBeTruthy();
    expect(screen.queryByText('Clear to train')).toBeNull();
  });

  test('a clearance says until when', async () => {
    await shown([{ caution: 'recent-injury', clearedOn: '2026-01-02', clearedBy: 'a hand therapist', clearedUntil: '2099-01-02' }]);
    expect(screen.getByText(/Cleared until 2 Jan/)).toBeTruthy();
  });
});

describe('how far the wrists go', () => {
  const planted = sequenceOf([['a', 'load', 'bearing.palm-support', 'all-fours', '1x20s']]);
  const readings = [...both('active range', 'wrist extension', 62, 80), ...both('passive range', 'wrist extension', 84, 86)];
  const row = (name: RegExp) =>
    screen.getAllByRole('row', { name }).map((each) =>
      within(each)
        .getAllByRole('cell')
        .map((cell) => cell.textContent),
    );

  test('gap and margin stand beside what a given sequence asks', async () => {
    answering({
      ...answers(readings),
      'GET /api/sequences': [{ id: SHORT_ID, title: 'Planted' }],
      'GET /api/assignments': [{ id: 'x', athleteId: wren.id, sequenceId: SHORT_ID }],
      [`GET /api/sequences/${SHORT_ID}`]: storedShort(planted),
    });
    show(<RangeWheel athlete={wren} />);
    await settle();
    const [left, right] = row(/extension/);
    expect(left!.slice(0, 3)).toEqual(['62', '84', '22']);
    expect(right!.slice(0, 3)).toEqual(['80', '86', '6']);
    const [taken, margin] = [Number(left![3]), Number.parseInt(left![4]!, 10)];
    expect(taken).toBeGreaterThan(70);
    expect(margin).toBe(84 - taken);
    expect(left![4]).toContain('beyond its own');
  });

  test('without a sequence the ranges stand alone, estimated where nothing was measured', async () => {
    answering({ ...answers(), 'GET /api/sequences': [], 'GET /api/assignments': [] });
    show(<RangeWheel athlete={wren} />);
    await settle();
    const [left] = row(/flexion/);
    expect(left).toEqual(['–', expect.stringMatching(/^about \d+$/), '–', '–', '–']);
  });
});

describe('the class table', () => {
  const line = (change: Partial<ClassRow>): ClassRow => ({
    athleteId: wren.id,
    name: 'Wren Halloran',
    practice: 'hand balancing',
    weight: 0,
    reasons: [],
    extensionDeg: { left: null, right: null },
    gripN: { left: null, right: null },
    measuredOn: null,
    askedOn: null,
    lastSessionOn: null,
    ...change,
  });

  test('shows each with why, as the server sorted them, and the latest readings', async () => {
    answering({
      'GET /api/class': [
        line({ name: 'Ona Reed', weight: 100, reasons: ['Numbness: unloaded only', 'never tested'] }),
        line({
          athleteId: '01890000-0000-7000-8000-00000000000b',
          name: 'Pip Marlow',
          extensionDeg: { left: 80, right: 84 },
          gripN: { left: 294.2, right: 392.27 },
        }),
      ],
    });
    show(<ClassPage />);
    await settle();
    const [, first, second] = screen.getAllByRole('row').map((row) => row.textContent);
    expect(first).toContain('Numbness: unloaded onlyNever tested');
    expect(second).toContain('All good80 · 8430.0 · 40.0');
    expect(screen.getByText('1 athlete to check, most urgent first')).toBeTruthy();
  });

  test('a studio without anybody says so', async () => {
    answering({ ...FRONT_DOOR, 'GET /api/class': [] });
    queryClient.setQueryData(['me'], NEW_COACH);
    show(<ClassPage />);
    expect(await screen.findByRole('button', { name: 'See an example in the demo' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Add athlete' }).getAttribute('href')).toBe('/people/new');
  });
});
