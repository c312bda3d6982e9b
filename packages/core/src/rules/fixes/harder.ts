import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { ChangeEdit } from '../../model/edits.js';
import { findLevel } from '../../model/movement.js';
import { fittedTo } from '../../model/own-load.js';
import { PLACE_OF } from '../../vocabulary/places.js';
import { blockOf } from '../checks/block-views.js';
import { unusualInDose } from '../doses/usual-dose.js';
import { usesNoMore } from '../gate/at-hand.js';
import { hardestEffort, isOpen, workOf } from '../gate/gate.js';
import { workIn } from '../gate/moments.js';
import { DISCOMFORT_GO_ON_MAX } from '../reports/discomfort.js';
import { editChanges } from './edit-words.js';
import { objectionsTo } from './objections.js';
import { type Ease, kindOf } from './on-the-spot.js';

/** On the spot nobody is taken further than this: a share of the effort that is asked of them now. Working value. */
const FURTHER = 1.3;

/**
 * A block one level further: in the same place with the same equipment, a little harder and no more, where the gate lets it through. From a plank nobody is
 * sent into a handstand in the middle of a session. Null where there is none.
 * @param fit what the form must become to have room; null where it has none
 */
export function harderForm(view: SessionView, seen: BlockView, fit: (edit: Further) => Further | null = (edit) => edit): Further | null {
  const { block, movement, level } = seen;
  const next = movement.ladder[movement.ladder.indexOf(level) + 1];
  if (!next || next.dose.work.kind !== block.dose.work.kind || PLACE_OF[next.posture] !== PLACE_OF[level.posture]) return null;
  const { load: _own, ...plain } = block.dose;
  const usual = unusualInDose(block.dose, next.dosing).length === 0 ? fittedTo(plain, next, movement) : next.dose;
  const form = fit({ movementId: movement.id, levelId: next.id, dose: { ...usual, sides: block.dose.sides } });
  if (!form) return null;
  const further = findLevel(movement, form.levelId) ?? next;
  const work = workOf(view, movement, further, form.dose);
  const isFar = hardestEffort(work) > FURTHER * hardestEffort(workIn(seen));
  const isFree = usesNoMore(view, { movement, level: further, dose: form.dose }, seen) && isOpen(view, movement, further, form.dose);
  return isFree && !isFar ? form : null;
}

/** A block one level further. */
export type Further = Required<Pick<ChangeEdit, 'movementId' | 'levelId' | 'dose'>>;

/** Why nothing harder is offered, or what it would change. */
export type Harder = { readonly ease: Ease } | { readonly why: 'hurts' | 'none' };

/**
 * What would be harder for this person in the middle of a session, said with what it changes; never where something hurts.
 * @param hurt blocks in which something hurt, with how much
 */
export function harderFor(view: SessionView, blockId: string, hurt: Readonly<Record<string, number>>): Harder {
  if (kindOf(view, blockId).some((id) => (hurt[id] ?? 0) > DISCOMFORT_GO_ON_MAX)) return { why: 'hurts' };
  const form = harderForm(view, blockOf(view, blockId));
  if (!form) return { why: 'none' };
  const edits = [{ kind: 'change', blockId, ...form } as const];
  if (objectionsTo(view, edits, { upTo: 'stop' }).length > 0) return { why: 'none' };
  return { ease: { changes: editChanges(view.sequence, edits, view.lookup), edits } };
}
