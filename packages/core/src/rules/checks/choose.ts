import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import { type BlockForm, formOf } from '../../effort/effort-timeline.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { rangeVerdict } from '../../mechanics/capacity.js';
import type { Demand } from '../../mechanics/demand.js';
import type { Dose } from '../../model/dose.js';
import { type Edit, freshBlockId } from '../../model/edits.js';
import { effortMeans, equipmentFor, findLevel, type Level, type Movement } from '../../model/movement.js';
import { fittedTo } from '../../model/own-load.js';
import type { Block } from '../../model/sequence.js';
import { brokenBy } from '../safety/caution-limits.js';
import { handsWorking } from '../../vocabulary/hands.js';
import type { Fix } from './finding.js';
import { concernsOf } from '../safety/clearance.js';
import { doseFor } from '../doses/method-dose.js';
import { goesToFailure } from '../doses/open-ends.js';
import { unusualInDose } from '../doses/usual-dose.js';
import type { Phase } from '../../vocabulary/phases.js';
import type { Equipment } from '../../vocabulary/places.js';

/** Found in any room: what a fix may add when nobody said which things there are. */
/** What is found in any room. */
export const ANYWHERE: readonly Equipment[] = ['mat', 'chair', 'table', 'wall', 'towel'];

/** What it takes to say whether a level may be proposed to somebody. */
type Subject = Pick<SessionView, 'athlete' | 'person' | 'method'>;

/** What a level needs that is not at hand. */
export const missingFor = ({ athlete }: Pick<Subject, 'athlete'>, movement: Movement, level: Level, dose?: Dose): Equipment[] =>
  athlete ? equipmentFor(movement, level, dose).filter((thing) => !athlete.equipment.includes(thing)) : [];

/** What a level needs that is not there to be proposed with: not at hand, or not to be found in any room where nobody said what there is. */
export const lackingFor = (subject: Pick<Subject, 'athlete'>, movement: Movement, level: Level, dose?: Dose): Equipment[] =>
  subject.athlete
    ? missingFor(subject, movement, level, dose)
    : equipmentFor(movement, level, dose).filter((thing) => !ANYWHERE.includes(thing));

/** The effort of the hand that works harder, percent. */
export const effortOf = (demand: Demand) => Math.max(demand.left.effortPercent, demand.right.effortPercent);

/** Whether either wrist is taken past its range. */
export const isPastRange = (demand: Demand) =>
  [demand.left.angle, demand.right.angle].some((angle) => angle && rangeVerdict(angle.deg, angle.rangeDeg) === 'past');

/** Whether a level may be proposed to this person at all: things at hand, nothing against it, range and strength enough. */
export function isOpen(view: Subject, movement: Movement, level: Level, dose: Dose): boolean {
  if (lackingFor(view, movement, level, dose).length > 0 || unusualInDose(dose, level.dosing).length > 0) return false;
  const cautions = view.athlete?.cautions ?? [];
  const hands = handsWorking(dose.sides);
  const concerns = concernsOf(movement, level, cautions, hands);
  if (concerns.stops.length || concerns.avoid.length) return false;
  const form = formOf(view.person, level, dose);
  if (!form || isPastRange(form.demand)) return false;
  if (brokenBy(cautions, hands, { ...form, toFailure: goesToFailure(dose) })) return false;
  return effortOf(form.demand) <= Math.min(100, view.method.effortCeilingPercent);
}

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
  const dose = { ...view.block.dose, effortPercent };
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

/** The hardest of the easier levels at which something holds true, as a fix; else taking the block out. */
export function easing(view: SessionView, { block, movement }: BlockView, holds: (form: BlockForm, dose: Dose) => boolean): Fix {
  const at = movement.ladder.findIndex(({ id }) => id === block.levelId);
  const wasUsual = same(findLevel(movement, block.levelId)?.dose, block.dose);
  for (const level of movement.ladder.slice(0, at).reverse()) {
    const { load: _own, ...plain } = block.dose;
    // The easier level's own load is what makes it easier.
    const dose = wasUsual ? level.dose : fittedTo(plain, level, movement);
    if (missingFor(view, movement, level, dose).length > 0) continue;
    const form = formOf(view.person, level, dose);
    if (form && holds(form, dose)) {
      const edits: Edit[] = [{ kind: 'change', blockId: block.id, levelId: level.id, dose }];
      return { label: say`Use the level “${level.name}”`, edits };
    }
  }
  return { label: 'Remove this block', edits: [{ kind: 'remove', blockId: block.id }] };
}

/** The block after this one, to put something in between. */
export const after = ({ blocks }: SessionView, { index }: BlockView): string | null => blocks[index + 1]?.block.id ?? null;

/** The first block by name, and how many more. */
export const named = (views: readonly BlockView[]) =>
  `${firstOf(views).movement.name}${views.length > 1 ? ` and ${views.length - 1} more` : ''}`;
