import type { Athlete, StoredReading } from '@clay-pot/contracts';
import { addDays } from '@clay-pot/core';
import { describe, expect, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { Outlet, Route, Routes } from 'react-router';
import { someone, storedShort } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import { NextStepButton } from './next-step-button.js';
import OverviewSection from './overview-section.js';

const wren = someone();
const at = `/api/athletes/${wren.id}`;
const read = (kind: StoredReading['kind'], of: string, hand: 'left' | 'right', value: number, ago: number): StoredReading => ({
  ...{ id: `${kind} ${of} ${hand} ${ago}`, kind, of, hand, value, onDay: addDays(isoToday(), -ago) },
});
interface Given {
  readings?: StoredReading[];
  intakes?: unknown[];
  due?: object[];
  assignments?: object[];
  programmes?: object[];
}

async function overview({ readings = [], intakes = [], due = [], assignments = [], programmes = [] }: Given, person: Athlete = wren) {
  answering({
    [`GET ${at}`]: person,
    [`GET ${at}/readings`]: readings,
    [`GET ${at}/intakes`]: intakes,
    [`GET ${at}/evidence`]: [],
    [`GET ${at}/suggestions`]: { open: [], answered: [] },
    'GET /api/today': { day: isoToday(), due },
    'GET /api/assignments': assignments,
    'GET /api/programmes?*': programmes,
    'GET /api/sequences': [{ id: 's', title: 'Warm thumbs', durationMs: 600_000 }],
    'GET /api/sequences/*': storedShort(),
  });
  const shown = show(
    <Routes>
      <Route
        element={
          <>
            <NextStepButton person={person} />
            <Outlet context={person} />
          </>
        }
      >
        <Route path="*" element={<OverviewSection />} />
      </Route>
    </Routes>,
  );
  await settle();
  return shown;
}
const INTAKE = { id: 'i', answers: { onDay: isoToday(), goals: [], discipline: '' } };
const step = (name: string) => screen.getAllByRole('link', { name })[0]!.getAttribute('href');

describe('what comes next for somebody', () => {
  test('a check-in first', async () => {
    await overview({});
    expect(step('Start check-in')).toBe(`/people/${wren.id}/check-in`);
  });

  test('then something to lead', async () => {
    await overview({ intakes: [INTAKE] });
    expect(step('Generate sequence')).toBe(`/compose?athlete=${wren.id}`);
    expect(screen.getByText('No session planned.')).toBeTruthy();
  });

  test('then what is due today, led as its programme has it', async () => {
    const from = { kind: 'programme', id: 'p', sessionId: 'x' };
    await overview({ intakes: [INTAKE], due: [{ athleteId: wren.id, sequenceId: 's', state: 'due', from }] });
    expect(step('Start session')).toMatch(/^\/sequences\/s\/lead\?.*programme=p/);
    expect(screen.getByText(/^Today/).textContent).toBe('Today, 10 min');
  });

  test('then the soonest of what is assigned and what a programme has', async () => {
    const everyDay = [1, 2, 3, 4, 5, 6, 7];
    const assignments = [{ id: 'a', athleteId: wren.id, sequenceId: 's', weekdays: everyDay, fromDay: '2026-01-01' }];
    const programmes = [{ id: 'p', title: 'Weeks', next: { day: addDays(isoToday(), 3), sequenceId: 'other' } }];
    await overview({ intakes: [INTAKE], assignments, programmes });
    expect(step('Start session')).toMatch(/^\/sequences\/s\/lead/);
  });
});

describe('both wrists', () => {
  const hands = (kind: StoredReading['kind'], of: string, left: number, right: number, ago: number) => [
    read(kind, of, 'left', left, ago),
    read(kind, of, 'right', right, ago),
  ];
  test('a change is told only where it is more than the error of two tests', async () => {
    const readings = [...hands('passive range', 'wrist extension', 60, 70, 60), ...hands('passive range', 'wrist extension', 82, 71, 2)];
    await overview({ readings, intakes: [INTAKE] });
    const left = within(screen.getByRole('region', { name: 'left wrist' }));
    const right = within(screen.getByRole('region', { name: 'right wrist' }));
    expect(left.getByRole('row', { name: /^Extension/ }).textContent).toBe('Extension82°+22°');
    expect(right.getByRole('row', { name: /^Extension/ }).textContent).toBe('Extension71°no clear change');
    expect(left.getByRole('row', { name: /^Grip/ }).textContent).toBe('Gripnot tested');
    expect(left.getByRole('img').getAttribute('aria-label')).toMatch(/^Range of the left wrist: extension 82°, flexion \d+°, estimated/);
  });

  test('thumbs point to each other: radial is right on the left wheel and left on the right one', async () => {
    const readings = hands('passive range', 'radial deviation', 11, 11, 2);
    await overview({ readings, intakes: [INTAKE] });
    const places = ['left wrist', 'right wrist'].map((name) => {
      const label = within(screen.getByRole('region', { name })).getByText('11°');
      return Math.sign(Number(label.getAttribute('x')));
    });
    expect(places).toEqual([1, -1]);
  });
});
