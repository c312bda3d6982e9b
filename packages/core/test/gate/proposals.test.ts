import { afterAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type SessionView, viewOf } from '../../src/effort/session-view.js';
import { alternativesFor } from '../../src/compose/alternatives.js';
import { compose, isComposed } from '../../src/compose/compose.js';
import { solver } from '../../src/compose/composing.fixture.js';
import { composingOf } from '../../src/compose/question.js';
import { suiting } from '../../src/compose/suitable.js';
import { LIBRARY, TRAINING_GOALS } from '../../src/library/index.js';
import { type Protocol, PROTOCOLS } from '../../src/measure/protocols.js';
import { athleteSuggestions } from '../../src/programme/athlete-suggestions.js';
import { asking, nextIn, planOf, type Went } from '../../src/programme/suggestions.fixture.js';
import { capsOf } from '../../src/rules/safety/caution-limits.js';
import { whyNotMeasured } from '../../src/rules/safety/may-measure.js';
import type { Action } from '../../src/vocabulary/actions.js';
import { CAUTIONS } from '../../src/vocabulary/cautions.js';
import { HANDS } from '../../src/vocabulary/hands.js';
import { PLACE_OF } from '../../src/vocabulary/places.js';
import type { RecordedCaution } from '../../src/model/athlete.js';
import { applyEdits, type Edit } from '../../src/model/edits.js';
import { USUAL_PACING } from '../../src/model/sequence.js';
import { findingsOf } from '../../src/rules/checks/index.js';
import { offersFor } from '../../src/rules/fixes/offered.js';
import { classPlan, sequenceOfMember } from '../../src/rules/class/class-plan.js';
import { harderFor } from '../../src/rules/fixes/harder.js';
import { stopsOf } from '../../src/rules/safety/may-begin.js';
import { easesFor } from '../../src/rules/fixes/on-the-spot.js';
import { TOO_MUCH } from '../../src/rules/fixes/objections.js';
import { gate } from '../../src/rules/gate/gate.js';
import { doseFor } from '../../src/rules/doses/method-dose.js';
import { itemAt, must } from '../../src/vocabulary/lists.js';
import { same } from '../../src/vocabulary/same.js';
import { runs } from '../../src/properties.fixture.js';
import { moreIn, wrongIn } from './oracle.js';
import { sequence, subject } from './people.js';

/** How many proposals of each kind were looked at. */
const counts = new Map<string, number>();
const count = (proposer: string) => counts.set(proposer, (counts.get(proposer) ?? 0) + 1);

const goal = fc.constantFrom(...TRAINING_GOALS);
const anyWay: fc.Arbitrary<Omit<Went, 'daysAgo'>> = fc.record({
  plan: fc
    .tuple(fc.constantFrom('all-fours', 'knees-back', 'plank'), fc.constantFrom('2x15s rest40', '2x30s rest40', '3x20s rest40'))
    .map(([level, dose]) => planOf(level, dose)),
  discomfort: fc.integer({ min: 0, max: 3 }),
  supportHurts: fc.oneof({ weight: 3, arbitrary: fc.integer({ min: 0, max: 2 }) }, fc.integer({ min: 0, max: 10 })),
  exertion: fc.integer({ min: 3, max: 10 }),
  share: fc.constantFrom(1, 1, 1, 0.5),
  supportFaults: fc.subarray(['Held breath', 'Index knuckle lifts']),
});

/** Anything, or three clean sessions of one plan, so that there is something to progress from. */
const histories = fc.oneof(
  fc.array(anyWay, { minLength: 2, maxLength: 4 }),
  fc.tuple(fc.constantFrom('all-fours', 'knees-back'), fc.constantFrom('2x15s rest40', '2x30s rest40')).map(([level, dose]) => {
    const clean = { plan: planOf(level, dose), discomfort: 0, exertion: 5 };
    return [clean, clean, clean];
  }),
);

const after = (view: SessionView, edits: readonly Edit[]) => viewOf({ ...view, sequence: applyEdits(view.sequence, edits) });
/** Blocks that edits make other than they were. */
const madeIn = (view: SessionView, then: SessionView) =>
  then.blocks.filter(({ block }) => !view.blocks.some((was) => same<unknown>(was.block, block)));

/** No stop that was not there, and nothing wrong in what was made. */
function expectSound(view: SessionView, edits: readonly Edit[], proposer: string): SessionView {
  count(proposer);
  const then = after(view, edits);
  expect({
    proposer,
    edits,
    wrong: madeIn(view, then).flatMap((block) =>
      wrongIn(
        view,
        block,
        view.blocks.find((was) => was.block.id === block.block.id),
      ),
    ),
  }).toEqual({ proposer, edits, wrong: [] });
  const stopsIn = (of: SessionView) => findingsOf(of).filter(({ check }) => check.severity === 'stop');
  expect(stopsIn(then).length).toBeLessThanOrEqual(stopsIn(view).length);
  return then;
}

/** What of a test a restriction forbids. */
function beyond(entry: RecordedCaution, { kind, of, isMaximal }: Protocol): string[] {
  if (kind === 'active range') return [];
  const isOnPalms = /palm|all fours/.test(of);
  const bears = kind === 'hand load' || kind === 'loaded range' || isOnPalms || /hang|fingertip pump/.test(of);
  const wrong = capsOf(entry).flatMap((caps) => [
    isMaximal && Math.min(caps.effortPercent ?? 100, caps.actionPercent?.[of as Action] ?? 100) < 100 && 'effort',
    bears && caps.noBodyWeight && 'body weight',
    isOnPalms && (caps.extensionDeg ?? 90) < 79 && 'extension',
  ]);
  const isStanding = CAUTIONS[entry.caution].rule === 'refer' && !entry.clearedOn;
  return [isStanding && 'not cleared', ...wrong].filter((what) => typeof what === 'string');
}

describe('nothing that is proposed raises a stop, passes a limit, uses what is not there, or is harder where easier was asked', () => {
  test('answers to findings', () => {
    fc.assert(
      fc.property(subject, sequence, fc.nat(), (who, plan, at) => {
        const view = viewOf({ ...who, sequence: plan });
        const findings = findingsOf(view).filter(({ fix }) => fix);
        if (findings.length === 0) return;
        const finding = itemAt(findings, at % findings.length);
        for (const { edits } of offersFor(view, finding))
          expectSound(view, edits, `answer to ${TOO_MUCH.includes(finding.check.id) ? 'too much' : 'the rest'}`);
      }),
      runs(70),
    );
  });

  test('what is done on the spot where it hurts or is too hard', () => {
    fc.assert(
      fc.property(subject, sequence, fc.nat(), fc.constantFrom('hurts' as const, 'hard' as const), (who, plan, at, reason) => {
        const view = viewOf({ ...who, sequence: plan });
        const before = itemAt(view.blocks, at % view.blocks.length);
        for (const { edits } of easesFor(view, [before.block.id], reason)) {
          const then = expectSound(view, edits, `on the spot, ${reason}`);
          const now = then.blocks.find(({ block }) => block.id === before.block.id);
          if (now) expect({ edits, more: moreIn(now, before, reason === 'hurts') }).toEqual({ edits, more: [] });
        }
      }),
      runs(80),
    );
  });

  test('what is harder on the spot', () => {
    fc.assert(
      fc.property(subject, sequence, fc.nat(), (who, plan, at) => {
        const view = viewOf({ ...who, sequence: plan });
        const found = harderFor(view, itemAt(view.blocks, at % view.blocks.length).block.id, {});
        if ('ease' in found) expectSound(view, found.ease.edits, 'on the spot, harder');
      }),
      runs(120),
    );
  });

  test('what each does in a class, and every form that they can be given in it', () => {
    fc.assert(
      fc.property(subject, sequence, (who, plan) => {
        const view = viewOf({ ...who, sequence: plan });
        const blocks = classPlan(view);
        for (const { blockId, forms } of blocks) {
          for (const form of forms) if (form) expectSound(view, [{ kind: 'change', blockId, ...form }], 'class, another form');
        }
        const mine = sequenceOfMember(plan, { blocks });
        count('class, whole');
        const stops = mine.blocks.length > 0 ? stopsOf(viewOf({ ...who, sequence: mine })) : [];
        expect(stops.map(({ check, blockIds }) => [check.id, blockIds])).toEqual([]);
      }),
      runs(40),
    );
  });

  test('what a sequence is generated from: the level and dose of each movement', () => {
    fc.assert(
      fc.property(subject, goal, fc.nat(), fc.subarray(['floor', 'bar'] as const), (who, wanted, at, notAt) => {
        const composing = composingOf({ ...who, goal: wanted, minutes: 20, notAt: notAt as never });
        for (const step of [0, 31, 77, 120]) {
          const suited = suiting(composing, itemAt(LIBRARY, (at + step) % LIBRARY.length));
          if (!('level' in suited)) continue;
          count('generator, by movement');
          const block = itemAt(suited.view.blocks, 0);
          expect([block.block.levelId, wrongIn(suited.view, block)]).toEqual([block.block.levelId, []]);
          expect(notAt as readonly string[]).not.toContain(PLACE_OF[suited.level.posture]);
        }
      }),
      runs(120),
    );
  });

  test('generated sequences, and other movements for their blocks', () => {
    fc.assert(
      fc.property(subject, goal, fc.nat(), (who, wanted, at) => {
        const question = { ...who, goal: wanted, minutes: 12 };
        const composed = compose(question, solver, { better: () => false });
        if (!isComposed(composed)) return;
        count('generator, whole');
        const view = viewOf({ ...who, sequence: composed.sequence });
        expect(findingsOf(view).filter(({ check }) => check.severity === 'stop')).toEqual([]);
        expect(view.blocks.flatMap((block) => wrongIn(view, block))).toEqual([]);
        const { id } = itemAt(composed.sequence.blocks, at % composed.sequence.blocks.length);
        for (const { edits } of alternativesFor(question, composed.sequence, id)) expectSound(view, edits, 'other movements');
      }),
      runs(4),
    );
  });

  test('suggestions of what comes next', () => {
    fc.assert(
      fc.property(subject, histories, fc.boolean(), (who, all, rises) => {
        const sessions = all.map((one, index): Went => ({ ...one, daysAgo: 1 + 4 * (all.length - 1 - index) }));
        const plan = must(sessions.at(-1)?.plan, 'a plan');
        const { suggestions, coming } = athleteSuggestions(
          asking(sessions, {
            programmes: [nextIn(1, plan, rises ? { steps: 1, each: 'session' } : undefined)],
            person: who.person,
            athlete: must(who.athlete, 'an athlete'),
            methodOf: () => who.method,
          }),
        );
        for (const { kind, cause, options } of suggestions) {
          for (const { effect } of options) {
            if (effect.kind !== 'blocks') continue;
            for (const { place, edits } of effect.plans) {
              const { sequence: planned } = must(
                coming.find((each) => same<unknown>(each.place, place)),
                'its plan',
              );
              const view = viewOf({ ...who, sequence: planned });
              if (kind === 'progress' || kind === 'swap') expectSound(view, edits, `suggestion, ${kind}`);
              else {
                count(`suggestion, ${cause === 'limits' ? cause : kind}`);
                const then = after(view, edits);
                const stopsIn = (of: SessionView) => findingsOf(of).filter(({ check }) => check.severity === 'stop').length;
                expect(stopsIn(then)).toBeLessThanOrEqual(cause === 'limits' ? 0 : stopsIn(view));
                for (const now of kind === 'ease' ? madeIn(view, then) : []) {
                  const before = view.blocks.find(({ block }) => block.id === now.block.id);
                  if (before) expect({ edits, more: moreIn(now, before, true) }).toEqual({ edits, more: [] });
                }
              }
            }
          }
        }
      }),
      runs(40),
    );
  });

  test('tests: nobody is asked for a maximum, a load or a bent wrist that a restriction forbids', () => {
    fc.assert(
      fc.property(subject, fc.constantFrom(...PROTOCOLS), fc.constantFrom(...HANDS), ({ athlete }, protocol, hand) => {
        const cautions = athlete?.cautions ?? [];
        if (whyNotMeasured(protocol, cautions, hand) !== null) return;
        count('tests');
        const mine = cautions.filter((entry) => (entry.hand ?? 'both') === 'both' || entry.hand === hand);
        for (const entry of mine) expect([entry, protocol.id, beyond(entry, protocol)]).toEqual([entry, protocol.id, []]);
      }),
      runs(150),
    );
  });

  test('the gate itself: what it lets through is sound, and it says why where it does not', () => {
    fc.assert(
      fc.property(subject, fc.nat(), fc.nat(), (who, at, level) => {
        const movement = itemAt(LIBRARY, at % LIBRARY.length);
        const chosen = itemAt(movement.ladder, level % movement.ladder.length);
        const dose = doseFor(movement, chosen, who.method, null, who.athlete?.cautions);
        const answer = gate(who, movement, chosen, dose);
        count(`gate: ${answer.verdict}`);
        const block = { id: 'b1', phase: 'load' as const, movementId: movement.id, levelId: chosen.id, dose };
        const view = viewOf({ ...who, sequence: { title: '', purpose: '', budgetMin: 20, pacing: USUAL_PACING, blocks: [block] } });
        const wrong = wrongIn(view, itemAt(view.blocks, 0));
        if (answer.verdict === 'not') expect(answer.refusals.length).toBeGreaterThan(0);
        else expect({ movement: movement.id, level: chosen.id, wrong }).toEqual({ movement: movement.id, level: chosen.id, wrong: [] });
      }),
      runs(400),
    );
  });
});

afterAll(() => {
  const all = [...counts.values()].reduce((sum, each) => sum + each, 0);
  process.stdout.write(`Proposals held against the gate: ${all} (${[...counts].map(([name, n]) => `${name} ${n}`).join(', ')})\n`);
});
