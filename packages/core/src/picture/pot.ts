import { itemAt } from '../vocabulary/lists.js';
import { SIDES_BAND } from '../effort/balance.js';
import { clock } from '../vocabulary/clock.js';
import type { GroupCourse } from '../effort/fatigue-course.js';
import { peopleWords } from '../effort/doubt.js';
import type { BlockHand, SessionAccount } from '../effort/session-account.js';
import type { SessionView } from '../effort/session-view.js';
import { timesOf } from '../model/rounds.js';
import type { Sequence } from '../model/sequence.js';
import type { Timeline } from '../timeline/timeline.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { counted } from '../vocabulary/text.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';
import type { Phase } from '../vocabulary/phases.js';

/** What the width of a coil shows. `full` is the value at which a half reaches its rim; the same for every pot, so that pots compare. */
export const POT_MEASURES = {
  effort: { label: 'Effort', unit: '% of maximum', full: 100 },
  load: { label: 'Weight on the hand', unit: '% of body weight', full: 60 },
  dose: { label: 'Tiring work', unit: 'holds to failure', full: 1 },
} as const;
/** The name of what a pot’s width shows. */
export type PotMeasure = keyof typeof POT_MEASURES;

const READ: Record<PotMeasure, (hand: BlockHand) => number> = {
  effort: ({ effortPercent }) => effortPercent,
  load: ({ loadPercentBW }) => loadPercentBW,
  dose: ({ enduranceDose }) => enduranceDose,
};

/** One turn of a block as a coil: each round has its own. Heights are milliseconds from the foot, widths shares of the full half, 0–1. */
export interface Coil {
  readonly blockId: string;
  /** 1-based place in the sequence, and round. */
  readonly number: number;
  readonly round: number;
  /** How many there are. */
  readonly rounds: number;
  readonly phase: Phase;
  readonly startMs: number;
  readonly endMs: number;
  readonly left: CoilHalf;
  readonly right: CoilHalf;
}
/** One hand’s half of a coil. */
export interface CoilHalf {
  /** In the measure's unit; zero where the hand does no work. */
  readonly value: number;
  /** Never nothing: a hand that only moves still carries the wall on. */
  readonly width: number;
  /** Widths between which the wall stands for four fifths of people like this; null where the width is no belief. */
  readonly band: readonly [low: number, high: number] | null;
  /** Effort, percent: what the glaze is coloured by, whatever the width shows. */
  readonly effortPercent: number;
  /** Capacity left along the coil, from its start to its end, evenly spaced. */
  readonly glaze: readonly number[];
}

/** Where a muscle group could not hold, or may not. */
export interface Crack {
  readonly hand: Hand;
  readonly atMs: number;
  readonly blockId: string;
  readonly key: SideGroup;
  /** How likely it holds all the same, 0–1: a hairline where that is likelier than not. */
  readonly chance: number;
}

/** A session as a pot's outline: the geometry that its drawing is made from, without pixels. */
export interface Pot {
  readonly measure: PotMeasure;
  readonly coils: readonly Coil[];
  readonly durationMs: number;
  readonly budgetMs: number;
  readonly cracks: readonly Crack[];
  /** The largest value of either hand, in the measure's unit. */
  readonly widest: number;
}

/** What a pot is drawn of. */
export interface PotSession {
  readonly sequence: Sequence;
  readonly account: SessionAccount;
  readonly courses: ReadonlyMap<SideGroup, GroupCourse>;
  readonly timeline: Pick<Timeline, 'durationMs' | 'turns'>;
  /** How likely each group carries each block; where it isn’t given, cracks are drawn without a chance. */
  readonly chances?: SessionView['chances'] | undefined;
}

/** The pot's own girth, where nothing is carried: a vessel, not a thread. Load adds to it. */
const THINNEST = 0.15;
/** Points of the glaze along a coil. */
const GLAZE_POINTS = 5;

/** Builds the pot of a session. */
export function potOf(session: PotSession, measure: PotMeasure, of: 'plan' | 'done' = 'plan'): Pot {
  const { sequence, account, courses, timeline } = session;
  const { full } = POT_MEASURES[measure];
  const read = READ[measure];
  const glaze = { left: capacityReader(courses, 'left'), right: capacityReader(courses, 'right') };
  const coils = timeline.turns.map((turn, index): Coil => {
    const { blockId, blockIndex, round, startMs, endMs } = turn;
    const block = itemAt(account.turns, index);
    const half = (hand: Hand): CoilHalf => {
      const value = read(block[hand]);
      return {
        value,
        width: widthOf(value, full),
        band: measure === 'effort' ? bandOf(block[hand], full) : null,
        effortPercent: block[hand].effortPercent,
        glaze: Array.from({ length: GLAZE_POINTS }, (_, point) => glaze[hand](startMs + ((endMs - startMs) * point) / (GLAZE_POINTS - 1))),
      };
    };
    const { phase } = turn;
    const rounds = timesOf(sequence, blockId);
    return {
      blockId,
      number: blockIndex + 1,
      round,
      rounds,
      phase,
      startMs,
      endMs,
      left: half('left'),
      right: half('right'),
    };
  });
  // What was done was held, whatever was reckoned before.
  const cracks = of === 'plan' ? cracksOf(session) : [];
  return {
    measure,
    coils,
    durationMs: timeline.durationMs,
    budgetMs: sequence.budgetMin * 60_000,
    cracks,
    widest: Math.max(0, ...coils.flatMap(({ left, right }) => [left.value, right.value])),
  };
}

const widthOf = (value: number, full: number) => Math.min(1, THINNEST + ((1 - THINNEST) * value) / full);
const bandOf = ({ effortInterval: [low, high] }: BlockHand, full: number) =>
  high > low ? ([widthOf(low, full), widthOf(high, full)] as const) : null;

/** Likelier to hold than this is no crack, not even a hairline. Working value. */
const HAIRLINE_BELOW = 0.8;

/** Where groups fail, and by a hairline where they hold in most people like this, but not in nearly all. */
function cracksOf({ courses, account, chances }: PotSession): Crack[] {
  const ends = new Map(account.blocks.map(({ blockId, endMs }) => [blockId, endMs]));
  const cracks = [...courses].flatMap(([key, { failures }]): Crack[] => {
    const { hand } = partsOf(key);
    const likely = chances?.().get(key);
    const failing = failures.map(({ atMs, blockId }) => ({
      key,
      hand,
      atMs,
      blockId,
      chance: likely?.get(blockId) ?? 0,
    }));
    const failed = new Set(failures.map(({ blockId }) => blockId));
    const hairlines = [...(likely ?? [])]
      .filter(([blockId, chance]) => chance < HAIRLINE_BELOW && !failed.has(blockId))
      .map(([blockId, chance]) => ({ key, hand, atMs: ends.get(blockId) ?? 0, blockId, chance }));
    return [...failing, ...hairlines];
  });
  // One hairline a hand and block, of the group that is likeliest to give.
  return cracks.filter(
    (crack) =>
      isThrough(crack) ||
      cracks.every(({ hand, blockId, chance }) => hand !== crack.hand || blockId !== crack.blockId || chance >= crack.chance),
  );
}

/** Whether it rather breaks than holds. */
export const isThrough = ({ chance }: Crack): boolean => chance < 0.5;

/** Capacity left of a hand's most tired group at moments that only grow. */
function capacityReader(courses: PotSession['courses'], hand: Hand): (atMs: number) => number {
  const mine = [...courses].filter(([key]) => partsOf(key).hand === hand).map(([, { points }]) => ({ points, at: 0 }));
  return (atMs) => {
    let least = 1;
    for (const course of mine) {
      const { points } = course;
      while (course.at < points.length - 2 && itemAt(points, course.at + 1).atMs <= atMs) course.at++;
      const a = itemAt(points, course.at);
      const b = points[course.at + 1] ?? a;
      const share = b.atMs > a.atMs ? Math.min(1, Math.max(0, (atMs - a.atMs) / (b.atMs - a.atMs))) : 0;
      least = Math.min(least, a.left + (b.left - a.left) * share);
    }
    return least;
  };
}

/** What a pot's shape tells, in the order in which it matters. */
export type SubjectView = 'cracked' | 'hairline' | 'overlong' | 'lopsided' | 'top-heavy' | 'thin base' | 'even' | 'empty';

/** Load whose middle lies above this share of the time is late. Working value. */
const TOP_HEAVY = 0.72;
/** A foot of less than this share of the time carries nothing. Working value. */
const THIN_BASE = 0.08;
/** A coil this wide, as a share of the full half, is load. */
const LOADED = 0.35;

/** Sum of width over time of each hand, beyond the thinnest wall. */
export function potWeights({ coils }: Pot): Record<Hand, number> {
  const of = (hand: Hand) => coils.reduce((sum, coil) => sum + (coil[hand].width - THINNEST) * (coil.endMs - coil.startMs), 0);
  return { left: of('left'), right: of('right') };
}

/** Everything that a pot's shape tells. */
export function shapesOfPot(pot: Pot): SubjectView[] {
  const { coils, durationMs, budgetMs, cracks } = pot;
  if (coils.length === 0) return ['empty'];
  const { left, right } = potWeights(pot);
  const all = left + right;
  const load = coils.reduce((sum, coil) => sum + weightOf(coil), 0);
  const moment = coils.reduce((sum, coil) => sum + weightOf(coil) * ((coil.startMs + coil.endMs) / 2), 0);
  const firstLoad = coils.find((coil) => HANDS.some((hand) => coil[hand].width >= LOADED));
  const shapes: SubjectView[] = [];
  if (cracks.some(isThrough)) shapes.push('cracked');
  else if (cracks.length) shapes.push('hairline');
  if (durationMs > budgetMs) shapes.push('overlong');
  if (Math.max(left, right) > SIDES_BAND * Math.min(left, right) && all > 0) shapes.push('lopsided');
  if (load > 0 && moment / load / durationMs > TOP_HEAVY) shapes.push('top-heavy');
  if (firstLoad && firstLoad.startMs < THIN_BASE * durationMs) shapes.push('thin base');
  return shapes.length ? shapes : ['even'];
}
/** What a coil carries beyond free motion. */
const weightOf = (coil: Coil) => HANDS.reduce((sum, hand) => sum + Math.max(0, coil[hand].width - LOADED) * (coil.endMs - coil.startMs), 0);

/** Who holds it: nobody where it was measured, else how many of people like this. */
const heldBy = ({ chance }: Crack) => (chance === 0 ? 'cannot hold' : `hold it in ${peopleWords(chance)}`);

/** What each shape means, in a sentence with its numbers. */
export function potWords(pot: Pot): string[] {
  const { durationMs, budgetMs, cracks } = pot;
  const { left, right } = potWeights(pot);
  const hand = left > right ? 'left' : 'right';
  const first = (list: readonly Crack[]) => list.reduce<Crack | null>((a, b) => (a && a.atMs <= b.atMs ? a : b), null);
  const [through, hairline] = [first(cracks.filter(isThrough)), first(cracks)];
  const say: Record<SubjectView, string> = {
    empty: 'No coils yet.',
    cracked: through ? `Cracks at ${clock(through.atMs)}: the ${through.key} ${heldBy(through)}.` : '',
    hairline: hairline ? `May crack at ${clock(hairline.atMs)}: the ${hairline.key} ${heldBy(hairline)}.` : '',
    overlong: `${clock(durationMs - budgetMs)} longer than there is time, above the rim.`,
    lopsided: `Leans ${hand}: the ${hand} hand carries ${Math.round((100 * Math.max(left, right)) / (left + right))} %.`,
    'top-heavy': 'Top-heavy: the load comes late.',
    'thin base': 'Thin base: load begins with hardly a warm-up.',
    even: 'Even: both hands alike, load after the warm-up, all of it held.',
  };
  return shapesOfPot(pot).map((shape) => say[shape]);
}

/** The pot for whoever does not see it. @param nameOf turns a block into the name of its movement */
export function describePot(pot: Pot, nameOf: (blockId: string) => string): string {
  const { coils, durationMs, budgetMs, measure, widest } = pot;
  const { unit, label } = POT_MEASURES[measure];
  const show = (value: number) => (measure === 'dose' ? value.toFixed(2) : String(Math.round(value)));
  const widestCoil = coils.find((coil) => HANDS.some((hand) => coil[hand].value === widest));
  const lowest = Math.min(1, ...coils.flatMap(({ left, right }) => [...left.glaze, ...right.glaze]));
  return [
    `${label} of ${counted(new Set(coils.map(({ blockId }) => blockId)).size, 'block')} over ${clock(durationMs)} of ${clock(budgetMs)}.`,
    ...potWords(pot),
    ...(widestCoil && widest > 0 ? [`Widest at block ${widestCoil.number}, ${nameOf(widestCoil.blockId)}: ${show(widest)} ${unit}.`] : []),
    ...(coils.length ? [`Capacity left at the lowest: ${Math.round(lowest * 100)} %.`] : []),
  ].join(' ');
}
