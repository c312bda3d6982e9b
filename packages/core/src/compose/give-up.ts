import { FIXED_RULES, ruleWords } from './rule-words.js';
import type { Linear, Row, Solver, Unknown } from './linear.js';

/** The least that would have to be given up, where not everything that is asked can be had together. */
export interface GiveUp {
  readonly rule: string;
  /** What it is, in words. */
  readonly text: string;
}

/** Nobody gives up what keeps hands sound: what is locked goes first. */
const KEPT: readonly Row['rule'][] = [...FIXED_RULES, 'hard-spacing', 'light-day', 'range-unprepared', 'stretch-before-strength'];
/** What giving up a little of a rule costs: what a method would have goes before minutes, and minutes before what was locked. */
const DEAR: Partial<Record<Row['rule'], number>> = { 'session-dose': 30, locked: 8, minutes: 5 };
const USUAL_COST = 3;

/** Finds what would have to give way at least. @returns an empty list where nothing has to */
export function giveUpOf(linear: Linear, solver: Solver): GiveUp[] {
  const unknowns: Unknown[] = linear.unknowns.map((unknown) => ({ ...unknown, worth: unknown.worth / 1e4 }));
  const slackOf = new Map<number, Row>();
  const rows = linear.rows.map((row): Row => {
    if (KEPT.includes(row.rule)) return row;
    const room = Math.max(1, Math.abs(Number.isFinite(row.max) ? row.max : row.min));
    const slack = (factor: number): readonly [number, number] => {
      slackOf.set(unknowns.length, row);
      const at =
        unknowns.push({
          worth: -(DEAR[row.rule] ?? USUAL_COST),
          most: Infinity,
          whole: false,
        }) - 1;
      return [at, factor * room];
    };
    return {
      ...row,
      terms: [...row.terms, ...(Number.isFinite(row.max) ? [slack(-1)] : []), ...(Number.isFinite(row.min) ? [slack(1)] : [])],
    };
  });
  const { values } = solver.solve({ unknowns, rows }, { gap: 0.05, branches: 200 });
  const given = [...slackOf].flatMap(([at, row]) => {
    const room = Math.max(1, Math.abs(Number.isFinite(row.max) ? row.max : row.min));
    const amount = (values?.[at] ?? 0) * room;
    return amount > 1e-4 ? [{ row, amount }] : [];
  });
  const texts = new Map(given.map(({ row, amount }) => [wordsOf(row, amount), row.rule]));
  return [...texts].map(([text, rule]) => ({ rule, text }));
}

function wordsOf(row: Row, amount: number): string {
  if (row.rule === 'minutes') return `${Math.ceil(amount / 60)} more minutes are needed`;
  return `give up ${ruleWords(row)}`;
}
