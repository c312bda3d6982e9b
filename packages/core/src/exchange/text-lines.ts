import type { RoundChange } from '../model/round.js';
import { LOOK_STOPS, type LookStop } from '../vocabulary/rechecks.js';
import { type Phase, PHASE_NAMES, PHASES } from '../vocabulary/phases.js';
import { NUMBER_WORDS, secondsOf } from './text-numbers.js';

/** What a line of a sequence text says. Columns are 1-based. */
export type TextLine =
  | { readonly kind: 'blank' }
  | { readonly kind: 'head'; readonly field: HeadField; readonly value: string; readonly column: number }
  | { readonly kind: 'minutes'; readonly minutes: number }
  | { readonly kind: 'phase'; readonly phase: Phase }
  /** Without a number of times as often as its blocks have sets. */
  | { readonly kind: 'rounds'; readonly times: number | null; readonly restS: number; readonly change?: RoundChange }
  /** What stands above since the last gap, several times over. */
  | { readonly kind: 'repeat'; readonly times: number }
  | { readonly kind: 'other side' }
  | { readonly kind: 'at once' }
  /** What follows is led only where time is left: the next movement, or under a heading all up to the next phase. */
  | { readonly kind: 'bonus'; readonly isHeading: boolean }
  /** All of the above once more. */
  | { readonly kind: 'recap'; readonly isQuicker: boolean }
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
      /** All of the line, as it is read where name and dose are not written one after the other. */
      readonly text: string;
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
/** What phases are called as well. */
const ALSO_CALLED: Readonly<Record<Phase, readonly string[]>> = {
  prepare: ['warmup', 'preparation', 'prep', 'wake up', 'activation'],
  range: ['mobility', 'stretching', 'stretches', 'stretch', 'range of motion'],
  load: ['loading', 'prehab', 'isometrics'],
  strength: ['main', 'main part', 'main set', 'main work', 'work', 'strengthening', 'strength work'],
  skill: ['skills', 'practice', 'skill work'],
  settle: ['cooldown', 'finish', 'recovery', 'wind down', 'afterwards'],
};
/** Phases by their names and ids, as they are typed. */
const PHASE_OF = new Map(
  PHASES.flatMap((phase) =>
    [phase, PHASE_NAMES[phase].replace('-', ' '), ...ALSO_CALLED[phase]].map((name) => [name.toLowerCase(), phase] as const),
  ),
);
const COUNT = String.raw`(\d+|${Object.keys(NUMBER_WORDS).join('|')})`;
const ROUNDS = new RegExp(String.raw`^${COUNT}\s*(?:x\s*)?(?:rounds?|times|sets)\b(?:\s+of\b)?\s*,?\s*(.*?):?$`, 'i');
const CIRCUIT = new RegExp(
  String.raw`^(?:superset|circuit|round)s?\b\s*(?:[x×]\s*${COUNT}|${COUNT}\s*(?:x|times|rounds?|sets))?\s*,?\s*(.*?):?$`,
  'i',
);
const REPEAT = new RegExp(
  String.raw`^(?:repeat|do\s+(?:this|all\s+of\s+this|it))(?:\s+(?:all|the\s+(?:round|circuit|block)))?\s*(?:[x×]\s*)?${COUNT}\s*(?:x|times|rounds?)?\.?$`,
  'i',
);
const OTHER_SIDE =
  /^(?:then\s+)?(?:(?:the\s+|and\s+)?other\s+(?:side|hand|arm)|(?:repeat|same)\s+(?:on\s+)?(?:the\s+)?other\s+(?:side|hand|arm)|(?:switch|change|swap)\s+(?:sides?|hands?)(?:\s+and\s+repeat)?)\.?$/i;
const AT_ONCE = /^(?:at once|straight (?:in)?to|no rest|without (?:a )?(?:rest|break)|immediately)\s*[:.]?$/i;
const BONUS = /^(?:bonus|extras?|if (?:there(?:’|')?s|there is|you have) (?:any )?time(?: left)?|time permitting)\s*:?$/i;
const BONUS_BEFORE = /^(\s*(?:[-*•]\s*)?)(?:bonus|extra)\s*:\s*(?=\S)/i;
const BONUS_BEHIND = / ?[,;-]? ?\(?\b(?:bonus|if (?:there(?:’|')?s|there is|you have) (?:any )?time(?: left)?|time permitting)\)?\.?$/i;
const RECAP =
  /^(?:recap|once more|(?:do |go )?(?:it |everything |through it |the whole thing )?all once more|(?:repeat|do) (?:everything|it all|all)(?: once)?(?: more| again)?|everything once more)\b\s*[:,(]?\s*(.*?)\)?\.?$/i;
const QUICKER = /\b(?:quick(?:er|ly)?|fast(?:er)?)\b/i;
const SECONDS = String.raw`(\d+:\d{2}|\d+(?:\.\d+)?)\s*(s|secs?|seconds?|min|mins|minutes?)?`;
const BREAK = new RegExp(
  String.raw`^(?:break|rest|pause|recover(?:y)?)\b\s*(?:of|for|:)?\s*${SECONDS}(?:\s+(?:in\s+)?between(?:\s+\w+)?)?\.?$`,
  'i',
);
const BREAK_AFTER = new RegExp(String.raw`^${SECONDS}\s*(?:break|rest|pause|recovery)\.?$`, 'i');
/** What stands before the movement in the lines that people send: bullets, numbers, boxes. */
const BULLET = /^\s*(?:[-*•·▪◦‣]+\s+|\[[ x]?\]\s*|\(?\d{1,2}[.)]\s+|[a-hA-H][.)]\s+)+/;
const LOOK = /^(?:recheck|look again)\s*:\s*(.+)$/i;
const NOTE = /^note\s*:\s*(.*)$/i;
/** Remarks of a coach that are kept as they are. */
const REMARK =
  /^(?:\((.+)\)|((?:skip|stop|ease|leave out|drop|only)\b[^:]*\bif\b.*|(?:option(?:al)?|or|tip|cues?|focus|careful|remember|progression|regression|easier|harder)\b\s*:.*))$/i;

const fieldOf = (name: string): HeadField => FORMER_FIELDS[name] ?? (name as HeadField);

/** Reads one line. @param isFirst a first line that is nothing else is the title */
export function readLine(line: string, isFirst: boolean): TextLine {
  const unmarked = line.replace(BULLET, '').trimStart();
  const text = unmarked.trimEnd();
  const column = line.length - unmarked.length + 1;
  if (text === '') return { kind: 'blank' };
  return (
    readHead(text, column) ??
    readTurn(text, column) ??
    readStop(text, column) ??
    (isFirst && !text.includes(':') && !looksLikeDose(line)
      ? { kind: 'head', field: 'title', value: text, column }
      : readBlock(text, column))
  );
}

/** A phase with what follows it in its line: “Warm-up: wrist circles 10 each way”. */
export function phasePrefix(line: string): { readonly phase: Phase; readonly rest: string } | null {
  const at = line.indexOf(':');
  if (at < 0) return null;
  const phase = phaseCalled(line.slice(0, at));
  const rest = line.slice(at + 1).replace(/^[*_\s]+/, '');
  return phase === undefined || rest === '' || /^\d+ ?min(?:ute)?s?$/i.test(rest) ? null : { phase, rest };
}

/** A line without its mark that it is led only where time is left; null where it has none. */
export function withoutBonus(line: string): string | null {
  if (BONUS.test(line.trim())) return null;
  const rest = line.trimEnd().replace(BONUS_BEFORE, '$1').replace(BONUS_BEHIND, '');
  return rest === line.trimEnd() || rest.trim() === '' ? null : rest;
}

/** The phase that a heading names, whatever marks it: “## Warm up (5 min):”. */
function phaseCalled(heading: string): Phase | undefined {
  const words = heading
    .replaceAll(/[#*_:()-]/g, ' ')
    .trim()
    .split(/\s+/);
  const [last = '', before = ''] = words.toReversed();
  const minutes = /^\d+min(?:ute)?s?$/i.test(last) ? 1 : /^min(?:ute)?s?$/i.test(last) && /^\d+$/.test(before) ? 2 : 0;
  return PHASE_OF.get(
    words
      .slice(0, words.length - minutes)
      .join(' ')
      .toLowerCase(),
  );
}

/** Whether a first line is a movement already: it has a bullet, or sets or an amount. */
const looksLikeDose = (line: string): boolean =>
  BULLET.test(line) ||
  /\d\s*(?:x|×|sets?\b|reps?\b|times\b|s\b|sec|min(?:ute)?s?\b(?!\s*$)|breaths?\b|each\b|per\b|%|circles?\b)/i.test(line) ||
  /\bx\s*\d/i.test(line);

/** A field, a phase or the minutes. */
function readHead(text: string, column: number): TextLine | null {
  const head = HEAD.exec(text);
  if (head?.[1] !== undefined) {
    const value = head[2] ?? '';
    return { kind: 'head', field: fieldOf(head[1].toLowerCase()), value, column: column + text.length - value.length };
  }
  const phase = phaseCalled(text);
  if (phase !== undefined) return { kind: 'phase', phase };
  const minutes = MINUTES.exec(text)?.[1];
  return minutes !== undefined && /min/i.test(text) ? { kind: 'minutes', minutes: Number(minutes) } : null;
}

function readTurn(text: string, column: number): TextLine | null {
  if (/^end of rounds\.?$/i.test(text)) return { kind: 'end of rounds' };
  const repeat = REPEAT.exec(text);
  if (repeat) return { kind: 'repeat', times: countOf(repeat[1]) };
  const circuit = CIRCUIT.exec(text);
  const rounds = circuit ?? ROUNDS.exec(text);
  if (!rounds) return null;
  const [times, said = ''] = circuit ? [rounds[1] ?? rounds[2], rounds[3]] : [rounds[1], rounds[2]];
  const how = readHow(said);
  const isWrong = 'message' in how;
  // “3 sets of 10 palm lifts” is a movement, not the beginning of a round.
  const isOfSets = /\bsets\b/i.test(text) && !circuit;
  if (!text.endsWith(':') && (isOfSets || (circuit && isWrong))) return null;
  if (isWrong) return { kind: 'wrong', column: column + text.indexOf(how.part), message: how.message };
  return { kind: 'rounds', times: times === undefined ? null : countOf(times), ...how };
}

const countOf = (word = '1'): number => NUMBER_WORDS[word.toLowerCase()] ?? Number(word);

const REST_BETWEEN = new RegExp(
  String.raw`^(?:(?:with\s+)?rest\s*${SECONDS}|(?:with\s+)?${SECONDS}\s*rest)(?:\s+(?:in\s+)?between(?:\s+rounds)?)?$`,
  'i',
);
/** Rest and changes of a round: “rest 60 s, 20 % faster, a level up each round”. */
function readHow(text: string): { restS: number; change?: RoundChange } | { part: string; message: string } {
  let restS = 0;
  const change: { -readonly [K in keyof RoundChange]: RoundChange[K] } = {};
  for (const part of text
    .split(',')
    .map((piece) => piece.trim().replace(/\s*each round$/i, ''))
    .filter(Boolean)) {
    const rest = REST_BETWEEN.exec(part);
    const pace = /^(\d+)\s*%\s*(faster|slower)$/i.exec(part);
    const amount = /^(\d+)\s*%\s*(more|less)$/i.exec(part);
    const shorter = /^(a|\d+(?:\.\d+)?)\s*(?:s|seconds?)(?:\s+(?:a|per)\s+rep(?:etition)?)?\s*(?:faster|quicker|shorter)$/i.exec(part);
    const levels = /^(a|\d+)\s*levels?\s*(up|down)$/i.exec(part);
    if (rest) restS = Math.round(secondsOf(rest[1] ?? rest[3] ?? '', rest[2] ?? rest[4]));
    else if (shorter) change.fasterS = shorter[1] === 'a' ? 1 : Number(shorter[1]);
    else if (pace) change.fasterPercent = signed(pace[1], pace[2] === 'slower');
    else if (amount) change.morePercent = signed(amount[1], amount[2] === 'less');
    else if (levels) change.levels = signed(levels[1] === 'a' ? '1' : levels[1], levels[2] === 'down');
    else return { part, message: `“${part}” isn’t part of a round. Use rest 60, 20 % faster, 10 % less, a level up.` };
  }
  return { restS, ...(Object.keys(change).length > 0 && { change }) };
}

const signed = (digits: string | undefined, isLess: boolean) => (isLess ? -1 : 1) * Number(digits);

/** How the movements around a line follow each other. */
function readCourse(text: string): TextLine | null {
  if (OTHER_SIDE.test(text)) return { kind: 'other side' };
  if (AT_ONCE.test(text)) return { kind: 'at once' };
  if (BONUS.test(text)) return { kind: 'bonus', isHeading: text.endsWith(':') };
  return RECAP.test(text) && !/\d/.test(text) ? { kind: 'recap', isQuicker: QUICKER.test(text) } : null;
}

function readStop(text: string, column: number): TextLine | null {
  const pause = BREAK.exec(text) ?? BREAK_AFTER.exec(text);
  if (pause) return { kind: 'break', breakS: Math.round(secondsOf(pause[1] ?? '', pause[2])) };
  if (/^(?:then|next|and|and then|finally)[.:]?$/i.test(text)) return { kind: 'note', text: '' };
  const course = readCourse(text);
  if (course) return course;
  const note = NOTE.exec(text);
  if (note) return { kind: 'note', text: note[1] ?? '' };
  const remark = REMARK.exec(text);
  if (remark) return { kind: 'note', text: (remark[1] ?? remark[2] ?? '').trim() };
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
  if (at < 0) return { kind: 'block', name: text, column, dose: null, doseColumn: column + text.length, text };
  const dose = text.slice(at + 1);
  const doseColumn = column + at + 1 + (dose.length - dose.trimStart().length);
  return { kind: 'block', name: text.slice(0, at).trim(), column, dose: dose.trim(), doseColumn, text };
}
