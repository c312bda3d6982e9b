import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { study, type StudyQuestion } from '@clay-pot/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expose } from 'comlink';
import { show } from '../../screen.fixture.js';
import SimulationPage from './simulation-page.js';

/** How many questions were given up: their workers are ended. */
let ended = 0;
const real = globalThis.Worker;
/** A worker in the same thread, that waits before it answers where the study is a long one. */
class NearWorker {
  constructor() {
    const { port1, port2 } = new MessageChannel();
    const run = async (question: StudyQuestion, told: (courses: number) => Promise<void>) => {
      if (question.athletes > 1000) await new Promise(() => undefined);
      const course = study(question);
      for (let next = course.next(); ; next = course.next()) {
        if (next.done) return next.value;
        if (next.value % 50 === 0) await told(next.value);
      }
    };
    expose({ run }, port1);
    return Object.assign(port2, {
      terminate: () => {
        ended += 1;
        port1.close();
        port2.close();
      },
    }) as never;
  }
}
beforeEach(() => {
  ended = 0;
  globalThis.Worker = NearWorker as unknown as typeof Worker;
});
afterEach(() => {
  globalThis.Worker = real;
});

const type = (label: string, text: string) => fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

describe('rules tried on athletes who do not exist', () => {
  test('are refused outside their limits, stand side by side after two runs, and end when cancelled', async () => {
    const { user } = show(<SimulationPage />);
    const go = () => screen.getByRole('button', { name: 'Go through it' });
    type('Athletes', '12');
    expect(screen.getByText('A whole number from 50 to 5000')).toBeTruthy();
    expect(go()).toHaveProperty('disabled', true);
    type('Athletes', '50');
    type('Weeks', '4');
    await user.click(go());
    await waitFor(() => expect(screen.getByRole('heading', { name: 'Palm lift: at each method’s own pace' })).toBeTruthy(), {
      timeout: 15_000,
    });
    type('No more than once in days', '0');
    await user.click(go());
    await waitFor(() => expect(screen.getByRole('heading', { name: 'Palm lift: no days between' })).toBeTruthy(), { timeout: 15_000 });
    expect(screen.getAllByRole('table')).toHaveLength(2);
    const before = ended;
    type('Athletes', '5000');
    await user.click(go());
    expect(screen.getByLabelText('How far it is')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByLabelText('How far it is')).toBeNull();
    expect(ended).toBe(before + 1);
    expect(screen.getAllByRole('table')).toHaveLength(2);
  });
});
