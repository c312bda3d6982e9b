import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Demand } from '../../mechanics/demand.js';
import type { Dose } from '../../model/dose.js';
import { type Edit, freshBlockId } from '../../model/edits.js';
import { atEffort } from '../../model/effort-or-load.js';
import { effortMeans, findLevel, type Level, type Movement } from '../../model/movement.js';
import { fittedTo } from '../../model/own-load.js';
import type { Block } from '../../model/sequence.js';
import type { Fix } from './finding.js';
import { doseFor } from '../doses/method-dose.js';
import { unusualInDose } from '../doses/usual-dose.js';
import type { Phase } from '../../vocabulary/phases.js';
import { asksMoreThan } from '../gate/asks-no-more.js';
import { isOpen, refusalsOf, workOf } from '../gate/gate.js';
import { type Work, workIn } from '../gate/moments.js';

/** The effort of the hand that works harder, percent. */
export const effortOf = (demand: Demand) => Math.max(demand.left.effortPercent, demand.right.effortPercent);

/** A level that may be proposed, with its dose. */
export interface Choice {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
}

/** The first level on the shelf that is wanted and open, in the shelf's teaching order; movements named first are looked at first. */
export function choose(
  view: SessionView,
  wanted: (movement: Movement, level: Level) => boolean,
  preferred: readonly string[] = [],
): Choice | undefined {
  const first = preferred.flatMap((id) => view.shelf.filter((movement) => movement.id === id));
  for (const movement of [...first, ...view.shelf]) {
    for (const level of movement.ladder) {
      if (!wanted(movement, level)) continue;
      const dose = doseFor(movement, level, view.method, view.weaker, view.athlete?.cautions);
      if (isOpen(view, movement, level, dose)) return { movement, level, dose };
    }
  }
  return undefined;
}

/** A fix that adds a choice to a phase, before a block or at its end. */
export function adding(view: SessionView, phase: Phase, choice: Choice | undefined, before: string | null = null): Fix | undefined {
  if (!choice) return undefined;
  const { movement, level, dose } = choice;
  const id = freshBlockId(view.sequence, movement.id);
  const block: Block = { id, phase, movementId: movement.id, levelId: level.id, dose };
  return { label: say`Add ${movement.name.toLowerCase()}`, edits: [{ kind: 'add', block, before }] };
}

/** A fix that gives a block another dose. */
export const changing = (label: string, { block }: BlockView, dose: Dose): Fix => ({
  label,
  edits: [{ kind: 'change', blockId: block.id, dose }],
});

/** Less effort where the dose names one, and the level may be done at it; undefined elsewhere. */
export function lowering(view: BlockView, effortPercent: number): Fix | undefined {
  const dose = atEffort(view.block.dose, effortPercent);
  const named = view.block.dose.effortPercent !== undefined || view.level.load.kind === 'press';
  const can = named && effortMeans(view.level) !== null && unusualInDose(dose, view.level.dosing).length === 0;
  return can ? changing(`Lower the effort to ${effortPercent} %`, view, dose) : undefined;
}

/** Gives blocks of one hand alone to both hands, where their movement is done so. */
export const givenToBoth = (views: readonly BlockView[]): Edit[] =>
  views.flatMap(({ block: { id, dose }, movement }) => {
    const sides = bothWays(movement);
    return sides ? [{ kind: 'change', blockId: id, dose: { ...dose, sides } }] : [];
  });
/** A way to do a movement with both hands; undefined where it has none. */
export const bothWays = ({ sides }: Movement) => sides.find((plan) => plan !== 'left' && plan !== 'right');

/** A fix that takes blocks out. */
export const removing = (label: string, views: readonly BlockView[]): Fix => ({
  label,
  edits: views.map(({ block }): Edit => ({ kind: 'remove', blockId: block.id })),
});

/**
 * The hardest of the easier levels that the gate lets through and that asks more of no hand, as a fix; else taking the block out.
 * @param holds what else has to be so of it
 */
export function easing(view: SessionView, seen: BlockView, holds: (work: Work) => boolean = () => true): Fix {
  const { block, movement } = seen;
  const at = movement.ladder.findIndex(({ id }) => id === block.levelId);
  const wasUsual = same(findLevel(movement, block.levelId)?.dose, block.dose);
  for (const level of movement.ladder.slice(0, at).reverse()) {
    const { load: _own, ...plain } = block.dose;
    // The easier level's own load is what makes it easier.
    const dose = wasUsual ? level.dose : fittedTo(plain, level, movement);
    const work = workOf(view, movement, level, dose);
    if (isBarred(view, work) || asksMoreThan(work, workIn(seen), 'hard') !== null || !holds(work)) continue;
    const edits: Edit[] = [{ kind: 'change', blockId: block.id, levelId: level.id, dose }];
    return { label: say`Use the level “${level.name}”`, edits };
  }
  return { label: 'Remove this block', edits: [{ kind: 'remove', blockId: block.id }] };
}

/** Whether the gate is closed to it, whatever its dose: an unusual dose was the coach’s own. */
const isBarred = (view: SessionView, work: Work): boolean => refusalsOf(view, work).some(({ rule }) => rule !== 'dose-outside');

/** The block after this one, to put something in between. */
export const after = ({ blocks }: SessionView, { index }: BlockView): string | null => blocks[index + 1]?.block.id ?? null;

/** The first block by name, and how many more. */
export const named = (views: readonly BlockView[]) =>
  `${firstOf(views).movement.name}${views.length > 1 ? ` and ${views.length - 1} more` : ''}`;
