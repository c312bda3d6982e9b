import { HARD_PERCENT, hoursBetween, SPACED_GROUPS } from '../../account/past.js';
import { rangeVerdict } from '../../capacity/capacity.js';
import { HANDS } from '../../anatomy/sides.js';
import { partsOf } from '../../fatigue/effort-timeline.js';
import { CAUTIONS, forbidsLoading } from '../../screen/cautions.js';
import { concernsOf } from '../../screen/clearance.js';
import type { Edit } from '../edits.js';
import { brokenLimit } from './caution-limits.js';
import { easing, effortOf, isPastRange, lowering, removing } from './choose.js';
import { type Check, type Draft, editsOf, PRACTICE } from './finding.js';
import { type BlockView, ids, type SessionView } from './view.js';

const round = (value: number) => String(Math.round(value));

/** Loads that must wait for clearance: a rule, not an opinion. */
const notCleared: Check = {
  id: 'not-cleared',
  title: 'Not cleared for loading',
  severity: 'stop',
  stopRule: true,
  why: 'Only free unloaded motion until a licensed practitioner has cleared it.',
  source: 'caution and referral rules',
  find: ({ athlete, blocks }) =>
    (athlete?.cautions ?? []).filter(forbidsLoading).flatMap(({ caution }): Draft[] => {
      const loaded = blocks.filter(({ level }) => level.loading !== 'unloaded');
      if (loaded.length === 0) return [];
      const fix = removing(`Take out the ${loaded.length} that load the hand`, loaded);
      return [{ blockIds: ids(loaded), text: CAUTIONS[caution].advice, fix }];
    }),
};

const leaveOut: Check = {
  id: 'leave-out',
  title: 'To be left out with a caution',
  severity: 'stop',
  stopRule: true,
  why: 'The movement’s own caution names this athlete’s condition.',
  source: 'caution and referral rules',
  find: ({ athlete, blocks }) =>
    blocks.flatMap((view): Draft[] => {
      const { avoid } = concernsOf(view.movement, view.level, athlete?.cautions ?? []);
      if (avoid.length === 0) return [];
      return [
        { blockIds: [view.block.id], text: `${view.movement.name}: ${avoid[0]}`, fix: removing('Take it out', [view]) },
      ];
    }),
};

const cautionLimit: Check = {
  id: 'caution-limit',
  title: 'More than a caution allows',
  severity: 'stop',
  stopRule: true,
  why: 'What a caution asks holds at every level of every movement.',
  source: 'caution and referral rules',
  find: (view) =>
    (view.athlete?.cautions ?? []).flatMap(({ caution }) =>
      view.blocks.flatMap((block): Draft[] => {
        const broken = brokenLimit(caution, block.level, block.block.dose, block.effortPercent);
        if (!broken) return [];
        const fix = easing(view, block, (level, demand, dose) => !brokenLimit(caution, level, dose, effortOf(demand)));
        return [
          { blockIds: [block.block.id], text: `${block.movement.name}: ${broken}. ${CAUTIONS[caution].advice}`, fix },
        ];
      }),
    ),
};

const impossible: Check = {
  id: 'impossible-posture',
  title: 'A posture that this body cannot take',
  severity: 'mend',
  why: 'Lengths of arms, legs and trunk do not close.',
  source: 'the body model',
  find: (view) =>
    view.efforts.impossible.map(({ blockId, message }): Draft => {
      const block = view.blocks.find((candidate) => candidate.block.id === blockId)!;
      return { blockIds: [blockId], text: `${block.movement.name}: ${message}`, fix: easing(view, block, () => true) };
    }),
};

const rangeOver: Check = {
  id: 'range-over',
  title: 'More range than there is',
  severity: 'mend',
  why: 'Loading a range that is not there is where trouble starts.',
  source: PRACTICE,
  find: (view) =>
    view.blocks.flatMap((block): Draft[] => {
      const past = HANDS.filter((hand) => {
        const angle = block.account[hand].workS > 0 ? block.demand?.[hand].angle : null;
        return angle && rangeVerdict(angle.deg, angle.rangeDeg) === 'past';
      });
      const hand = past[0];
      if (!hand) return [];
      const { deg, rangeDeg, rangeSource, motion } = block.demand![hand].angle!;
      const text = `${block.movement.name}: the ${hand} wrist goes to ${round(deg)}° of ${motion.replace('wrist ', '')}; with help it reaches ${round(rangeDeg)}° (${rangeSource}).`;
      return [{ blockIds: [block.block.id], text, fix: easing(view, block, (_level, demand) => !isPastRange(demand)) }];
    }),
};

const demandOver: Check = {
  id: 'demand-over',
  title: 'More strength than there is',
  severity: 'mend',
  why: 'Above the own maximum a level is not available.',
  source: 'demand over capacity',
  find: (view) =>
    view.blocks.flatMap((block): Draft[] => {
      if (block.effortPercent <= 100) return [];
      const text = `${block.movement.name}: ${round(block.effortPercent)} % of the own maximum.`;
      return [
        { blockIds: [block.block.id], text, fix: easing(view, block, (_level, demand) => effortOf(demand) <= 100) },
      ];
    }),
};

/** Hard sessions of fingers and wrists need their days. */
const hardSpacing: Check = {
  id: 'hard-spacing',
  title: 'Hard work again too soon',
  severity: 'mend',
  why: 'Tendons that worked at 70 % and more need their days before the next such session.',
  source: 'Bohm, Mersmann, Arampatzis 2015, Sports Med Open 1:7; spacing of the method',
  find: (view) =>
    SPACED_GROUPS.flatMap((group): Draft[] => {
      const before = view.past.filter(({ hard }) => hard.some((key) => partsOf(key).group === group));
      const hours = Math.min(...before.map(({ endedAt }) => hoursBetween(endedAt, view.now)).filter((h) => h >= 0));
      if (!(hours < view.method.hardSpacingH)) return [];
      const hard = view.blocks.filter((block) => worksHard(view, block, group));
      if (hard.length === 0) return [];
      const text = `${capital(group)} worked at ${HARD_PERCENT} % and more ${round(hours)} h ago; this method leaves ${view.method.hardSpacingH} h.`;
      const edits = hard.flatMap((block) => softened(view, block));
      return [
        {
          blockIds: ids(hard),
          text,
          fix: { label: `Keep ${hard.length === 1 ? 'it' : 'them'} below ${HARD_PERCENT} %`, edits },
        },
      ];
    }),
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function worksHard({ efforts }: SessionView, { block }: BlockView, group: string): boolean {
  return HANDS.some((hand) =>
    (efforts.spans.get(`${hand} ${group}` as never) ?? []).some(
      ({ blockId, effort }) => blockId === block.id && effort * 100 >= HARD_PERCENT,
    ),
  );
}

function softened(view: SessionView, block: BlockView): readonly Edit[] {
  return editsOf(
    lowering(block, HARD_PERCENT - 5) ?? easing(view, block, (_lower, demand) => effortOf(demand) < HARD_PERCENT),
  );
}

export const SAFETY_CHECKS = [notCleared, leaveOut, cautionLimit, impossible, rangeOver, demandOver, hardSpacing];
