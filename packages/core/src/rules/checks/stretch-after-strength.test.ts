import { sentenceText } from '../../vocabulary/sentence.js';
import { expect, test } from '@jest/globals';
import { METHODS } from '../../library/methods.js';
import { findingsOf } from './index.js';
import { viewOf } from '../../effort/session-view.js';
import { ask, type Line, write } from './sessions.fixture.js';
import { stretchAfterStrength } from './stretch-after-strength.js';

/** Names of the movements that no stretch follows, by a method that stretches after each strength block. */
const unstretched = (...lines: readonly Line[]) =>
  findingsOf(viewOf(ask(write(lines), { method: METHODS['grip-and-iron'] })))
    .filter(({ check }) => check.id === stretchAfterStrength.id)
    .map(({ text }) => sentenceText(text).replace(/:.*/, ''));

const PALM_UP: Line = ['strength', 'weight.lever-turn-up', 'medium'];
const PALM_DOWN: Line = ['strength', 'weight.lever-turn-down', 'medium'];
const SQUEEZE: Line = ['strength', 'grip.ball-squeeze', 'firm'];
const OF_BOTH_TURNS: Line = ['strength', 'stretch.crossed-arms-turn', 'half'];
const OF_ONE_TURN: Line = ['strength', 'stretch.palm-down-turn', 'gentle'];

test('strength without its stretch is found, and with it not', () => {
  expect(unstretched(PALM_UP)).toEqual(['Supination with lever']);
  expect(unstretched(PALM_UP, OF_ONE_TURN)).toEqual([]);
});

test('one stretch answers a row, where it stretches all that was strengthened in it', () => {
  expect(unstretched(PALM_UP, PALM_DOWN, OF_BOTH_TURNS)).toEqual([]);
  expect(unstretched(PALM_UP, PALM_DOWN, OF_ONE_TURN)).toEqual(['Supination with lever', 'Pronation with lever']);
});

test('a stretch that comes after something it does not stretch comes too late', () => {
  expect(unstretched(PALM_UP, SQUEEZE, OF_ONE_TURN)).toContain('Supination with lever');
});
