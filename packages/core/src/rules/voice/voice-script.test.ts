import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { GOOD, type Line, write } from '../checks/sessions.fixture.js';
import { cuesFor } from '../words/method-words.js';
import { voiceScript } from './voice-script.js';

const METHOD = METHODS['floor-loading'];
const said = (lines: readonly Line[], nameOf = ({ name }: { name: string }) => name) => {
  const sequence = write(lines);
  const timeline = compileTimeline(sequence, shippedMovement);
  const script = voiceScript(sequence, timeline, {
    lookup: shippedMovement,
    nameOf,
    cuesOf: (movement, level) => cuesFor(movement, level, METHOD),
  });
  return { script, timeline };
};
const LIFTS: Line = ['strength', 'strength.palm-lift', 'all-fours', '2x6 tempo1-2 rest20'];

describe('what is said', () => {
  test('counts each repetition on its beat', () => {
    const { script, timeline } = said([LIFTS]);
    const counts = script.filter(({ kind }) => kind === 'count');
    const repetitions = timeline.events.filter(({ kind }) => kind === 'repetition');
    expect(counts.map(({ atMs }) => atMs)).toEqual(repetitions.map(({ startMs }) => startMs));
    expect(counts.map(({ text }) => text)).toEqual(['1', '2', '3', '4', '5', '6', '1', '2', '3', '4', '5', '6']);
  });

  test('tells the hand before each change, and counts down to the work', () => {
    const { script } = said([['range', 'stretch.flexors', 'open', '1x20s L,R']]);
    const texts = script.map(({ text }) => text);
    expect(texts.some((text) => text.startsWith('Change hands'))).toBe(true);
    const change = texts.findIndex((text) => text.startsWith('Change hands'));
    expect(texts.slice(change).includes('Hold')).toBe(true);
    expect(texts.filter((text) => text === '3').length).toBeGreaterThanOrEqual(2);
  });

  test('a name is over when its work begins: a long one begins in the rest before', () => {
    const long = 'The very long name that the studio has given to this movement over many years of teaching it to everyone';
    for (const name of ['Lift', long]) {
      const { script, timeline } = said([['prepare', 'free.wrist-circles', 'free-fist', '1x4 L,R'], LIFTS], () => name);
      const names = script.filter(({ kind }) => kind === 'name');
      expect(names).toHaveLength(2);
      const [, second] = names;
      const work = timeline.stints.find(({ blockId }) => blockId === 'b2')!;
      expect(second!.atMs + second!.lengthMs).toBeLessThanOrEqual(work.startMs);
      expect(second!.text).toContain(name);
    }
  });

  test('a cue is said in the rest, where there is time for it', () => {
    const { script } = said([LIFTS]);
    expect(script.some(({ kind }) => kind === 'cue')).toBe(true);
  });

  test('nothing is said over anything else, and nothing after the end', () => {
    const { script, timeline } = said(GOOD);
    for (const [index, one] of script.entries()) {
      const next = script[index + 1];
      if (next) expect(one.atMs + one.lengthMs).toBeLessThanOrEqual(next.atMs);
    }
    expect(script.length).toBeGreaterThan(100);
    expect(Math.max(...script.map(({ atMs }) => atMs))).toBeLessThan(timeline.durationMs);
  });

  test('of every movement at every level, the first set is announced and told', () => {
    fc.assert(
      fc.property(fc.constantFrom(...LIBRARY), fc.nat(), (movement, at) => {
        const level = movement.ladder[at % movement.ladder.length]!;
        const dose = level.dose;
        const { script, timeline } = said([['prepare', movement.id, level.id]]);
        expect(dose).toBeDefined();
        expect(script.filter(({ kind }) => kind === 'name').length).toBe(1);
        for (const { event, from, offsetMs, atMs } of script) {
          const { startMs, durationMs } = timeline.events[event]!;
          expect(atMs).toBe(from === 'start' ? startMs + offsetMs : startMs + durationMs - offsetMs);
        }
      }),
    );
  });

  test('what counts down stays at the end of a rest that is made longer', () => {
    const { script, timeline } = said([['strength', 'strength.palm-lift', 'all-fours', '2x6 rest20']]);
    const ones = script.filter(({ kind, text }) => kind === 'countdown' && text === '1');
    expect(ones.length).toBeGreaterThan(0);
    for (const { event, from, offsetMs } of ones) {
      expect(from).toBe('end');
      expect(offsetMs).toBe(1000);
      expect(timeline.events[event]!.stint).toBeNull();
    }
  });

  test('quick repetitions are counted by fives', () => {
    const sequence = write([['strength', 'strength.palm-lift', 'all-fours', '1x20 tempo1-1']]);
    const { events, ...timeline } = compileTimeline(sequence, shippedMovement);
    const quick = events.map((event) => (event.kind === 'repetition' ? { ...event, durationMs: 600 } : event));
    const subject = { lookup: shippedMovement, nameOf: ({ name }: { name: string }) => name, cuesOf: () => [] };
    const script = voiceScript(sequence, { ...timeline, events: quick }, subject);
    expect(script.filter(({ kind }) => kind === 'count').map(({ text }) => text)).toEqual(['5', '10', '15', '20']);
  });
});
