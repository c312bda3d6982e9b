import { say } from '../../vocabulary/sentence.js';
import { outOfBand, SIDES_BAND } from '../../effort/balance.js';
import { barredHands } from '../safety/cautions.js';
import { givenToBoth } from './choose.js';
import type { Check } from './finding.js';

/** A one-sided block with less than this share of the hand's dose is not what tips the balance. Working value. */
const WORTH_SHARING = 0.02;
/** Finds hands whose doses differ by more than the band of the method. */
export const balanceLeftRight: Check = {
  id: 'balance-left-right',
  title: 'Left and right out of balance',
  severity: 'look',
  why: 'Unless someone counts, the stronger hand does the work of both.',
  source: 'endurance doses; working value',
  find: (view) => {
    // One hand works alone while the other may not be loaded.
    if (barredHands(view.athlete?.cautions ?? []).length === 1) return [];
    const { sides } = view.balance;
    const band = SIDES_BAND * (view.method.sides === 'weaker first' ? view.method.weakerSideRatio : 1);
    const heavier = outOfBand(sides, band);
    if (!heavier) return [];
    const hand = heavier === 'first' ? 'left' : 'right';
    // More for the weaker hand, and an amount that its coach gave each hand, are meant.
    if (view.weaker === hand || view.blocks.some(({ block }) => block.dose.rightAmount !== undefined)) return [];
    const all = Math.max(sides.first, sides.second);
    const one = view.blocks.filter(({ block, account }) => block.dose.sides === hand && account[hand].enduranceDose >= WORTH_SHARING * all);
    const text = say`The ${hand} hand does ${heavier === 'first' ? share(sides.first, sides.second) : share(sides.second, sides.first)} of the total work.`;
    // Where the method gives the weaker hand more, what is its own stays its own.
    const meant = view.method.sides === 'weaker first' && view.weaker === hand;
    const edits = givenToBoth(meant ? [] : one);
    const fix = edits.length ? { label: 'Do one-sided blocks on both hands', edits } : undefined;
    return [{ blockIds: one.map(({ block }) => block.id), text, fix }];
  },
};
const share = (more: number, less: number) => `${Math.round((100 * more) / (more + less))} %`;
