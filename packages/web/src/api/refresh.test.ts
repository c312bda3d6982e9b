import { expect, test } from '@jest/globals';
import { QueryObserver } from '@tanstack/react-query';
import { queryClient, refresh } from './queries.js';

test('what was asked before a change and answered after it is asked again', async () => {
  let stored = 'open';
  const answers: (() => void)[] = [];
  const ask = () => {
    const seen = stored;
    return new Promise<string>((resolve) => answers.push(() => resolve(seen)));
  };
  const page = new QueryObserver(queryClient, { queryKey: ['sessions', 'one'], queryFn: ask });
  const leave = page.subscribe(() => undefined);
  stored = 'ended';
  const refreshed = refresh('sessions');
  answers[0]?.();
  await new Promise((resolve) => setTimeout(resolve));
  answers[1]?.();
  await refreshed;
  expect(page.getCurrentResult().data).toBe('ended');
  leave();
  queryClient.clear();
});
