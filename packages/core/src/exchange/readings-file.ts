import { type Sentence } from '../vocabulary/sentence.js';
import Papa from 'papaparse';
import { FORCE_UNITS, type ForceUnit, NEWTONS_OF } from '../measure/device.js';
import { readingDoubt } from '../measure/unit-doubt.js';
import { checkReading, isCold, type Reading } from '../model/reading.js';
import { isDay } from '../vocabulary/days.js';
import type { Fault } from '../vocabulary/fault.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import {
  type Gauge,
  GAUGES,
  MEASURABLE,
  READING_KINDS,
  READING_NAMES,
  type ReadingKind,
  type ReadingUnit,
  readingUnit,
} from '../vocabulary/measures.js';
import { INCH_CM } from '../vocabulary/units.js';

/** What a column of a file of readings can be. */
export const READING_COLUMNS = ['day', 'hand', 'kind', 'of', 'value', 'unit', 'detail', 'trials', 'gauge'] as const;
/** What a column of a file of readings can be. */
export type ReadingColumn = (typeof READING_COLUMNS)[number];

/** More rows are no one person’s readings. */
export const READINGS_FILE_MOST_ROWS = 1000;
/** Larger files are not even read. */
export const READINGS_FILE_MOST_BYTES = 2_000_000;

/** A file as rows of text under named columns. */
export interface ReadingsTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What keeps the file from being read at all; the pointer begins with the line. */
  readonly faults: readonly Fault[];
}

const noTable = (pointer: string, message: string): ReadingsTable => ({ columns: [], rows: [], faults: [{ pointer, message }] });

/** Reads a file (comma, semicolon or tab between columns, names in the first line). @example readReadingsTable('day,value\n2026-01-02,71').rows → [['2026-01-02', '71']] */
export function readReadingsTable(text: string): ReadingsTable {
  if (text.includes('\u0000')) return noTable('', 'isn’t a text file: export it as CSV, UTF-8');
  if (text.trim() === '') return noTable('', 'is empty');
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) return noTable(`/${(quotes.row ?? 0) + 1}`, 'has an unclosed quote');
  const [head = [], ...rows] = data;
  const columns = head.map((name) => name.trim());
  const twice = columns.find((name, index) => columns.indexOf(name) !== index);
  if (columns.length < 2) return noTable('/1', 'must name its columns, separated by commas, semicolons or tabs');
  if (columns.includes('')) return noTable('/1', `must name every column; column ${columns.indexOf('') + 1} has no name`);
  if (twice !== undefined) return noTable('/1', `names “${twice}” twice`);
  if (rows.length === 0) return noTable('/2', 'has no readings below the first line');
  if (rows.length > READINGS_FILE_MOST_ROWS)
    return noTable('', `must have at most ${READINGS_FILE_MOST_ROWS} readings, not ${rows.length}`);
  const ragged = rows.findIndex((row) => row.length !== columns.length);
  if (ragged >= 0)
    return noTable(`/${ragged + 2}`, `has ${rows[ragged]?.length ?? 0} columns where the first line names ${columns.length}`);
  return { columns, rows: rows.map((row) => row.map((cell) => withoutApostrophe(cell.trim()))), faults: [] };
}

/** In which order a day’s numbers stand. */
export const DAY_ORDERS = ['year first', 'day first', 'month first'] as const;
/** In which order a day’s numbers stand. */
export type DayOrder = (typeof DAY_ORDERS)[number];

/** The layout of a file: a column by its number, or one word for all rows. */
export interface ReadingsMapping {
  readonly columns: Readonly<Partial<Record<ReadingColumn, number>>>;
  /** What holds for every row where no column says it. */
  readonly fixed: Readonly<Partial<Record<ReadingColumn, string>>>;
  readonly dayOrder: DayOrder;
}

const NAMES: Record<ReadingColumn, RegExp> = {
  day: /^(day|date|on|when|measured on)$/i,
  hand: /^(hand|side)$/i,
  kind: /^(kind|type|what)$/i,
  of: /^(of|motion|action|test|movement|measure)$/i,
  value: /^(value|reading|result|angle|force|kg|n|deg|degrees|cm|seconds)$/i,
  unit: /^(unit|units)$/i,
  detail: /^(detail|details|note|notes|edge)$/i,
  trials: /^(trials|attempts)$/i,
  gauge: /^(gauge|measured with)$/i,
};

/** What the names and contents of a file’s columns suggest. */
export function guessedMapping({ columns, rows }: ReadingsTable): ReadingsMapping {
  const found = READING_COLUMNS.flatMap((column) => {
    const index = columns.findIndex((name) => NAMES[column].test(name));
    return index < 0 ? [] : [[column, index] as const];
  });
  const guessed: Partial<Record<ReadingColumn, number>> = Object.fromEntries(found);
  const days = guessed.day === undefined ? [] : rows.map((row) => row[guessed.day ?? 0] ?? '');
  return { columns: guessed, fixed: {}, dayOrder: guessedOrder(days) };
}

function guessedOrder(days: readonly string[]): DayOrder {
  const parts = days.map((text) => text.split(/[./-]/).map(Number));
  if (parts.every(([first = 0]) => first > 31)) return 'year first';
  return parts.some(([, second = 0]) => second > 12) ? 'month first' : 'day first';
}

/** A reading of a file with its line number, and what to confirm about it. */
export interface FileReading {
  readonly line: number;
  readonly reading: Reading;
  /** A value that fits another unit better, in words; null where nothing is to be asked. */
  readonly doubt: Sentence | null;
}

/** What a file comes to by a mapping: its readings, and line by line what is wrong. Where anything is wrong, nothing is to be taken. */
export interface FileReadings {
  readonly readings: readonly FileReading[];
  readonly faults: readonly Fault[];
}

/** Reads the rows of a file as readings. @param today ISO day: nothing is measured ahead of it */
export function readingsIn({ rows }: ReadingsTable, mapping: ReadingsMapping, today: string): FileReadings {
  const readings: FileReading[] = [];
  const faults: Fault[] = [];
  rows.forEach((row, index) => {
    const line = index + 2;
    const cell = (column: ReadingColumn) => {
      const at = mapping.columns[column];
      return (at === undefined ? mapping.fixed[column] : row[at]) ?? '';
    };
    const read = rowReadings(cell, mapping.dayOrder);
    const wrong = 'faults' in read ? read.faults : read.flatMap((reading) => checkReading(reading, today));
    if (wrong.length > 0 || 'faults' in read) {
      for (const { pointer, message } of wrong) faults.push({ pointer: `/${line}${pointer}`, message });
      return;
    }
    for (const reading of read) {
      readings.push({ line, reading, doubt: readingDoubt(reading)?.text ?? null });
    }
  });
  return { readings, faults };
}

type Cell = (column: ReadingColumn) => string;

function rowReadings(cell: Cell, dayOrder: DayOrder): Reading[] | { faults: Fault[] } {
  const onDay = dayFrom(cell('day'), dayOrder);
  const hands = handsFrom(cell('hand'));
  const what = whatFrom(cell('kind'), cell('of'));
  const value = numberFrom(cell('value'));
  const trials = cell('trials')
    .split(/[\s;/]+/)
    .filter((part) => part !== '')
    .map(numberFrom);
  const gauge = gaugeFrom(cell('gauge'));
  const faults: Fault[] = [];
  const wrong = (column: ReadingColumn, must: string) =>
    faults.push({ pointer: `/${column}`, message: `must be ${must}, not “${cell(column)}”` });
  if (onDay === null) wrong('day', `a day, ${dayOrder}`);
  if (hands === null) wrong('hand', 'left, right or both');
  if (!Number.isFinite(value)) wrong('value', 'a number');
  if ('column' in what) wrong(what.column, what.must);
  if (!trials.every(Number.isFinite)) wrong('trials', 'numbers with blanks between them');
  if (gauge === null) wrong('gauge', `one of ${GAUGES.join(', ')}`);
  if (onDay === null || hands === null || 'column' in what || gauge === null || faults.length > 0) return { faults };
  const { kind, of, unit } = what;
  const inKept = (each: number) => keptValue(each, cell('unit'), unit);
  const [kept, keptTrials] = [inKept(value), trials.flatMap((each) => inKept(each) ?? [])];
  if (kept === null) return { faults: [{ pointer: '/unit', message: `must be a unit of ${of}, such as ${unit}, not “${cell('unit')}”` }] };
  const detail = cell('detail');
  return hands.map((hand) => ({
    ...{ kind, of, hand, value: kept, onDay },
    ...(detail !== '' && { detail }),
    ...(keptTrials.length > 0 && { trials: keptTrials }),
    ...(gauge && { gauge }),
  }));
}

const numberFrom = (text: string) => (text === '' ? NaN : Number(text.replace(',', '.')));

/** Undefined where nothing says so, null where it is no gauge. */
function gaugeFrom(text: string): Gauge | undefined | null {
  const word = text.toLowerCase();
  return word === '' ? undefined : (GAUGES.find((gauge) => gauge === word) ?? null);
}

function dayFrom(text: string, order: DayOrder): string | null {
  const [a = '', b = '', c = ''] = text.split('T')[0]?.split(/[./-]/) ?? [];
  const [year, month, date] = order === 'year first' ? [a, b, c] : order === 'day first' ? [c, b, a] : [c, a, b];
  const day = `${year.padStart(4, '20')}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`;
  return isDay(day) ? day : null;
}

function handsFrom(text: string): readonly Hand[] | null {
  const word = text.toLowerCase();
  if (word === 'both' || word === 'l+r') return HANDS;
  const hand = HANDS.find((each) => each === word || each.charAt(0) === word);
  return hand ? [hand] : null;
}

type What =
  | { readonly kind: ReadingKind; readonly of: string; readonly unit: ReadingUnit }
  | { readonly column: ReadingColumn; readonly must: string };

/** What comes of a whole test has to be named: “grip” alone is its maximum. */
const OF_TESTS: readonly ReadingKind[] = ['critical force', 'capacity above'];

/** What was measured: where the kind isn’t given, the only kind that exists for it. */
function whatFrom(kindText: string, ofText: string): What {
  const word = kindText.toLowerCase();
  const named = READING_KINDS.find((kind) => kind === word || READING_NAMES[kind] === word);
  if (word !== '' && !named) return { column: 'kind', must: `one of ${READING_KINDS.join(', ')}` };
  const instrument = READING_KINDS.filter((kind) => (named ? kind === named : !OF_TESTS.includes(kind))).flatMap((kind) =>
    Object.entries(MEASURABLE[kind])
      .filter(([of]) => of.toLowerCase() === ofText.toLowerCase())
      .map(([of, unit]) => ({ kind, of, unit })),
  );
  const [what, other] = instrument;
  if (!what) return { column: 'of', must: `something that is measured${named ? ` as ${named}` : ''}` };
  return other ? { column: 'kind', must: `told: ${what.of} is measured as ${instrument.map(({ kind }) => kind).join(' or ')}` } : what;
}

const isForce = (unit: string): unit is ForceUnit => (FORCE_UNITS as readonly string[]).includes(unit);
const DECIMALS = 2;
const SAME: Record<ReadingUnit, readonly string[]> = {
  'N·m': ['n·m', 'nm', 'n*m'],
  N: ['n'],
  '°': ['°', 'deg', 'degrees'],
  cm: ['cm'],
  s: ['s', 'sec', 'seconds'],
  times: ['times', 'reps', 'repetitions', 'x'],
  'N·s': ['n·s', 'ns'],
};

/** A value converted to its stored unit; without a unit it is taken to be in that one. */
function keptValue(value: number, unitText: string, kept: ReadingUnit): number | null {
  const word = unitText.toLowerCase();
  if (word === '' || SAME[kept].includes(word)) return Number(value.toFixed(DECIMALS));
  if (kept === 'N' && isForce(word)) return Number((value * NEWTONS_OF[word]).toFixed(DECIMALS));
  if (kept === 'cm' && (word === 'in' || word === 'mm')) return Number((value * (word === 'in' ? INCH_CM : 0.1)).toFixed(DECIMALS));
  return null;
}

/** What a spreadsheet would carry out instead of showing it; a negative number is none. Such a cell is written with an apostrophe before it. */
const FORMULA = /^(?:[=+@\t\r]|-(?![\d.]))/;
/** A cell as it was before it was kept from being a formula. */
const withoutApostrophe = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell);

/**
 * Readings as such a file, oldest first, in the units that they are kept in: read in again, they are the same. What was measured after a session’s work is left out:
 * in a file it would stand as if the hand were rested.
 */
export const writeReadingsFile = (readings: readonly Reading[]): string =>
  Papa.unparse(
    {
      fields: [...READING_COLUMNS],
      data: readings
        .filter(isCold)
        .toSorted((a, b) => a.onDay.localeCompare(b.onDay))
        .map(({ onDay, hand, kind, of, value, detail, trials, gauge }) => [
          ...[onDay, hand, kind, of, value, readingUnit(kind, of) ?? '', detail ?? ''],
          trials?.join(' ') ?? '',
          gauge ?? '',
        ]),
    },
    { escapeFormulae: FORMULA },
  );

/** What makes a reading of a file the same when the file is imported again; equal rows of one file differ by their order. */
export function readingKeys(athleteId: string, readings: readonly Reading[]): string[] {
  const seen = new Map<string, number>();
  return readings.map(({ onDay, hand, kind, of, value, detail = '' }) => {
    const key = [athleteId, onDay, hand, kind, of, value, detail].join('|');
    const before = seen.get(key) ?? 0;
    seen.set(key, before + 1);
    return `${key}|${before}`;
  });
}
