import type { SidePlan } from '../vocabulary/hands.js';
import { OWN_LOAD_NAMES, type OwnLoadName } from '../vocabulary/own-load.js';
import { POUND_KG } from '../vocabulary/units.js';
import { type DirectionPlan, UNIT_OF } from '../vocabulary/work.js';
import type { Dose, Work } from './dose.js';
import type { Part } from './dose-parts.js';
import { amountIn } from './dose-sets.js';
import { ShorthandError } from './shorthand-error.js';

/** What a text that says nothing of sides or directions means; a movement's usual way. */
export interface DoseDefaults {
  readonly sides: SidePlan;
  readonly directions: DirectionPlan;
}
/** Both hands together, in no direction. */
export const PLAIN: DoseDefaults = { sides: 'together', directions: 'none' };

/** Hands as they are typed. */
export const SIDE_WORDS: Record<string, SidePlan> = {
  LR: 'together',
  L: 'left',
  R: 'right',
  'L,R': 'left-then-right',
  'R,L': 'right-then-left',
  'L/R': 'alternating',
};
/** All sets of one hand before the other’s. */
export const ONE_HAND_FIRST_WORDS: Partial<Record<string, SidePlan>> = { 'LL,RR': 'left-then-right', 'RR,LL': 'right-then-left' };
/** Directions as they are typed. */
export const DIRECTION_WORDS: Record<string, DirectionPlan> = { '>': 'first', '<': 'second', '<>': 'each' };
/** How each thing of a dose's own load is typed: a word before its number, and a unit behind it. */
export const OWN_LOAD_WORDS: Record<OwnLoadName, { readonly word: string; readonly unit: string }> = {
  massKg: { word: '', unit: 'kg' },
  springKg: { word: 'spring', unit: 'kg' },
  bandKg: { word: 'band', unit: 'kg' },
  edgeMm: { word: 'edge', unit: '' },
  handleMm: { word: 'handle', unit: '' },
  pinchMm: { word: 'pinch', unit: '' },
  wedgeDeg: { word: 'wedge', unit: '' },
  handHeightM: { word: 'hands', unit: 'm' },
  awayM: { word: 'away', unit: 'm' },
};

/** What a part can be about: each is said once. */
export type Slot =
  | 'sides'
  | 'directions'
  | 'effort'
  | 'sore'
  | 'rest'
  | 'hold'
  | 'tempo'
  | 'faster'
  | 'pause'
  | 'goal'
  | 'left'
  | 'right'
  | 'positions'
  | OwnLoadName;
/** What a part says; the left hand's amount is the sets' own. */
export type SaidInPart = Partial<Dose> & { readonly leftAmount?: number };

/** A part that says nothing a dose can be. */
export const unreadable = ({ text, at }: Part, message: string) => new ShorthandError(text, message, at);

const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const ofWord = (name: OwnLoadName) => {
  const { word, unit } = OWN_LOAD_WORDS[name];
  const behind = { kg: word ? '(?:kg)?' : 'kg', m: 'm?', '': '(?:mm|°)?' }[unit];
  return new RegExp(`^${word}${NUMBER}${behind}$`, 'i');
};
const OWN_LOAD_PATTERNS = OWN_LOAD_NAMES.map((name) => [name, ofWord(name)] as const);

/** What one part says, and of what. @param work that it stands beside, for amounts without a unit */
export function readPart(part: Part, work: Work): { slot: Slot; values: SaidInPart } {
  const { tidy } = part;
  const side = SIDE_WORDS[tidy.toUpperCase()];
  if (side) return { slot: 'sides', values: { sides: side } };
  const sideFirst = ONE_HAND_FIRST_WORDS[tidy.toUpperCase()];
  if (sideFirst) return { slot: 'sides', values: { sides: sideFirst, oneHandFirst: true } };
  const directions = DIRECTION_WORDS[tidy];
  if (directions) return { slot: 'directions', values: { directions } };
  const number = (pattern: RegExp) => {
    const found = pattern.exec(tidy);
    return found ? Number(found[1]) : null;
  };
  const ranged = readRanged(part, work);
  if (ranged) return ranged;
  const restS = number(/^rest(\d+)s?$/i);
  if (restS !== null) return { slot: 'rest', values: { restS } };
  const pauseS = number(/^pause(\d+(?:\.\d+)?)s?$/i);
  if (pauseS !== null) return { slot: 'pause', values: { pauseS } };
  const holdS = number(/^(\d+(?:\.\d+)?)s$/i);
  if (holdS !== null) return { slot: 'hold', values: { holdS } };
  const tempo = /^tempo(\d+(?:\.\d+)?)-(?:(\d+(?:\.\d+)?)-)?(\d+(?:\.\d+)?)$/i.exec(tidy);
  if (tempo) {
    const [, outS, middleS, backS] = tempo;
    const pace = { tempo: { outS: Number(outS), backS: Number(backS) } };
    return { slot: 'tempo', values: { ...pace, ...(Number(middleS) && { holdS: Number(middleS) }) } };
  }
  const pounds = /^(spring|band)?(\d+(?:\.\d+)?)lbs?$/i.exec(tidy);
  if (pounds) {
    const name = pounds[1] === undefined ? 'massKg' : pounds[1].toLowerCase() === 'spring' ? 'springKg' : 'bandKg';
    return { slot: name, values: { load: { [name]: Number((Number(pounds[2]) * POUND_KG).toFixed(2)) } } };
  }
  for (const [name, pattern] of OWN_LOAD_PATTERNS) {
    const value = number(pattern);
    if (value !== null) return { slot: name, values: { load: { [name]: value } } };
  }
  throw unreadable(
    part,
    `Can’t read “${part.text}” in a dose. Use @40% or @30-40% for effort, sore@20%, goal30s, 2s for a hold, tempo1-3, pause2, rest20, 12kg, spring12kg, band3kg, edge20, handle50, pinch40, wedge15, hands0.48m, away0.9m, L R L,R LL,RR LR L/R for hands, R60s for the right hand’s own amount, > < <> for directions.`,
  );
}

/** An effort or an amount beside today's: a band, a sore day's, a goal, one hand's own; a pace that grows; some of the positions. */
function readRanged({ text, at, tidy }: Part, work: Work): { slot: Slot; values: SaidInPart } | null {
  const effort = /^(sore)?@(\d+)(?:-(\d+))?%?$/i.exec(tidy);
  if (effort) {
    const [, sore, from, to] = effort;
    const values = { effortPercent: Number(from), ...(to !== undefined && { effortToPercent: Number(to) }) };
    return sore === undefined ? { slot: 'effort', values } : { slot: 'sore', values: { sore: values } };
  }
  const amount = /^(goal|L|R)(\d[\d:]*(?:min|br|s|m)?)$/i.exec(tidy);
  if (amount) {
    const [, of = '', said = ''] = amount;
    const value = amountIn(said, work);
    if (value === null)
      throw new ShorthandError(text, `“${text}” counts something else than the sets, which are in ${UNIT_OF[work.kind]}.`, at);
    if (of.toLowerCase() === 'goal') return { slot: 'goal', values: { goal: value } };
    return of.toUpperCase() === 'R' ? { slot: 'right', values: { rightAmount: value } } : { slot: 'left', values: { leftAmount: value } };
  }
  const faster = /^faster(\d+(?:\.\d+)?)(%|s)$/i.exec(tidy);
  if (faster) {
    const value = Number(faster[1]);
    return {
      slot: 'faster',
      values: { faster: faster[2] === '%' ? { kind: 'percent', percent: value } : { kind: 'seconds', seconds: value } },
    };
  }
  const only = /^only:([a-z]+(?:[-+][a-z]+)*)$/i.exec(tidy);
  if (!only) return null;
  const positions = (only[1] ?? '').toLowerCase().split('+');
  return { slot: 'positions', values: { positions: positions.map((name) => name.replaceAll('-', ' ')) } };
}
