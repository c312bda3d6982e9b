import { type BlockView, type SessionView, viewOf } from '../../effort/session-view.js';
import type { ClassForm, ClassMember, MemberBlock } from '../../model/class-session.js';
import { CLASS_LIMITS } from '../../model/class-session.js';
import { withRounds } from '../../model/edits.js';
import { findLevel } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import { HANDS } from '../../vocabulary/hands.js';
import { itemAt, take } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import { SORE_PLACE_IDS } from '../../vocabulary/sore-places.js';
import type { Sentence } from '../../vocabulary/sentence.js';
import type { Answer } from '../fixes/gentler.js';
import { gentlerOf } from '../fixes/gentler.js';
import { harderForm } from '../fixes/harder.js';
import { kindOf } from '../fixes/on-the-spot.js';
import { hardestEffort, refusalsOf, workOf } from '../gate/gate.js';
import { workIn } from '../gate/moments.js';
import { isAgainst } from '../gate/restrictions.js';
import { cautionsOfComplaint } from '../reports/complaints.js';
import { stopsOf } from '../safety/may-begin.js';
import { fitted, inForm } from './class-fit.js';

/** One block for somebody in a class, with why they don’t do it as the class does. */
export interface ClassBlockPlan extends MemberBlock {
  /** Empty where they may do it as the class does. */
  readonly reasons: readonly Sentence[];
}

/** A form that takes more than this share of the effort is hardly easier. Working value. */
const FELT = 0.85;
/** How many gentler forms stand below what somebody does. */
const GENTLER = 2;
/** Where a restriction refuses what the class does: another hold before another level. */
const INSTEAD: readonly Answer['kind'][] = ['hand', 'incline', 'level', 'less', 'other', 'side'];
/** Where it is only easier: the same with less. */
const EASIER: readonly Answer['kind'][] = ['level', 'less', 'hand', 'incline'];

/**
 * What one person does in each block of a class: as the class does it where the gate lets them, a gentler form that fits the class’s time where not, or nothing.
 * Beside it the forms that they can be given on the spot, each let through by the gate. What is chosen passes the rules of a session as a whole.
 * @param view the class’s sequence for this person
 */
export function classPlan(view: SessionView): ClassBlockPlan[] {
  const stops = stopsOf(view);
  const plan = view.blocks.map((seen): ClassBlockPlan => {
    const reasons = reasonsAgainst(view, seen, stops);
    const like = kindOf(view, seen.block.id);
    const asClass = reasons.length === 0;
    const below = gentler(view, seen, asClass);
    const above = asClass ? harder(view, seen) : [];
    const forms = [...below, ...(asClass ? [null] : []), ...above];
    return { blockId: seen.block.id, forms, at: asClass ? below.length : below.length - 1, like, reasons };
  });
  return withoutStops(view, plan);
}

/** Why somebody may not do a block as the class does. Equipment is the room’s, and the class’s dose is the coach’s choice. */
function reasonsAgainst(view: SessionView, seen: BlockView, stops: ReturnType<typeof stopsOf>): Sentence[] {
  const refused = refusalsOf(view, workIn(seen)).filter(({ rule }) => rule !== 'dose-outside' && rule !== 'equipment-missing');
  if (refused.length > 0) return refused.map(({ why }) => why);
  return stops.filter(({ blockIds }) => blockIds.includes(seen.block.id)).map(({ text }) => text);
}

/** Gentler forms that fit the class’s time, the gentlest first. */
function gentler(view: SessionView, seen: BlockView, asClass: boolean): ClassForm[] {
  const kinds = asClass ? EASIER : INSTEAD;
  const found = take(formsOf(view, seen, kinds, asClass), GENTLER);
  return found
    .map((form) => ({ form, effort: effortOf(view, seen, form) }))
    .toSorted((a, b) => a.effort - b.effort)
    .map(({ form }) => form);
}

function* formsOf(view: SessionView, seen: BlockView, kinds: readonly Answer['kind'][], asClass: boolean): Generator<ClassForm> {
  const given: ClassForm[] = [];
  const nowPercent = hardestEffort(workIn(seen));
  for (const kind of kinds) {
    for (const edits of gentlerOf(kind, view, seen, asClass ? 'hard' : 'hurts')) {
      const [edit] = edits;
      if (edit?.kind !== 'change') continue;
      const { movementId = seen.block.movementId, levelId = seen.block.levelId, dose = seen.block.dose } = edit;
      const form = fitted(view.sequence, seen.block, { movementId, levelId, dose }, view.lookup);
      if (!form || given.some((other) => same<unknown>(other, form))) continue;
      // On the spot it must be felt; where a restriction refuses what the class does, the least change will do.
      if (asClass && kind !== 'less' && effortOf(view, seen, form) > FELT * nowPercent) continue;
      given.push(form);
      yield form;
      // One of a kind: the next is another way, not a little less of the same.
      break;
    }
  }
}

/** One level further, as far as it fits the class’s time. */
function harder(view: SessionView, seen: BlockView): ClassForm[] {
  const form = harderForm(view, seen, (further) => fitted(view.sequence, seen.block, further, view.lookup));
  return form ? [form] : [];
}

function effortOf(view: SessionView, { block }: BlockView, form: ClassForm): number {
  const { movementId, levelId, dose } = inForm(block, form);
  const movement = view.lookup(movementId);
  const level = movement && findLevel(movement, levelId);
  return movement && level ? hardestEffort(workOf(view, movement, level, dose)) : Infinity;
}

/** What somebody does all in all: the class’s sequence with their forms, without what they sit out. */
export function sequenceOfMember(sequence: Sequence, { blocks }: Pick<ClassMember, 'blocks'>): Sequence {
  const plans = new Map(blocks.map((plan) => [plan.blockId, plan]));
  const mine = sequence.blocks.flatMap((block) => {
    const plan = plans.get(block.id);
    if (!plan || plan.at < 0) return [];
    return [inForm(block, itemAt(plan.forms, plan.at))];
  });
  return withRounds({ ...sequence, blocks: mine });
}

/** A step down for what still breaks a rule of safety, until nothing does. */
function withoutStops(view: SessionView, plan: readonly ClassBlockPlan[]): ClassBlockPlan[] {
  let now = [...plan];
  for (let step = 0; step < CLASS_LIMITS.forms; step++) {
    const sequence = sequenceOfMember(view.sequence, { blocks: now });
    if (sequence.blocks.length === 0) return now;
    const stops = stopsOf(viewOf({ ...view, sequence }));
    if (stops.length === 0) return now;
    now = now.map((block) => {
      const against = stops.filter(({ blockIds }) => blockIds.length === 0 || blockIds.includes(block.blockId));
      if (against.length === 0 || block.at < 0) return block;
      // What broke a rule isn’t given on the spot either.
      return {
        ...block,
        forms: block.forms.slice(0, block.at),
        at: block.at - 1,
        reasons: [...block.reasons, ...against.map(({ text }) => text)],
      };
    });
  }
  // What no form answers is left out.
  return now.map((block) => ({ ...block, forms: [], at: -1 }));
}

/** Hands and how much it hurts, at their most: what is left out once a place hurts is left out whatever the hand. */
const SORE_DISCOMFORT = 8;

/** The blocks of a sequence that each place rules out for somebody once it hurts much. */
export function soreBlocks(view: SessionView): ClassMember['sore'] {
  const { ageYears, body, today } = view.person;
  return SORE_PLACE_IDS.flatMap((place) => {
    const felt = HANDS.flatMap((hand) =>
      cautionsOfComplaint({ hand, place, discomfort: SORE_DISCOMFORT }, { sessionId: '', onDay: today, ageYears, sex: body.sex }),
    );
    const out = view.blocks.filter((seen) => felt.some((entry) => isAgainst(entry, workIn(seen)))).map(({ block }) => block.id);
    return out.length > 0 ? [{ place, blockIds: out }] : [];
  });
}
