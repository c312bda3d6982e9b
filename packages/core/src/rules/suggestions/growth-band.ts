import { type SessionView, viewOf } from '../../effort/session-view.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { same } from '../../vocabulary/same.js';
import { say } from '../../vocabulary/sentence.js';
import type { ComingPlan, SuggestionScene } from './question.js';
import { AS_IT_IS, type Suggestion } from './suggestion.js';

/** A dose so small grows by more than any band with the next repetition. */
const LITTLE_DOSE = 0.05;

/**
 * Progress that is proposed on one day stays in the band of the method all together: a second step for muscles that grow already waits where both would be
 * more than a week may grow, and so does what no longer fits the minutes. What waits says so; one step is always proposed.
 */
export function inGrowthBand(scene: SuggestionScene, suggestions: readonly Suggestion[]): Suggestion[] {
  const waiting = new Set<Suggestion>();
  for (const plan of scene.coming) {
    const mine = suggestions.filter((suggestion) => suggestion.kind === 'progress' && editsIn(suggestion, plan).length > 0);
    if (mine.length < 2) continue;
    const view = scene.viewOf(plan.sequence);
    let kept: { readonly edits: readonly Edit[]; readonly view: SessionView } = { edits: [], view };
    for (const suggestion of mine) {
      if (waiting.has(suggestion)) continue;
      const edits = [...kept.edits, ...editsIn(suggestion, plan)];
      const next = viewOf({ ...view, sequence: applyEdits(view.sequence, edits) });
      if (kept.edits.length === 0 || isInBand(view, kept.view, next)) kept = { edits, view: next };
      else waiting.add(suggestion);
    }
  }
  return suggestions.map((suggestion) => (waiting.has(suggestion) ? waits(suggestion) : suggestion));
}

const editsIn = ({ options: [{ effect }] }: Suggestion, { place }: ComingPlan): readonly Edit[] =>
  effect.kind === 'blocks' ? effect.plans.filter((plan) => same<unknown>(plan.place, place)).flatMap(({ edits }) => edits) : [];

/** @param kept with the steps that are proposed already @param next with one more */
function isInBand(before: SessionView, kept: SessionView, next: SessionView): boolean {
  const budgetMs = before.sequence.budgetMin * 60_000;
  if (next.timeline.plannedMs > Math.max(budgetMs, before.timeline.plannedMs)) return false;
  const most = 1 + before.method.weeklyGrowthPercent / 100;
  return [...next.account.doses].every(([group, dose]) => {
    const [was, already] = [before.account.doses.get(group) ?? 0, kept.account.doses.get(group) ?? 0];
    const growsTwice = already > was && dose > already;
    return !growsTwice || dose <= was * most + LITTLE_DOSE;
  });
}

/** Ready for more, and yet not today. */
const waits = (suggestion: Suggestion): Suggestion => ({
  ...suggestion,
  key: `wait ${suggestion.movementId ?? suggestion.key}`,
  kind: 'hold',
  cause: 'enough for one day',
  why: say`${suggestion.why} It waits: the other steps of that day already add enough.`,
  options: [{ id: 'wait', words: 'Keep it as it is until next time', effect: AS_IT_IS }],
});
