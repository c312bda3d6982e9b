import { beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { Programme, ProgrammeFinding, ProgrammeView } from '@clay-pot/core';
import { show } from '../../screen.fixture.js';
import { tryOut, useCalendar } from '../../store/calendar.js';
import { openProgramme, undoProgramme, useProgrammeEditor } from '../../store/programme.js';
import { FindingsList } from './findings-list.js';
import { WhatIfBar } from './what-if-bar.js';

const PROGRAMME: Programme = {
  title: 'Last 8 weeks',
  fromDay: '2026-06-08',
  weeks: [{ kind: 'build', amountPercent: 100 }],
  plans: [{ id: 'a', sequenceId: '01890000-0000-7000-8000-0000000000aa' }],
  sessions: [{ id: 's1', day: '2026-06-09', planId: 'a' }],
};
const finding = (text: string, more: Partial<ProgrammeFinding> = {}): ProgrammeFinding => ({
  rule: 'growth',
  title: 'Weekly load grows too fast',
  severity: 'look',
  day: '2026-06-08',
  week: 1,
  sessionIds: ['s1'],
  text,
  ...more,
});
const viewWith = (...findings: ProgrammeFinding[]) => ({ findings }) as unknown as ProgrammeView;
const days = () => useProgrammeEditor.getState().document!.sessions.map(({ day }) => day);

beforeEach(() => {
  cleanup();
  openProgramme(PROGRAMME);
  tryOut(null);
});

describe('what is tried', () => {
  const whatIf = { words: 'week 1 is missed', edits: [{ kind: 'remove' as const, sessionId: 's1' }] };

  test('tells what the rules would say, and what no longer; done, it is one step to undo', async () => {
    tryOut(whatIf);
    const { user } = show(<WhatIfBar whatIf={whatIf} before={viewWith(finding('Too much.'))} after={viewWith(finding('Long gap.'))} />);
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual(['+ Week 1: Long gap.', '− Week 1: Too much.']);
    await user.click(screen.getByRole('button', { name: 'Apply' }));
    expect(days()).toEqual([]);
    expect(useCalendar.getState().whatIf).toBeNull();
    undoProgramme();
    expect(days()).toEqual(['2026-06-09']);
  });

  test('and left again changes nothing', async () => {
    tryOut(whatIf);
    const same = viewWith(finding('Too much.'));
    const { user } = show(<WhatIfBar whatIf={whatIf} before={same} after={same} />);
    expect(screen.getByText('The checks find the same as now.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Back to the plan' }));
    expect(days()).toEqual(['2026-06-09']);
  });
});

describe('what the rules say', () => {
  test('leads to its session, and its fix is done', async () => {
    const fix = { label: 'Move it to 10 Jun 2026', edits: [{ kind: 'move' as const, sessionId: 's1', day: '2026-06-10' }] };
    const { user } = show(<FindingsList findings={[finding('Too close.', { severity: 'mend', fix })]} />);
    await user.click(screen.getByRole('button', { name: /Too close/ }));
    expect(useCalendar.getState().chosen).toEqual({ kind: 'session', id: 's1' });
    await user.click(screen.getByRole('button', { name: 'Move it to 10 Jun 2026' }));
    expect(days()).toEqual(['2026-06-10']);
  });

  test('is told in words where it is nothing', () => {
    show(<FindingsList findings={[]} />);
    expect(screen.getByText(/^All good: the rest days are enough/)).toBeTruthy();
  });
});
