import { coursesOf, type StudyQuestion, type StudyRow } from '@clay-pot/core';
import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { StudyWorker } from '../../workers/study-worker.js';

/** A study that is through. */
export interface DoneStudy {
  readonly question: StudyQuestion;
  readonly rows: readonly StudyRow[];
}

/** Runs studies in a worker, one at a time; who cancels ends it at once. */
export function useStudy() {
  const worker = useRef<Worker | null>(null);
  /** How far it is, 0–1; null while none runs. */
  const [share, setShare] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [done, setDone] = useState<readonly DoneStudy[]>([]);
  const end = () => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const run = async (question: StudyQuestion) => {
    end();
    setError(null);
    setShare(0);
    const mine = new Worker(new URL('../../workers/study-worker.ts', import.meta.url), { type: 'module' });
    worker.current = mine;
    const all = coursesOf(question);
    try {
      const rows = await wrap<StudyWorker>(mine).run(
        question,
        proxy((courses) => worker.current === mine && setShare(courses / all)),
      );
      if (worker.current === mine) setDone((before) => [{ question, rows }, ...before]);
    } catch (trouble) {
      setError(trouble instanceof Error ? trouble.message : String(trouble));
    }
    if (worker.current === mine) end();
  };
  const forget = (study: DoneStudy) => setDone((before) => before.filter((each) => each !== study));
  return { run, cancel: end, forget, share, error, done };
}
