import type { Sentence } from '../vocabulary/sentence.js';
import { findingsBy } from '../rules/checks/index.js';
import type { Check } from '../rules/checks/finding.js';
import { notCleared } from '../rules/checks/not-cleared.js';
import { leaveOut } from '../rules/checks/leave-out.js';
import { cautionLimit } from '../rules/checks/caution-limit.js';
import { nerveGlide } from '../rules/checks/nerve-glide.js';
import { impossiblePosture } from '../rules/checks/impossible-posture.js';
import { rangeOver } from '../rules/checks/range-over.js';
import { demandOver } from '../rules/checks/demand-over.js';
import { doseOutside } from '../rules/checks/dose-outside.js';
import { failingHold } from '../rules/checks/failing-hold.js';
import { restShort } from '../rules/checks/rest-short.js';
import { effortCeiling } from '../rules/checks/effort-ceiling.js';
import { methodDosing } from '../rules/checks/method-dosing.js';
import { fastMotion } from '../rules/checks/fast-motion.js';
import { sideMissing } from '../rules/checks/side-missing.js';
import { sideOrder } from '../rules/checks/side-order.js';
import { directionMissing } from '../rules/checks/direction-missing.js';
import { equipmentMissing } from '../rules/checks/equipment-missing.js';
import { lackingFor } from '../rules/gate/at-hand.js';
import { isOpen } from '../rules/gate/gate.js';
import { effortOf } from '../rules/checks/choose.js';
import { hangsBent, hangsOnOneHand, hangsWeighted } from '../rules/safety/caps.js';
import type { Demand } from '../mechanics/demand.js';
import { doseNow, levelNow } from '../rules/progress/progressed.js';
import { doseToAdd, lastForm, levelFor } from '../rules/progress/remembered.js';
import { blockChances } from '../effort/chances.js';
import { isKnown, peopleWords } from '../effort/doubt.js';
import { formOf } from '../effort/turn-work.js';
import { type SessionView, viewOf } from '../effort/session-view.js';
import type { Dose } from '../model/dose.js';
import type { Level, Movement } from '../model/movement.js';
import type { Block } from '../model/sequence.js';
import { type Method, POLICIES } from '../model/method.js';
import { HANDS } from '../vocabulary/hands.js';
import { firstOf } from '../vocabulary/lists.js';
import { PLACE_OF, type Posture } from '../vocabulary/places.js';
import type { Phase } from '../vocabulary/phases.js';
import { working } from '../vocabulary/constant.js';
import { examined, type Composing } from './question.js';

/** Faults of a block that do not depend on its neighbours. */
const OF_ONE_BLOCK: readonly Check[] = [
  notCleared,
  leaveOut,
  cautionLimit,
  nerveGlide,
  equipmentMissing,
  impossiblePosture,
  rangeOver,
  demandOver,
  effortCeiling,
  doseOutside,
  failingHold,
  restShort,
  methodDosing,
  fastMotion,
  sideMissing,
  sideOrder,
  directionMissing,
];

/** What somebody has never done begins no harder than this, by the effort policy of the method. */
const FIRST_TIME: Record<Method['effort'], number> = {
  gentle: working('First time, gentle', 40, '% of maximum', 'the top of the gentle band', [30, 45]).value,
  medium: working('First time, medium', 55, '% of maximum', 'inside the medium band, with room to grow', [45, 60]).value,
  maximal: working('First time, maximal', 70, '% of maximum', 'hard, and yet not what one has never tried', [60, 80]).value,
};
/** A level is proposed to whom it holds for in at least so many of ten. */
const LIKELY = working('Likely enough to propose', 0.7, 'chance', 'of ten people like this, seven carry it to its end', [0.6, 0.85]).value;
/** Below it nobody fails for want of strength: chances are not asked for. */
const EASY_PERCENT = 25;

/** How the hands are cared for afterwards in the other way. */
const OTHER_CARE: Record<Method['afterCare'], string> = { cold: 'settle.warm-hands', warmth: 'settle.cold-water' };

/** Whether somebody can be so here today, and the goal is trained for there. */
export const isThere = ({ notAt = [], goal }: Composing, posture: Posture): boolean =>
  !notAt.includes(PLACE_OF[posture]) && (goal.places?.includes(PLACE_OF[posture]) ?? true);

/** One block by itself, with all that is computed of it. */
export const alone = (composing: Composing, block: Block): SessionView => viewOf(examined(composing, [block]));

/** A level with its dose, examined by itself. */
export interface Suited {
  readonly level: Level;
  readonly dose: Dose;
  readonly view: SessionView;
  /** The phase of each block that is kept from a sequence. */
  readonly phase?: Phase;
}
/** Why not, in a sentence with its numbers. */
interface Refused {
  readonly why: Sentence;
}

/** The level and dose of a movement that suit a person now; the reason where none does. */
export function suiting(composing: Composing, movement: Movement): Suited | Refused {
  const { athlete, method, weaker, past, standings = [] } = composing;
  if (movement.id === OTHER_CARE[method.afterCare]) {
    return { why: `${movement.name}: ${method.name} recovers with ${POLICIES.afterCare.options[method.afterCare]}.` };
  }
  const there = movement.ladder.filter(({ posture }) => isThere(composing, posture));
  const [gentlest] = there;
  if (!gentlest) return { why: `${movement.name}: not possible in these positions.` };
  const kept = asSuited(composing, movement, there);
  if (kept) return kept;
  const cautions = athlete?.cautions ?? [];
  const dosed = (level: Level) => doseNow(doseToAdd(movement, level, { method, weaker, cautions, past }), level, movement.id, standings);
  const open = there.filter((level) => isOpen(composing, movement, level, dosed(level)));
  const [easiest] = open;
  if (!easiest) return refusedAt(composing, movement, gentlest, dosed(gentlest));
  const wanted = wantedOf(composing, movement, open) ?? firstLevel(composing, movement, open, dosed);
  if ('why' in wanted) return wanted;
  let answer: Suited | Refused = { why: `${movement.name}: no level fits.` };
  for (const level of [wanted, ...open.slice(0, open.indexOf(wanted)).reverse()]) {
    answer = examinedAt(composing, movement, level, dosed(level));
    if ('level' in answer) return answer;
  }
  return answer;
}

/** A level with a dose that no single-block rule forbids and that most people like this can hold; else the reason. */
function examinedAt(composing: Composing, movement: Movement, level: Level, usual: Dose): Suited | Refused {
  const form = formOf(composing.person, movement, level, usual);
  const dose = withRest(usual, form ? effortOf(form.demand) : 0);
  const view = alone(composing, blockOf(movement, level, dose, 'strength'));
  const [first] = findingsBy(OF_ONE_BLOCK, view);
  if (first) return { why: first.text };
  const chance = chanceOf(view);
  return chance >= LIKELY
    ? { level, dose, view }
    : { why: `${movement.name}: only ${peopleWords(chance)} can hold “${level.name}” to the end.` };
}

/** What keeps even the gentlest level out, as the checks say it. */
function refusedAt(composing: Composing, movement: Movement, level: Level, dose: Dose): Refused {
  const [thing] = lackingFor(composing, movement, level, dose);
  if (thing) return { why: `${movement.name}: no ${thing} here.` };
  const answer = examinedAt(composing, movement, level, dose);
  return 'why' in answer ? answer : { why: `${movement.name}: ${composing.method.name} has no dose for it.` };
}

/** The level that somebody has come to: by gates, else as it was done last; undefined for what was never done. */
function wantedOf({ standings = [], past, now }: Composing, movement: Movement, open: readonly Level[]): Level | undefined {
  const stands = levelNow(movement, standings);
  if (stands && open.includes(stands)) return stands;
  return lastForm(past, movement.id) && levelFor(movement, open, past, now);
}

/** As it is in the sequence to refit, unless a rule forbids it now. */
function asSuited(composing: Composing, movement: Movement, there: readonly Level[]): Suited | undefined {
  const block = composing.keep?.find(({ movementId }) => movementId === movement.id);
  const level = there.find(({ id }) => id === block?.levelId);
  if (!block || !level || lackingFor(composing, movement, level, block.dose).length > 0) return undefined;
  const view = alone(composing, block);
  return findingsBy(OF_ONE_BLOCK, view).length === 0 ? { level, dose: block.dose, view, phase: block.phase } : undefined;
}

/** A block of a movement under its own id, as it is examined by itself. */
export const blockOf = (movement: Movement, level: Level, dose: Dose, phase: Phase): Block => ({
  id: movement.id,
  phase,
  movementId: movement.id,
  levelId: level.id,
  dose,
});

/** Before these postures somebody has to have borne weight in one of those; the others may be begun with. */
const COMES_AFTER: Partial<Record<Posture, readonly Posture[]>> = {
  pike: ['plank', 'knees back', 'incline', 'pike'],
  'side support': ['plank', 'knees back', 'side support'],
  'reverse support': ['plank', 'knees back', 'reverse support'],
  'wall handstand': ['plank', 'pike', 'wall handstand', 'handstand'],
  handstand: ['wall handstand', 'handstand'],
};

/** Rungs of a ladder with which somebody begins whose strength nobody has measured, and somebody whose strength is known. */
const FIRST_RUNGS = { unknown: 2, known: 4 } as const;

/**
 * What somebody has not done before begins with the hardest level that is not too hard to begin with; of what does not load the hand, with the gentlest. Where no
 * level is, the easiest says why.
 * @param open levels that may be proposed, at least one
 */
function firstLevel(composing: Composing, movement: Movement, open: readonly Level[], dosed: (level: Level) => Dose): Level | Refused {
  const easiest = firstOf(open);
  if (easiest.loading === 'unloaded' || easiest.loading === 'assisted') return easiest;
  const against = (level: Level) => againstBeginning(composing, movement, level, dosed(level));
  const level = open.findLast((each) => against(each) === null);
  return level ?? { why: `${movement.name}: ${against(easiest) ?? 'not for a first session'}.` };
}

/** Why a level is too hard for a first session; null where it is not. */
function againstBeginning({ method, person, postures }: Composing, movement: Movement, level: Level, dose: Dose): string | null {
  const { ladder } = movement;
  const form = formOf(person, movement, level, dose);
  if (!form) return 'this body can’t take the position';
  const most = Math.min(FIRST_TIME[method.effort], method.effortCeilingPercent);
  const effort = effortOf(form.demand);
  if (effort > most) return `${effort.toFixed(0)} % effort at “${level.name}”; ${method.name} starts at ${most} % or less`;
  const early = tooEarly(level, form.demand, postures);
  if (early !== null) return early;
  const levelIndex = ladder.indexOf(level);
  const before = COMES_AFTER[level.posture];
  // Of what takes skill one begins with the first rung, and only after what comes before it.
  if (before && !before.some((posture) => postures.has(posture))) return `${before.join(' or ')} comes first and hasn’t been done recently`;
  if (before && levelIndex > 0) return 'start with its first level, which is not allowed now';
  const hardest = HANDS.flatMap((hand) => form.demand[hand].efforts[0] ?? []);
  const firstLevels = hardest.every(isKnown) ? FIRST_RUNGS.known : FIRST_RUNGS.unknown;
  return levelIndex < firstLevels ? null : 'start further down, where no level is allowed now';
}

/** More of the body than this on one hand is not begun with, percent of body weight. */
const ON_ONE_HAND_PERCENT = working('First time on one hand', 40, '% of body weight', 'what both hands bear on the knees', [30, 50]).value;

/** What nobody does in a first session, however strong: it is led to by what comes before it. */
function tooEarly(level: Level, demand: Demand, postures: ReadonlySet<Posture>): string | null {
  if (level.meantFor !== undefined && !postures.has(level.posture)) return `“${level.name}” is meant for practised athletes`;
  if (hangsOnOneHand(level)) return 'hang on both hands comes first';
  if (hangsBent(level)) return 'hang with straight wrists comes first';
  if (hangsWeighted(level)) return 'hang without added weight comes first';
  const most = Math.max(...HANDS.map((hand) => demand[hand].loadPercentBW));
  const isOnOne = level.load.kind === 'body' && level.load.stance.leftShare >= 1;
  return isOnOne && most > ON_ONE_HAND_PERCENT ? `${most.toFixed(0)} % of body weight on one hand; both hands come first` : null;
}

/** Between hard sets one rests; between loaded ones at least a little. */
function withRest(dose: Dose, effortPercent: number): Dose {
  const least = effortPercent >= 70 ? 60 : effortPercent >= EASY_PERCENT ? 20 : 0;
  return dose.restS >= least ? dose : { ...dose, restS: least };
}

/** How likely a block is carried to its end; not asked where it is easy. */
function chanceOf(view: SessionView): number {
  const { block, effortPercent } = firstOf(view.blocks);
  return effortPercent < EASY_PERCENT ? 1 : (blockChances(view.chances()).get(block.id) ?? 1);
}
