import { CHANGE_OF_PLACE_S, CHANGE_WITHIN_PLACE_S, FETCH_EQUIPMENT_S } from '../timeline/timeline.js';
import { PHASES } from '../vocabulary/phases.js';
import type { Structure } from './structure.js';
import { SHAKE_S } from './minutes-rows.js';
import type { Said } from './rule-words.js';
import { BROKEN, type Index, indexed, type Mine } from './choice-index.js';

/** What each second over the minutes costs. */
const OVER_S = 0.5;

/** Looked up once: the search reads these a million times. */
const { max, min } = Math;

/** Numbers of other files, at hand where they are read most. */
const [WALK_S, TURN_S, FETCH_S, PHASE_COUNT] = [
  CHANGE_OF_PLACE_S - CHANGE_WITHIN_PLACE_S,
  CHANGE_WITHIN_PLACE_S,
  FETCH_EQUIPMENT_S,
  PHASES.length,
];

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
  /** What each sum costs for lying beyond its bounds; how many do, and what they cost together. */
  private readonly costs: Float64Array;
  private sumsBeyond = 0;
  private sumsCost = 0;
  private readonly gives: Float64Array;
  private readonly pairs: Float64Array;
  private readonly asking: Int16Array;
  private readonly answers: Int16Array;
  /** How many rules ask for something that nothing chosen answers. */
  private unanswered = 0;
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
    this.costs = new Float64Array(structure.sums.length);
    for (let k = 0; k < this.sums.length; k++) this.addTo(k, 0);
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
    for (let k = 0; k < mine.sums.length; k++) this.addTo(mine.sums[k] as number, by * (mine.amounts[k] as number));
    for (let want = 0; want < this.gives.length; want++)
      this.gives[want] = (this.gives[want] as number) + by * (mine.gives[want] as number);
    for (let k = 0; k < mine.pairs.length; k++)
      this.pairs[mine.pairs[k] as number] = (this.pairs[mine.pairs[k] as number] as number) + by * (mine.pairAmounts[k] as number);
    for (const k of mine.demandedBy) this.ask(k, by, 0);
    for (const k of mine.answers) this.ask(k, 0, by);
    this.stations.change(mine.station, by);
    this.postures.change(mine.posture, by);
    for (const thing of mine.things) this.things.change(thing, by);
    if (mine.hard) this.hard[mine.phase] = (this.hard[mine.phase] as number) + by;
    if (mine.releases) this.letsGo[mine.phase] = (this.letsGo[mine.phase] as number) + by;
    this.seconds += by * mine.seconds;
    this.own += by * mine.own;
  }

  /** What it is worth, whatever it breaks: `worthOf`, with the slices of each want laid out once, since this is asked a hundred thousand times. */
  worth(): number {
    return this.worthInPlace() - this.visitCost();
  }

  /** Without what going from place to place costs. */
  private worthInPlace(): number {
    let worth = this.own;
    for (let want = 0; want < this.gives.length; want++) worth += this.worthOf(want, this.gives[want] as number);
    return worth;
  }

  /** At most what it would be worth with one more, whatever that breaks, and wherever it is done. */
  worthWith(at: number): number {
    const { own, gives } = this.index.of[at] as Mine;
    let worth = this.own + own;
    for (let want = 0; want < this.gives.length; want++)
      worth += this.worthOf(want, (this.gives[want] as number) + (gives[want] as number));
    return worth;
  }

  private worthOf(want: number, seconds: number): number {
    const { ends, slopes, slices } = this.index.worths;
    let [worth, from] = [0, 0];
    for (let at = want * slices; at < (want + 1) * slices && seconds > from; at++) {
      const end = ends[at] as number;
      worth += (slopes[at] as number) * (min(seconds, end) - from);
      from = end;
    }
    return worth;
  }

  /** The penalty of its broken rules; 0 when it keeps them all. @param reasons receives which rules they are */
  broken(reasons?: Said[]): number {
    if (reasons) this.tell(reasons);
    return this.sumsCost + BROKEN * this.unanswered + this.pairsBroken(reasons) + this.timeBroken(reasons);
  }

  /** What it is worth less what its broken rules cost, where that is more than `least`: what cannot be is not looked at to its end. */
  valueAbove(least: number): number {
    let value = this.worthInPlace() - this.sumsCost - BROKEN * this.unanswered;
    if (value <= least) return -Infinity;
    value -= this.visitCost();
    if (value <= least) return -Infinity;
    value -= this.timeBroken();
    return value <= least ? -Infinity : value - this.pairsBroken();
  }

  private addTo(k: number, amount: number): void {
    const { mins, maxs, perUnder, perOver } = this.index.bounds;
    const sum = (this.sums[k] as number) + amount;
    this.sums[k] = sum;
    const [over, under] = [sum - (maxs[k] as number), (mins[k] as number) - sum];
    const before = this.costs[k] as number;
    let cost = 0;
    if (over > CLOSE) cost = BROKEN + over * (perOver[k] as number);
    else if (under > CLOSE) cost = BROKEN + under * (perUnder[k] as number);
    if (cost === before) return;
    this.costs[k] = cost;
    this.sumsBeyond += (cost > 0 ? 1 : 0) - (before > 0 ? 1 : 0);
    // Nothing is left of what rounding has added up.
    this.sumsCost = this.sumsBeyond === 0 ? 0 : this.sumsCost + cost - before;
  }

  private ask(k: number, asking: number, answers: number): void {
    if (this.isUnanswered(k)) this.unanswered--;
    this.asking[k] = (this.asking[k] as number) + asking;
    this.answers[k] = (this.answers[k] as number) + answers;
    if (this.isUnanswered(k)) this.unanswered++;
  }

  private isUnanswered(k: number): boolean {
    return (this.asking[k] as number) > 0 && (this.answers[k] as number) === 0;
  }

  /** Which sums lie beyond their bounds, and what is not answered. */
  private tell(reasons: Said[]): void {
    this.structure.sums.forEach((limit, k) => (this.costs[k] as number) > 0 && reasons.push(limit));
    this.structure.answered.forEach((rule, k) => this.isUnanswered(k) && reasons.push(rule));
  }

  private pairsBroken(reasons?: Said[]): number {
    let cost = 0;
    const { pairs } = this.structure;
    for (let k = 0; k < pairs.length; k++) {
      const { about, band, bothWays, worthComparing } = pairs[k] as Structure['pairs'][number];
      const [first, second] = [this.pairs[2 * k] as number, this.pairs[2 * k + 1] as number];
      if (first + second <= worthComparing) continue;
      if (first <= band * second + CLOSE && (!bothWays || second <= band * first + CLOSE)) continue;
      cost += BROKEN;
      reasons?.push({ rule: 'balance', about });
    }
    return cost;
  }

  private timeBroken(reasons?: Said[]): number {
    let cost = 0;
    const { secondsMost, changesMost } = this.structure;
    const [takes, changes] = this.takes();
    if (takes > secondsMost + CLOSE) {
      cost += BROKEN + OVER_S * (takes - secondsMost);
      reasons?.push({ rule: 'minutes' });
    }
    if (changes > changesMost) {
      cost += BROKEN * (changes - changesMost);
      reasons?.push({ rule: 'position-changes' });
    }
    return cost;
  }

  private visitCost(): number {
    const { visitCost = 0 } = this.structure;
    return visitCost === 0 ? 0 : visitCost * this.visits();
  }

  /** How many places are gone to: each of a phase once, but where the phase before ended. */
  private visits(): number {
    let shared = 0;
    const { stations } = this.index;
    for (let phase = 1; phase < PHASE_COUNT; phase++) {
      for (let station = 0; station < stations; station++) {
        if (this.stations.has(phase * stations + station) && this.stations.has((phase - 1) * stations + station)) {
          shared++;
          break;
        }
      }
    }
    return this.stations.used - shared;
  }

  /** Seconds that all of it takes with the ways between, and how many places are gone to. */
  private takes(): readonly [seconds: number, changes: number] {
    let shakes = 0;
    for (let phase = 0; phase < PHASE_COUNT; phase++) shakes += max(0, (this.hard[phase] as number) - (this.letsGo[phase] as number));
    const visits = this.visits();
    const ways = visits * WALK_S + this.postures.used * TURN_S + this.things.used * FETCH_S;
    return [this.seconds + ways + shakes * RELEASE_S, visits];
  }
}
const CLOSE = 1e-7;
const RELEASE_S = SHAKE_S;
