/** One part of a shorthand as it was typed, with where it begins. */
export interface Part {
  readonly text: string;
  readonly at: number;
  /** Without blanks, with a small x and decimal points: as it would be printed. */
  readonly tidy: string;
  /** The groups of sets that it lists, each tidy with where it begins; null where it names no sets at all. */
  readonly sets: readonly { readonly tidy: string; readonly at: number }[] | null;
}

const TIMES = String.raw`\s*[x×*]\s*`;
const RANGE = String.raw`(?:\s*[-–]\s*\d+)?`;
const UNIT = String.raw`(?:min|br|s|m)?`;
const AMOUNT = String.raw`(?:(?:max|ease)(?:\d+${UNIT})?|\d+:\d{2}|\d+${RANGE}\s*${UNIT})`;
/** Repetitions of these sets are held so long: “1x5(8s)”. */
const HOLD = String.raw`(?:\s*\(\s*\d+(?:\.\d+)?\s*s\s*\))?`;
const GROUP = String.raw`\d+${TIMES}${AMOUNT}${HOLD}`;
const END = String.raw`(?=\s|$)`;
/** A slip like “3 x 8” or “L, R” is no reason to refuse what is plainly meant: blanks are taken where a part needs none. */
const SETS = new RegExp(String.raw`${GROUP}(?:\s*,\s*${GROUP})*${END}`, 'iy');
const SPACED = new RegExp(
  String.raw`(?:L\s*[,/]\s*R|R\s*[,/]\s*L|LL\s*,\s*RR|RR\s*,\s*LL|(?:sore\s*)?@\s*\d+${RANGE}\s*%?|goal\s*\d+\s*${UNIT}|(?:rest|tempo|pause|spring|band|edge|handle|pinch|wedge|hands|away)\s+[\d.,-]+\s*(?:kg|lbs?|mm|m|s|°)?|\d+(?:[.,]\d+)?\s*(?:kg|lbs?))${END}`,
  'iy',
);
/** What is neither, with what a comma binds to it. */
const ANYTHING = /\S+(?:(?<=,)\s+\S+)*/y;

/** Cuts a shorthand into its parts: “3 x 8 @ 40%” is `3x8` and `@40%`. */
export function partsIn(text: string): Part[] {
  const parts: Part[] = [];
  let at = 0;
  for (;;) {
    while (/\s/.test(text[at] ?? '')) at++;
    if (at >= text.length) return parts;
    const found = matchAt(SETS, text, at) ?? matchAt(SPACED, text, at) ?? matchAt(ANYTHING, text, at) ?? '';
    parts.push(partOf(found, at));
    at += found.length;
  }
}

function matchAt(pattern: RegExp, text: string, at: number): string | undefined {
  pattern.lastIndex = at;
  return pattern.exec(text)?.[0];
}

function partOf(text: string, at: number): Part {
  const isSets = /^\d+\s*[x×*]/i.test(text);
  if (!isSets) return { text, at, tidy: tidied(text.replace(/(\d),(\d)/g, '$1.$2')), sets: null };
  let from = at;
  const sets = text.split(',').map((piece) => {
    const group = { tidy: tidied(piece), at: from + (piece.length - piece.trimStart().length) };
    from += piece.length + 1;
    return group;
  });
  return { text, at, tidy: sets.map(({ tidy }) => tidy).join(','), sets };
}

const tidied = (text: string) =>
  text
    .replace(/\s+/g, '')
    .replaceAll('–', '-')
    .replace(/(?<=\d)[×*X]/, 'x');
