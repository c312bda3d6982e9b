import { Choice } from './choice.js';
import type { Structure } from './structure.js';
import { itemAt } from '../vocabulary/lists.js';

/** A choice that keeps every rule, with its worth. */
export interface Exchanged {
  readonly chosen: readonly number[];
  readonly worth: number;
}

/** Exchanges after which nothing new is looked for. */
const MOST_EXCHANGES = 300;
/** Exchanges without anything better, after which it is over once there is something sound. */
const PATIENCE = 60;
/** For how many exchanges what was changed stays as it is: short ones look near by, long ones lead away from where nothing better is. By turns while nothing is found. */
const STAYS_FOR = [6, 16] as const;
const TURN_ABOUT = 15;

/**
 * Looks for a choice by exchanging one candidate for another, taking one in or out, each time what is best, even where that is a step back; what was
 * just changed stays for a while. (Glover 1989, ORSA J Comput 1:190–206; how long reacts to what is found: Battiti, Tecchiolli 1994, ORSA J Comput 6:126–40)
 * The same start has the same end.
 * @param from the choice to start from @param among the candidates that may come in @param most exchanges at most
 */
export function exchanged(
  structure: Structure,
  from: readonly number[],
  among: readonly number[],
  most = MOST_EXCHANGES,
): Exchanged | null {
  const choice = Choice.of(structure, from);
  const fixedUntil = new Int32Array(structure.candidates.length);
  let best: Exchanged | null = null;
  let since = 0;
  for (let turn = 1; turn <= most && (!best || since < PATIENCE); turn++, since++) {
    const move = bestMove(structure, choice, among, (at) => (fixedUntil[at] as number) >= turn);
    if (!move) break;
    const staysFor = itemAt(STAYS_FOR, Math.floor(since / TURN_ABOUT) % STAYS_FOR.length);
    for (const at of move) {
      choice.toggle(at);
      fixedUntil[at] = turn + staysFor;
    }
    const worth = choice.worth();
    if (choice.broken() === 0 && (!best || worth > best.worth + 1e-9)) {
      best = { chosen: [...choice.chosen.keys()].filter((at) => choice.chosen[at] === 1), worth };
      since = 0;
    }
  }
  return best;
}

function bestMove(
  structure: Structure,
  choice: Choice,
  among: readonly number[],
  isFixed: (at: number) => boolean,
): readonly number[] | null {
  const [outs, ins]: [number[], number[]] = [[], []];
  for (const at of structure.candidates.keys()) {
    if (choice.chosen[at] && !structure.candidates[at]?.locked && !isFixed(at)) outs.push(at);
  }
  for (const at of among) if (!choice.chosen[at] && !isFixed(at)) ins.push(at);
  let best: readonly number[] | null = null;
  let most = -Infinity;
  const judge = (move: readonly number[]) => {
    const value = choice.valueAbove(most + 1e-9);
    if (value > most + 1e-9) [best, most] = [move, value];
  };
  const judgeWith = (at: number, move: readonly number[]) => {
    // Breaking nothing it would still be worth no more.
    if (choice.worthWith(at) <= most) return;
    choice.toggle(at);
    judge(move);
    choice.toggle(at);
  };
  for (const at of ins) judgeWith(at, [at]);
  for (const out of outs) {
    choice.toggle(out);
    judge([out]);
    for (const at of ins) judgeWith(at, [out, at]);
    choice.toggle(out);
  }
  return best;
}
