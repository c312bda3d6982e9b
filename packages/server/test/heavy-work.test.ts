import { afterAll, expect, test } from '@jest/globals';
import { HttpException } from '@nestjs/common';
import { setTimeout as sleep } from 'node:timers/promises';
import { HeavyWork } from '../src/work/heavy-work.js';
import { requestsOf } from './requests.fixture.js';

const work = new HeavyWork();
afterAll(() => work.onModuleDestroy());

const readings = Array.from({ length: 12 }, (_, week) => ({ onDay: `2026-03-${String(1 + 2 * week).padStart(2, '0')}`, value: 60 + week }));
const asked = () => work.run('answerTrend', { readings, goal: 80 });
/** Beside all other tests a thread takes seconds to begin: whoever is told to wait asks again. */
async function ask(): Promise<Awaited<ReturnType<typeof asked>>> {
  for (;;) {
    try {
      return await asked();
    } catch (error) {
      if (!(error instanceof HttpException) || error.getStatus() !== 503) throw error;
      await sleep(100);
    }
  }
}

test('work that is abandoned stops, and takes nobody else’s along', async () => {
  const expected = await ask();
  for (let round = 0; round < 6; round++) {
    const gone = requestsOf(() => asked());
    await sleep(5 * round);
    gone.leave();
    const [left, ...others] = await Promise.allSettled([gone.answer, ask(), ask()]);
    expect(left.status === 'fulfilled' || left.reason instanceof Error).toBe(true);
    for (const other of others) expect(other).toEqual({ status: 'fulfilled', value: expected });
  }
});
