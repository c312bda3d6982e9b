import type { RoundChange } from '../model/round.js';
import { LOOK_STOPS, type LookStop } from '../vocabulary/rechecks.js';
import { type Phase, PHASE_NAMES, PHASES } from '../vocabulary/phases.js';

/** What a line of a sequence text says. Columns are 1-based. */
export type TextLine =
  | { readonly kind: 'blank' }
  | { readonly kind: 'head'; readonly field: HeadField; readonly value: string; readonly column: number }
  | { readonly kind: 'minutes'; readonly minutes: number }
  | { readonly kind: 'phase'; readonly phase: Phase }
  | { readonly kind: 'rounds'; readonly times: number; readonly restS: number; readonly change?: RoundChange }
  | { readonly kind: 'end of rounds' }
  | { readonly kind: 'break'; readonly breakS: number }
  | { readonly kind: 'look'; readonly stops: readonly LookStop[] }
  | { readonly kind: 'note'; readonly text: string }
  | {
      readonly kind: 'block';
      readonly name: string;
      readonly column: number;
      readonly dose: string | null;
      readonly doseColumn: number;
    }
  | { readonly kind: 'wrong'; readonly column: number; readonly message: string };

/** The lines above the blocks. */
export const HEAD_FIELDS = ['title', 'method', 'purpose', 'pacing', 'tested', 'muted'] as const;
/** The name of such a line. */
export type HeadField = (typeof HEAD_FIELDS)[number];

/** What such lines were called before. */
const FORMER_FIELDS: Readonly<Record<string, HeadField>> = { measured: 'tested', unheeded: 'muted' };

const HEAD = new RegExp(`^(${[...HEAD_FIELDS, ...Object.keys(FORMER_FIELDS)].join('|')})\\s*:\\s*(.*)$`, 'i');
const MINUTES = /^(?:minutes\s*:\s*)?(\d+)\s*(?:min|minutes?)?$/i;
/** Phases by their names and ids, as they are typed. */
const PHASE_OF = new Map(
  PHASES.flatMap((phase) =>
    [phase, PHASE_NAMES[phase], PHASE_NAMES[phase].replace('-', ' ')].map((name) => [name.toLowerCase(), phase] as const),
  ),
);
const ROUNDS = /^(\d+)\s*(?:rounds?|x rounds?|times)\b\s*,?\s*(.*?):?$/i;
const BREAK = /^break\s+(\d+)\s*(?:s|sec|seconds)?$/i;
const LOOK = /^(?:recheck|look again)\s*:\s*(.+)$/i;
const NOTE = /^note\s*:\s*(.*)$/i;

const fieldOf = (name: string): HeadField => FORMER_FIELDS[name] ?? (name as HeadField);

/** Reads one line. @param isFirst a first line that is nothing else is the title */
export function readLine(line: string, isFirst: boolean): TextLine {
  const text = line.trim();
  const column = line.length - line.trimStart().length + 1;
  if (text === '') return { kind: 'blank' };
  return (
    readHead(text, column) ??
    readTurn(text, column) ??
    readStop(text, column) ??
    (isFirst && !text.includes(':') ? { kind: 'head', field: 'title', value: text, column } : readBlock(text, column))
  );
}

/** A field, a phase or the minutes. */
function readHead(text: string, column: number): TextLine | null {
  const head = HEAD.exec(text);
  if (head?.[1] !== undefined) {
    const value = head[2] ?? '';
    return { kind: 'head', field: fieldOf(head[1].toLowerCase()), value, column: column + text.length - value.length };
  }
  const phase = PHASE_OF.get(text.replace(/^#*\s*|\s*:?$/g, '').toLowerCase());
  if (phase !== undefined) return { kind: 'phase', phase };
  const minutes = MINUTES.exec(text)?.[1];
  return minutes !== undefined && /min/i.test(text) ? { kind: 'minutes', minutes: Number(minutes) } : null;
}

function readTurn(text: string, column: number): TextLine | null {
  if (/^end of rounds\.?$/i.test(text)) return { kind: 'end of rounds' };
  const rounds = ROUNDS.exec(text);
  if (!rounds) return null;
  const how = readHow(rounds[2] ?? '');
  if ('message' in how) return { kind: 'wrong', column: column + text.indexOf(how.part), message: how.message };
  return { kind: 'rounds', times: Number(rounds[1]), ...how };
}

/** Rest and changes of a round: “rest 60 s, 20 % faster, a level up each round”. */
function readHow(text: string): { restS: number; change?: RoundChange } | { part: string; message: string } {
  let restS = 0;
  const change: { -readonly [K in keyof RoundChange]: RoundChange[K] } = {};
  for (const part of text
    .split(',')
    .map((piece) => piece.trim().replace(/\s*each round$/i, ''))
    .filter(Boolean)) {
    const rest = /^(?:rest\s*(\d+)\s*s?|(\d+)\s*s rest(?: between)?)$/i.exec(part);
    const pace = /^(\d+)\s*%\s*(faster|slower)$/i.exec(part);
    const amount = /^(\d+)\s*%\s*(more|less)$/i.exec(part);
    const levels = /^(a|\d+)\s*levels?\s*(up|down)$/i.exec(part);
    if (rest) restS = Number(rest[1] ?? rest[2]);
    else if (pace) change.fasterPercent = signed(pace[1], pace[2] === 'slower');
    else if (amount) change.morePercent = signed(amount[1], amount[2] === 'less');
    else if (levels) change.levels = signed(levels[1] === 'a' ? '1' : levels[1], levels[2] === 'down');
    else return { part, message: `“${part}” isn’t part of a round. Use rest 60, 20 % faster, 10 % less, a level up.` };
  }
  return { restS, ...(Object.keys(change).length > 0 && { change }) };
}

const signed = (digits: string | undefined, isLess: boolean) => (isLess ? -1 : 1) * Number(digits);

function readStop(text: string, column: number): TextLine | null {
  const pause = BREAK.exec(text);
  if (pause) return { kind: 'break', breakS: Number(pause[1]) };
  const note = NOTE.exec(text);
  if (note) return { kind: 'note', text: note[1] ?? '' };
  const look = LOOK.exec(text);
  if (!look) return null;
  const words = (look[1] ?? '').split(',').map((word) => word.trim().toLowerCase());
  const wrong = words.find((word) => !LOOK_STOPS.some((stop) => stop === word));
  if (wrong === undefined) return { kind: 'look', stops: LOOK_STOPS.filter((stop) => words.includes(stop)) };
  return {
    kind: 'wrong',
    column: column + text.toLowerCase().indexOf(wrong),
    message: `“${wrong}” isn’t a point to recheck at. Use ${LOOK_STOPS.join(' or ')}.`,
  };
}

function readBlock(text: string, column: number): TextLine {
  const at = text.indexOf(':');
  if (at < 0) return { kind: 'block', name: text, column, dose: null, doseColumn: column + text.length };
  const dose = text.slice(at + 1);
  const doseColumn = column + at + 1 + (dose.length - dose.trimStart().length);
  return { kind: 'block', name: text.slice(0, at).trim(), column, dose: dose.trim(), doseColumn };
}
