import { OPEN_WORDS, UNIT_LETTERS, UNIT_OF, type WorkKind } from '../vocabulary/work.js';
import { OWN_LOADS } from '../vocabulary/own-load.js';
import { itemAt } from '../vocabulary/lists.js';
import { amountOf } from './dose.js';
import { OWN_LOAD_WORDS, printSides } from './dose-shorthand.js';
import { effortMeans, type Level, type Movement } from './movement.js';
import { ownLoadsOf, ownValueOf } from './own-load.js';

/** How a dose that is being typed may go on: the whole text then, the part that it adds, and what that means. */
export interface Completion {
  readonly text: string;
  readonly part: string;
  readonly means: string;
}

/** How many are proposed. */
const MOST = 5;
const EFFORTS = [20, 30, 40, 50, 60, 70, 80];
const RESTS_S = [20, 30, 60, 90, 120];
const TEMPOS = ['1-1', '1-2', '1-3', '2-2', '3-3', '4-4'];
const PAUSES_S = [1, 2, 3, 5];

/**
 * How a dose of a level may go on after what is typed so far; nothing where that says enough, or where no part begins so.
 */
export function doseCompletions(typed: string, movement: Movement, level: Level): Completion[] {
  const begun = /\S*$/.exec(typed)?.[0] ?? '';
  if (begun === '') return [];
  const before = typed.slice(0, typed.length - begun.length);
  return partsFor(begun, before, movement, level)
    .filter(([part]) => part !== begun && part.toLowerCase().startsWith(begun.toLowerCase()))
    .slice(0, MOST)
    .map(([part, means]) => ({ text: before + part, part, means }));
}

/** Sets of so many, without a unit. */
const REPETITIONS = /x(?:max)?\d*(?=[\s,]|$)/i;

type Proposed = readonly [part: string, means: string];

function partsFor(begun: string, before: string, movement: Movement, level: Level): Proposed[] {
  const isFirst = before.trim() === '';
  // A pace belongs to repetitions, and only those go from hand to hand.
  const counts = REPETITIONS.test(before);
  const sets = /^(?:.*,)?\d+x/i.exec(begun)?.[0] ?? (isFirst && /^\d+$/.test(begun) ? `${begun}x` : undefined);
  if (sets !== undefined) return amounts(sets, movement, level);
  return [
    ...(effortMeans(level) === null ? [] : EFFORTS.map((percent): Proposed => [`@${percent}%`, 'effort'])),
    ...RESTS_S.map((seconds): Proposed => [`rest${seconds}`, 'seconds between sets']),
    ...(counts ? paces() : []),
    ...ownLoads(begun, movement, level),
    ...further(before, movement, level),
    ...movement.sides
      .filter((plan) => counts || plan !== 'alternating')
      .map((plan): Proposed => [printSides(plan), plan.replaceAll('-', ' ')]),
    ...(movement.directions ? directions(movement.directions) : []),
  ];
}

/** A goal of twice the usual amount, both hands' sets one after the other, single positions, an effort for sore days. */
function further(before: string, movement: Movement, level: Level): Proposed[] {
  const { work } = level.dose;
  const usual = amountOf(work);
  const goal = `goal${usual * 2}${UNIT_LETTERS[UNIT_OF[work.kind]]}`;
  return [
    [goal, 'what it is to become'],
    ...(before.includes('@') ? [['sore@20%', 'effort on sore days'] as const] : []),
    ...(movement.sides.includes('left-then-right') ? [['LL,RR', 'all sets left, then right'] as const] : []),
    ...(movement.positions ?? []).map(({ name }): Proposed => [`only:${name.replaceAll(' ', '-')}`, 'this one only']),
  ];
}

const paces = (): Proposed[] => [
  ...TEMPOS.map((tempo): Proposed => [`tempo${tempo}`, 'seconds out and back']),
  ...PAUSES_S.map((seconds): Proposed => [`pause${seconds}`, 'seconds between repetitions']),
];

const directions = ([first, second]: readonly [string, string]): Proposed[] => [
  ['<>', 'both directions'],
  ['>', first],
  ['<', second],
];

/** Amounts of each kind of work that the movement knows, after “3x”; then open ones. */
function amounts(sets: string, movement: Movement, level: Level): Proposed[] {
  const usual = (kind: WorkKind) => (level.dose.work.kind === kind ? amountOf(level.dose.work) : itemAt(SOME[kind], 0));
  return movement.work.flatMap((kind): Proposed[] => {
    const unit = UNIT_LETTERS[UNIT_OF[kind]];
    const amount = usual(kind);
    return [
      ...[...new Set([amount, ...SOME[kind]])].map((some): Proposed => [`${sets}${some}${unit}`, kind]),
      [`${sets}${OPEN_WORDS.form}${amount * 2}${unit}`, `until the form fails, at most ${amount * 2}${unit}`],
      ...(kind === 'time' || kind === 'breaths' ? [[`${sets}${OPEN_WORDS.ease}${amount * 2}${unit}`, 'until it eases'] as const] : []),
    ];
  });
}
const SOME: Record<WorkKind, readonly number[]> = {
  repetitions: [5, 8, 10, 12],
  time: [15, 20, 30, 45],
  breaths: [3, 5],
  distance: [20, 40],
};

/** What the level lets a dose set, at the level's own value; a number that is typed counts as kilograms. */
function ownLoads(begun: string, movement: Movement, level: Level): Proposed[] {
  return ownLoadsOf(level, movement).map((name): Proposed => {
    const { word, unit } = OWN_LOAD_WORDS[name];
    const { label, limit } = OWN_LOADS[name];
    const usual = ownValueOf(level, name) ?? limit.min;
    const value =
      word === '' && /^\d/.test(begun)
        ? begun.replace(/kg?$/i, '')
        : String(Number((Math.round(usual / limit.step) * limit.step).toFixed(2)));
    return [`${word}${value}${unit}`, label.toLowerCase()];
  });
}
