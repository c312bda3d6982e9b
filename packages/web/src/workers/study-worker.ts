import { study, type StudyQuestion, type StudyRow } from '@clay-pot/core';
import { expose } from 'comlink';

/** Courses of athletes who do not exist are gone through beside the page. */
const studyWorker = {
  /** @param done receives how many courses are finished */
  run: (question: StudyQuestion, done: (courses: number) => void): StudyRow[] => {
    const course = study(question);
    for (let next = course.next(); ; next = course.next()) {
      if (next.done) return next.value;
      done(next.value);
    }
  },
};
/** What the worker answers. */
export type StudyWorker = typeof studyWorker;

expose(studyWorker);
