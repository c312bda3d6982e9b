import { outOfBand, PAIRS, PAIR_NAMES } from '../../account/balance.js';
import { MAIN, MAIN_DIRECTIONS } from '../../account/coverage.js';
import { CORNERS, type MuscleGroup } from '../../anatomy/motions.js';
import { accountOf } from '../../account/session-account.js';
import { compileTimeline } from '../../dose/compile-timeline.js';
import { effortTimeline, partsOf } from '../../fatigue/effort-timeline.js';
import { forbidsLoading } from '../../screen/cautions.js';
import type { Edit } from '../edits.js';
import { DIGITS } from '../../anatomy/digits.js';
import { adding, askedOf, choose, type Choice, effortOf, givenToBoth } from './choose.js';
import { type Check, type Draft, editsOf, PRACTICE } from './finding.js';
import type { SessionView } from './view.js';

/** A session with fewer blocks than this is a piece of a day: it need not be whole. */
const WHOLE_FROM_BLOCKS = 6;
const isWhole = ({ blocks }: SessionView) => blocks.length >= WHOLE_FROM_BLOCKS;

const balance: readonly Check[] = PAIR_NAMES.map((name) => {
  const [first, second] = PAIRS[name];
  return {
    id: `balance-${name.split(' : ').join('-')}`,
    title: `${capital(name.replace(' : ', ' and '))} out of balance`,
    severity: 'look',
    why: 'Opposite muscles that part too far pull a joint off its middle.',
    source: 'endurance doses (Frey Law, Avin 2010); band of the method',
    find: (view) => {
      const ratio = view.balance.pairs.find((pair) => pair.name === name)!;
      const heavier = outOfBand(ratio, view.method.balanceBand);
      if (!heavier) return [];
      const [more, less] = heavier === 'first' ? [first, second] : [second, first];
      const times = heavier === 'first' ? ratio.first / ratio.second : ratio.second / ratio.first;
      const howMuch = Number.isFinite(times) ? `${times.toFixed(1)} × as much as` : 'alone, without';
      const text = `The ${more} work ${howMuch} the ${less}; this method keeps within ${view.method.balanceBand} : 1.`;
      const doses = heavier === 'first' ? [ratio.first, ratio.second] : [ratio.second, ratio.first];
      // Who may not load is not offered more of it.
      if (view.athlete?.cautions.some(forbidsLoading)) return [{ blockIds: [], text }];
      const edits = () => evened(view, [more, doses[0]!], [less, doses[1]!]);
      return [{ blockIds: [], text, fix: { label: `Add work for the ${less}`, edits } }];
    },
  };
});

function capital(text: string) {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const MOST_SETS = 4;
/** What evens a balance must not be hard itself. Working value. */
const EVENED_BY_PERCENT = 60;

/** Adds work for the lesser group: what brings the pair into its band with the fewest sets, else what brings it nearest to even. */
function evened(
  view: SessionView,
  [more, moreDose]: readonly [MuscleGroup, number],
  [less, lessDose]: readonly [MuscleGroup, number],
): readonly Edit[] {
  let best: { choice: Choice; sets: number; rank: number } | undefined;
  const open = view.shelf
    .filter(({ trains }) => trains.includes(less))
    .flatMap((movement) =>
      movement.ladder.filter(({ loading }) => loading === 'resisted').map((level) => ({ movement, level })),
    )
    .flatMap(({ movement, level }) => choose({ ...view, shelf: [{ ...movement, ladder: [level] }] }, () => true) ?? []);
  for (const choice of open) {
    if (effortOf(askedOf(view, choice.level, choice.dose)!) > EVENED_BY_PERCENT) continue;
    const { [less]: perSet = 0, [more]: perSetMore = 0 } = dosesOfSet(view, choice);
    if (!(perSet > 0)) continue;
    for (let sets = 1; sets <= MOST_SETS; sets++) {
      const away = Math.abs(Math.log((moreDose + sets * perSetMore) / (lessDose + sets * perSet)));
      const rank = away < Math.log(view.method.balanceBand) ? sets + away / 10 : 100 + away;
      if (!best || rank < best.rank - 1e-9) best = { choice, sets, rank };
    }
  }
  if (!best) return [];
  const { choice, sets } = best;
  const { restS } = choice.dose;
  const dose = { ...choice.dose, sets, restS: sets > 1 && restS === 0 ? 30 : restS };
  return editsOf(adding(view, 'strength', { ...choice, dose })!);
}

/** Doses of both hands that one set of a choice brings, by the same computation as a whole session. */
function dosesOfSet(view: SessionView, { movement, level, dose }: Choice): Partial<Record<MuscleGroup, number>> {
  const block = {
    id: 'set',
    phase: 'strength' as const,
    movementId: movement.id,
    levelId: level.id,
    dose: { ...dose, sets: 1 },
  };
  const sequence = { ...view.sequence, blocks: [block] };
  const timeline = compileTimeline(sequence, view.lookup);
  const { doses } = accountOf(
    sequence,
    timeline,
    effortTimeline(view.person, sequence, timeline, view.lookup),
    view.lookup,
  );
  const sums: Partial<Record<MuscleGroup, number>> = {};
  for (const [key, sum] of doses) {
    const { group } = partsOf(key);
    sums[group] = (sums[group] ?? 0) + sum;
  }
  return sums;
}

const SIDES_BAND = 1.4;
/** A one-sided block with less than this share of the hand's dose is not what tips the balance. Working value. */
const WORTH_SHARING = 0.02;
const balanceSides: Check = {
  id: 'balance-left-right',
  title: 'Left and right out of balance',
  severity: 'look',
  why: 'The strong hand does the work of both unless somebody counts.',
  source: 'endurance doses; working value',
  find: (view) => {
    const { sides } = view.balance;
    const band = SIDES_BAND * (view.method.sides === 'weaker first' ? view.method.weakerSideRatio : 1);
    const heavier = outOfBand(sides, band);
    if (!heavier) return [];
    const hand = heavier === 'first' ? 'left' : 'right';
    const all = Math.max(sides.first, sides.second);
    const one = view.blocks.filter(
      ({ block, account }) => block.dose.sides === hand && account[hand].enduranceDose >= WORTH_SHARING * all,
    );
    const text = `The ${hand} hand does ${heavier === 'first' ? share(sides.first, sides.second) : share(sides.second, sides.first)} of the work of both.`;
    // Where the method gives the weaker hand more, what is its own stays its own.
    const meant = view.method.sides === 'weaker first' && view.weaker === hand;
    const edits = givenToBoth(meant ? [] : one);
    const fix = edits.length ? { label: 'Give both hands the one-sided blocks', edits } : undefined;
    return [{ blockIds: one.map(({ block }) => block.id), text, fix }];
  },
};
const share = (more: number, less: number) => `${Math.round((100 * more) / (more + less))} %`;

const cornerUnvisited: Check = {
  id: 'corner-unvisited',
  title: 'A two-joint corner is missing',
  severity: 'look',
  why: 'The long finger muscles cross wrist and fingers: complete work visits all four of their ends.',
  source: PRACTICE,
  find: (view) =>
    !view.method.asksCorners || !isWhole(view)
      ? []
      : CORNERS.flatMap((corner): Draft[] => {
          if (view.coverage.corners[corner].length > 0) return [];
          const choice = choose(view, ({ corners }) => corners.includes(corner));
          const phase = choice?.level.loading === 'assisted' ? 'range' : 'prepare';
          return [{ blockIds: [], text: `Nothing goes to “${corner}”.`, fix: adding(view, phase, choice) }];
        }),
};

const directionUnvisited: Check = {
  id: 'direction-unvisited',
  title: 'A direction of the wrist is missing',
  severity: 'look',
  why: 'The wrist has four directions; what is never visited is lost first.',
  source: PRACTICE,
  find: (view) =>
    !isWhole(view)
      ? []
      : MAIN_DIRECTIONS.flatMap((direction): Draft[] => {
          if (view.coverage.cells.some((cell) => cell.direction === direction)) return [];
          const choice = choose(
            view,
            ({ motions, family }) => family === 'free-motion' && motions.includes(MAIN[direction]),
            ['free.wrist-circles', 'free.side-sweeps'],
          );
          return [
            {
              blockIds: [],
              text: `Nothing takes the wrist toward ${MAIN[direction]}.`,
              fix: adding(view, 'prepare', choice),
            },
          ];
        }),
};

const thumbForgotten: Check = {
  id: 'thumb-forgotten',
  title: 'The thumb is forgotten',
  severity: 'look',
  why: 'The thumb has muscles of its own, and is left out more often than any finger.',
  source: PRACTICE,
  find: (view) => {
    if (!isWhole(view) || view.blocks.some(({ movement }) => movement.trains.includes('thumb muscles'))) return [];
    const choice = choose(view, ({ trains, family }) => family === 'free-motion' && trains.includes('thumb muscles'), [
      'free.finger-touches',
    ]);
    return [{ blockIds: [], text: 'No block works the thumb.', fix: adding(view, 'prepare', choice) }];
  },
};

/** Fingers work alike when each has a fifth or a quarter; below this share the little side lags. Working value. */
const LITTLE_SIDE_SHARE = 0.1;
const littleSideForgotten: Check = {
  id: 'little-side-forgotten',
  title: 'The little-finger side is forgotten',
  severity: 'look',
  why: 'Ring and little finger hold what the hand holds; they are rarely trained.',
  source: PRACTICE,
  find: (view) => {
    const { digits } = view.balance;
    const worksFingers = DIGITS.some((digit) => digits[digit] > 0);
    if (!isWhole(view) || (worksFingers && Math.min(digits.ring, digits.little) >= LITTLE_SIDE_SHARE)) return [];
    const choice = choose(view, ({ id }) => id === 'grip.ring-little-squeeze' || id === 'free.finger-waves', [
      'grip.ring-little-squeeze',
      'free.finger-waves',
    ]);
    const phase = choice?.level.loading === 'unloaded' ? 'prepare' : 'strength';
    const text = `Ring and little finger do ${Math.round(100 * (digits.ring + digits.little))} % of the work of fingers and thumb.`;
    return [{ blockIds: [], text, fix: adding(view, phase, choice) }];
  },
};

export const WHOLE_CHECKS = [
  ...balance,
  balanceSides,
  cornerUnvisited,
  directionUnvisited,
  thumbForgotten,
  littleSideForgotten,
];
