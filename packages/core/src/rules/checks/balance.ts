import { say } from '../../vocabulary/sentence.js';
import { effortTimeline } from '../../effort/effort-timeline.js';
import { formOf } from '../../effort/turn-work.js';
import { aloneIn } from '../../model/rounds.js';
import { firstOf, itemAt, must } from '../../vocabulary/lists.js';
import { outOfBand } from '../../effort/balance.js';
import { PAIR_NAMES } from '../../vocabulary/actions.js';
import { accountOf } from '../../effort/session-account.js';
import type { SessionView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';
import { forbidsLoading } from '../safety/cautions.js';
import { adding, type Choice, choose, effortOf } from './choose.js';
import { type Check, editsOf } from './finding.js';
import { capital } from '../../vocabulary/text.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { type MuscleGroup, pairOf, partsOf } from '../../vocabulary/muscles.js';

/** Finds opposite groups, pair by pair, whose doses differ by more than the band of the method. */
export const balanceOfOpposites: readonly Check[] = PAIR_NAMES.map((name) => {
  const [first, second] = pairOf(name);
  return {
    id: `balance-${name.split(' : ').join('-')}`,
    title: `${capital(name.replace(' : ', ' and '))} out of balance`,
    severity: 'look',
    why: 'When opposite muscles drift too far apart, they pull the joint off centre.',
    source: 'endurance doses (Frey Law, Avin 2010); band of the method',
    find: (view) => {
      const ratio = must(
        view.balance.pairs.find((pair) => pair.name === name),
        `a balance of ${name}`,
      );
      const heavier = outOfBand(ratio, view.method.balanceBand);
      // Everyday life grips: opening without it is the counterweight, and no fault.
      if (!heavier || (name === 'grip : opening' && heavier === 'second')) return [];
      const [more, less] = heavier === 'first' ? [first, second] : [second, first];
      const times = heavier === 'first' ? ratio.first / ratio.second : ratio.second / ratio.first;
      const howMuch = Number.isFinite(times) ? `${times.toFixed(1)} × as much as` : 'alone, without';
      const text = say`The ${more} work ${howMuch} the ${less}. This method stays within ${view.method.balanceBand} : 1.`;
      const doses = heavier === 'first' ? [ratio.first, ratio.second] : [ratio.second, ratio.first];
      // Who may not load is not offered more of it.
      if (view.athlete?.cautions.some(forbidsLoading)) return [{ blockIds: [], text }];
      const edits = () => evened(view, [more, firstOf(doses)], [less, itemAt(doses, 1)]);
      return [{ blockIds: [], text, fix: { label: say`Add work for the ${less}`, edits } }];
    },
  };
});

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
    .flatMap((movement) => movement.ladder.filter(({ loading }) => loading === 'resisted').map((level) => ({ movement, level })))
    .flatMap(({ movement, level }) => choose({ ...view, shelf: [{ ...movement, ladder: [level] }] }, () => true) ?? []);
  for (const choice of open) {
    const form = formOf(view.person, choice.movement, choice.level, choice.dose);
    if (!form || effortOf(form.demand) > EVENED_BY_PERCENT) continue;
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
  return editsOf(must(adding(view, 'strength', { ...choice, dose }), 'a fix for a choice'));
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
  const sequence = aloneIn(view.sequence, block);
  const timeline = compileTimeline(sequence, view.lookup);
  const { doses } = accountOf(sequence, timeline, effortTimeline(view.person, sequence, timeline, view.lookup), view.lookup);
  const sums: Partial<Record<MuscleGroup, number>> = {};
  for (const [key, sum] of doses) {
    const { group } = partsOf(key);
    sums[group] = (sums[group] ?? 0) + sum;
  }
  return sums;
}
