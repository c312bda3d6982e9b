import { checkNamed } from '../rules/checks/index.js';
import type { Row } from './linear.js';
import type { RuleId } from './rule-id.js';

/** Rules that make a programme what it is: nobody could give them up. */
export const FIXED_RULES: readonly RuleId[] = ['want', 'place', 'one-level'];

/** A rule, and of what it is. */
export type Said = Pick<Row, 'rule' | 'about'>;

/** What each rule is called; those that are not here go by what they are about, or by the title of their check. */
const WORDS: Partial<Record<RuleId, (about: string) => string>> = {
  want: () => 'what a session is made of',
  place: () => 'what a session is made of',
  'one-level': () => 'what a session is made of',
  minutes: () => 'the minutes',
  family: (about) => `enough ${about} for one session`,
  locked: (about) => `${about} stays as it is`,
  'piece-of-a-day': () => 'a few minutes hold a few blocks only',
  'session-dose': (about) => `the ${about} have all they should have in one session`,
  'weekly-growth': (about) => `the week of the ${about} may grow no faster`,
  'hard-spacing': (about) => `the ${about} worked hard too short a time ago`,
  'stretch-before-strength': (about) => `no more than a minute of stretch for the ${about} before strength`,
  balance: (about) => `${about} in balance`,
  'position-changes': () => 'few changes of place',
  'range-unprepared': (about) => `free motion toward ${about} before it is loaded`,
  'direction-unvisited': (about) => `the wrist is taken toward ${about}`,
  'corner-unvisited': (about) => `a visit to ${about}`,
  'little-side-forgotten': (about) => `the ${about} gets its share`,
  'thumb-forgotten': () => 'the thumb is worked',
  'weaker-side-more': (about) => `the ${about} hand gets more`,
  variety: () => 'the routine stays or changes as the method has it',
  'prepare-missing': () => 'a warm-up at the beginning',
  'settle-missing': () => 'settling at the end',
  'no-release': () => 'letting go after hard work',
};

/** What holds a composition back, as it is said to a coach. @example ruleWords({ rule: 'session-dose', about: 'finger flexors' }) → 'the finger flexors have all they should have in one session' */
export function ruleWords({ rule, about = '' }: Said): string {
  const words = WORDS[rule];
  if (words) return words(about);
  return about || (checkNamed(rule)?.title.toLowerCase() ?? rule);
}
