import type { Today } from '@clay-pot/contracts';
import { describe, expect, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { NEW_COACH } from '../../made-up.fixture.js';
import { queryClient } from '../../api/queries.js';
import { answering, show } from '../../screen.fixture.js';
import TodayContent from './today-content.js';

const EMPTY: Today = { day: '2026-06-10', firstSteps: null, atRisk: [], due: [], changes: [], mornings: [] };

function today(change: Partial<Today>) {
  answering({
    'GET /api/today': { ...EMPTY, ...change },
    'GET /api/suggestions': { suggestions: [], toLookAt: 0 },
    'GET /api/sessions*': { items: [], nextBefore: null },
  });
  queryClient.setQueryData(['me'], NEW_COACH);
  return show(<TodayContent />);
}
const steps = async () => within(await screen.findByRole('region', { name: 'First steps' }));

describe('the first evening', () => {
  test('nobody yet: three steps, the first of which can be done, and the demo', async () => {
    today({ firstSteps: { athlete: null, hasCheckIn: false, hasSequence: false } });
    expect(await screen.findByRole('heading', { name: 'Welcome to Tideline' })).toBeTruthy();
    const shown = await steps();
    expect(shown.getAllByRole('listitem')).toHaveLength(3);
    expect(shown.getAllByRole('link').map(({ textContent }) => textContent)).toEqual(['Add athlete']);
    expect(shown.getByRole('button', { name: 'Visit the demo' })).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'Due today' })).toBeNull();
  });

  test.each([
    [{ hasCheckIn: false, hasSequence: false }, 'Start check-in with Nell', '/people/n/check-in'],
    [{ hasCheckIn: true, hasSequence: false }, 'Generate sequence', '/compose?athlete=n'],
  ])('goes on where it was left: %o', async (far, name, to) => {
    today({ firstSteps: { athlete: { id: 'n', name: 'Nell Tarrow' }, ...far } });
    const shown = await steps();
    expect(shown.getAllByRole('link').map((link) => [link.textContent, link.getAttribute('href')])).toEqual([[name, to]]);
  });
});

describe('a day', () => {
  test('who is at risk stands above who is due, with the weightiest reason and the way to all', async () => {
    today({ atRisk: [{ athleteId: 'h', athleteName: 'Hana', reasons: ['numbness: unloaded only', 'never tested'] }] });
    const risk = await screen.findByRole('region', { name: 'At risk' });
    expect(risk.textContent).toContain('Numbness: unloaded only');
    expect(risk.textContent).not.toContain('never tested');
    expect(within(risk).getByRole('link', { name: 'Class overview' }).getAttribute('href')).toBe('/people/class');
    expect(risk.compareDocumentPosition(screen.getByRole('heading', { name: 'Due today' }))).toBe(Node.DOCUMENT_POSITION_FOLLOWING);
  });

  test('what changed leads to its record or to the check-in, five at first', async () => {
    const change = (index: number) =>
      ({
        of: 'session',
        sessionId: `s${index}`,
        athleteId: 'w',
        athleteName: 'Wren',
        isGrave: index === 0,
        text: `went ${index}`,
      }) as const;
    const { user } = today({
      changes: [
        { of: 'check-in', athleteId: 'w', athleteName: 'Wren', isGrave: true, text: 'check-in: stop' },
        ...[0, 1, 2, 3, 4, 5].map(change),
      ],
    });
    const list = await screen.findByRole('list', { name: 'Since yesterday' });
    const links = () =>
      within(list)
        .getAllByRole('link')
        .map((link) => link.getAttribute('href'));
    expect(links()).toEqual(['/people/w/screening', '/records/s0', '/records/s1', '/records/s2', '/records/s3']);
    await user.click(screen.getByRole('button', { name: '2 more changes' }));
    expect(links()).toHaveLength(7);
  });
});
