import { say } from '../../vocabulary/sentence.js';
import { blockOf } from './block-views.js';
import { lastOf } from '../../vocabulary/lists.js';
import { type Doubt, isKnown, measureWords, peopleWords } from '../../effort/doubt.js';
import { failureWords } from '../../effort/fatigue-course.js';
import { type BlockView, failingAfter, type SessionView } from '../../effort/session-view.js';
import { amountOf, type Dose, fewerSets, setCount, withSetGroups, workOf } from '../../model/dose.js';
import { roundOf } from '../../model/rounds.js';
import type { Edit } from '../../model/edits.js';
import { hardestEffort } from '../gate/gate.js';
import { easing } from './choose.js';
import { type Check, editsOf, type Observation } from './finding.js';
import { unusualInDose, usualDose } from '../doses/usual-dose.js';
import { groupsOf, partsOf, type SideGroup } from '../../vocabulary/muscles.js';

/** Finds muscle groups that do not last to the end of a set. */
export const failingHold: Check = {
  id: 'failing-hold',
  title: 'Too long to hold',
  severity: 'mend',
  why: 'The muscle tires out before the set ends.',
  source: 'Frey-Law, Looft, Heitsman 2012, J Biomech 45:1803–8',
  find: (view) => {
    const failures = [...view.courses]
      .flatMap(([key, { failures }]) => failures.map((failure) => ({ key, failure })))
      .filter(({ failure }) => {
        const block = blockOf(view, failure.blockId);
        return block.effortPercent <= 100;
      })
      .sort((a, b) => a.failure.atMs - b.failure.atMs);
    const seen = new Set<string>();
    return failures.flatMap(({ key, failure }): Observation[] => {
      if (seen.has(failure.blockId)) return [];
      seen.add(failure.blockId);
      const block = blockOf(view, failure.blockId);
      const { hand, group } = partsOf(key);
      const doubt = doubtOf(view, block, key);
      const others = doubt && ` That applies to ${peopleWords(1 - doubt.chance)}. Test ${measureWords(doubt)} to be sure.`;
      const text = say`${block.movement.name}: the ${hand} ${group} ${failureWords(failure)}${others ?? ''}`;
      const fix = {
        label: 'Add rest, shorten or lower the effort until it can be held',
        edits: () => holdable(view, block, failure.restS),
      };
      return [{ blockIds: [failure.blockId], text, fix, doubt }];
    });
  },
};

/** What of it rests on a capacity that nobody has measured; undefined when it was. */
function doubtOf(view: SessionView, block: BlockView, key: SideGroup): Doubt | undefined {
  const { hand, group } = partsOf(key);
  const effort = block.demand?.[hand].efforts.find(({ action }) => groupsOf(action).includes(group));
  if (!effort || isKnown(effort)) return undefined;
  return { hand, action: effort.action, chance: view.chancesIn(key).get(block.block.id) ?? 0 };
}

/** What could make a block holdable, the least first: rest between its sets, fewer sets, less of the work, an easier level, leaving it out. */
function remedies(view: SessionView, block: BlockView, restS: number | null): Edit[][] {
  const { dose, id } = block.block;
  const { dosing } = block.level;
  const usual = usualDose(dose, dosing);
  const dosed = (wanted: Dose): Edit[] => [{ kind: 'change', blockId: id, dose: wanted }];
  const amount = amountOf(usual.work);
  const round = roundOf(view.sequence, id);
  const longer = (now: number) => (restS === null ? [] : [1, 1.5].map((times) => now + Math.ceil((restS * times) / 5) * 5));
  const rests = setCount(dose) > 1 ? longer(dose.restS) : [];
  const betweenRounds = round ? longer(round.restS).map((rest) => ({ ...round, restS: rest })) : [];
  const fewer = fewerSets(usual);
  const shares = [0.8, 0.6, 0.4].map((share) => Math.floor(amount * share)).filter((less) => less >= 1 && less < amount);
  // Less than is usual would only be called too little by the next check.
  const less = [usual, ...fewer, ...shares.map((share) => withSetGroups(usual, [{ sets: 1, work: workOf(dose.work.kind, share) }]))].filter(
    (wanted) => unusualInDose(wanted, dosing).length === 0,
  );
  const asUsual = { ...block, block: { ...block.block, dose: usual } };
  return [
    ...rests.filter((rest) => rest <= LONGEST_REST_S).map((rest) => dosed({ ...dose, restS: rest })),
    ...betweenRounds
      .filter(({ restS: rest }) => rest <= LONGEST_REST_S)
      .map((longerRest): Edit[] => [{ kind: 'round', round: longerRest }]),
    ...less.map(dosed),
    [...editsOf(easing(view, asUsual, (work) => hardestEffort(work) < block.effortPercent * 0.85))],
    [{ kind: 'remove', blockId: id }],
  ];
}
/** A pause that a session can bear. Working value. */
const LONGEST_REST_S = 180;

/** The first remedy after which the block is held. */
function holdable(view: SessionView, block: BlockView, restS: number | null): readonly Edit[] {
  const { id } = block.block;
  const all = remedies(view, block, restS);
  const holds = (edits: readonly Edit[]) => !failingAfter(view, edits).has(id);
  return all.find(holds) ?? lastOf(all);
}
