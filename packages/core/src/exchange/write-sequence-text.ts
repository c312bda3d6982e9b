import { PHASE_NAMES } from '../vocabulary/phases.js';
import { plainName } from '../library/find-movements.js';
import { printDose } from '../model/dose-shorthand.js';
import type { Method, MethodLookup } from '../model/method.js';
import { type Level, type Movement, type MovementLookup, usualWay } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { roundChangeWords } from '../model/round-words.js';
import { roundOf } from '../model/rounds.js';
import { resolveBlock } from '../model/check-sequence.js';
import { type Block, type Pacing, type Sequence, USUAL_PACING } from '../model/sequence.js';
import { same } from '../vocabulary/same.js';
import { phasePrefix, readLine } from './text-lines.js';
import { isBlockLine } from './block-in-line.js';

/** What a text is written with. */
export interface Writing {
  readonly lookup: MovementLookup;
  readonly method: MethodLookup;
  /** Among these a name has to be the only one of its kind; else ids are written. */
  readonly shelf: readonly Movement[];
}

/** A sequence as plain text that a person can read, send, and paste back: `readSequenceText` reads it to the same sequence, but for the ids of its blocks. */
export function writeSequenceText(sequence: Sequence, writing: Writing): string {
  const lines = [...headOf(sequence, writing)];
  let phase: Block['phase'] | null = null;
  let open: Round | undefined;
  for (const block of sequence.blocks) {
    const round = roundOf(sequence, block.id);
    const isNewPhase = block.phase !== phase;
    if (isNewPhase || (open && round !== open)) lines.push('');
    if (isNewPhase) lines.push(PHASE_NAMES[block.phase]);
    phase = block.phase;
    if (round && round !== open) lines.push(roundLine(round));
    open = round;
    lines.push(...linesOf(block, writing).map((line) => (round ? `  ${line}` : line)));
  }
  return `${lines.join('\n')}\n`;
}

function headOf({ title, purpose, budgetMin, methodId, pacing, tests = [], mutes = [] }: Sequence, { method, shelf }: Writing): string[] {
  const first = oneLine(title);
  const read = readLine(first, true);
  const isTitle =
    read.kind === 'head' && read.field === 'title' && read.value === first && !phasePrefix(first) && !isBlockLine(first, { shelf });
  return [
    isTitle && !/^title/i.test(first) ? first : `title: ${first}`,
    `${budgetMin} min`,
    ...(methodId === undefined ? [] : [`method: ${methodName(method(methodId), methodId)}`]),
    ...(purpose === '' ? [] : [`purpose: ${oneLine(purpose)}`]),
    ...(same(pacing, USUAL_PACING) ? [] : [`pacing: ${pacingWords(pacing)}`]),
    ...(tests.length > 0 ? [`tested: ${tests.join(', ')}`] : []),
    ...mutes.map(({ check, reason }) => `muted: ${check}, ${oneLine(reason)}`),
  ];
}

const methodName = (method: Method | undefined, id: string): string => (method ? oneLine(method.name) : id);

/** Line breaks become blanks: a text has its own. */
const oneLine = (text: string) => text.replace(/\s*[\r\n]+\s*/g, ' ').trim();

/** Seconds between things: “ready 10, announce 5, change 3, breathe 4-6”. */
const pacingWords = ({ readyS = USUAL_PACING.readyS, announceS, changeSidesS, breathInS, breathOutS }: Pacing): string =>
  `ready ${readyS}, announce ${announceS}, change ${changeSidesS}, breathe ${breathInS}-${breathOutS}`;

function roundLine({ times, restS, change }: Round): string {
  const changes = change ? roundChangeWords(change) : '';
  return [`${times} rounds`, ...(restS > 0 ? [`rest ${restS} s`] : []), ...(changes ? [changes] : [])].join(', ') + ':';
}

function linesOf(block: Block, writing: Writing): string[] {
  const { movement, level } = resolveBlock(block, writing.lookup);
  const { breakS, atOnce, bonus, lookAgain, note } = block;
  return [
    ...(breakS === undefined ? [] : [`break ${breakS} s`]),
    ...(atOnce ? ['at once'] : []),
    ...(bonus ? ['bonus'] : []),
    `${nameOf(movement, writing.shelf)}, ${levelName(movement, level)}: ${printDose(block.dose, usualWay(movement))}`,
    ...(lookAgain ? [`  recheck: ${lookAgain.join(', ')}`] : []),
    ...(note === undefined ? [] : [`  note: ${oneLine(note)}`]),
  ];
}

/** A name that is read back as itself: no colon or bracket, and no other movement or line that would be taken for it. */
function nameOf({ id, name }: Movement, shelf: readonly Movement[]): string {
  const isOnly = shelf.filter((other) => plainName(other.name) === plainName(name)).length === 1;
  const read = readLine(`${name}, x: 1x8`, false);
  return isOnly && isPlain(name) && read.kind === 'block' && read.name === `${name}, x` ? oneLine(name) : `[${id}]`;
}

function levelName({ ladder }: Movement, { id, name }: Level): string {
  const isOnly = ladder.filter((other) => plainName(other.name) === plainName(name)).length === 1;
  return isOnly && isPlain(name) ? name : `[${id}]`;
}

const isPlain = (name: string) => plainName(name) !== '' && !/[:[\]\n\r]/.test(name);
