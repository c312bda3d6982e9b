import { plainName } from '../library/find-movements.js';
import { checkSequence } from '../model/check-sequence.js';
import { parseDose, ShorthandError } from '../model/dose-shorthand.js';
import { checkFit } from '../model/fit.js';
import type { Method } from '../model/method.js';
import { USUAL_PHASE, usualWay } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { type Block, inPhaseOrder, type Sequence, SEQUENCE, SEQUENCE_LIMITS, USUAL_PACING } from '../model/sequence.js';
import { checkMutes } from '../rules/checks/check-mutes.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { sentence } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Phase } from '../vocabulary/phases.js';
import { SESSION_TESTS, type SessionTest } from '../vocabulary/session-tests.js';
import { type HeadField, readLine, type TextLine } from './text-lines.js';
import { namedLevel, type Names } from './text-names.js';

/** A fault in a text: its position, what would be right, and the nearest names. */
export interface TextFault {
  /** 1-based. */
  readonly line: number;
  readonly column: number;
  readonly message: string;
  readonly nearest: readonly string[];
}

/** What was read from words that weren’t exact: reported, so that nobody is surprised. */
export interface Interpretation {
  readonly line: number;
  readonly wrote: string;
  readonly took: string;
}

/** A text as it was read: the sequence, or what keeps it from being one. */
export interface SequenceRead {
  readonly document: Sequence | null;
  readonly interpretations: readonly Interpretation[];
  readonly faults: readonly TextFault[];
}

/** What a text is read with. */
export interface Reading extends Names {
  readonly methods: readonly Method[];
}

/** The longest text that is read. */
export const SEQUENCE_TEXT_LENGTH = 60_000;
const UNNAMED = 'Sequence without a title';

/**
 * Reads a sequence from plain text: `docs/format.md` has the grammar. Names are found as in the search; what was taken for them is said. Nothing is read by
 * halves: with any fault there is no document.
 */
export function readSequenceText(text: string, reading: Reading): SequenceRead {
  const reader = new TextReader(reading);
  text.split(/\r?\n/).forEach((line, index) => reader.line(line, index + 1));
  return reader.ended();
}

type Growing = { -readonly [K in keyof Block]: Block[K] };

class TextReader {
  private readonly blocks: Growing[] = [];
  private readonly lineOf = new Map<string, number>();
  private readonly rounds: (Omit<Round, 'blockIds'> & { blockIds: string[] })[] = [];
  private readonly interpretations: Interpretation[] = [];
  private readonly faults: TextFault[] = [];
  private head: Partial<Sequence> = {};
  private phase: Phase | null = null;
  private isInRound = false;
  private breakS: number | undefined;
  private hasBegun = false;

  constructor(private readonly reading: Reading) {}

  line(text: string, line: number): void {
    const said = readLine(text, !this.hasBegun);
    if (said.kind !== 'blank') this.hasBegun = true;
    this.take(said, line);
  }

  private take(said: TextLine, line: number): void {
    switch (said.kind) {
      case 'head':
        return this.takeHead(said.field, said.value.trim(), line, said.column);
      case 'minutes':
        this.head = { ...this.head, budgetMin: said.minutes };
        return;
      case 'rounds':
        return this.openRound(said, line);
      case 'break':
        this.breakS = said.breakS;
        return;
      case 'look':
      case 'note':
        return this.addTo(said, line);
      case 'block':
        return this.block(said, line);
      case 'wrong':
        return this.fault(line, said.column, said.message);
      default:
        // A blank line, the end of the rounds and a new phase all close a round that has begun.
        if (this.rounds.at(-1)?.blockIds.length) this.isInRound = false;
        if (said.kind === 'phase') this.phase = said.phase;
    }
  }

  private fault(line: number, column: number, message: string, nearest: readonly string[] = []): void {
    this.faults.push({ line, column, message, nearest });
  }

  private takeHead(field: HeadField, value: string, line: number, column: number): void {
    const read = HEADS[field](value, this.reading, this.head);
    if (typeof read === 'string') this.fault(line, column, read);
    else this.head = { ...this.head, ...read };
  }

  private openRound({ times, restS, change }: Extract<TextLine, { kind: 'rounds' }>, line: number): void {
    const id = `round-${this.rounds.length + 1}`;
    this.lineOf.set(id, line);
    this.rounds.push({ id, blockIds: [], times, restS, ...(change && { change }) });
    this.isInRound = true;
  }

  private addTo(said: Extract<TextLine, { kind: 'look' | 'note' }>, line: number): void {
    const last = this.blocks.at(-1);
    if (!last) return this.fault(line, 1, 'Put a movement above this line: there is none it could belong to.');
    if (said.kind === 'look') last.lookAgain = said.stops;
    else if (said.text !== '') last.note = said.text;
  }

  private block({ name, column, dose, doseColumn }: Extract<TextLine, { kind: 'block' }>, line: number): void {
    const found = namedLevel(name, this.reading);
    if ('message' in found) return this.fault(line, column, found.message, found.nearest);
    const { movement, level, isExact } = found;
    if (!isExact) this.interpretations.push({ line, wrote: name, took: `${movement.name}, ${level.name}` });
    const id = `b${this.blocks.length + 1}`;
    const phase = this.phase ?? USUAL_PHASE[movement.family];
    const block: Growing = { id, phase, movementId: movement.id, levelId: level.id, dose: level.dose };
    if (dose === null) this.interpretations.push({ line, wrote: name, took: 'the level’s usual dose' });
    else {
      try {
        block.dose = parseDose(dose, usualWay(movement));
      } catch (error) {
        if (!(error instanceof ShorthandError)) throw error;
        return this.fault(line, doseColumn + Math.max(0, error.at), error.message);
      }
      const misfit = checkFit(block.dose, movement, level)[0];
      if (misfit) this.fault(line, doseColumn, sentence(misfit));
    }
    if (this.breakS !== undefined) block.breakS = this.breakS;
    this.breakS = undefined;
    this.blocks.push(block);
    this.lineOf.set(id, line);
    if (this.isInRound) this.rounds.at(-1)?.blockIds.push(id);
  }

  ended(): SequenceRead {
    const { faults, interpretations } = this;
    if (!this.hasBegun) this.fault(1, 1, 'The text is empty. Start with a title, then write one movement per line.');
    if (faults.length > 0) return { document: null, interpretations: interpretations, faults };
    const blocks = inPhaseOrder(this.blocks);
    const draft: Sequence = { title: UNNAMED, purpose: '', budgetMin: 1, pacing: USUAL_PACING, ...this.head, blocks };
    const document = this.rounds.length > 0 ? { ...draft, rounds: this.rounds } : draft;
    const lookup = (id: string) => this.reading.shelf.find((movement) => movement.id === id);
    const shape = faultsOf(SEQUENCE, document);
    const wrong = shape.length > 0 ? shape : [...checkSequence(document, lookup), ...checkMutes(document)];
    for (const fault of wrong) this.fault(this.placeOf(fault.pointer, document), 1, sentence(fault));
    if (faults.length > 0) return { document: null, interpretations: interpretations, faults };
    if (this.head.title === undefined) interpretations.push({ line: 1, wrote: '', took: UNNAMED });
    if (this.head.budgetMin !== undefined) return { document, interpretations: interpretations, faults };
    const minutes = Math.max(1, Math.ceil(compileTimeline(document, lookup).durationMs / 60_000));
    const budgetMin = Math.min(SEQUENCE_LIMITS.budgetMin.max, minutes);
    return {
      document: { ...document, budgetMin },
      interpretations: [...interpretations, { line: 1, wrote: '', took: `${budgetMin} min, as long as it takes` }],
      faults,
    };
  }

  /** The line that a pointer into the document means. */
  private placeOf(pointer: string, { blocks, rounds = [] }: Sequence): number {
    const at = /^\/(blocks|rounds)\/(\d+)/.exec(pointer);
    const id = (at?.[1] === 'blocks' ? blocks : rounds)[Number(at?.[2])]?.id;
    return this.lineOf.get(id ?? '') ?? 1;
  }
}

/** Seconds with or without their unit. */
const PACING_LINE = /^ready (\d+)(?: ?s)?, announce (\d+)(?: ?s)?, change (\d+)(?: ?s)?, breathe (\d+(?:\.5)?)-(\d+(?:\.5)?)(?: ?s)?$/i;

type Head = (value: string, reading: Reading, before: Partial<Sequence>) => Partial<Sequence> | string;

/** What each line above the blocks says; a sentence where it says nothing that is known. */
const HEADS: Record<HeadField, Head> = {
  title: (title) => ({ title }),
  purpose: (purpose) => ({ purpose }),
  method: (value, { methods }) => {
    const method = methods.find(({ id, name }) => id === value || plainName(name) === plainName(value));
    return method ? { methodId: method.id } : `There is no method “${value}”. Use ${methods.map(({ name }) => name).join(', ')}.`;
  },
  pacing: (value) => {
    const read = PACING_LINE.exec(value);
    if (!read) return 'Write pacing like this: ready 10, announce 5, change 3, breathe 4-6.';
    const [readyS = 0, announceS = 0, changeSidesS = 0, breathInS = 0, breathOutS = 0] = read.slice(1).map(Number);
    return { pacing: { readyS, announceS, changeSidesS, breathInS, breathOutS } };
  },
  tested: (value) => {
    const tests = value.split(',').map((test) => test.trim());
    const unknown = tests.find((test) => !SESSION_TESTS.some((ids) => ids === test));
    return unknown === undefined
      ? { tests: tests as SessionTest[] }
      : `“${unknown}” can’t be tested before and after. Use ${SESSION_TESTS.join(', ')}.`;
  },
  muted: (value, _reading, { mutes = [] }) => {
    const [check = '', ...reason] = value.split(',');
    const wording = reason.join(',').trim();
    return wording === ''
      ? 'Mute a check with a reason, like this: muted: thumb-forgotten, on its own day.'
      : { mutes: [...mutes, { check: check.trim(), reason: wording }] };
  },
};
