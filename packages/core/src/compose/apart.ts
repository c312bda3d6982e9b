import { WORKS_PERCENT } from '../effort/group-rests.js';
import { WORK } from '../vocabulary/phases.js';
import { letsGoOf } from '../rules/checks/no-release.js';
import { itemAt } from '../vocabulary/lists.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';
import type { Candidate } from './candidate.js';

/** Announcing and getting ready between two blocks takes about so long, seconds. */
const BETWEEN_S = 8;
/** A smaller gain is none, seconds. */
const GAIN_S = 1;

/**
 * The same order with muscles further apart: neighbours that are done in one place change places where that leaves less rest to wait for. Hard work
 * keeps what lets go of it.
 */
export function apart(order: readonly Candidate[]): Candidate[] {
  let best = [...order];
  let missing = missingRestS(best);
  for (const [from, to] of runsOf(order)) {
    for (let better = missing > 0; better;) {
      better = false;
      for (const next of exchanges(best, from, to)) {
        const left = missingRestS(next);
        if (left > missing - GAIN_S) continue;
        [best, missing, better] = [next, left, true];
        break;
      }
    }
  }
  return best;
}

/** Seconds of waiting that the rests of the doses would take in this order. */
export function missingRestS(order: readonly Candidate[]): number {
  const last = new Map<MuscleGroup, { readonly endS: number; readonly restS: number }>();
  let [clockS, missingS] = [0, 0];
  for (const { groupPercent, seconds, dose } of order) {
    clockS += BETWEEN_S;
    const groups = (Object.keys(groupPercent) as MuscleGroup[]).filter((group) => (groupPercent[group] ?? 0) >= WORKS_PERCENT);
    const waits = groups.map((group) => {
      const before = last.get(group);
      return before ? before.restS - (clockS - before.endS) : 0;
    });
    const waitS = Math.max(0, ...waits);
    missingS += waitS;
    clockS += waitS + seconds;
    for (const group of groups) last.set(group, { endS: clockS, restS: dose.restS });
  }
  return missingS;
}

/** Neighbours of one phase of work in one place and position. */
function runsOf(order: readonly Candidate[]): [from: number, to: number][] {
  const runs: [number, number][] = [];
  const isAlike = (one: Candidate, other: Candidate | undefined) =>
    one.phase === other?.phase && one.station === other.station && one.posture === other.posture;
  for (let from = 0, to = 1; from < order.length; from = to, to = from + 1) {
    while (to < order.length && isAlike(itemAt(order, from), order[to])) to++;
    if (to - from > 1 && WORK.includes(itemAt(order, from).phase)) runs.push([from, to]);
  }
  return runs;
}

/** A run with two of its units exchanged; hard work and what lets go of it are one. */
function* exchanges(order: readonly Candidate[], from: number, to: number): Generator<Candidate[]> {
  const units: Candidate[][] = [];
  for (const each of order.slice(from, to)) {
    const before = units.at(-1);
    const hard = before?.at(-1);
    if (before && hard?.hard && letsGoOf(hard, each)) before.push(each);
    else units.push([each]);
  }
  for (let one = 0; one < units.length; one++) {
    for (let other = one + 1; other < units.length; other++) {
      const next = units.with(one, itemAt(units, other)).with(other, itemAt(units, one));
      yield [...order.slice(0, from), ...next.flat(), ...order.slice(to)];
    }
  }
}
