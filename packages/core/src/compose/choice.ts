import { CHANGE_OF_PLACE_S, CHANGE_WITHIN_PLACE_S, FETCH_EQUIPMENT_S } from '../timeline/timeline.js';
import { PHASES } from '../vocabulary/phases.js';
import type { Structure } from './structure.js';
import { SHAKE_S } from './minutes-rows.js';
import type { Said } from './rule-words.js';
import { SLICES } from './worth.js';

/** What breaking a rule costs at least, and what each further share of it costs: more than any want is worth. */
const BROKEN = 30;
const BROKEN_SHARE = 60;
/** What each second over the minutes costs. */
const OVER_S = 0.5;

/** Looked up once: what is asked of them is asked a million times. */
const { abs, max, min } = Math;

/** Counts how many of the chosen have something in common. */
/** Numbers of other files, at hand where they are read most. */
const [WALK_S, TURN_S, FETCH_S, PHASE_COUNT] = [CHANGE_OF_PLACE_S - CHANGE_WITHIN_PLACE_S, CHANGE_WITHIN_PLACE_S, FETCH_EQUIPMENT_S, PHASES.length]; // prettier-ignore

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
    for (let k = 0; k < mine.sums.length; k++)
      this.sums[mine.sums[k] as number] =
        (this.sums[mine.sums[k] as number] as number) + by * (mine.amounts[k] as number);
    for (let want = 0; want < this.gives.length; want++)
      this.gives[want] = (this.gives[want] as number) + by * (mine.gives[want] as number);
    for (let k = 0; k < mine.pairs.length; k++)
      this.pairs[mine.pairs[k] as number] =
        (this.pairs[mine.pairs[k] as number] as number) + by * (mine.pairAmounts[k] as number);
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

  /** What it is worth, whatever it breaks: `worthOf`, with the slices of each want laid out once, since this is asked a hundred thousand times. */
  worth(): number {
    const { ends, slopes, slices } = this.index.worths;
    let worth = this.own;
    for (let want = 0; want < this.gives.length; want++) {
      const seconds = this.gives[want] as number;
      let from = 0;
      for (let at = want * slices; at < (want + 1) * slices && seconds > from; at++) {
        const end = ends[at] as number;
        worth += (slopes[at] as number) * (min(seconds, end) - from);
        from = end;
      }
    }
    return worth;
  }

  /** What its broken rules cost; nothing where it keeps them all. @param told takes in which rules they are */
  broken(told?: Said[]): number {
    return this.sumsBroken(told) + this.answersBroken(told) + this.pairsBroken(told) + this.timeBroken(told);
  }

  private sumsBroken(told?: Said[]): number {
    let cost = 0;
    const { sums } = this.structure;
    for (let k = 0; k < sums.length; k++) {
      const limit = sums[k] as Structure['sums'][number];
      const sum = this.sums[k] as number;
      const beyond = max(sum - limit.max, limit.min - sum);
      if (beyond <= CLOSE) continue;
      cost += BROKEN + (BROKEN_SHARE * beyond) / max(1, abs(sum > limit.max ? limit.max : limit.min));
      told?.push(limit);
    }
    return cost;
  }

  private answersBroken(told?: Said[]): number {
    let cost = 0;
    const { answered } = this.structure;
    for (let k = 0; k < answered.length; k++) {
      if ((this.asking[k] as number) === 0 || (this.answers[k] as number) > 0) continue;
      cost += BROKEN;
      told?.push(answered[k] as Structure['answered'][number]);
    }
    return cost;
  }

  private pairsBroken(told?: Said[]): number {
    let cost = 0;
    const { pairs } = this.structure;
    for (let k = 0; k < pairs.length; k++) {
      const { about, band, bothWays, worthComparing } = pairs[k] as Structure['pairs'][number];
      const [first, second] = [this.pairs[2 * k] as number, this.pairs[2 * k + 1] as number];
      if (first + second <= worthComparing) continue;
      if (first <= band * second + CLOSE && (!bothWays || second <= band * first + CLOSE)) continue;
      cost += BROKEN;
      told?.push({ rule: 'balance', about });
    }
    return cost;
  }

  private timeBroken(told?: Said[]): number {
    let cost = 0;
    const { secondsMost, changesMost } = this.structure;
    const [takes, changes] = this.takes();
    if (takes > secondsMost + CLOSE) {
      cost += BROKEN + OVER_S * (takes - secondsMost);
      told?.push({ rule: 'minutes' });
    }
    if (changes > changesMost) {
      cost += BROKEN * (changes - changesMost);
      told?.push({ rule: 'position-changes' });
    }
    return cost;
  }

  /** Seconds that all of it takes with the ways between, and how many places are gone to. */
  private takes(): readonly [seconds: number, changes: number] {
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
    let shakes = 0;
    for (let phase = 0; phase < PHASE_COUNT; phase++)
      shakes += max(0, (this.hard[phase] as number) - (this.letsGo[phase] as number));
    const visits = this.stations.used - shared;
    const ways = visits * WALK_S + this.postures.used * TURN_S + this.things.used * FETCH_S;
    return [this.seconds + ways + shakes * RELEASE_S, visits];
  }
}
const CLOSE = 1e-7;
const RELEASE_S = SHAKE_S;

/** Where the slices of each want end, in seconds, and what a second in them is worth. */
function slicesOf(wants: Structure['wants']): Index['worths'] {
  const slices = SLICES.length;
  const [ends, slopes] = [new Float64Array(wants.length * slices), new Float64Array(wants.length * slices)];
  wants.forEach(({ want: { targetS, points } }, want) => {
    let end = 0;
    SLICES.forEach(({ share, worth }, slice) => {
      end += share * targetS;
      ends[want * slices + slice] = end;
      slopes[want * slices + slice] = (points * worth) / (share * targetS);
    });
  });
  return { ends, slopes, slices };
}

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
  readonly worths: { readonly ends: Float64Array; readonly slopes: Float64Array; readonly slices: number };
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
  return {
    of,
    worths: slicesOf(wants),
    stations: stations.known.size,
    postures: postures.known.size,
    things: things.known.size,
  };
}
