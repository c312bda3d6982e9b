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
  if (!before) return workOf('repetitions', FIRST_CEILING, { open: 'form' });
  const amount = Math.min(amountLimit(before.kind).max, TIMES_BEFORE * amountOf(before));
  return workOf(before.kind, amount, { open: 'form' });
}

/** What a part says of its sets, with the hold of the first ones where it names one. */
type SaidSets = Pick<Dose, 'sets' | 'work' | 'then' | 'holdS'>;

/** Reads sets and amounts, group by group. @throws ShorthandError at the group that says neither */
export function readSets(part: Part): SaidSets {
  const pieces = part.sets ?? [{ tidy: part.tidy, at: part.at }];
  const groups: SetGroup[] = [];
  for (const { tidy, at } of pieces) groups.push(readGroup(tidy, at, groups.at(-1)?.work));
  const [first, ...then] = groups as [SetGroup, ...SetGroup[]];
  return { ...first, ...(then.length > 0 && { then }) };
}

const GROUP = /^(?:(?<sets>\d+)x)?(?<amount>[^()]+)(?:\((?<hold>\d+(?:\.\d+)?)s\))?$/i;

function readGroup(text: string, at: number, before: Work | undefined): SetGroup {
  const found = GROUP.exec(text)?.groups;
  const work = found && readAmount(found['amount'] ?? '', before, { text, at });
  if (!work) {
    throw new ShorthandError(text, `Give sets and amount, like 3x8, 2x30s, 3x5br, 3x40m, 3x8-12 or 1xmax. “${text}” is neither.`, at);
  }
  const { sets, hold } = found;
  return { sets: sets === undefined ? 1 : Number(sets), work, ...(hold !== undefined && { holdS: Number(hold) }) };
}

const AMOUNT = /^(?<end>max|ease)?(?:(?<minutes>\d+):(?<rest>\d{2})|(?<count>\d+)(?:-(?<upTo>\d+))?(?<unit>s|min|br|m)?)?$/i;

/** The work that an amount stands for; null where it is none. */
function readAmount(amount: string, before: Work | undefined, { text, at }: { text: string; at: number }): Work | null {
  const found = AMOUNT.exec(amount)?.groups;
  if (!found) return null;
  const { end: word, minutes, rest, count, upTo, unit } = found;
  const open = openEnd(word);
  const end = open && { open };
  if (minutes !== undefined) return workOf('time', Number(minutes) * 60 + Number(rest), end);
  if (count === undefined) {
    if (open === 'form') return impliedCeiling(before);
    if (!open) return null;
    throw new ShorthandError(text, `“${text}” needs a maximum, for example ease90s.`, at);
  }
  const { kind, times: factor } = UNITS[unit?.toLowerCase() ?? ''] ?? REPETITIONS;
  // “2x30s,1xmax60” means seconds: sets are counted as the one before, unless a unit says otherwise.
  const counted = open === 'form' && unit === undefined && before ? before.kind : kind;
  return workOf(counted, Number(count) * factor, { ...end, ...(upTo !== undefined && { upTo: Number(upTo) * factor }) });
}

/** An amount by itself, in the unit of a kind of work or in its own: “30s”, “12”, “1:30”. Null where it is none, or counts something else. */
export function amountIn(text: string, like: Work): number | null {
  const found = AMOUNT.exec(text)?.groups;
  if (!found || found['end'] !== undefined || found['upTo'] !== undefined) return null;
  const { minutes, rest, count, unit } = found;
  const work = minutes === undefined ? null : workOf('time', Number(minutes) * 60 + Number(rest));
  if (work) return work.kind === like.kind ? amountOf(work) : null;
  if (count === undefined) return null;
  if (unit === undefined) return Number(count);
  const { kind, times } = UNITS[unit.toLowerCase()] ?? REPETITIONS;
  return kind === like.kind ? Number(count) * times : null;
}

const openEnd = (word: string | undefined): OpenEnd | undefined => OPEN_ENDS.find((end) => OPEN_WORDS[end] === word?.toLowerCase());

const REPETITIONS: { kind: WorkKind; times: number } = { kind: 'repetitions', times: 1 };
const UNITS: Partial<Record<string, { kind: WorkKind; times: number }>> = {
  s: { kind: 'time', times: 1 },
  min: { kind: 'time', times: 60 },
  br: { kind: 'breaths', times: 1 },
  m: { kind: 'distance', times: 1 },
};
