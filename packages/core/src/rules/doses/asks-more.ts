import { amountOf, type Dose, setCount, setGroupsOf, worksOf } from '../../model/dose.js';
import { handsWorking } from '../../vocabulary/hands.js';
import { KILOGRAMS, OWN_LOAD_NAMES } from '../../vocabulary/own-load.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { goesToFailure } from './open-ends.js';

/** Whether a dose has grown beyond another of the same kind of work: more of it all in all, or a higher effort. */
export const hasGrown = (dose: Dose, than: Dose): boolean =>
  dose.work.kind === than.work.kind &&
  (setCount(dose) * amountOf(dose.work) > setCount(than) * amountOf(than.work) || (dose.effortPercent ?? 0) > (than.effortPercent ?? 0));

/** All of a dose for one hand in one direction, in its unit; what is open counts with the most that it may be. */
const totalOf = (dose: Dose): number => setGroupsOf(dose).reduce((sum, { sets, work }) => sum + sets * amountOf(work), 0);
const longestOf = (dose: Dose): number => Math.max(...worksOf(dose).map(amountOf), dose.rightAmount ?? 0);
const topEffortOf = ({ effortPercent = 0, effortToPercent = 0 }: Dose): number => Math.max(effortPercent, effortToPercent);
const longestHold = ({ holdS = 0, then = [] }: Dose): number => Math.max(holdS, ...then.map((group) => group.holdS ?? 0));
const strokeOf = ({ tempo }: Dose): number => (tempo ? tempo.outS + tempo.backS : 0);

/** A part of a dose: its words, and whether one asks more in it than another. */
type Part = readonly [words: string, asksMore: (dose: Dose, than: Dose) => boolean];
const PARTS: readonly Part[] = [
  ['a different kind of work', (dose, than) => UNIT_OF[dose.work.kind] !== UNIT_OF[than.work.kind]],
  ['more work in total', (dose, than) => totalOf(dose) > totalOf(than)],
  ['more in one set', (dose, than) => longestOf(dose) > longestOf(than)],
  // Without an effort that is named, or with a weight beside the level's, nobody has said how much it is: that counts as more.
  ['no set effort', (dose, than) => dose.effortPercent === undefined && than.effortPercent !== undefined],
  ['more effort', (dose, than) => topEffortOf(dose) > topEffortOf(than)],
  ['an open end', (dose, than) => goesToFailure(dose) && !goesToFailure(than)],
  ['a longer hold', (dose, than) => longestHold(dose) > longestHold(than)],
  ['a different tempo', (dose, than) => (dose.tempo === undefined) !== (than.tempo === undefined)],
  ['a faster pace from set to set', (dose, than) => dose.faster !== undefined && than.faster === undefined],
  ['a slower tempo', (dose, than) => strokeOf(dose) > strokeOf(than)],
  ['a shorter pause', (dose, than) => (dose.pauseS ?? 0) < (than.pauseS ?? 0)],
  ['less rest', (dose, than) => dose.restS < than.restS],
  ['more hands', (dose, than) => handsWorking(dose.sides).some((hand) => !handsWorking(than.sides).includes(hand))],
  ['more positions', (dose, than) => than.positions !== undefined && (dose.positions?.length ?? Infinity) > than.positions.length],
  ['more directions', (dose, than) => dose.directions !== than.directions && dose.directions === 'each'],
  ['a different weight', (dose, than) => KILOGRAMS.some((name) => (dose.load?.[name] === undefined) !== (than.load?.[name] === undefined))],
  ['more weight', (dose, than) => KILOGRAMS.some((name) => (dose.load?.[name] ?? 0) > (than.load?.[name] ?? 0))],
  // For the contact of a hand or the thickness of a handle, no direction is gentler for everyone.
  ['another set-up', (dose, than) => SET_UP.some((name) => dose.load?.[name] !== than.load?.[name])],
];
const SET_UP = OWN_LOAD_NAMES.filter((name) => !(KILOGRAMS as readonly string[]).includes(name));

/** In what a dose asks for more than another, in words; null where in nothing. @example moreIn(parseDose('2x20s'), parseDose('2x15s')) → 'more work in total' */
export const moreIn = (dose: Dose, than: Dose): string | null => PARTS.find(([, asksMore]) => asksMore(dose, than))?.[0] ?? null;
