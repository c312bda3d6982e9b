import { OPEN_WORDS, type OpenEnd, OPEN_ENDS, type WorkKind } from '../vocabulary/work.js';
import { amountLimit, amountOf, type Dose, type SetGroup, type Work, workOf } from './dose.js';
import type { Part } from './dose-parts.js';
import { ShorthandError } from './shorthand-error.js';

/** As many clean repetitions as there are, where nothing says more. */
const FIRST_CEILING = 20;
/** What an open set may be at most, over the set before it. */
const TIMES_BEFORE = 2;

/** What an open set without a number may be at most: twice the set before it; alone, twenty repetitions. */
export function impliedCeiling(before: Work | undefined): Work {
  if (!before) return workOf('repetitions', FIRST_CEILING, 'form');
  const amount = Math.min(amountLimit(before.kind).max, TIMES_BEFORE * amountOf(before));
  return workOf(before.kind, amount, 'form');
}

/** Reads sets and amounts, group by group. @throws ShorthandError at the group that says neither */
export function readSets(part: Part): Pick<Dose, 'sets' | 'work' | 'then'> {
  const pieces = part.sets ?? [{ tidy: part.tidy, at: part.at }];
  const groups: SetGroup[] = [];
  for (const { tidy, at } of pieces) groups.push(readGroup(tidy, at, groups.at(-1)?.work));
  const [first, ...then] = groups as [SetGroup, ...SetGroup[]];
  return { ...first, ...(then.length > 0 && { then }) };
}

const GROUP = /^(?:(\d+)x)?(?:(max|ease)?(?:(\d+):(\d{2})|(\d+)(s|min|br|m)?)|(max|ease))$/i;

function readGroup(text: string, at: number, before: Work | undefined): SetGroup {
  const found = GROUP.exec(text);
  if (!found) {
    throw new ShorthandError(text, `Give sets and amount, like 3x8, 2x30s, 3x5br, 3x40m or 1xmax. “${text}” is neither.`, at);
  }
  const [, times, word, minutes, rest, count, unit, alone] = found;
  const sets = times === undefined ? 1 : Number(times);
  const open = openEnd(word ?? alone);
  if (alone !== undefined) {
    if (open !== 'ease') return { sets, work: impliedCeiling(before) };
    throw new ShorthandError(text, `“${text}” needs a maximum, for example ease90s.`, at);
  }
  if (minutes !== undefined) return { sets, work: workOf('time', Number(minutes) * 60 + Number(rest), open) };
  const { kind, times: factor } = UNITS[unit?.toLowerCase() ?? ''] ?? REPETITIONS;
  // “2x30s,1xmax60” means seconds: sets are counted as the one before, unless a unit says otherwise.
  const counted = open === 'form' && unit === undefined && before ? before.kind : kind;
  return { sets, work: workOf(counted, Number(count) * factor, open) };
}

const openEnd = (word: string | undefined): OpenEnd | undefined => OPEN_ENDS.find((end) => OPEN_WORDS[end] === word?.toLowerCase());

const REPETITIONS: { kind: WorkKind; times: number } = { kind: 'repetitions', times: 1 };
const UNITS: Partial<Record<string, { kind: WorkKind; times: number }>> = {
  s: { kind: 'time', times: 1 },
  min: { kind: 'time', times: 60 },
  br: { kind: 'breaths', times: 1 },
  m: { kind: 'distance', times: 1 },
};
