import type { BlockView, SessionView } from '../../effort/session-view.js';
import { amountOf, type Dose, fewerSets, withAmounts } from '../../model/dose.js';
import type { ChangeEdit, Edit } from '../../model/edits.js';
import { type Grade, gradesFor } from '../../model/grades.js';
import { effortMeans, findLevel, type Level, type Movement } from '../../model/movement.js';
import { atEffort, withOwnSet } from '../../model/effort-or-load.js';
import { fittedTo, kilogramsNameOf, ownLoadsOf } from '../../model/own-load.js';
import { goesToFailure, withoutOpenEnds } from '../doses/open-ends.js';
import { roughHeightM } from '../../model/posture.js';
import { kilogramsOf } from '../../mechanics/as-dosed.js';
import { HANDS, handsWorking } from '../../vocabulary/hands.js';
import { OWN_LOADS } from '../../vocabulary/own-load.js';
import { usesNoMore } from '../gate/at-hand.js';
import { asksMoreThan, type EaseReason } from '../gate/asks-no-more.js';
import { isOpen, refusalsOf, workOf } from '../gate/gate.js';
import { type Work, workIn } from '../gate/moments.js';
import { doseFor } from '../doses/method-dose.js';
import { unusualInDose, usualDose } from '../doses/usual-dose.js';

/** A kind of answer, with the edits that it could be, the least change first. */
export interface Answer {
  readonly kind: 'hand' | 'incline' | 'level' | 'less' | 'other' | 'side' | 'out';
  readonly tries: readonly (readonly Edit[])[];
}

/** More than this many of one kind are not looked through. */
const TRIES = 4;
/** An incline is at least this much higher than the hands stand now, metres. */
const INCLINE_M = 0.2;

/**
 * Gentler forms of one block in the order in which a coach would try them: fists, handles or forearms instead of palms, an incline, an easier
 * level, less of it, another movement for the same purpose, and only then without it. The gate lets each of them through, and none asks more of a hand.
 */
export const gentlerFor = (view: SessionView, block: BlockView, reason: EaseReason): Answer[] =>
  KINDS.map((kind): Answer => ({ kind, tries: gentlerOf(kind, view, block, reason) })).filter(({ tries }) => tries.length > 0);

/** Gentler forms of one kind, the least change first. */
export function gentlerOf(kind: Answer['kind'], view: SessionView, block: BlockView, reason: EaseReason): (readonly Edit[])[] {
  const found: (readonly Edit[])[] = [];
  for (const edits of FORMS[kind](view, block)) {
    if (found.length === TRIES) break;
    if (isGentler(view, block, edits, reason)) found.push(edits);
  }
  return found;
}

const FORMS: Record<Answer['kind'], (view: SessionView, block: BlockView) => Edit[][]> = {
  hand: (view, block) => [...wedges(block), ...otherHolds(view, block)],
  incline: inclines,
  level: (_view, block) => easierLevels(block),
  less: (view, block) => lessOf(view, block),
  other: others,
  side: (_view, block) => oneHandAlone(block),
  out: (_view, { block }) => [[{ kind: 'remove', blockId: block.id }]],
};
const KINDS = Object.keys(FORMS) as Answer['kind'][];

/** Whether the gate lets through what becomes of a block, and it asks more of no hand than the block does. */
function isGentler(view: SessionView, seen: BlockView, edits: readonly Edit[], reason: EaseReason): boolean {
  return edits.every((edit) => {
    const work = edit.kind === 'change' ? becoming(view, seen, edit) : null;
    return work === null || (isLetThrough(view, seen, work) && asksMoreThan(work, workIn(seen), reason) === null);
  });
}

/** Equipment that the block already uses is there, recorded or not; an unusual dose was the coach’s choice. */
const isLetThrough = (view: SessionView, seen: BlockView, work: Work): boolean =>
  refusalsOf(view, work).every(({ rule }) => rule === 'dose-outside' || (rule === 'equipment-missing' && usesNoMore(view, work, seen)));

/** What a changed block is for this person; null where its movement or level is gone. */
function becoming(
  view: SessionView,
  { block }: BlockView,
  { movementId = block.movementId, levelId = block.levelId, dose = block.dose }: ChangeEdit,
): Work | null {
  const movement = view.lookup(movementId);
  const level = movement && findLevel(movement, levelId);
  return movement && level ? workOf(view, movement, level, dose) : null;
}

/** What spares the bent wrist. */
const RELIEVED_CONTACTS: readonly Level['contact'][] = ['fist', 'handle', 'none'];

/** Slopes of a wedge that somebody has at hand: a folded towel, and a block for it. */
const WEDGES_DEG = [15, 25];
/** The same block with a wedge under the heel of the hand. */
function wedges({ block, movement, level }: BlockView): Edit[][] {
  const { dose } = block;
  if (!ownLoadsOf(level, movement).includes('wedgeDeg') || (dose.load?.wedgeDeg ?? 0) > 0) return [];
  return WEDGES_DEG.map((deg): Edit[] => [{ kind: 'change', blockId: block.id, dose: withOwnSet(dose, 'wedgeDeg', deg) }]);
}

/** The same posture on what spares the bent wrist. */
function otherHolds(view: SessionView, block: BlockView): Edit[][] {
  const { level } = block;
  if (level.load.kind !== 'body' || RELIEVED_CONTACTS.includes(level.contact)) return [];
  return sameFamily(view, block)
    .filter(({ level: other }) => other.load.kind === 'body' && other.posture === level.posture)
    .filter(({ level: other }) => RELIEVED_CONTACTS.includes(other.contact))
    .map((choice) => instead(block, choice));
}

function inclines(view: SessionView, block: BlockView): Edit[][] {
  const { load } = block.level;
  if (load.kind !== 'body') return [];
  return sameFamily(view, block)
    .filter(({ level: { load: other } }) => other.kind === 'body' && roughHeightM(other.stance) > roughHeightM(load.stance) + INCLINE_M)
    .filter(({ level: { contact } }) => contact === block.level.contact || RELIEVED_CONTACTS.includes(contact))
    .filter((choice) => trainsTheSame(choice, block))
    .reverse()
    .map((choice) => instead(block, choice));
}

/** Easier levels of the same movement, the hardest of them first. */
function easierLevels({ block, movement, level }: BlockView): Edit[][] {
  return movement.ladder
    .slice(0, movement.ladder.indexOf(level))
    .reverse()
    .map((easier): Edit[] => {
      // Easier is not more of it: the dose stays as far as the level can have it.
      const stays = easier.dose.work.kind === block.dose.work.kind && !unusualInDose(block.dose, easier.dosing).length;
      const { load: _own, ...plain } = block.dose;
      // The easier level's own load is what makes it easier.
      const dose = stays ? fittedTo(plain, easier, movement) : easier.dose;
      return [{ kind: 'change', blockId: block.id, levelId: easier.id, dose: { ...dose, sides: block.dose.sides } }];
    });
}

/** By one hand alone, where both do it and its movement is done so. */
function oneHandAlone({ block, movement }: BlockView): Edit[][] {
  if (handsWorking(block.dose.sides).length < HANDS.length) return [];
  return HANDS.filter((hand) => movement.sides.includes(hand)).map((hand): Edit[] => [
    { kind: 'change', blockId: block.id, dose: { ...block.dose, sides: hand } },
  ]);
}

/** What is left of a set, when it is shortened. */
const SHARES = [0.8, 0.6, 0.4];
/** Efforts of a press on the way down, percent. */
const EFFORTS = [80, 70, 60, 50, 40, 30, 20];

/** Less effort in a press, fewer sets, less in each: never less than is usual. */
function lessOf(view: SessionView, { block, movement, level }: BlockView): Edit[][] {
  const { dose } = block;
  const usual = usualDose(dose, level.dosing);
  const amount = amountOf(usual.work);
  const efforts = effortMeans(level) !== null ? EFFORTS.filter((effort) => effort < (dose.effortPercent ?? 0)) : [];
  const doses: Dose[] = [
    ...lighter(dose, level, movement, view.person.grades),
    ...efforts.map((effort) => atEffort(dose, effort)),
    ...(goesToFailure(dose) ? [withoutOpenEnds(dose)] : []),
    ...fewerSets(dose),
    ...SHARES.filter((share) => Math.floor(amount * share) >= 1).map((share) => withAmounts(usual, (now) => Math.floor(now * share))),
  ];
  return doses
    .filter((less) => amountOf(less.work) >= 1 && unusualInDose(less, level.dosing).length === 0)
    .map((less): Edit[] => [{ kind: 'change', blockId: block.id, dose: less }]);
}

/** A spring or a band that is less than a tenth lighter is the same to a hand: weights are told apart from about a fiftieth to a tenth on. */
const FELT_LIGHTER = 0.9;
/** Shares of a weight on the way down. */
const LIGHTER = [0.75, 0.5];
/** Less on the bar, the spring or the band than there is, where the coach or the level names it in kilograms: the next lighter ones that the studio owns. */
function lighter(dose: Dose, level: Level, movement: Movement, grades: readonly Grade[] = []): Dose[] {
  const name = kilogramsNameOf(level, movement);
  const now = name && (dose.load?.[name] ?? kilogramsOf(level));
  if (!name || !now || dose.effortPercent !== undefined) return [];
  const owned = gradesFor(grades, movement);
  if (owned.length > 0) {
    const less = owned.filter(({ kg }) => kg <= now * FELT_LIGHTER).toReversed();
    return less.map(({ kg }) => withOwnSet(dose, name, kg));
  }
  const { step } = OWN_LOADS[name].limit;
  return LIGHTER.map((share) => Math.floor((now * share) / step) * step)
    .filter((kg) => kg > 0)
    .map((kg) => withOwnSet(dose, name, kg));
}

/** Other movements of the family that train first of all what this one does, and ask less. */
function others(view: SessionView, block: BlockView): Edit[][] {
  return sameFamily(view, block)
    .filter((choice) => trainsTheSame(choice, block))
    .map((choice) => instead(block, choice));
}

/** Whether it trains first of all what the block does. */
function trainsTheSame({ movement }: Choice, block: BlockView): boolean {
  const [main] = block.movement.trains;
  return main === undefined || movement.trains.includes(main);
}

interface Choice {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
}

/** Levels of other movements of the family that may be proposed to this person, each movement's hardest first. */
function sameFamily(view: SessionView, { block, movement }: BlockView): Choice[] {
  return view.shelf
    .filter(({ family, id }) => family === movement.family && id !== movement.id)
    .flatMap((other) =>
      other.ladder.toReversed().flatMap((level): Choice[] => {
        const dose = doseFor(other, level, view.method, view.weaker, view.athlete?.cautions);
        const spares = handsWorking(dose.sides).length === handsWorking(block.dose.sides).length;
        return spares && isOpen(view, other, level, dose) ? [{ movement: other, level, dose }] : [];
      }),
    );
}

const instead = ({ block }: BlockView, { movement, level, dose }: Choice): Edit[] => [
  { kind: 'change', blockId: block.id, movementId: movement.id, levelId: level.id, dose },
];
