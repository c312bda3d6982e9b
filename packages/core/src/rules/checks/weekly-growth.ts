import { dosesWithin, ofBothHands } from '../../effort/past.js';
import type { Check } from './finding.js';
import { MUSCLE_GROUPS } from '../../vocabulary/muscles.js';

/** A week's growth is judged where a usual week holds at least this dose. Working value. */
const WORTH_A_WEEK = 0.2;
/** Finds weeks that grow faster than tissue follows. */
export const weeklyGrowth: Check = {
  id: 'weekly-growth',
  title: 'The week grows too fast',
  severity: 'look',
  why: 'Tissue follows slowly: too much, too soon is the commonest way into trouble.',
  source: 'plain cap of the method; the ratio of short to long load is contested (Impellizzeri et al. 2020)',
  find: (view) => {
    const week = dosesWithin(view.past, view.now, 6);
    const weeks = dosesWithin(view.past, view.now, 27, 6);
    const worst = MUSCLE_GROUPS.map((group) => {
      const usual = ofBothHands(weeks, group) / 3;
      return { group, usual, now: ofBothHands(week, group) + ofBothHands(view.account.doses, group) };
    })
      .filter(({ usual, now }) => usual >= WORTH_A_WEEK && now > usual * (1 + view.method.weeklyGrowthPercent / 100))
      .sort((a, b) => b.now / b.usual - a.now / a.usual)[0];
    if (!worst) return [];
    const percent = Math.round(100 * (worst.now / worst.usual - 1));
    const text = `With this session the week of the ${worst.group} is ${percent} % above the usual of the last three; the cap is ${view.method.weeklyGrowthPercent} %.`;
    return [{ blockIds: [], text }];
  },
};
