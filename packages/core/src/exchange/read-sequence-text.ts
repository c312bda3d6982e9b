import { printDose } from '../model/dose-shorthand.js';
import type { Method } from '../model/method.js';
import { findLevel, USUAL_PHASE } from '../model/movement.js';
import { type Sequence, SEQUENCE_LIMITS } from '../model/sequence.js';
import { same } from '../vocabulary/same.js';
import type { Phase } from '../vocabulary/phases.js';
import { assemble } from './assemble.js';
import { type BlockInLine, blocksInLine, isBlockLine } from './block-in-line.js';
import { dosePhrasesIn } from './dose-phrases.js';
import { type GrowingBlock, placed } from './placed.js';
import { withGrades } from './grade-names.js';
import { GrowingRounds } from './growing-rounds.js';
import { recapDose } from './recap.js';
import { HEADS } from './text-heads.js';
import { type HeadField, phasePrefix, readLine, type TextLine, withoutBonus } from './text-lines.js';
import type { AtLevel, Names } from './text-names.js';

/** A line that was not understood: its position, what would be right, and what could be meant. */
export interface TextFault {
  /** 1-based. */
  readonly line: number;
  readonly column: number;
  readonly message: string;
  readonly nearest: readonly string[];
  /** Lines that may take its place. */
  readonly choices: readonly string[];
}

/** What was read from words that weren’t exact: reported, so that nobody is surprised. */
export interface Interpretation {
  readonly line: number;
  readonly wrote: string;
  readonly took: string;
}

/** A text as it was read. What was not understood stands beside what was: nothing is refused whole. */
export interface SequenceRead {
  /** All that was understood; null where that is no block at all, or no sound sequence. */
  readonly document: Sequence | null;
  readonly interpretations: readonly Interpretation[];
  /** Lines that were not understood; all others are in the document. */
  readonly faults: readonly TextFault[];
  /** What each block’s line was read as, in the words of the editor. */
  readonly understood: readonly UnderstoodLine[];
}

/** A line as it was read. */
export interface UnderstoodLine {
  readonly line: number;
  readonly text: string;
  /** Whether it was written to the letter. */
  readonly isExact: boolean;
}

/** What a text is read with. */
export interface Reading extends Names {
  readonly methods: readonly Method[];
}

/** The longest text that is read. */
export const SEQUENCE_TEXT_LENGTH = 60_000;

/**
 * Reads a sequence from plain text, in the order in which it is written: `docs/format.md` has the grammar. Lines are read as people write them, to the letter or
 * not; what was taken for them is said, and a line that could mean several things or none is told with what it could be, while all others stay.
 */
export function readSequenceText(text: string, reading: Reading): SequenceRead {
  const reader = new TextReader(reading);
  const { grades = [] } = reading;
  text.split(/\r?\n/).forEach((line, index) => reader.line(withGrades(line, grades), index + 1));
  return reader.ended();
}

type SaidBlock = Extract<TextLine, { kind: 'block' }>;

class TextReader {
  private readonly blocks: GrowingBlock[] = [];
  private readonly lineOf = new Map<string, number>();
  /** Blocks that stand under no phase. */
  private readonly unplaced = new Map<string, AtLevel>();
  private readonly rounds = new GrowingRounds();
  private readonly interpretations: Interpretation[] = [];
  private readonly faults: TextFault[] = [];
  private readonly understood: UnderstoodLine[] = [];
  private head: Partial<Sequence> = {};
  private phase: Phase | null = null;
  private breakS: number | undefined;
  /** Whether the next block follows the one above without a change. */
  private atOnce = false;
  /** Whether what follows is led only where time is left: up to the next phase. */
  private isBonus = false;
  private nextIsBonus = false;
  private hasBegun = false;
  /** Remarks that stand above the first block. */
  private early: string[] = [];
  /** The movement of the line above, where it had no dose. */
  private undosed: AtLevel | null = null;
  /** Whether it was said that the rest is not read. */
  private isOver = false;
  /** Blocks before this one belong to what stands above the last gap. */
  private groupStart = 0;

  constructor(private readonly reading: Reading) {}

  line(text: string, line: number): void {
    if (text.length > LINE_LENGTH) return this.fault(line, 1, `This line is longer than ${LINE_LENGTH} characters. Split it.`);
    const prefixed = phasePrefix(text);
    if (prefixed) {
      this.take({ kind: 'phase', phase: prefixed.phase }, line);
      this.hasBegun = true;
      return this.line(prefixed.rest, line);
    }
    const bonus = this.hasBegun ? withoutBonus(text) : null;
    if (bonus !== null) {
      this.nextIsBonus = true;
      this.line(bonus, line);
      this.nextIsBonus = false;
      return;
    }
    const said = readLine(text, !this.hasBegun);
    // A first line that names a movement is one: a title like that says that it is a title.
    const isNamed =
      !this.hasBegun &&
      said.kind === 'head' &&
      said.field === 'title' &&
      !/^title\s*:/i.test(text.trim()) &&
      isBlockLine(said.value, this.reading);
    if (said.kind !== 'blank') this.hasBegun = true;
    this.take(isNamed ? readLine(text, false) : said, line);
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
      case 'repeat':
        return this.repeat(said.times, line);
      case 'other side':
        return this.otherSide(line);
      case 'at once':
        this.atOnce = true;
        return;
      case 'bonus':
        return this.bonus(said.isHeading);
      case 'recap':
        return this.recap(said.isQuicker, line);
      case 'wrong':
        return this.fault(line, said.column, said.message);
      default:
        return this.gap(said.kind === 'phase' ? said.phase : null);
    }
  }

  /** A blank line, the end of the rounds and a new phase all close a round that has begun. */
  private gap(phase: Phase | null): void {
    if (this.rounds.lastHasBlocks) this.closeRound();
    this.groupStart = this.blocks.length;
    if (!phase) return;
    this.phase = phase;
    this.isBonus = false;
  }

  private bonus(isHeading: boolean): void {
    if (isHeading) this.closeRound();
    if (isHeading) this.isBonus = true;
    else this.nextIsBonus = true;
  }

  private fault(line: number, column: number, message: string, nearest: readonly string[] = [], choices: readonly string[] = []): void {
    this.faults.push({ line, column, message, nearest, choices });
  }

  private closeRound(): void {
    if (this.rounds.close(this.breakS)) this.breakS = undefined;
  }

  /** What stands above since the last gap is taken in turn, several times. */
  private repeat(times: number, line: number): void {
    const blockIds = this.blocks.slice(this.groupStart).map(({ id }) => id);
    if (blockIds.length === 0 || this.rounds.isOpen) return this.fault(line, 1, 'Put the movements to repeat above this line.');
    this.openRound({ kind: 'rounds', times, restS: 0 }, line);
    this.rounds.add(...blockIds);
    this.closeRound();
  }

  /** The block above goes where the line that follows gives its dose. */
  private dropLast(): void {
    const last = this.blocks.pop();
    if (!last) return;
    this.understood.pop();
    this.unplaced.delete(last.id);
    if (last.note) this.early.unshift(last.note);
    if (last.breakS !== undefined) this.breakS = last.breakS;
    this.rounds.drop(last.id);
  }

  /** All blocks above once more, one set each: explicit blocks, which can be changed like any other. */
  private recap(isQuicker: boolean, line: number): void {
    const above = this.blocks.filter(({ bonus, phase }) => !bonus && phase !== 'settle');
    if (above.length === 0) return this.fault(line, 1, 'Put the movements to go through once more above this line.');
    this.closeRound();
    for (const { movementId, levelId, dose } of above) {
      const movement = this.reading.shelf.find(({ id }) => id === movementId);
      const level = movement && findLevel(movement, levelId);
      if (!movement || !level || this.isFull(line)) return;
      const said = { kind: 'block' as const, name: movement.name, column: 1, dose: '', doseColumn: 1, text: movement.name };
      this.push({ movement, level, dose: recapDose(dose, level, isQuicker), note: 'recap', isExact: true }, said, line);
    }
  }

  private otherSide(line: number): void {
    const last = this.blocks.at(-1);
    const movement = this.reading.shelf.find(({ id }) => id === last?.movementId);
    if (!last || !movement) return this.fault(line, 1, 'Put a movement above this line: there is none to do on the other side.');
    const sides = last.dose.sides === 'right' ? 'right-then-left' : 'left-then-right';
    if (last.dose.sides === 'together' && !movement.sides.includes(sides)) return this.remark('other side');
    if (movement.sides.includes(sides)) last.dose = { ...last.dose, sides };
  }

  /** A remark of the coach stays with the block above it; above the first block it waits for that one. */
  private remark(text: string): void {
    const last = this.blocks.at(-1);
    if (last) last.note = [last.note, text].filter(Boolean).join('; ').slice(0, SEQUENCE_LIMITS.noteLength);
    else this.early.push(text);
  }

  private takeHead(field: HeadField, value: string, line: number, column: number): void {
    const read = HEADS[field](value, this.reading.methods, this.head);
    if (typeof read === 'string') this.fault(line, column, read);
    else this.head = { ...this.head, ...read };
  }

  private openRound(said: Extract<TextLine, { kind: 'rounds' }>, line: number): void {
    this.closeRound();
    this.lineOf.set(this.rounds.open(said), line);
  }

  private addTo(said: Extract<TextLine, { kind: 'look' | 'note' }>, line: number): void {
    const last = this.blocks.at(-1);
    if (said.kind === 'note') {
      if (said.text !== '') this.remark(said.text);
    } else if (last) last.lookAgain = said.stops;
    else this.fault(line, 1, 'Put a movement above this line: there is none it could belong to.');
  }

  private block(said: SaidBlock, line: number): void {
    if (/[a-z]\s*:$/i.test(said.text) && said.dose === '' && !/\d/.test(said.text)) {
      this.early.push(said.text.replace(/\s*:$/, ''));
      return;
    }
    if (this.isFull(line)) return;
    const read = blocksInLine(said, this.reading, this.undosed);
    if ('message' in read) {
      if (read.choices.length === 0 && isRemark(said.text)) return this.remark(said.text);
      return this.fault(line, read.column, read.message, read.nearest, read.choices);
    }
    // A line with nothing but a dose gives that of the line above.
    if (this.undosed !== null && dosePhrasesIn(said.text).clauses.length === 0) this.dropLast();
    this.undosed = null;
    for (const each of read) this.push(each, said, line);
    this.nextIsBonus = false;
  }

  /** Past what a sequence holds, or where hardly a line is understood, no more is looked up: it would take long and help nobody. */
  private isFull(line: number): boolean {
    const isLong = this.blocks.length >= SEQUENCE_LIMITS.blocks;
    if (!isLong && this.faults.length < MOST_FAULTS) return false;
    if (!this.isOver) {
      const why = isLong ? `A sequence has at most ${SEQUENCE_LIMITS.blocks} blocks` : `${MOST_FAULTS} lines are not understood`;
      this.fault(line, 1, `${why}: the text is not read from here on.`);
    }
    this.isOver = true;
    return true;
  }

  private push({ movement, level, dose, note, isExact }: BlockInLine, said: SaidBlock, line: number): void {
    const id = `b${this.blocks.length + 1}`;
    const isUsual = same(dose, level.dose);
    if (this.phase === null) this.unplaced.set(id, { movement, level });
    const block: GrowingBlock = { id, phase: this.phase ?? USUAL_PHASE[movement.family], movementId: movement.id, levelId: level.id, dose };
    const remarks = [...this.early.splice(0), note].filter(Boolean);
    if (remarks.length > 0) block.note = remarks.join('; ').slice(0, SEQUENCE_LIMITS.noteLength);
    this.follow(block);
    this.blocks.push(block);
    this.lineOf.set(id, line);
    this.rounds.add(id);
    if (isUsual) this.undosed = { movement, level };
    const wrote = said.name;
    if (!isExact) this.interpretations.push({ line, wrote, took: `${movement.name}, ${level.name}` });
    if (said.dose === null && isUsual) this.interpretations.push({ line, wrote, took: 'the level’s usual dose' });
    this.understood.push({ line, text: `${movement.name}, ${level.name}: ${printDose(dose)}${note && ` (${note})`}`, isExact });
  }

  /** How a block follows the one above: after a break, at once, or only where time is left. */
  private follow(block: GrowingBlock): void {
    if (this.breakS !== undefined) block.breakS = this.breakS;
    if (this.atOnce && this.blocks.length > 0) block.atOnce = true;
    if (this.isBonus || this.nextIsBonus) block.bonus = true;
    this.breakS = undefined;
    this.atOnce = false;
  }

  ended(): SequenceRead {
    const { faults, interpretations, understood } = this;
    if (!this.hasBegun) this.fault(1, 1, 'The text is empty. Start with a title, then write one movement per line.');
    this.closeRound();
    const { rounds, empty } = this.rounds.ended(this.blocks);
    for (const id of empty) this.fault(this.lineOf.get(id) ?? 1, 1, 'Put the movements of this round below it, a line each.');
    const nothing = { document: null, interpretations, faults, understood };
    if (this.blocks.length === 0 && faults.length > 0) return nothing;
    const assembled = assemble(this.head, placed(this.blocks, rounds, this.unplaced), rounds, this.reading.shelf);
    for (const { id, message } of assembled.faults) this.fault(this.lineOf.get(id ?? '') ?? 1, 1, message);
    if (assembled.document === null) return nothing;
    for (const took of assembled.assumed) interpretations.push({ line: 1, wrote: '', took });
    return { document: assembled.document, interpretations, faults, understood };
  }
}

/** The longest line that is read. */
const LINE_LENGTH = 600;
/** More lines than these are not asked about. */
const MOST_FAULTS = 60;
/** A sentence of so many words that names no movement is a remark. */
const REMARK_WORDS = 5;
const isRemark = (text: string): boolean => !/\d/.test(text) && (text.split(/\s+/).length >= REMARK_WORDS || /[.!]$/.test(text));
