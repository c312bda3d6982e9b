import { defined } from '../vocabulary/defined.js';
import { must } from '../vocabulary/lists.js';
import { sentence } from '../vocabulary/fault.js';
import { OWN_LOAD_NAMES } from '../vocabulary/own-load.js';
import { checkDose } from './check-dose.js';
import { amountOf, type Dose, type OwnLoad, withAmount } from './dose.js';
import { type DoseDefaults, PLAIN, readPart, type Slot, unreadable } from './dose-part-words.js';
import { type Part, partsIn } from './dose-parts.js';
import { readSets } from './dose-sets.js';
import { isKilograms, withoutEffort, withoutKilograms } from './effort-or-load.js';
import { printDose } from './print-dose.js';
import { ShorthandError } from './shorthand-error.js';
import { hasHandsInTurn } from './work.js';

export { type DoseDefaults, OWN_LOAD_WORDS } from './dose-part-words.js';
export { printAmount, printDose, printOwnLoad, printSets, printSides } from './print-dose.js';
export { ShorthandError };

/**
 * The dose shorthand a coach types.
 *
 * | part | means |
 * |---|---|
 * | `3x8` `3x30s` `2x1:30` `3x5br` `3x40m` | sets × repetitions, seconds, minutes:seconds, breaths, metres; `8` alone is one set |
 * | `5x6s,5x8s` `2x10,1xmax` | sets that differ, in their order |
 * | `3x8-12` `2x20-30s` | a range: led to the lower end, progressed up to the upper one |
 * | `1x5(6s),1x5(8s)` | sets whose repetitions are held for different times |
 * | `1xmax20` `1xmax60s` `1xmax` | open: as long as the form lasts, at most so much; without a number twice the set before, or 20 |
 * | `1xease90s` `1xease10br` | open: until it eases, at most so long |
 * | `goal30s` `goal12` | what the amount is to become |
 * | `@40%` `@30-40%` | effort or a range of it, percent of the own maximum |
 * | `sore@20-30%` | effort on a day on which the hands are sore |
 * | `2s` | hold at the far end of each repetition |
 * | `tempo1-3` | seconds out and back; `tempo1-2-3` has the hold in the middle |
 * | `faster10%` `faster0.5s` | each set faster: by percent, or by seconds a repetition |
 * | `pause2` | seconds between two repetitions |
 * | `rest20` | seconds of rest after each set but the last |
 * | `12kg` `spring12kg` `band3kg` `edge20` `handle50` `pinch40` | what is lifted, squeezed or held instead of the level's own |
 * | `26lb` `spring30lb` | the same in pounds, kept in kilograms |
 * | `wedge15` `hands0.48m` `away0.9m` | a wedge under the heel of the hand, how high and how far away the hands stand |
 * | `LR` `L` `R` `L,R` `R,L` `L/R` | both together, left, right, left then right, right then left, alternating |
 * | `LL,RR` `RR,LL` | all sets of one hand, then all of the other |
 * | `1x30s R60s` | the right hand does another amount; `L60s` the left |
 * | `only:index+ring` `only:palm-up` | some of the fingers or positions that a movement is worked through in |
 * | `>` `<` `<>` | first direction, second direction, each |
 *
 * @example printDose(parseDose('3 x 8 @40% 2s rest20')) → '3x8 @40% 2s rest20'
 */

/**
 * Reads a dose shorthand.
 * @throws ShorthandError naming the part, its position and what would be right, for unknown parts, doubled parts and values outside the limits.
 */
export function parseDose(text: string, defaults: DoseDefaults = PLAIN): Dose {
  const parts = partsIn(text);
  if (parts.length === 0) throw new ShorthandError('', 'Type a dose, for example 3x8 @40% rest20 or 2x30s L,R.', 0);
  const said = saidIn(parts);
  return checked(inTurn({ ...USUAL, ...defaults, ...said }, said), text);
}

/**
 * Reads what is typed over an existing dose: whatever is not typed stays as it was. Only where parts of the existing dose were deleted
 * and nothing else was typed are those parts meant to go.
 * @example printDose(retypeDose('3x12 rest60', parseDose('2x12 tempo1-2 rest30'))) → '3x12 tempo1-2 rest60'
 * @example printDose(retypeDose('2x12 rest30', parseDose('2x12 tempo1-2 rest30'))) → '2x12 rest30'
 * @throws as `parseDose`
 */
export function retypeDose(text: string, before: Dose, defaults: DoseDefaults = PLAIN): Dose {
  const parts = partsIn(text);
  if (parts.length === 0) return parseDose(text, defaults);
  const stood = printDose(before).split(' ');
  if (parts.every(({ tidy }) => stood.includes(tidy))) {
    // Hands together and no direction are not printed, so they cannot have been taken away.
    const sides = before.sides === PLAIN.sides ? before.sides : defaults.sides;
    const directions = before.directions === PLAIN.directions ? before.directions : defaults.directions;
    return parseDose(text, { sides, directions });
  }
  const said = saidIn(parts);
  return checked(inTurn({ ...USUAL, ...keptOf(before, said, defaults), ...said, ...loadKept(before, said) }, said), text);
}

/** What of the former dose stays beside what was typed: all but the sets, and what they have no place for. */
function keptOf(before: Dose, said: Said, { sides }: DoseDefaults): Omit<Dose, 'work' | 'sets'> {
  const { work: _work, sets: _sets, then: _then, load: _load, rightAmount: _right, goal, ...plain } = before;
  const { holdS, pauseS, tempo, faster, oneHandFirst, ...rest } = withoutEffort(plain);
  const { work } = said;
  // A hold, a pause and a pace belong to what repeats: counted in another way, there is nothing to hold or to pace.
  const isPaced = work.kind === 'repetitions' || (work.kind === 'time' && before.work.kind === 'time');
  const keepsGoal = work.kind === before.work.kind && (goal ?? 0) > amountOf(work);
  return {
    ...rest,
    ...(rest.sides === 'alternating' && work.kind !== 'repetitions' && { sides }),
    ...(said.sides === undefined && defined({ oneHandFirst })),
    ...(keepsGoal && defined({ goal })),
    ...effortKept(before, said),
    ...(isPaced && defined({ holdS, pauseS, tempo, faster })),
  };
}

/** The effort that stays: none beside kilograms, and beside one that is typed that of sore days where it is the lesser. */
function effortKept({ effortPercent, effortToPercent, sore }: Dose, said: Said): Partial<Dose> {
  if (namesKilograms(said.load)) return {};
  if (said.effortPercent === undefined) return defined({ effortPercent, effortToPercent, sore });
  return sore && sore.effortPercent < said.effortPercent ? { sore } : {};
}

/** An amount of its own for one hand says that hands work one after the other, where nothing else is said of them. */
function inTurn(dose: Dose, said: Said): Dose {
  if (dose.rightAmount === undefined || hasHandsInTurn(dose.sides)) return dose;
  if (said.sides === undefined) return { ...dose, sides: 'left-then-right' };
  throw new ShorthandError('', 'An amount for each hand needs one hand after the other: use L,R or R,L.', 0);
}

/** The load that stays beside what was typed. Of the weight and the effort that finds it, the one that is typed takes the place of the other. */
function loadKept(before: Dose, { load, effortPercent }: Said): Pick<Dose, 'load'> {
  const stays = effortPercent === undefined ? before.load : withoutKilograms(before.load);
  const loaded = { ...(namesKilograms(load) ? withoutKilograms(stays) : stays), ...load };
  return Object.keys(loaded).length > 0 ? { load: loaded } : {};
}

const namesKilograms = (load: OwnLoad = {}) => OWN_LOAD_NAMES.some((name) => isKilograms(name) && load[name] !== undefined);

/** What is not said. */
const USUAL = { sets: 1, restS: 0 };

function checked(dose: Dose, text: string): Dose {
  const fault = checkDose(dose)[0];
  if (!fault) return dose;
  const tidy = text.trim();
  throw new ShorthandError(tidy, sentence(fault), text.indexOf(tidy));
}

type Said = Partial<Dose> & Pick<Dose, 'work'>;

/** What the parts say, each thing once: sets and amount, and in any order the rest. */
function saidIn(parts: readonly Part[]): Said {
  const named = parts.find(({ sets }) => sets !== null) ?? parts.find(({ tidy }) => /^\d/.test(tidy));
  const first = named ?? must(parts[0], 'a part');
  const sets = readSets(first);
  let said: Said & { readonly leftAmount?: number } = sets;
  const seen = new Map<Slot, string>(sets.holdS === undefined ? [] : [['hold', first.text]]);
  for (const part of parts) {
    if (part === first) continue;
    const { slot, values } = readPart(part, sets.work);
    const before = seen.get(slot);
    if (before !== undefined) throw unreadable(part, `“${part.text}” repeats what “${before}” already says. Keep one.`);
    seen.set(slot, part.text);
    if (slot === 'tempo' && values.holdS !== undefined) {
      if (seen.has('hold')) throw unreadable(part, `“${part.text}” and “${seen.get('hold')}” both give the hold. Keep one.`);
      seen.set('hold', part.text);
    }
    const load = values.load && { load: { ...said.load, ...values.load } };
    said = { ...said, ...values, ...load };
  }
  const { leftAmount, ...all } = said;
  if (leftAmount === undefined) return all;
  return { ...all, work: withAmount(all.work, leftAmount), rightAmount: all.rightAmount ?? amountOf(all.work) };
}
