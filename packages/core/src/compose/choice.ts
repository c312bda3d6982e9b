import { CHANGE_OF_PLACE_S, CHANGE_WITHIN_PLACE_S, FETCH_EQUIPMENT_S } from '../timeline/timeline.js';
import { PHASES } from '../vocabulary/phases.js';
import type { Structure } from './structure.js';
import { SHAKE_S } from './minutes-rows.js';
import { worthOfSeconds } from './worth.js';

/** What breaking a rule costs at least, and what each further share of it costs: more than any want is worth. */
const BROKEN = 30;
const BROKEN_SHARE = 60;
/** What each second over the minutes costs. */
const OVER_S = 0.5;

/** Counts how many of the chosen have something in common. */
class Counts {
  private readonly of: Int16Array;
  used = 0;
  constructor(size: number) {
    this.of = new Int16Array(size);
  }
  change(at: number, by: 1 | -1): void {
    const before = this.of[at] as number;
    this.of[at] = before + by;
    if (before === 0) this.used++;
    else if (before + by === 0) this.used--;
  }
  has(at: number): boolean {
    return (this.of[at] as number) > 0;
  }
}

/** A choice of candidates, with all that it is judged by kept up to date as candidates come and go. */
export class Choice {
  readonly chosen: Uint8Array;
  private readonly sums: Float64Array;
  private readonly gives: Float64Array;
  private readonly pairs: Float64Array;
  private readonly asking: Int16Array;
  private readonly answers: Int16Array;
  private readonly stations: Counts;
  private readonly postures: Counts;
  private readonly things: Counts;
  private readonly hard = new Int16Array(PHASES.length);
  private readonly letsGo = new Int16Array(PHASES.length);
  private seconds = 0;
  private own = 0;

  private constructor(
    private readonly structure: Structure,
    private readonly index: Index,
  ) {
    this.chosen = new Uint8Array(structure.candidates.length);
    this.sums = new Float64Array(structure.sums.length);
    this.gives = new Float64Array(structure.wants.length);
    this.pairs = new Float64Array(2 * structure.pairs.length);
    this.asking = new Int16Array(structure.answered.length);
    this.answers = new Int16Array(structure.answered.length);
    this.stations = new Counts(PHASES.length * index.stations);
    this.postures = new Counts(index.postures);
    this.things = new Counts(index.things);
  }

  static of(structure: Structure, chosen: Iterable<number> = []): Choice {
    const choice = new Choice(structure, indexed(structure));
    for (const at of chosen) choice.toggle(at);
    return choice;
  }

  /** Takes a candidate in, or out. */
  toggle(at: number): void {
    const by = this.chosen[at] ? -1 : 1;
    this.chosen[at] = this.chosen[at] ? 0 : 1;
    const mine = this.index.of[at] as Mine;
    for (let k = 0; k < mine.sums.length; k++) this.sums[mine.sums[k] as number] = (this.sums[mine.sums[k] as number] as number) + by * (mine.amounts[k] as number);
    for (let want = 0; want < this.gives.length; want++) this.gives[want] = (this.gives[want] as number) + by * (mine.gives[want] as number);
    for (let k = 0; k < mine.pairs.length; k++) this.pairs[mine.pairs[k] as number] = (this.pairs[mine.pairs[k] as number] as number) + by * (mine.pairAmounts[k] as number);
    for (const k of mine.asks) this.asking[k] = (this.asking[k] as number) + by;
    for (const k of mine.answers) this.answers[k] = (this.answers[k] as number) + by;
    this.stations.change(mine.station, by);
    this.postures.change(mine.posture, by);
    for (const thing of mine.things) this.things.change(thing, by);
    if (mine.hard) this.hard[mine.phase] = (this.hard[mine.phase] as number) + by;
    if (mine.releases) this.letsGo[mine.phase] = (this.letsGo[mine.phase] as number) + by;
    this.seconds += by * mine.seconds;
    this.own += by * mine.own;
  }

  /** What it is worth, whatever it breaks. */
  worth(): number {
    let worth = this.own;
    for (let want = 0; want < this.gives.length; want++) worth += worthOfSeconds(this.gives[want] as number, (this.structure.wants[want] as Structure['wants'][number]).want);
    return worth;
  }

  /** What its broken rules cost; nothing where it keeps them all. */
  broken(): number {
    let cost = 0;
    const { sums, pairs, answered, secondsMost, changesMost } = this.structure;
    for (let k = 0; k < sums.length; k++) {
      const { min, max } = sums[k] as Structure['sums'][number];
      const sum = this.sums[k] as number;
      if (sum > max + CLOSE) cost += BROKEN + (BROKEN_SHARE * (sum - max)) / Math.max(1, Math.abs(max));
      else if (sum < min - CLOSE) cost += BROKEN + (BROKEN_SHARE * (min - sum)) / Math.max(1, Math.abs(min));
    }
    for (let k = 0; k < answered.length; k++) if ((this.asking[k] as number) > 0 && (this.answers[k] as number) === 0) cost += BROKEN;
    for (let k = 0; k < pairs.length; k++) {
      const { band, bothWays, worthComparing } = pairs[k] as Structure['pairs'][number];
      const [first, second] = [this.pairs[2 * k] as number, this.pairs[2 * k + 1] as number];
      if (first + second <= worthComparing) continue;
      if (first > band * second + CLOSE || (bothWays && second > band * first + CLOSE)) cost += BROKEN;
    }
    const [takes, changes] = this.takes();
    if (takes > secondsMost + CLOSE) cost += BROKEN + OVER_S * (takes - secondsMost);
    if (changes > changesMost) cost += BROKEN * (changes - changesMost);
    return cost;
  }

  /** Seconds that all of it takes with the ways between, and how many places are gone to. */
  private takes(): readonly [seconds: number, changes: number] {
    let shared = 0;
    const { stations } = this.index;
    for (let phase = 1; phase < PHASES.length; phase++) {
      for (let station = 0; station < stations; station++) {
        if (this.stations.has(phase * stations + station) && this.stations.has((phase - 1) * stations + station)) {
          shared++;
          break;
        }
      }
    }
    let shakes = 0;
    for (let phase = 0; phase < PHASES.length; phase++) shakes += Math.max(0, (this.hard[phase] as number) - (this.letsGo[phase] as number));
    const visits = this.stations.used - shared;
    const ways = visits * (CHANGE_OF_PLACE_S - CHANGE_WITHIN_PLACE_S) + this.postures.used * CHANGE_WITHIN_PLACE_S + this.things.used * FETCH_EQUIPMENT_S;
    return [this.seconds + ways + shakes * SHAKE_S, visits];
  }
}
const CLOSE = 1e-7;

/** What a candidate brings, by the places where it is counted. */
interface Mine {
  readonly sums: readonly number[];
  readonly amounts: readonly number[];
  readonly gives: readonly number[];
  readonly pairs: readonly number[];
  readonly pairAmounts: readonly number[];
  readonly asks: readonly number[];
  readonly answers: readonly number[];
  readonly station: number;
  readonly posture: number;
  readonly things: readonly number[];
  readonly phase: number;
  readonly hard: boolean;
  readonly releases: boolean;
  readonly seconds: number;
  readonly own: number;
}
interface Index {
  readonly of: readonly Mine[];
  readonly stations: number;
  readonly postures: number;
  readonly things: number;
}

function indexed({ candidates, own, wants, sums, answered, pairs, releases }: Structure): Index {
  const numbers = () => {
    const known = new Map<string, number>();
    const of = (name: string) => {
      let number = known.get(name);
      if (number === undefined) known.set(name, (number = known.size));
      return number;
    };
    return { known, of };
  };
  const [stations, postures, things] = [numbers(), numbers(), numbers()];
  for (const { station } of candidates) stations.of(station);
  const of = candidates.map((candidate, at) => {
    const phase = PHASES.indexOf(candidate.phase);
    return {
      sums: [] as number[],
      amounts: [] as number[],
      gives: wants.map(({ counted }) => counted[at] ?? 0),
      pairs: [] as number[],
      pairAmounts: [] as number[],
      asks: [] as number[],
      answers: [] as number[],
      station: phase * stations.known.size + stations.of(candidate.station),
      posture: postures.of(`${candidate.phase} ${candidate.station} ${candidate.posture}`),
      things: candidate.things.map((thing) => things.of(thing)),
      phase,
      hard: candidate.hard,
      releases: releases[at] ?? false,
      seconds: candidate.seconds,
      own: own[at] ?? 0,
    };
  });
  const mine = (at: number) => of[at] as (typeof of)[number];
  sums.forEach(({ amounts }, k) => {
    for (const [at, amount] of amounts) {
      mine(at).sums.push(k);
      mine(at).amounts.push(amount);
    }
  });
  pairs.forEach(({ first, second }, k) => {
    for (const [side, amounts] of [first, second].entries()) {
      for (const [at, amount] of amounts) {
        mine(at).pairs.push(2 * k + side);
        mine(at).pairAmounts.push(amount);
      }
    }
  });
  answered.forEach(({ asking, answers }, k) => {
    for (const at of asking) mine(at).asks.push(k);
    for (const at of answers) mine(at).answers.push(k);
  });
  return { of, stations: stations.known.size, postures: postures.known.size, things: things.known.size };
}
