import { quantity, say, type Sentence, calendarDay, capitalSentence, joinSentences, loweredSentence } from '../vocabulary/sentence.js';
import { blockChances } from '../effort/chances.js';
import { peopleWords } from '../effort/doubt.js';
import { HARD_PERCENT } from '../effort/past.js';
import type { SessionView } from '../effort/session-view.js';
import { workOf } from '../rules/gate/gate.js';
import { isAgainst } from '../rules/gate/restrictions.js';
import { cautionLabel } from '../rules/safety/cautions.js';
import { advicesOf } from '../rules/safety/clearance.js';
import { lastForm } from '../rules/progress/remembered.js';
import { HANDS } from '../vocabulary/hands.js';
import { groupedBy, itemAt } from '../vocabulary/lists.js';
import { listed, capital } from '../vocabulary/text.js';
import type { Candidate } from './candidate.js';
import { Choice } from './choice.js';
import type { Relaxed } from './linear.js';
import { type IntegerProgramme, integerProgrammeOf } from './integer-programme.js';
import type { Composing } from './question.js';
import type { RuleId } from './rule-id.js';
import { FIXED_RULES, ruleWords, type Said } from './rule-words.js';
import { wantWorths } from './worth.js';

/** Why a block is in a composition. */
export interface Reason {
  readonly blockId: string;
  /** Sentences without arithmetic: what it is for, which rule only it keeps, and why at this level. */
  readonly text: Sentence;
  /** The numbers behind it: seconds of each want, effort, and how many can hold it. */
  readonly figures: Sentence;
}

/** Rules about shares of the whole: no block keeps them by itself. */
const OF_ALL: readonly RuleId[] = ['variety', 'minutes'];

/** Why each block is there. @param chosen the blocks of the view, as candidates */
export function reasonsFor(composing: Composing, view: SessionView, chosen: readonly Candidate[]): Reason[] {
  const { structure } = integerProgrammeOf(composing, chosen);
  const choice = Choice.of(structure, chosen.keys());
  const chances = blockChances(view.chances());
  return view.blocks.map(({ block }, index) => {
    const candidate = itemAt(chosen, index);
    const broken: Said[] = [];
    choice.toggle(index);
    choice.broken(broken);
    choice.toggle(index);
    const serves = servedWords(composing, candidate);
    const keeps = keptRuleWords(broken);
    const first = index === 0 ? gentleFirst(composing, candidate) : null;
    const why: (Sentence | null)[] = [
      first,
      serves === '' ? null : `For ${serves}.`,
      keeps.length > 0 ? `Only this one does it: ${keeps.join('; ')}.` : null,
      serves === '' && keeps.length === 0 ? 'There was time left for it.' : null,
      heldLower(composing, candidate) ?? levelWords(composing, candidate),
    ];
    const gives = giving(composing, candidate);
    const figures = [...(gives === '' ? [] : [say`${capitalSentence(gives)}.`]), ...effortWords(candidate, chances.get(block.id))];
    return {
      blockId: block.id,
      text: joinSentences(why.filter((each) => each !== null)),
      figures: joinSentences(figures),
    };
  });
}

/** So many wants are named. */
const NAMED = 2;
/** The wants that a block serves, the one that it serves most first. */
function servedWords({ goal, minutes }: Composing, { gives }: Candidate): string {
  const worths = wantWorths({ goal, minutes });
  const served = gives
    .map((seconds, index) => ({ words: itemAt(goal.wants, index).words, share: seconds / itemAt(worths, index).targetS, seconds }))
    .filter(({ seconds }) => seconds >= 1)
    .sort((one, other) => other.share - one.share);
  return listed(served.slice(0, NAMED).map(({ words }) => words));
}

/** A sore hand begins without load. */
function gentleFirst({ athlete }: Composing, { free }: Candidate): Sentence | null {
  const sore = athlete?.cautions.find(({ caution }) => caution === 'sore-place' || caution === 'tendon-pain');
  return free && sore ? say`Unloaded first, because of a restriction: ${loweredSentence(cautionLabel(sore))}.` : null;
}

/** Why the next level is not given, where a restriction keeps it off; null where none does. */
function heldLower({ athlete, person }: Composing, { movement, level, dose }: Candidate): Sentence | null {
  const next = movement.ladder[movement.ladder.indexOf(level) + 1];
  if (!next || !athlete) return null;
  const work = workOf({ person }, movement, next, { ...next.dose, sides: dose.sides });
  const entry = athlete.cautions.find((each) => isAgainst(each, work));
  return entry ? say`No harder than “${level.name.toLowerCase()}”: ${loweredSentence(cautionLabel(entry))}.` : null;
}

/** What it asks, and how many can hold it. */
function effortWords({ effortPercent }: Candidate, chance = 1): Sentence[] {
  if (effortPercent < 10) return [];
  const likely = chance < 0.95 ? `, held by ${peopleWords(chance)}` : '';
  const hard = effortPercent >= HARD_PERCENT ? ', which is hard' : '';
  return [say`${quantity(effortPercent, '%')} effort${likely}${hard}.`];
}

/** Rules that only this block keeps, those of one kind together: “the wrist is taken toward radial and ulnar”. */
function keptRuleWords(broken: readonly Said[]): string[] {
  const mine = broken.filter(({ rule }) => !OF_ALL.includes(rule));
  return [...groupedBy(mine, ({ rule }) => rule)].map(([rule, said]) => {
    const abouts = [...new Set(said.flatMap(({ about }) => about ?? []))];
    return ruleWords({ rule, ...(abouts.length > 0 && { about: listed(abouts) }) });
  });
}

function giving(composing: Composing, { gives }: Candidate): Sentence {
  const { wants } = composing.goal;
  const worths = wantWorths(composing);
  const parts = gives
    .map((seconds, index) => ({ seconds, want: itemAt(wants, index), targetS: itemAt(worths, index).targetS }))
    .filter(({ seconds }) => seconds >= 1)
    .sort((a, b) => b.seconds / b.targetS - a.seconds / a.targetS)
    .map(({ seconds, want, targetS }) =>
      seconds > targetS
        ? say`${quantity(seconds, 's')} for ${want.words}, all of the ${quantity(targetS, 's')} wanted`
        : say`${seconds.toFixed(0)} of ${quantity(targetS, 's')} for ${want.words}`,
    );
  return joinSentences(parts, ', ');
}

/** Why at this level: as it was done last, or as one begins. */
function levelWords({ past, lookup }: Composing, { movement, level }: Candidate): Sentence {
  const last = lastForm(past, movement.id);
  const name = level.name.toLowerCase();
  if (last) {
    const then =
      lookup(movement.id)
        ?.ladder.find(({ id }) => id === last.levelId)
        ?.name.toLowerCase() ?? last.levelId;
    const day = calendarDay(last.onDay);
    return last.levelId === level.id ? say`“${level.name}”, as on ${day}.` : say`“${level.name}”; on ${day} it was “${then}”.`;
  }
  return say`New: starts at “${name}”.`;
}

/** Something that keeps a composition from being better. */
export interface Binding {
  readonly rule: string;
  readonly text: Sentence;
  /** How much it binds, by the prices of the relaxation: only for the order, since a relaxation is no sequence. */
  readonly points: number;
}

const MOST_BINDINGS = 4;
const WORTH_TELLING = 0.05;
const TENTH = 0.1;

/** What binds: by the prices of the relaxation, what a tenth more of each rule’s room would bring. */
export function bindingOf({ linear }: Pick<IntegerProgramme, 'linear'>, { prices }: Pick<Relaxed, 'prices'>): Binding[] {
  const byWords = new Map<string, Omit<Binding, 'text'> & { readonly words: string }>();
  linear.rows.forEach((row, index) => {
    if (FIXED_RULES.includes(row.rule)) return;
    const room = Number.isFinite(row.max) ? row.max : row.min;
    const points = Math.abs((prices[index] ?? 0) * TENTH * Math.max(1, Math.abs(room)));
    const words = ruleWords(row);
    const before = byWords.get(words);
    byWords.set(words, { rule: row.rule, words, points: points + (before?.points ?? 0) });
  });
  return [...byWords.values()]
    .filter(({ points }) => points >= WORTH_TELLING)
    .sort((a, b) => b.points - a.points)
    .slice(0, MOST_BINDINGS)
    .map(({ words, points, rule }) => ({
      rule,
      points,
      text: say`${capital(words)}.`,
    }));
}

/** What is to be known before any of it: what keeps hands off, and what of the goal lies beyond where somebody’s wrists reach. */
export function notesFor({ goal, person, athlete }: Composing): Sentence[] {
  const advices = advicesOf(athlete?.cautions ?? []).filter(({ forbids }) => forbids);
  const wantedDegs = goal.wants.flatMap(({ asks }) => asks?.extensionDeg ?? []);
  const most = Math.max(0, ...wantedDegs);
  const beyond = HANDS.flatMap((hand) => {
    const range = person.rangeDeg?.[hand]?.['wrist extension'];
    return range !== undefined && range < most
      ? [
          say`The goal takes the wrist to ${quantity(most, '°')} of extension; the ${hand} reaches ${quantity(range, '°')} passively. Build range first and keep weight below that angle.`,
        ]
      : [];
  });
  return [...advices.map(({ text }) => text), ...beyond];
}
