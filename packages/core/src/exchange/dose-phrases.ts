import { PhraseTaker } from './phrase-taker.js';
import type { DosePhrases } from './phrases.js';

/**
 * Reads the dose out of a line as people write it, wherever in the line it stands: of “3 sets of 10 palm lifts, rest 45” three sets, ten repetitions, a
 * rest, and “palm lifts” as what is left.
 */
export function dosePhrasesIn(line: string): DosePhrases {
  const taker = new PhraseTaker(line);
  takeGoal(taker);
  takePerHand(taker);
  takeRest(taker);
  takeTempo(taker);
  takeSets(taker);
  takeHold(taker);
  takeEffort(taker);
  takeLoad(taker);
  takeAmount(taker);
  takeWays(taker);
  return taker.result();
}

const PATTERNS = new Map<string, RegExp>();
/** Compiling takes longer than matching a line: each pattern is compiled once. */
function pattern(source: string): RegExp {
  let found = PATTERNS.get(source);
  if (!found) PATTERNS.set(source, (found = new RegExp(source, 'i')));
  return found;
}

const N = String.raw`\d+(?:[.,]\d+)?`;
/** A number, or a range of which the lower end is taken. */
const RANGE = String.raw`${N}(?:\s*(?:-|to)\s*${N})?\+?`;
const UNIT = String.raw`(?:seconds?|secs?|s|minutes?|mins?)\b\.?`;
const DURATION = String.raw`(?:\d+:\d{2}|${RANGE}\s*-?\s*${UNIT})`;
/** Seconds are meant where a number stands alone. */
const SECONDS = String.raw`(?:${DURATION}|${N}\b(?!\s*(?:x|sets?|reps?|times|breaths?)\b))`;
const AMOUNT = String.raw`(?:${DURATION}|${RANGE}\s*(?:(?:slow|deep|long|easy|calm|full)\s+)?(?:breaths?|br|metres?|meters?|m|reps?|repetitions?|times)\b|${RANGE}|(?:max|ease)\w*)`;

function takeGoal(taker: PhraseTaker): void {
  const note = (text: string) => taker.note(`goal ${text.trim()}`);
  taker.all(pattern(String.raw`\(?(${AMOUNT})\s*goal\b\)?`), ([, amount = '']) => note(amount));
  taker.all(
    /\(?\b(?:goal|aim(?:ing)?|target|build(?:ing)? up to|build to|work(?:ing)? up to|progress(?:ing)? to)\b:?\s*(?:for\s+|is\s+)?([^,;()]*\d[^,;()]*)\)?/i,
    ([, text = '']) => note(text),
  );
  taker.all(/\bnow\b/i, () => undefined);
}

function takePerHand(taker: PhraseTaker): void {
  const hand = (side: string) => String.raw`\b${side}(?:\s+(?:hand|side|arm|wrist))?\b\s*:?\s*((?:\d+\s*x\s*)?(?:${DURATION}|${RANGE}))`;
  for (const [first, second] of [
    ['left', 'right'],
    ['right', 'left'],
  ] as const) {
    taker.once(pattern(String.raw`${hand(first)}\s*(?:,|;|/|&|and)?\s*${hand(second)}`), ([, one = '', other = '']) =>
      taker.perHand([
        { side: first === 'left' ? 'L' : 'R', amount: taker.amountOf(one) },
        { side: second === 'left' ? 'L' : 'R', amount: taker.amountOf(other) },
      ]),
    );
  }
}

function takeRest(taker: PhraseTaker): void {
  const between = String.raw`(?:\s*(?:in\s+)?between(?:\s+each)?(?:\s+(?:sets?|sides?|rounds?))?|\s+after\s+each(?:\s+set)?)?`;
  const rest = (text: string) => taker.part(`rest${taker.secondsOf(text)}`);
  taker.once(
    pattern(String.raw`(?:\bwith\s+)?\b(?:rest|recover|recovery)(?:ing)?\b\s*(?:for|of|:)?\s*(${SECONDS})${between}`),
    ([, text = '']) => rest(text),
  );
  taker.once(pattern(String.raw`(?:\bwith\s+)?(${DURATION})\s*(?:of\s+)?(?:rest|recovery|off)\b${between}`), ([, text = '']) => rest(text));
  taker.once(/\brest(\d+)s?\b/i, ([, seconds = '']) => taker.part(`rest${seconds}`));
  const pause = (text: string) => taker.part(`pause${taker.secondsOf(text)}`);
  taker.once(pattern(String.raw`\bpause\s*(?:for|of|:)?\s*(${SECONDS})(?:\s*between(?:\s+reps?)?)?`), ([, text = '']) => pause(text));
  taker.once(pattern(String.raw`(${DURATION})\s*pause\b(?:\s*between(?:\s+reps?)?)?`), ([, text = '']) => pause(text));
}

const OUT = '(?:up|out|open(?:ing)?|lift(?:ing)?|rais(?:e|ing)|over|in)';
const BACK = '(?:down|back|clos(?:e|ing)|lower(?:ing)?|eccentric|negatives?)';
const BRIEF = String.raw`(${N})\s*(?:s|secs?|seconds?)?`;

function takeTempo(taker: PhraseTaker): void {
  const tempo = (out: string, back: string, held?: string) => {
    taker.part(`tempo${number(out)}-${number(back)}`);
    if (held) taker.hold(number(held));
  };
  taker.once(/\btempo\s*:?\s*(\d+(?:\.\d+)?)\s*[-/]\s*(?:(\d+(?:\.\d+)?)\s*[-/]\s*)?(\d+(?:\.\d+)?)/i, ([, out = '', held, back = '']) =>
    tempo(out, back, Number(held) ? held : undefined),
  );
  const held = String.raw`(?:\s*,?\s*(?:hold|pause)\s*(?:for\s*)?${BRIEF})?`;
  const join = String.raw`\s*(?:,|/|-|and|then)?\s*`;
  taker.once(pattern(String.raw`${BRIEF}\s*${OUT}\b${held}${join}${BRIEF}\s*${BACK}\b`), ([, out = '', middle, back = '']) =>
    tempo(out, back, middle),
  );
  taker.once(
    pattern(String.raw`\b${OUT}\s*(?:for|in|over)?\s*${BRIEF}${held}${join}${BACK}\s*(?:for|in|over)?\s*${BRIEF}`),
    ([, out = '', middle, back = '']) => tempo(out, back, middle),
  );
  taker.once(pattern(String.raw`${BRIEF}\s*${BACK}\b`), ([, back = '']) => tempo('1', back));
  taker.once(pattern(String.raw`\b(?:lower(?:ing)?|down)\s*(?:for|in|over)?\s*${BRIEF}(?=\W|$)`), ([, back = '']) => tempo('1', back));
}

const number = (text: string): number => Number(text.replace(',', '.'));

function takeSets(taker: PhraseTaker): void {
  const group = String.raw`\d+\s*x\s*${AMOUNT}`;
  taker.once(pattern(String.raw`\b${group}(?:\s*,\s*${group})+`), ([all = '']) => {
    const groups = all.split(',').map((each) => {
      const [, sets = '', amount = ''] = /(\d+)\s*x\s*(.*)/i.exec(each.trim()) ?? [];
      return `${sets}x${taker.amountOf(amount)}`;
    });
    taker.amount(groups.join(','));
  });
  taker.once(
    pattern(String.raw`\b(\d+)\s*x\s*(?:to\s+)?(failure|${AMOUNT})(?:\s*holds?\b(?!\s*(?:for\s*)?\d))?`),
    ([, sets = '', amount = '']) => {
      taker.sets(Number(sets));
      taker.amount(/failure/i.test(amount) ? 'max' : taker.amountOf(amount));
    },
  );
  taker.once(
    pattern(String.raw`\b(${RANGE})\s*(?:sets?|rounds?|series)\b\s*(?:of|x|:|,)?\s*(?:(${AMOUNT})(?!\s*%))?`),
    ([, sets = '', amount]) => {
      taker.sets(taker.lowerOf(sets, 'sets'));
      if (amount) taker.amount(taker.amountOf(amount));
    },
  );
  taker.once(/\bsets?\s*:\s*(\d+)/i, ([, sets = '']) => taker.sets(Number(sets)));
}

function takeHold(taker: PhraseTaker): void {
  taker.once(pattern(String.raw`\bhold(?:ing|s)?\b\s*(?:for|each|it|:)*\s*(?:for\s*)?(${SECONDS})(?:\s*each\b)?`), ([, text = '']) =>
    taker.hold(taker.secondsOf(text)),
  );
  taker.once(pattern(String.raw`(${DURATION})\s*(?:isometric\s+|static\s+)?holds?\b`), ([, text = '']) =>
    taker.hold(taker.secondsOf(text)),
  );
}

function takeEffort(taker: PhraseTaker): void {
  taker.once(
    pattern(
      String.raw`(?:\bat\s+|@\s*)?(${RANGE})\s*(?:%|percent\b|per cent\b)(?:\s*(?:effort|of\s+(?:your\s+)?max(?:imum)?|max|mvc|strength|pressure))?(?!\s*(?:faster|slower|more|less|of\s+body|body|bw))`,
    ),
    ([, text = '']) => taker.part(`@${Math.round(taker.lowerOf(text, '%'))}%`),
  );
  taker.all(/@(?=\s|$)/, () => undefined);
}

function takeLoad(taker: PhraseTaker): void {
  taker.once(
    pattern(
      String.raw`(?:\bwith\s+(?:a\s+)?|@\s*)?\b(spring|band)?\s*(${N})\s*-?\s*(kg|kilos?|lbs?|pounds?)\b(?:\s*(?:dumbbells?|weights?|plates?|kettlebells?))?`,
    ),
    ([, thing = '', amount = '', unit = '']) => taker.part(`${thing.toLowerCase()}${number(amount)}${/^k/i.test(unit) ? 'kg' : 'lb'}`),
  );
  taker.once(/\b(?:on\s+(?:an?\s+)?)?(\d+)\s*mm\s*(edge|ledge|handle|pinch|block)?/i, ([, mm = '', thing = 'edge']) =>
    taker.part(`${/pinch|block/i.test(thing) ? 'pinch' : /handle/i.test(thing) ? 'handle' : 'edge'}${mm}`, thing),
  );
  for (const word of ['edge', 'handle', 'pinch', 'wedge'])
    taker.once(pattern(String.raw`\b${word}(\d+)(?:mm|°)?(?=\s|$)`), ([, size = '']) => taker.part(`${word}${size}`));
  taker.once(/\b(hands|away)(\d+(?:\.\d+)?)m\b/i, ([, word = '', size = '']) => taker.part(`${word.toLowerCase()}${size}m`));
}

function takeAmount(taker: PhraseTaker): void {
  taker.once(
    /\b(?:(?:to|until|till)\s+(?:failure|exhaustion|(?:you(?:’|')?re\s+)?tired|form\s+(?:breaks|goes|slips|fails)(?:\s+down)?|you\s+can(?:’|')?t)|amrap|as\s+(?:many|long)\s+as\s+(?:possible|you\s+can|form\s+lasts)|max(?:imum)?\s+(?:reps?|hold|time)|max)\b/i,
    () => taker.open('max'),
  );
  taker.once(/\buntil\s+(?:it|the\s+\w+|tension)?\s*(?:eases?|lets?\s+go|softens|releases|relaxes|fades)\b(?:\s+off)?/i, () =>
    taker.open('ease'),
  );
  taker.once(/\b(max|ease)(\d+(?:s|br|m|min)?)\b/i, ([, word = '', size = '']) => taker.amount(`${word.toLowerCase()}${size}`));
  const unit = (source: string) =>
    taker.once(pattern(String.raw`(?:\bfor\s+)?(${source})`), ([, text = '']) => taker.amount(taker.amountOf(text)));
  unit(String.raw`\b${RANGE}\s*(?:(?:slow|deep|long|easy|calm|full|quiet),?\s+)*(?:breaths?|br)\b`);
  unit(String.raw`\b\d+:\d{2}\b`);
  unit(String.raw`\b${RANGE}\s*-?\s*${UNIT}`);
  unit(String.raw`\b${RANGE}\s*(?:metres?|meters?|m)\b`);
  taker.once(pattern(String.raw`\b(${RANGE})\s*(?:reps?|repetitions?|times|x)(?![\w])`), ([, text = '']) =>
    taker.amount(String(taker.lowerOf(text, 'repetitions'))),
  );
  taker.once(pattern(String.raw`\b(?:x|reps?\s*:)\s*(${RANGE})(?![\w:])`), ([, text = '']) =>
    taker.amount(String(taker.lowerOf(text, 'repetitions'))),
  );
  const bare = (source: RegExp) => taker.once(source, ([, text = '']) => taker.amount(String(taker.lowerOf(text, 'repetitions'))));
  bare(
    pattern(
      String.raw`\b(${RANGE})(?=\s*(?:each|per|both|every|a\s+side|on\s+each|in\s+each|in\s+both|with\s+each|left|right|forwards?|clockwise|alternat\w*|slow\w*|fast|quick\w*|controlled|gentle|easy|light)\b)`,
    ),
  );
  bare(pattern(String.raw`^(?!\W*[1-4]\s+(?:fingers?|hands?|arms?|legs?|positions?|points?)\b)\W*(${RANGE})(?=\s+[a-z])`));
  bare(pattern(String.raw`(?:^|\s)(${RANGE})(?=\W*$)`));
}

function takeWays(taker: PhraseTaker): void {
  const ways = (directions: string) => () => taker.directions(directions);
  taker.once(/(?<![\w<>])<>(?![\w<>])/, ways('<>'));
  taker.once(/(?<=\s|^)[<>](?=\s|$)/, ([sign]) => taker.directions(sign));
  taker.once(
    /\b(?:in\s+|for\s+)?(?:both|each|every|either|per)\s+(?:ways?|directions?)\b|\bclockwise\s+(?:and|then|&|\+)\s+(?:counter|anti)[- ]?clockwise\b|\bforwards?\s+and\s+backwards?\b(?=\W*$)/i,
    ways('<>'),
  );
  const sides = (word: string) => () => taker.sidesAre(word);
  // As shorthand in capitals only: a small l is a letter.
  taker.once(/(?<![\w,/-])(L\s*,\s*R|R\s*,\s*L|L\s*\/\s*R|LR|L|R)(?![\w,/-])/, ([, word = '']) =>
    taker.sidesAre(word.replaceAll(/\s/g, '')),
  );
  taker.once(/\b(?:on\s+|for\s+|with\s+)?both\s+(?:hands|arms|wrists)(?:\s+(?:together|at once))?\b/i, () => {
    taker.sidesAre('LR');
    taker.hint('both hands');
  });
  taker.once(/\bright\s*(?:,|then|and then)\s*left\b/i, sides('R,L'));
  taker.once(/\bleft\s*(?:,|then|and|&|\+)\s*right\b|\bboth\s+sides\b/i, sides('L,R'));
  taker.once(
    /\b(?:on\s+|for\s+|with\s+|a\s+|to\s+)?(?:each|per|every|either)?\s*(?:side|hand|arm|wrist)s?\b(?<=(?:each|per|every|either|a)\s+(?:side|hand|arm|wrist)s?)/i,
    sides('L,R'),
  );
  taker.once(/\be\/s\b|\bea\b\.?|\beach\b(?=\W*(?:$|[;(–—]))/i, sides('L,R'));
  taker.once(/\balternat(?:e|ing|ely)(?:\s+(?:hands|sides|arms))?\b/i, sides('L/R'));
  taker.once(/\b(?:on\s+the\s+|on\s+)?left(?:\s+(?:hand|side|arm|wrist))?(?:\s+only)?\b/i, sides('L'));
  taker.once(/\b(?:on\s+the\s+|on\s+)?right(?:\s+(?:hand|side|arm|wrist))?(?:\s+only)?\b/i, sides('R'));
  taker.all(
    /\b(?:the\s+)?(?:weak(?:er)?|tight(?:er)?|stiff(?:er)?|sore)\s+(?:side|hand|wrist)\s+(?:first|longer|more|twice)\b/i,
    ([text]) => taker.note(text),
  );
}
