import { plainName } from '../library/find-movements.js';
import type { Method } from '../model/method.js';
import type { Sequence } from '../model/sequence.js';
import { SESSION_TESTS, type SessionTest } from '../vocabulary/session-tests.js';
import type { HeadField } from './text-lines.js';

/** Seconds with or without their unit. */
const PACING_LINE = /^ready (\d+)(?: ?s)?, announce (\d+)(?: ?s)?, change (\d+)(?: ?s)?, breathe (\d+(?:\.5)?)-(\d+(?:\.5)?)(?: ?s)?$/i;

type Head = (value: string, methods: readonly Method[], before: Partial<Sequence>) => Partial<Sequence> | string;

/** What each line above the blocks says; a sentence where it says nothing that is known. */
export const HEADS: Record<HeadField, Head> = {
  title: (title) => ({ title }),
  purpose: (purpose) => ({ purpose }),
  method: (value, methods) => {
    const method = methods.find(({ id, name }) => id === value || plainName(name) === plainName(value));
    return method ? { methodId: method.id } : `There is no method “${value}”. Use ${methods.map(({ name }) => name).join(', ')}.`;
  },
  pacing: (value) => {
    const read = PACING_LINE.exec(value);
    if (!read) return 'Write pacing like this: ready 10, announce 5, change 3, breathe 4-6.';
    const [readyS = 0, announceS = 0, changeSidesS = 0, breathInS = 0, breathOutS = 0] = read.slice(1).map(Number);
    return { pacing: { readyS, announceS, changeSidesS, breathInS, breathOutS } };
  },
  tested: (value) => {
    const tests = value.split(',').map((test) => test.trim());
    const unknown = tests.find((test) => !SESSION_TESTS.some((ids) => ids === test));
    return unknown === undefined
      ? { tests: tests as SessionTest[] }
      : `“${unknown}” can’t be tested before and after. Use ${SESSION_TESTS.join(', ')}.`;
  },
  muted: (value, _methods, { mutes = [] }) => {
    const [check = '', ...reason] = value.split(',');
    const wording = reason.join(',').trim();
    return wording === ''
      ? 'Mute a check with a reason, like this: muted: thumb-forgotten, on its own day.'
      : { mutes: [...mutes, { check: check.trim(), reason: wording }] };
  },
};
