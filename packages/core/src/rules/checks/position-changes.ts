import { quantity, say } from '../../vocabulary/sentence.js';
import { itemAt } from '../../vocabulary/lists.js';
import { PLACE_OF } from '../../vocabulary/places.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { roundOf, turnsOf } from '../../model/rounds.js';
import type { Sequence } from '../../model/sequence.js';
import type { Method } from '../../model/method.js';
import type { Edit } from '../../model/edits.js';
import { type Check, PRACTICE } from './finding.js';
import { PHASES } from '../../vocabulary/phases.js';

const placeOf = ({ level }: BlockView) => PLACE_OF[level.posture];
/** Changes from turn to turn: a round that goes up and down does so each time. */
function changesOf({ rounds }: Sequence, views: readonly BlockView[]): number {
  const turns = turnsOf({ blocks: views.map(({ block }) => block), ...(rounds && { rounds }) });
  const places = turns.map(({ blockIndex }) => placeOf(itemAt(views, blockIndex)));
  return places.filter((place, index) => index > 0 && place !== places[index - 1]).length;
}

/** So many changes of place a method has at most. @param minutes that the session takes */
export const mostChanges = ({ positionChanges }: Pick<Method, 'positionChanges'>, minutes: number): number =>
  Math.max(2, Math.round((positionChanges * Math.max(10, minutes)) / 10));

/** Finds sequences that change between floor, chair and standing too often. */
export const positionChanges: Check = {
  id: 'position-changes',
  title: 'Too many changes of position',
  severity: 'look',
  why: 'Group seated work and floor work: every change costs ten seconds and attention.',
  source: PRACTICE,
  find: (view) => {
    const minutes = Math.max(10, view.timeline.durationMs / 60_000);
    const changes = changesOf(view.sequence, view.blocks);
    const most = mostChanges(view.method, minutes);
    if (changes <= most) return [];
    const sorted = gathered(view);
    const text = say`${changes} changes of position in ${quantity(minutes, 'min')}. This method has at most ${most}.`;
    if (changesOf(view.sequence, sorted) >= changes) return [{ blockIds: [], text }];
    const edits = sorted.map(({ block }): Edit => ({
      kind: 'move',
      blockId: block.id,
      phase: block.phase,
      before: null,
    }));
    return [{ blockIds: [], text, fix: { label: 'Group each position within its phase', edits } }];
  },
};

/** Within each phase the blocks of one place stand together, the place that the phase before ended in first; order stays otherwise, and rounds stay whole. */
function gathered({ sequence, blocks }: SessionView): BlockView[] {
  const result: BlockView[] = [];
  const leaderOf = (view: BlockView) => {
    const first = roundOf(sequence, view.block.id)?.blockIds[0];
    return blocks.find(({ block }) => block.id === first) ?? view;
  };
  for (const phase of PHASES) {
    const mine = blocks.filter(({ block }) => block.phase === phase);
    const placeOf = (view: BlockView) => PLACE_OF[leaderOf(view).level.posture];
    const places = [...new Set(mine.map(placeOf))];
    const last = result.at(-1);
    places.sort((a, b) => Number(last && b === placeOf(last)) - Number(last && a === placeOf(last)));
    for (const place of places) result.push(...mine.filter((block) => placeOf(block) === place));
  }
  return result;
}
