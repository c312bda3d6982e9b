import { describe, expect, test } from '@jest/globals';
import { effortTimeline } from './effort-timeline.js';
import { fatigueCourses } from './fatigue-course.js';
import { enduranceTimeS } from './compartments.js';
import { RATES } from './rates.js';
import { LIBRARY, shippedMovement } from '../library/index.js';
import type { Person } from '../mechanics/capacity.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { parseDose } from '../model/dose-shorthand.js';
import { usualWay } from '../model/movement.js';
import { type Sequence, USUAL_PACING } from '../model/sequence.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { firstOf } from '../vocabulary/lists.js';

const MAN: Person = { body: REFERENCE_BODIES.male, ageYears: 25, evidence: [], today: '2026-11-24' };
type Line = [movementId: string, levelId: string, dose: string];

function sequenceOf(...lines: Line[]): Sequence {
  const blocks = lines.map(([movementId, levelId, text], index) => ({
    id: `b${index}`,
    phase: 'load' as const,
    movementId,
    levelId,
    dose: parseDose(text, usualWay(shippedMovement(movementId)!)),
  }));
  return { title: 'Test', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks };
}
function courses(...lines: Line[]) {
  const sequence = sequenceOf(...lines);
  const efforts = effortTimeline(MAN, sequence, compileTimeline(sequence, shippedMovement), shippedMovement);
  return { efforts, courses: fatigueCourses(efforts) };
}

describe('fatigue through a session', () => {
  test('a hold that is too long fails where the model says, with the rest that would mend it', () => {
    const { courses: of } = courses(['isometric.hook-pull', 'medium', '2x1 @60% 70s tempo1-1 rest5']);
    const { failures, lowest } = of.get('left finger flexors')!;
    const failure = firstOf(failures);
    expect(failure.blockId).toBe('b0');
    expect(failure.heldS).toBeLessThan(failure.neededS);
    expect(lowest).toBeLessThan(0.6);
    const longer = courses(['isometric.hook-pull', 'medium', `2x1 @60% 70s tempo1-1 rest${20 + failure.restS!}`]);
    expect(longer.courses.get('left finger flexors')!.failures).toEqual([]);
  });

  test('every block that fails is told, each once', () => {
    const { courses: of } = courses(
      ['isometric.hook-pull', 'medium', '2x1 @80% 90s tempo1-1 rest5'],
      ['isometric.hook-pull', 'medium', '1x1 @20% 5s tempo1-1'],
      ['isometric.hook-pull', 'medium', '2x1 @80% 90s tempo1-1 rest5'],
    );
    expect(of.get('left finger flexors')!.failures.map(({ blockId }) => blockId)).toEqual(['b0', 'b2']);
  });

  test('a repetition is charged by its mean, its hold by all of it, the pause by nothing', () => {
    const { efforts } = courses(['isometric.flexion', 'medium', '1x2 @80% 6s tempo1-2 L']);
    const spans = efforts.spans.get('left wrist flexors')!;
    const charged = spans.map(({ startMs, endMs, charged: share }) => [(endMs - startMs) / 1000, share]);
    expect(charged.map(([seconds]) => seconds)).toEqual([1, 6, 2, 1, 6, 2]);
    expect(charged[1]![1]).toBeCloseTo(0.8, 9);
    expect(charged[0]![1]).toBeLessThan(0.6);
    expect(spans[3]!.startMs - spans[2]!.endMs).toBe(2000);
    for (const { effort } of spans) expect(effort).toBeCloseTo(0.8, 9);
    // As it is in practice: near the most, with pauses, it is held.
    expect(courses(['isometric.end-extension', 'near-most', '1x5 @80% 6s L']).courses.get('left wrist extensors')!.failures).toEqual([]);
  });

  test('the hand beside the working one bears its own share', () => {
    const { efforts } = courses(['bearing.one-hand-shift', 'plank', '1x10s L']);
    const [left, right] = [efforts.spans.get('left wrist flexors')!, efforts.spans.get('right wrist flexors')!];
    expect(left[0]!.effort).toBeGreaterThan(2 * right[0]!.effort);
    expect(right[0]!.effort).toBeGreaterThan(0.01);
    expect(right[0]!.startMs).toBe(left[0]!.startMs);
  });

  test('one side’s work tires one side; what rests is not listed; the dose is time over endurance time', () => {
    const { courses: of, efforts } = courses(['isometric.flexion', 'medium', '1x4 @50% 10s tempo1-1 L']);
    expect([...of.keys()]).toEqual(['left wrist flexors']);
    const { enduranceDose, underLoadS, points } = of.get('left wrist flexors')!;
    expect(underLoadS).toBe(48);
    expect(enduranceDose).toBeGreaterThan(40 / enduranceTimeS(RATES.handGrip, 0.5));
    expect(enduranceDose).toBeLessThan(48 / enduranceTimeS(RATES.handGrip, 0.5));
    expect(points.at(-1)!.atMs).toBe(efforts.durationMs);
  });

  test('more than there is fails at once, no rest mends it, and it has no dose', () => {
    const { courses: of } = courses(['edge.hang', 'small', '1x5s']);
    const { failures, enduranceDose } = of.get('left finger flexors')!;
    expect(failures).toMatchObject([{ heldS: 0, restS: null }]);
    expect(enduranceDose).toBe(0);
  });

  test('a stretch asks for nothing, an empty sequence has no course, a posture out of reach is told', () => {
    expect(courses(['stretch.flexors', 'open', '1x20s L,R']).courses.size).toBe(0);
    expect(courses().courses.size).toBe(0);
    const support = shippedMovement('bearing.palm-support')!;
    const [first] = support.ladder;
    if (first.load.kind !== 'body') throw new Error('a posture');
    const { hipAngleDeg: _hip, ...tied } = first.load.stance;
    const far = { ...first, load: { kind: 'body' as const, stance: { ...tied, distanceM: 2.9 } } };
    const lookup = () => ({ ...support, ladder: [far] as const });
    const sequence = sequenceOf(['bearing.palm-support', first.id, '1x15s']);
    const { impossible, spans } = effortTimeline(MAN, sequence, compileTimeline(sequence, lookup), lookup);
    expect(impossible).toEqual([{ blockId: 'b0', message: expect.stringContaining('too short') }]);
    expect(spans.size).toBe(0);
  });

  test('every block of the library can be laid over a timeline', () => {
    for (const movement of LIBRARY) {
      const blocks = movement.ladder.map((level, index) => ({
        id: `b${index}`,
        phase: 'load' as const,
        movementId: movement.id,
        levelId: level.id,
        dose: level.dose,
      }));
      const sequence = { ...sequenceOf(), blocks };
      const { spans, impossible } = effortTimeline(MAN, sequence, compileTimeline(sequence, shippedMovement), shippedMovement);
      expect(impossible).toEqual([]);
      for (const list of spans.values()) {
        list.reduce((before, { startMs, endMs, effort }) => {
          expect(startMs).toBeGreaterThanOrEqual(before);
          expect(endMs).toBeGreaterThan(startMs);
          expect(effort).toBeGreaterThan(0);
          return endMs;
        }, 0);
      }
    }
  });
});

test('a press is laid as hard as its dose says, not as its level usually is', () => {
  const { efforts } = courses(['isometric.flexion', 'gentle', '1x4 @75% 5s tempo1-1 L']);
  expect(efforts.spans.get('left wrist flexors')!.map(({ effort }) => effort)).toContain(0.75);
});
