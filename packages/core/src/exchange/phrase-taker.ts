import type { Clause, DosePhrases } from './phrases.js';
import { NUMBER_WORDS, secondsOf } from './text-numbers.js';

const COUNTED =
  'sets?|rounds?|reps?|repetitions?|times|series|slow|deep|long|easy|breaths?|seconds?|secs?|minutes?|mins?|metres?|meters?|each|per';
/** Where a phrase was taken out, so that words around it are not read as neighbours. */
const GAP = ' ¦ ';
/** A bare number beside an open end is how often, up to here. */
const MOST_SETS = 6;

/** What of a line has been read so far, and the words that are left. */
export class PhraseTaker {
  private left: string;
  private said = {
    sets: null as number | null,
    amount: null as string | null,
    holdS: null as number | null,
    open: null as 'max' | 'ease' | null,
  };
  private sides: string | null = null;
  private ways: string | null = null;
  private hands: DosePhrases['perHand'] = null;
  private ofFingers: DosePhrases['fingers'] = null;
  private readonly parts: string[] = [];
  private readonly notes: string[] = [];
  private readonly hints: string[] = [];

  constructor(line: string) {
    this.left = plainNumbers(line);
  }

  /** Takes the first match out of what is left. */
  once(pattern: RegExp, take: (match: RegExpExecArray) => void): void {
    const match = pattern.exec(this.left);
    if (!match) return;
    this.left = `${this.left.slice(0, match.index)}${GAP}${this.left.slice(match.index + match[0].length)}`;
    take(match);
  }

  /** Takes every match, one after the other. */
  all(pattern: RegExp, take: (match: RegExpExecArray) => void): void {
    for (let before = ''; before !== this.left;) {
      before = this.left;
      this.once(pattern, take);
    }
  }

  hint(text: string): void {
    this.hints.push(text);
  }
  note(text: string): void {
    this.notes.push(text.trim());
  }
  sets(count: number): void {
    this.said.sets ??= count;
  }
  amount(shorthand: string): void {
    this.said.amount ??= shorthand;
  }
  hold(seconds: number): void {
    this.said.holdS ??= seconds;
  }
  open(word: 'max' | 'ease'): void {
    this.said.open = word;
  }
  /** @param word of the line that names a thing as well, and stays for the name */
  part(shorthand: string, word = ''): void {
    this.parts.push(shorthand);
    if (word) this.left += ` ${word}`;
  }
  sidesAre(word: string): void {
    this.sides ??= word;
  }
  directions(word: string): void {
    this.ways ??= word;
  }
  /** Done once for each finger or position; or with these fingers only. */
  fingers(which: 'each' | readonly string[]): void {
    this.ofFingers ??= which;
  }
  perHand(hands: NonNullable<DosePhrases['perHand']>): void {
    this.hands = hands;
  }

  /** A number or a range of whole ones as shorthand: “8-12”. Open upward it stays a note as well. */
  rangeOf(text: string, what: string): string {
    const [lower = 0, upper = lower] = [...text.matchAll(/\d+(?:[.,]\d+)?/g)].map(([digits]) => Number(digits.replace(',', '.')));
    if (text.trim().endsWith('+')) this.note(`${upper > lower ? `${lower}–` : ''}${upper}+ ${what}`);
    const [from, to] = [Math.round(lower), Math.round(upper)];
    return to > from ? `${from}-${to}` : String(from);
  }

  /** The lower end of a range; the range itself is kept as a note. */
  lowerOf(text: string, what: string): number {
    const [lower = 0, upper] = [...text.matchAll(/\d+(?:[.,]\d+)?/g)].map(([digits]) => Number(digits.replace(',', '.')));
    if (upper !== undefined) this.note(`${lower}–${upper}${text.trim().endsWith('+') ? '+' : ''} ${what}`);
    else if (text.trim().endsWith('+')) this.note(`${lower}+ ${what}`);
    return lower;
  }

  /** Seconds of “30”, “30 s”, “1 min”, “1:30” or “20-60 s”, to the half. */
  secondsOf(text: string): number {
    const [clock] = /\d+:\d{2}/.exec(text) ?? [];
    const unit = /min/i.test(text) ? 'min' : 's';
    const digits = clock ?? String(this.lowerOf(text.replace(/[a-z. ]+$/i, ''), unit));
    return Math.round(2 * secondsOf(digits, unit)) / 2;
  }

  /** An amount as shorthand: “30s” of half a minute. */
  amountOf(text: string): string {
    const [, times, each] = /^(\d+)\s*x\s*(.+)$/i.exec(text) ?? [];
    if (times !== undefined && each !== undefined) return `${times}x${this.amountOf(each)}`;
    if (/^(?:max|ease)/i.test(text)) return text.toLowerCase().replaceAll(/\s/g, '');
    if (/breath|br\b/i.test(text)) return `${this.rangeOf(text, 'breaths')}br`;
    if (/:|min|s\b|sec/i.test(text) && !/reps|times|metres|meters/i.test(text)) return this.secondsAmount(text);
    if (/\d\s*m\b|metre|meter/i.test(text)) return `${this.rangeOf(text, 'm')}m`;
    return this.rangeOf(text, 'repetitions');
  }

  /** Seconds as an amount, as a range where two numbers are given. */
  private secondsAmount(text: string): string {
    if (!/\d\s*(?:-|to)\s*\d/.test(text)) return `${Math.round(this.secondsOf(text))}s`;
    const range = this.rangeOf(text.replace(/[a-z. ]+$/i, ''), 's');
    const [from = 0, to = from] = range.split('-').map(Number);
    return /min/i.test(text) ? `${from * 60}-${to * 60}s` : `${range}s`;
  }

  result(): DosePhrases {
    const { sets, holdS, open } = this.said;
    // “To failure x2” is two sets of it.
    const count = Number(this.said.amount);
    const isSets = open !== null && sets === null && count > 0 && count <= MOST_SETS;
    const amount = open ? openAmount(open, isSets ? null : this.said.amount, holdS) : this.said.amount;
    return {
      ...{ sets: isSets ? count : sets, amount, holdS: open ? null : holdS },
      ...{
        parts: this.parts,
        sides: this.sides,
        directions: this.ways,
        perHand: this.hands,
        fingers: this.ofFingers,
        notes: this.notes,
        hints: this.hints,
      },
      clauses: clausesIn(this.left),
    };
  }
}

/** An open end with its ceiling, where one was said. */
function openAmount(open: 'max' | 'ease', amount: string | null, holdS: number | null): string {
  const ceiling = amount ?? (holdS === null ? '' : `${holdS}s`);
  return open === 'ease' ? `ease${ceiling === '' ? '90s' : ceiling}` : `max${ceiling}`;
}

const WORDS = Object.keys(NUMBER_WORDS).join('|');
const COUNTED_WORD = new RegExp(String.raw`\b(?:${WORDS})\b(?= (?:${COUNTED})\b)`, 'gi');
/** “One hand …” begins a name; the others begin an amount. */
const FIRST_WORD = new RegExp(String.raw`(^\W*|\b(?:sets?|rounds?) of )(${WORDS.replace('one|', '')})\b`, 'gi');
const figures = (word: string): string => String(NUMBER_WORDS[word.toLowerCase()]);

/** One blank between words, numbers as figures, dashes between them as hyphens, halves and minutes as seconds. */
function plainNumbers(line: string): string {
  return line
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/[×✕]/g, 'x')
    .replaceAll(/(\d) ?[–—−] ?(\d)/g, '$1-$2')
    .replaceAll(/\b(?:a|1|one) (?:and a half minutes?|minute and a half)\b/gi, '90 s')
    .replaceAll(/\b(?:half (?:a )?min(?:ute)?|½ ?min(?:ute)?)\b/gi, '30 s')
    .replaceAll(/\bhalf a second\b/gi, '0.5 s')
    .replaceAll(/\ba minute\b/gi, '60 s')
    .replaceAll(COUNTED_WORD, figures)
    .replaceAll(FIRST_WORD, (_, before: string, word: string) => `${before}${figures(word)}`);
}

/** Words cut at dashes, brackets and full stops. */
function clausesIn(text: string): Clause[] {
  const clauses: Clause[] = [];
  let isFirst = true;
  for (const piece of text.split(/(\s[-–—]\s|[–—;()[\]]|\.\s|\.$)/)) {
    if (/^(?:\s[-–—]\s|[–—;()[\]]|\.\s?)$/.test(piece)) continue;
    const tidy = piece
      .replaceAll(/[¦ ]+/g, ' ')
      .replaceAll(/ (?=[,:])/g, '')
      .replaceAll(/(?<!\S)x(?!\S)/gi, '')
      .replaceAll(/^[\s,:@&+/-]+|[\s,:@&+/-]+$/g, '')
      .replace(/^(?:then|next|now)\s+/i, '');
    if (!/[a-z]/i.test(tidy)) continue;
    clauses.push({ text: tidy, isAside: !isFirst });
    isFirst = false;
  }
  return clauses;
}
