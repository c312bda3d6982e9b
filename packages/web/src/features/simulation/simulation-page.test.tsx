import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { study, type StudyQuestion } from '@clay-pot/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { ended, workersServe } from '../../near-worker.fixture.js';
import { show } from '../../screen.fixture.js';
import SimulationPage from './simulation-page.js';

const run = async (question: StudyQuestion, report: (courses: number) => Promise<void>) => {
  // A long one is never over: it is there to be cancelled.
  if (question.athletes > 1000) await new Promise(() => undefined);
  const course = study(question);
  for (let next = course.next(); ; next = course.next()) {
    if (next.done) return next.value;
    if (next.value % 50 === 0) await report(next.value);
  }
};
let away: () => void;
beforeEach(() => {
  away = workersServe({ run });
});
afterEach(() => away());

const type = (label: string, text: string) => fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

/** Two runs are computed in earnest; beside all other tests each takes several times as long. */
const BUSY_MS = 40_000;

describe('rules tried on athletes who do not exist', () => {
  test(
    'are refused outside their limits, stand side by side after two runs, and end when cancelled',
    async () => {
      const { user } = show(<SimulationPage />);
      const go = () => screen.getByRole('button', { name: 'Run simulation' });
      type('Athletes', '12');
      expect(screen.getByText('A whole number from 50 to 5000')).toBeTruthy();
      expect(go()).toHaveProperty('disabled', true);
      type('Athletes', '50');
      type('Weeks', '4');
      await user.click(go());
      await waitFor(() => expect(screen.getByRole('heading', { name: 'Palm lift: at each method’s own pace' })).toBeTruthy(), {
        timeout: BUSY_MS,
      });
      type('Progress at most once in days', '0');
      await user.click(go());
      await waitFor(() => expect(screen.getByRole('heading', { name: 'Palm lift: no days between' })).toBeTruthy(), { timeout: BUSY_MS });
      expect(screen.getAllByRole('table')).toHaveLength(2);
      const before = ended.count;
      type('Athletes', '5000');
      await user.click(go());
      expect(screen.getByLabelText('Progress')).toBeTruthy();
      await user.click(screen.getByRole('button', { name: 'Cancel' }));
      expect(screen.queryByLabelText('Progress')).toBeNull();
      expect(ended.count).toBe(before + 1);
      expect(screen.getAllByRole('table')).toHaveLength(2);
    },
    2 * BUSY_MS + 10_000,
  );
});
