import type { BlockView, SessionView } from '../../src/effort/session-view.js';
import type { HandDemand } from '../../src/mechanics/demand.js';
import type { RecordedCaution } from '../../src/model/athlete.js';
import { equipmentFor } from '../../src/model/movement.js';
import type { Caps } from '../../src/rules/safety/caps.js';
import { capsOf } from '../../src/rules/safety/caution-limits.js';
import { CAUTIONS } from '../../src/vocabulary/cautions.js';
import { type Hand, HANDS } from '../../src/vocabulary/hands.js';

/** What a block does to one hand: in its turn, or planted beside the other. */
function demandsOn({ forms, account }: BlockView, hand: Hand): HandDemand[] {
  return forms.flatMap(({ demand }) => {
    if (account[hand].workS > 0) return [demand[hand]];
    const beside = demand.beside?.[hand];
    return beside && beside.loadN > 0 ? [beside] : [];
  });
}

/**
 * What is wrong with a block for somebody, found from the demands themselves and not by the gate: things that are not there, loads before a clearance,
 * numbers over the caps of a restriction, and efforts that nobody has.
 * @param was the block before it was changed: what it used is there
 */
export function wrongIn({ athlete }: SessionView, block: BlockView, was?: BlockView): string[] {
  const used = was ? equipmentFor(was.movement, was.level, was.block.dose) : [];
  const missing = equipmentFor(block.movement, block.level, block.block.dose).filter(
    (thing) => !athlete?.equipment.includes(thing) && !used.includes(thing),
  );
  return [...missing.map((thing) => `no ${thing}`), ...HANDS.flatMap((hand) => wrongOn(hand, block, athlete?.cautions ?? []))];
}

function wrongOn(hand: Hand, block: BlockView, cautions: readonly RecordedCaution[]): string[] {
  const demands = demandsOn(block, hand);
  if (demands.length === 0) return [];
  const effort = Math.max(...demands.map(({ effortPercent }) => effortPercent));
  const mine = cautions.filter((each) => (each.hand ?? 'both') === 'both' || each.hand === hand);
  const wrong = mine.flatMap((entry) => [
    ...(isStanding(entry) && block.level.loading !== 'unloaded' ? ['not cleared'] : []),
    ...(block.movement.cautions.some(({ avoid, concerns }) => avoid && concerns.includes(entry.caution)) ? ['left out'] : []),
    ...capsOf(entry).flatMap((caps) => demands.flatMap((demand) => over(caps, block, demand))),
  ]);
  return [...(effort > 100.5 ? [`${effort.toFixed(0)} % of the maximum`] : []), ...wrong].map((what) => `${hand}: ${what}`);
}

const isStanding = ({ caution, clearedOn }: RecordedCaution) => CAUTIONS[caution].rule === 'refer' && !clearedOn;

function over(caps: Caps, { forms }: BlockView, { effortPercent, loadPercentBW, angle }: HandDemand): string[] {
  const { load, contact } = forms[0]!.level;
  const limitDeg = { 'wrist extension': caps.extensionDeg, 'wrist flexion': caps.flexionDeg }[angle?.motion as 'wrist extension'];
  const facts: readonly (readonly [what: string, is: boolean])[] = [
    [`effort ${effortPercent} > ${caps.effortPercent}`, effortPercent > (caps.effortPercent ?? Infinity)],
    ['body weight', caps.noBodyWeight === true && loadPercentBW > 1],
    ['added weight', caps.noAddedWeight === true && 'massKg' in load && load.massKg > 0],
    [`on ${contact}`, caps.contactsOff?.includes(contact) === true],
    [`${angle?.deg}° > ${limitDeg}°`, Math.round(angle?.deg ?? 0) > (limitDeg ?? Infinity)],
    ...(load.kind === 'hang' ? hangsOver(caps, load) : []),
  ];
  return facts.filter(([, is]) => is).map(([what]) => what);
}

const hangsOver = (caps: Caps, { hands, addedKg }: { readonly hands: number; readonly addedKg: number }) =>
  [
    ['hangs on one hand', caps.noOneHandHang === true && hands === 1],
    ['weighted hang', caps.noAddedHang === true && addedKg > 0],
  ] as const;
/** In what a block asks more of a hand than another, from the demands themselves. @param sparing where a wrist that hurts is bent less, its muscles may do up to 40 % */
export function moreIn(now: BlockView, before: BlockView, sparing: boolean): string[] {
  if (before.forms.length === 0) return [];
  return HANDS.flatMap((hand): string[] => {
    const [mine, was] = [demandsOn(now, hand), demandsOn(before, hand)];
    if (mine.length === 0) return [];
    return was.length === 0 ? [`${hand} works`] : moreOn(mine, was, sparing).map((what) => `${hand}: ${what}`);
  });
}

const extension = ({ angle }: HandDemand) => (angle?.motion === 'wrist extension' ? angle.deg : 0);
const most = (all: readonly HandDemand[], of: (demand: HandDemand) => number) => Math.max(...all.map(of));

function moreOn(mine: readonly HandDemand[], was: readonly HandDemand[], sparing: boolean): string[] {
  const [effort, effortWas] = [most(mine, (each) => each.effortPercent), most(was, (each) => each.effortPercent)];
  const isSpared = sparing && effort <= 40;
  return [
    ...(effort > effortWas + 1 && !isSpared ? [`effort ${effortWas.toFixed(0)} → ${effort.toFixed(0)}`] : []),
    ...(most(mine, (each) => each.loadPercentBW) > most(was, (each) => each.loadPercentBW) + 1.5 ? ['weight'] : []),
    ...(most(mine, extension) > Math.max(30, most(was, extension)) + 1.5 ? ['extension'] : []),
  ];
}
