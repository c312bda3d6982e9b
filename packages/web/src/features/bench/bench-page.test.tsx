import { describe, expect, test } from '@jest/globals';
import type { Athlete, StoredReading } from '@clay-pot/contracts';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { someone } from '../../made-up.fixture.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import BenchPage from './bench-page.js';

async function bench(query: string, athlete?: Athlete, readings: readonly Partial<StoredReading>[] = []) {
  answering({
    'GET /api/athletes': [],
    ...(athlete && { 'GET /api/athletes/*': athlete, 'GET /api/athletes/*/readings': readings, 'GET /api/athletes/*/*': [] }),
  });
  const shown = show(<BenchPage />, `/bench?${query}${athlete ? `&athlete=${athlete.id}` : ''}`, '/bench');
  await settle();
  return shown;
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label, { exact: true });
const type = (label: string, text: string) => {
  fireEvent.focus(field(label));
  fireEvent.change(field(label), { target: { value: text } });
};
const enter = (label: string, text: string) => {
  type(label, text);
  fireEvent.keyDown(field(label), { key: 'Enter' });
};

describe('the load bench', () => {
  test('refuses in words what cannot be, and loses nothing', async () => {
    const { user } = await bench('at=nonsense&movement=nothing&athlete=');
    expect(screen.getByRole('heading', { name: 'Load bench' })).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Start from'), 'Plank');
    const distance = 'Hands from knees or feet, m';
    const plank = field(distance).value;
    enter(distance, 'far');
    expect(screen.getByRole('alert').textContent).toContain('Enter a number from 0–3 m.');
    fireEvent.keyDown(field(distance), { key: 'Escape' });
    expect(field(distance).value).toBe(plank);
    enter(distance, '2.9');
    expect(screen.getByText(/trunk and legs are too short.*Set to the nearest/)).toBeTruthy();
    expect(Number(field(distance).value)).toBeLessThan(1.5);
    type('Target', '95');
    await user.click(screen.getByRole('button', { name: 'Solve' }));
    expect(screen.getByText(/alone can’t give that. Closest: \d/)).toBeTruthy();
    type('Target', 'much');
    await user.click(screen.getByRole('button', { name: 'Solve' }));
    expect(screen.getByText('Enter a number from 0–200 % of body weight.')).toBeTruthy();
  });

  test('says first who is not cleared, and only where it concerns the movement', async () => {
    const numb = someone({ cautions: [{ caution: 'numbness' }] });
    const { unmount } = await bench('movement=bearing.palm-support', numb);
    expect(screen.getByRole('note', { name: 'Cautions for Wren Halloran' }).textContent).toContain(
      'Not before clearance. Numbness or tingling',
    );
    unmount();
    await bench('movement=free.wrist-circles', numb);
    expect(screen.queryByRole('note', { name: 'Cautions for Wren Halloran' })).toBeNull();
  });

  test('says what is estimated of somebody without measures', async () => {
    await bench(
      'movement=bearing.palm-support',
      someone({ sex: 'not stated', birthDate: null, statureCm: null, massKg: null } as unknown as Partial<Athlete>),
    );
    expect(screen.getByText(/Estimated: proportions.*height.*weight.*age/)).toBeTruthy();
    expect(screen.getAllByText(/N·m, estimated/).length).toBeGreaterThan(0);
  });

  test('says what was measured', async () => {
    const flexion = { id: 'r', kind: 'maximum', of: 'wrist flexion', hand: 'left', value: 11.5, onDay: isoToday() } as const;
    await bench('movement=bearing.palm-support', someone(), [flexion]);
    expect(screen.getAllByText(/N·m, measured/).length).toBeGreaterThan(0);
  });

  test('says what a sprain asks of a level that loads the bent wrist', async () => {
    await bench('movement=strength.fist-to-back', someone({ cautions: [{ caution: 'past-sprain' }] }));
    expect(screen.getByRole('note').textContent).toContain('Loaded flexion: not with a sore or recently sprained wrist.');
  });

  test('holds weights, edges and hangs as well, and its small sums work both ways', async () => {
    const { user } = await bench('movement=edge.lift-open&level=deep');
    type('Target', '40');
    await user.click(screen.getByRole('button', { name: 'Solve' }));
    expect(screen.getByText(/^Weight: [\d.]+ kg\. For 4 in 5 people like this: [\d.]+–[\d.]+ kg\.$/)).toBeTruthy();
    expect(screen.getByRole('region', { name: 'left hand' }).textContent).toContain('40 %');
    expect(within(screen.getByRole('table', { name: /Levels of Edge lift/ })).getAllByRole('row')).toHaveLength(4);
    fireEvent.change(field('Effort'), { target: { value: '50' } });
    fireEvent.blur(field('Effort'));
    const kilograms = () => screen.getAllByLabelText<HTMLInputElement>('is', { exact: true })[0]!;
    const half = (Number(kilograms().value) / 2).toFixed(2);
    fireEvent.change(kilograms(), { target: { value: half } });
    fireEvent.blur(kilograms());
    await waitFor(() => expect(field('Effort').value).toBe('25'));
    fireEvent.change(field('Effort'), { target: { value: '900' } });
    expect(screen.getByText('Enter a number from 1–200 %.')).toBeTruthy();
  });
});
