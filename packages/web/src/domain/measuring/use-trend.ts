import { type DayValue, type Trend } from '@clay-pot/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { MeasureWork } from '../../workers/measure-worker.js';

let worker: Remote<MeasureWork> | undefined;
/** One for the page, started with the first question. */
const theWorker = () =>
  (worker ??= wrap<MeasureWork>(new Worker(new URL('../../workers/measure-worker.ts', import.meta.url), { type: 'module' })));

/** The trend of readings, computed beside the page; null until it is there. */
export function useTrend(values: readonly DayValue[], goal: number | null): Trend | null {
  const [trend, setTrend] = useState<{ of: readonly DayValue[]; goal: number | null; is: Trend } | null>(null);
  useEffect(() => {
    let isOver = false;
    void theWorker()
      .trendOf(values, goal ?? undefined)
      .then((is) => {
        if (!isOver) setTrend({ of: values, goal, is });
      });
    return () => {
      isOver = true;
    };
  }, [values, goal]);
  return trend?.of === values && trend.goal === goal ? trend.is : null;
}
