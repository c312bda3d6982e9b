import { checkNamed } from '../rules/checks/index.js';
import type { Row } from './linear.js';
import type { RuleId } from './rule-id.js';

/** Rules that make a programme what it is: nobody could give them up. */
export const FIXED_RULES: readonly RuleId[] = ['want', 'place', 'one-level'];

/** A rule, and of what it is. */
export type Said = Pick<Row, 'rule' | 'about'>;

/** What each rule is called; those that are not here go by what they are about, or by the title of their check. */
const WORDS: Partial<Record<RuleId, (about: string) => string>> = {
  want: () => 'how a session is built',
  place: () => 'how a session is built',
  'one-level': () => 'how a session is built',
  minutes: () => 'the time available',
  family: (about) => `enough ${about} for one session`,
  'too-many': () => 'the number of movements that can be taught in the time',
  locked: (about) => `keeping ${about}`,
  'piece-of-a-day': () => 'the number of blocks that fit',
  'session-dose': (about) => `the ${about} have had a full session’s work`,
  'weekly-growth': (about) => `the weekly load on the ${about} may not grow faster`,
  'light-day': (about) => `the ${about} stay fresh for the next hard day`,
  'hard-spacing': (about) => `the ${about} worked hard too recently`,
  'stretch-before-strength': (about) => `at most a minute of stretching for the ${about} before strength work`,
  balance: (about) => `balance of ${about}`,
  'position-changes': () => 'few changes of position',
  'range-unprepared': (about) => `free movement into ${about} before loading it`,
  'direction-unvisited': (about) => `the wrist is taken toward ${about}`,
  'corner-unvisited': (about) => `a visit to ${about}`,
  'little-side-forgotten': (about) => `enough work for the ${about}`,
  'thumb-forgotten': () => 'work for the thumb',
  'weaker-side-more': (about) => `extra work for the ${about} hand`,
  variety: () => 'the method’s routine or rotation',
  'prepare-missing': () => 'a warm-up at the start',
  'settle-missing': () => 'a cool-down at the end',
  'no-release': () => 'release after hard work',
};

/** What holds a composition back, as it is said to a coach. @example ruleWords({ rule: 'session-dose', about: 'finger flexors' }) → 'the finger flexors have had a full session’s work' */
export function ruleWords({ rule, about = '' }: Said): string {
  const words = WORDS[rule];
  if (words) return words(about);
  return about || (checkNamed(rule)?.title.toLowerCase() ?? rule);
}
