import { PhraseTaker } from './phrase-taker.js';
import type { DosePhrases } from './phrases.js';

/**
 * Reads the dose out of a line as people write it, wherever in the line it stands: of “3 sets of 10 palm lifts, rest 45” three sets, ten repetitions, a
 * rest, and “palm lifts” as what is left.
 */
export function dosePhrasesIn(line: string): DosePhrases {
  const taker = new PhraseTaker(line);
  takeGoal(taker);
  takeSoreDays(taker);
  takeFaster(taker);
  takePerHand(taker);
  takeFingers(taker);
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
  const alone = pattern(String.raw`^(?:${AMOUNT})$`);
  const goal = (text: string) => {
    const amount = text.trim().replace(/\s*(?:each|a side|per side)$/i, '');
    // A goal of sets and amounts is more than a dose can hold.
    if (!alone.test(amount) || /[-+]|to\b|max|ease/i.test(amount)) taker.note(`goal ${text.trim()}`);
    else taker.part(`goal${taker.amountOf(amount)}`);
  };
  taker.once(/\bgoal(\d[\d:]*(?:min|br|s|m)?)\b/i, ([, amount = '']) => taker.part(`goal${amount}`));
  taker.all(pattern(String.raw`\(?(${AMOUNT})\s*goal\b\)?`), ([, amount = '']) => goal(amount));
  taker.all(
    /\(?\b(?:goal|aim(?:ing)?|target|build(?:ing)? up to|build to|work(?:ing)? up to|progress(?:ing)? to)\b:?\s*(?:for\s+|is\s+)?([^,;()]*\d[^,;()]*)\)?/i,
    ([, text = '']) => goal(text),
  );
  taker.all(/\bnow\b/i, () => undefined);
}

/** An effort for days on which the hands are sore: “sore: 20–30 %”, “20 % if sore”. */
function takeSoreDays(taker: PhraseTaker): void {
  const percent = String.raw`(?:at\s+|@\s*)?(${RANGE})\s*(?:%|percent\b|per cent\b)`;
  const sore = (text: string) => taker.part(`sore@${taker.rangeOf(text, '%')}%`);
  const day = String.raw`(?:\(?\b(?:if|when|on)\s+)?\bsore\b(?:\s+days?)?(?:\s+(?:only|use))?`;
  taker.once(pattern(String.raw`${day}\s*:?\s*${percent}\)?`), ([, text = '']) => sore(text));
  taker.once(pattern(String.raw`${percent}\s*(?:if|when|on)\s+sore\b(?:\s+days?)?`), ([, text = '']) => sore(text));
}

/** Each set faster than the one before: “each set 10 % faster”, “1 s faster each set”. */
function takeFaster(taker: PhraseTaker): void {
  const faster = (size: string, unit: string) => taker.part(`faster${number(size)}${unit.startsWith('%') ? '%' : 's'}`);
  const size = String.raw`(${N})\s*(%|s\b|seconds?\b)`;
  const set = String.raw`(?:each|every)\s+(?:set|bout)`;
  taker.once(pattern(String.raw`\b${set}\s*(?:is\s+)?${size}\s*(?:faster|quicker|shorter)`), ([, amount = '', unit = '']) =>
    faster(amount, unit),
  );
  taker.once(pattern(String.raw`${size}\s*(?:faster|quicker|shorter)\s*${set}`), ([, amount = '', unit = '']) => faster(amount, unit));
  taker.once(/\bfaster(\d+(?:\.\d+)?)(%|s)(?=\s|$)/i, ([, amount = '', unit = '']) => faster(amount, unit));
}

const FINGER = '(?:thumb|index|middle|ring|little)';

/** “per finger”, “each position”, “index and ring finger only”. */
function takeFingers(taker: PhraseTaker): void {
  taker.once(/(?<=^|\s)only:([a-z]+(?:[-+][a-z]+)*)(?=\s|$)/i, ([, names = '']) =>
    taker.fingers(
      names
        .toLowerCase()
        .split('+')
        .map((name) => name.replaceAll('-', ' ')),
    ),
  );
  const some = String.raw`(?:the\s+)?(${FINGER}(?:\s*(?:,|\+|&|and)\s*${FINGER})*)(?:\s+fingers?)?`;
  const named = (text: string) => taker.fingers(text.toLowerCase().match(new RegExp(FINGER, 'g')) ?? 'each');
  taker.once(pattern(String.raw`\b(?:only|just)\s+(?:with\s+|on\s+)?${some}(?=\W*$|\s*[,;(])`), ([, text = '']) => named(text));
  taker.once(pattern(String.raw`${some}\s+only\b`), ([, text = '']) => named(text));
  taker.once(
    /\b(?:(?:per|a)\s+(?:finger|digit|position)|(?:on\s+|for\s+|with\s+|in\s+)(?:each|every|all(?:\s+\w+)?)\s+(?:finger|digit|position)s?|(?:each|every)\s+(?:finger|digit|position)(?=\W*$|\s*[,;(]))/i,
    ([text]) => {
      taker.fingers('each');
      taker.hint(text);
    },
  );
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
  const held = String.raw`(\d+)\s*x\s*(${N})\s*(?:s|secs?|seconds?)\b`;
  // “First set 5 × 6 s, second 5 × 8 s”: repetitions of one set held for another time than the next one’s.
  taker.once(
    pattern(String.raw`\b(?:first|1st)\s+set\s*:?\s*${held}\s*[,;]?\s*(?:then\s+)?(?:second|2nd)(?:\s+set)?\s*:?\s*${held}`),
    ([, one = '', oneS = '', two = '', twoS = '']) => taker.amount(`1x${one}(${number(oneS)}s),1x${two}(${number(twoS)}s)`),
  );
  taker.once(/\b\d+x\d+\(\d+(?:\.\d+)?s\)(?:,\d+x\d+(?:\(\d+(?:\.\d+)?s\))?)*/i, ([all = '']) => taker.amount(all.toLowerCase()));
  taker.once(pattern(String.raw`\b${group}(?:\s*(?:,|,?\s*then)\s*${group})+`), ([all = '']) => {
    const groups = all.split(/\s*,?\s*then\s+|,/i).map((each) => {
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
    ([, text = '']) => taker.part(`@${taker.rangeOf(text, '%')}%`),
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
    taker.amount(taker.rangeOf(text, 'repetitions')),
  );
  taker.once(pattern(String.raw`\b(?:x|reps?\s*:)\s*(${RANGE})(?![\w:])`), ([, text = '']) =>
    taker.amount(taker.rangeOf(text, 'repetitions')),
  );
  const bare = (source: RegExp) => taker.once(source, ([, text = '']) => taker.amount(taker.rangeOf(text, 'repetitions')));
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
  taker.once(/(?<![\w,/-])(LL\s*,\s*RR|RR\s*,\s*LL|L\s*,\s*R|R\s*,\s*L|L\s*\/\s*R|LR|L|R)(?![\w,/-])/, ([, word = '']) =>
    taker.sidesAre(word.replaceAll(/\s/g, '')),
  );
  taker.once(/\b(?:on\s+|for\s+|with\s+)?both\s+(?:hands|arms|wrists)(?:\s+(?:together|at once))?\b/i, () => {
    taker.sidesAre('LR');
    taker.hint('both hands');
  });
  taker.once(
    /\b(?:all\s+(?:the\s+)?(?:sets|reps|holds)\s+(?:on|of|with)\s+one\s+(?:side|hand|arm)\s+first|finish\s+one\s+(?:side|hand|arm)\s+first|one\s+(?:side|hand|arm)\s+(?:at\s+a\s+time|then\s+the\s+other))\b/i,
    sides('LL,RR'),
  );
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
