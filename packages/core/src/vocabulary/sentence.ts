import { dayWords } from './days.js';
import { METRIC, type ShownUnits, shownAs } from './units.js';

/** A number with its unit, as it is kept: metric. */
export interface Quantity {
  readonly value: number;
  /** Where it is a range: its upper end. */
  readonly to?: number;
  readonly unit: string;
  readonly places: number;
}
/** A day of the calendar. */
export interface Day {
  /** ISO date. */
  readonly day: string;
}
/** A piece of a sentence: words, or what each reader sees in their own units. */
export type Part = string | Quantity | Day;
/** What a person reads, with its quantities and days as data: `sentenceText` makes words of it. */
export type Sentence = string | readonly Part[];

/** A number with its unit, for `say`. @param places decimals that are shown */
export const quantity = (value: number, unit: string, places = 0): Quantity => ({ value, unit, places });
/** A number with its unit and as many decimals as it has, two at most: what somebody set. */
export const asWritten = (value: number, unit: string): Quantity =>
  quantity(value, unit, Number.isInteger(value) ? 0 : Number.isInteger(Number((value * 10).toFixed(1))) ? 1 : 2);
/** A day of the calendar, for `say`. */
export const calendarDay = (day: string): Day => ({ day });

const partsOf = (sentence: Sentence): readonly Part[] => (typeof sentence === 'string' ? [sentence] : sentence);
const isList = (hole: Sentence | Part | number): hole is readonly Part[] => Array.isArray(hole);

/** Pieces side by side; neighbouring words become one piece. */
function joined(parts: readonly Part[]): Sentence {
  const out: Part[] = [];
  for (const part of parts) {
    const last = out.at(-1);
    if (part === '') continue;
    if (typeof part === 'string' && typeof last === 'string') out[out.length - 1] = last + part;
    else out.push(part);
  }
  const [only] = out;
  return out.length === 0 ? '' : out.length === 1 && typeof only === 'string' ? only : out;
}

/** A sentence with its data: say`Rest ${quantity(20, 's')} more.` Other sentences may stand in it. */
export function say(words: TemplateStringsArray, ...holes: readonly (Sentence | Part | number)[]): Sentence {
  return joined(
    words.flatMap((text, index): Part[] => {
      const hole = holes[index];
      if (hole === undefined) return [text];
      return [text, ...(isList(hole) ? hole : [typeof hole === 'number' ? String(hole) : hole])];
    }),
  );
}

/** Sentences one after the other, with something between. @example joinSentences(['a', 'b'], ', ') → 'a, b' */
export const joinSentences = (all: readonly Sentence[], between = ' '): Sentence =>
  joined(all.flatMap((sentence, index) => (index > 0 ? [between, ...partsOf(sentence)] : partsOf(sentence))));

/** A sentence as its reader sees it. @example sentenceText([{ value: 5, unit: 'kg', places: 1 }, ' since ', { day: '2026-05-02' }], { mass: 'lb', length: 'cm' }) → '11.0 lb since 2 May 2026' */
export const sentenceText = (sentence: Sentence, units: ShownUnits = METRIC): string =>
  partsOf(sentence)
    .map((part) => (typeof part === 'string' ? part : 'day' in part ? dayWords(part.day) : quantityText(part, units)))
    .join('');

/** A quantity in its reader’s unit. A degree follows its number, all other units a space. */
export function quantityText({ value, to, unit: kept, places }: Quantity, units: ShownUnits = METRIC): string {
  const { unit, per } = shownAs(kept, units);
  // Round numbers stay round in the unit that they are kept in only.
  const text = (number: number) => (unit === kept ? number.toFixed(places) : (number * per).toFixed(Math.max(places, 1)));
  return `${text(value)}${to === undefined ? '' : `–${text(to)}`}${unit === '°' ? '°' : unit && ` ${unit}`}`;
}

/** Each sentence once. */
export const uniqueSentences = (all: readonly Sentence[]): Sentence[] => [
  ...new Map(all.map((sentence) => [sentenceText(sentence), sentence])).values(),
];

const withFirst =
  (change: (text: string) => string) =>
  (sentence: Sentence): Sentence => {
    const [first, ...rest] = partsOf(sentence);
    return typeof first === 'string' ? joined([change(first), ...rest]) : sentence;
  };
/** A sentence with its first letter small, to stand after a colon. @example loweredSentence('Once more.') → 'once more.' */
export const loweredSentence = withFirst((text) => text.charAt(0).toLowerCase() + text.slice(1));
/** A sentence with its first letter large. @example capitalSentence('once more') → 'Once more' */
export const capitalSentence = withFirst((text) => text.charAt(0).toUpperCase() + text.slice(1));
