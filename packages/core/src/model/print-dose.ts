import type { SidePlan } from '../vocabulary/hands.js';
import { must } from '../vocabulary/lists.js';
import { OWN_LOAD_NAMES } from '../vocabulary/own-load.js';
import { OPEN_WORDS, UNIT_LETTERS, UNIT_OF } from '../vocabulary/work.js';
import { amountOf, type Dose, type Faster, type OwnLoad, type SetGroup, setGroupsOf, type Tempo, type Work } from './dose.js';
import { DIRECTION_WORDS, type DoseDefaults, ONE_HAND_FIRST_WORDS, OWN_LOAD_WORDS, PLAIN, SIDE_WORDS } from './dose-part-words.js';
import { impliedCeiling } from './dose-sets.js';

/**
 * Prints a dose as shorthand that `parseDose` reads back to the same dose under the same defaults.
 * Sides and directions are always spelt out unless the dose is plain and the defaults are too.
 */
export function printDose(dose: Dose, defaults: DoseDefaults = PLAIN): string {
  const letter = UNIT_LETTERS[UNIT_OF[dose.work.kind]];
  const parts = [printSets(dose)];
  if (dose.rightAmount !== undefined) parts.push(`R${dose.rightAmount}${letter}`);
  if (dose.goal !== undefined) parts.push(`goal${dose.goal}${letter}`);
  if (dose.effortPercent !== undefined) parts.push(printEffort(dose));
  if (dose.sore) parts.push(`sore${printEffort(dose.sore)}`);
  parts.push(...printOwnLoad(dose.load));
  if (dose.holdS !== undefined) parts.push(`${dose.holdS}s`);
  if (dose.tempo) parts.push(printTempo(dose.tempo));
  if (dose.faster) parts.push(printFaster(dose.faster));
  if (dose.pauseS !== undefined) parts.push(`pause${dose.pauseS}`);
  if (dose.restS > 0) parts.push(`rest${dose.restS}`);
  if (dose.sides !== 'together' || defaults.sides !== 'together') parts.push(printSides(dose.sides, dose.oneHandFirst));
  if (dose.directions !== 'none') parts.push(wordFor(DIRECTION_WORDS, dose.directions));
  if (dose.positions) parts.push(`only:${dose.positions.map((name) => name.replaceAll(' ', '-')).join('+')}`);
  return parts.join(' ');
}

/** Sets and amounts alone. @example printSets(parseDose('2x10,1xmax rest30')) → '2x10,1xmax' */
export function printSets(dose: Dose): string {
  const groups = setGroupsOf(dose);
  return groups.map((group, index) => `${group.sets}x${printWork(group, groups[index - 1])}${printHold(group)}`).join(',');
}

const printHold = ({ holdS }: SetGroup): string => (holdS === undefined ? '' : `(${holdS}s)`);

/** A work by itself: “8-12”. */
export function printAmount(work: Work): string {
  const range = work.upTo === undefined ? '' : `-${work.upTo}`;
  return `${amountOf(work)}${range}${UNIT_LETTERS[UNIT_OF[work.kind]]}`;
}

function printWork({ work }: SetGroup, before: SetGroup | undefined): string {
  const amount = printAmount(work);
  if (!work.open) return amount;
  const word = OPEN_WORDS[work.open];
  const implied = impliedCeiling(before?.work);
  const isImplied = work.open === 'form' && implied.kind === work.kind && amountOf(implied) === amountOf(work);
  return isImplied ? word : `${word}${amount}`;
}

/** A dose's own load, each thing as it is typed. */
export function printOwnLoad(load: OwnLoad = {}): string[] {
  return OWN_LOAD_NAMES.flatMap((name) => {
    const value = load[name];
    const { word, unit } = OWN_LOAD_WORDS[name];
    return value === undefined ? [] : [`${word}${value}${unit}`];
  });
}

/** Hands as they are typed. @example printSides('left-then-right') → 'L,R' */
export function printSides(plan: SidePlan, oneHandFirst?: true): string {
  return wordFor(oneHandFirst ? ONE_HAND_FIRST_WORDS : SIDE_WORDS, plan);
}

const printEffort = ({ effortPercent, effortToPercent }: Pick<Dose, 'effortPercent' | 'effortToPercent'>): string =>
  `@${effortPercent}${effortToPercent === undefined ? '' : `-${effortToPercent}`}%`;

const printFaster = (faster: Faster): string => (faster.kind === 'percent' ? `faster${faster.percent}%` : `faster${faster.seconds}s`);

const printTempo = ({ outS, backS }: Tempo): string => `tempo${outS}-${backS}`;

function wordFor(words: Partial<Record<string, string>>, value: string): string {
  return must(
    Object.keys(words).find((word) => words[word] === value),
    `a word for ${value}`,
  );
}
