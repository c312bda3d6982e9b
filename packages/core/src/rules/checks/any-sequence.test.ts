import { sentenceText } from '../../vocabulary/sentence.js';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type SessionQuestion, type SessionView, viewOf } from '../../effort/session-view.js';
import { LIBRARY, shippedMovement } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import { personOf, referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { checkSequence } from '../../model/check-sequence.js';
import { type Dose, withAmount, workOf } from '../../model/dose.js';
import { effortMeans, type Level } from '../../model/movement.js';
import { isKilograms } from '../../model/effort-or-load.js';
import { ownLoadsOf } from '../../model/own-load.js';
import { OWN_LOADS } from '../../vocabulary/own-load.js';
import { applyEdits } from '../../model/edits.js';
import type { Movement } from '../../model/movement.js';
import { type Block, inPhaseOrder, type Sequence, USUAL_PACING } from '../../model/sequence.js';
import { SEVERITIES } from './finding.js';
import { offersFor } from '../fixes/offered.js';
import { withoutOpenEnds } from '../doses/open-ends.js';
import { type Finding, findingsOf, keyOfFinding } from './index.js';
import { CAUTIONS } from '../../vocabulary/cautions.js';
import { HANDS, otherHand, type SidePlan } from '../../vocabulary/hands.js';
import { MUSCLE_GROUPS } from '../../vocabulary/muscles.js';
import { PHASES } from '../../vocabulary/phases.js';
import { EQUIPMENT } from '../../vocabulary/places.js';
import { runs } from '../../properties.fixture.js';

const DAY = '2026-06-10';

/** A dose that this movement can have: its usual one with more or fewer sets, work and rest, and any of its hands. */
const anyDose = (movement: Movement, level: Level, usual: Dose = level.dose) =>
  fc
    .record({
      sets: fc.integer({ min: 1, max: 5 }),
      amount: fc.integer({ min: 1, max: 60 }),
      restS: fc.integer({ min: 0, max: 120 }),
      sides: fc.constantFrom(...movement.sides),
      directions: fc.constantFrom(...(movement.directions ? (['first', 'second', 'each'] as const) : (['none'] as const))),
      effortPercent: fc.constantFrom(undefined, 20, 50, 80, 100),
      open: fc.constantFrom(undefined, undefined, 'form' as const),
      more: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
      own: fc.nat(),
    })
    .map(({ amount, effortPercent, open, more, own, ...dose }): Dose => {
      const { work } = usual;
      const alternating = dose.sides === 'alternating' && work.kind !== 'repetitions';
      return {
        ...usual,
        ...dose,
        sides: alternating ? usual.sides : dose.sides,
        work: withAmount(work, work.kind === 'time' ? amount * 3 : amount),
        ...(effortMeans(level) !== null && effortPercent !== undefined && { effortPercent }),
        ...(more && { then: [{ sets: 1, work: workOf(work.kind, more, { ...(open && { open }) }) }] }),
        ...ownLoad(movement, level, own, effortPercent !== undefined),
      };
    });

/** Something of a level's own set otherwise, for one dose in three. */
function ownLoad(movement: Movement, level: Level, seed: number, hasEffort: boolean): Pick<Dose, 'load'> {
  const may = ownLoadsOf(level, movement).filter((name) => !hasEffort || !isKilograms(name));
  const name = may[seed % 3 === 0 ? seed % Math.max(1, may.length) : may.length];
  if (!name) return {};
  const { min, max } = OWN_LOADS[name].limit;
  return { load: { [name]: Number((min + ((seed % 97) / 96) * (max - min) * 0.3).toFixed(2)) } };
}

const anyBlock = fc.constantFrom(...LIBRARY).chain((movement) =>
  fc
    .constantFrom(...movement.ladder)
    .chain((level) =>
      fc.record({
        phase: fc.constantFrom(...PHASES),
        dose: anyDose(movement, level),
        breakS: fc.constantFrom(30, 0),
        levelId: fc.constant(level.id),
      }),
    )
    .map((rest) => ({ ...rest, movementId: movement.id })),
);

const anySequence = fc
  .record({
    blocks: fc.array(anyBlock, { maxLength: 14 }),
    budgetMin: fc.integer({ min: 5, max: 60 }),
    round: fc.record({
      at: fc.nat(13),
      size: fc.integer({ min: 1, max: 3 }),
      times: fc.integer({ min: 2, max: 4 }),
      restS: fc.constantFrom(0, 60),
      change: fc.constantFrom(undefined, { levels: 1 }, { fasterPercent: 20, morePercent: -20 }),
    }),
  })
  .map(({ blocks: any, budgetMin, round }): Sequence => {
    const blocks = inPhaseOrder(any.map((block, index): Block => ({ ...block, id: `b${index + 1}` })));
    const { at, size, times, restS, change } = round;
    const mine = blocks.slice(at, at + size).filter(({ phase }) => phase === blocks[at]?.phase);
    const rounds = [{ id: 'r', blockIds: mine.map(({ id }) => id), times, restS, ...(change && { change }) }];
    return { title: 'Any', purpose: '', budgetMin, pacing: USUAL_PACING, blocks, ...(mine.length > 0 && { rounds }) };
  });

const PERSONS = [
  referencePerson(REFERENCE_BODIES['not stated'], DAY),
  personOf(
    null,
    [
      { kind: 'maximum', of: 'grip', hand: 'left', value: 180, onDay: '2026-06-01' },
      { kind: 'maximum', of: 'grip', hand: 'right', value: 420, onDay: '2026-06-01' },
    ],
    DAY,
  ).person,
];

const anyAthlete = fc.option(
  fc.record({
    cautions: fc
      .subarray(Object.keys(CAUTIONS) as (keyof typeof CAUTIONS)[], { maxLength: 3 })
      .map((ids) => ids.map((caution) => ({ caution }))),
    equipment: fc.subarray([...EQUIPMENT]),
  }),
);

/** What is asked, small enough to be read when it fails. */
const anyCase = fc.record({
  sequence: anySequence,
  person: fc.constantFrom(...PERSONS.keys()),
  method: fc.constantFrom(...(Object.keys(METHODS) as (keyof typeof METHODS)[])),
  athlete: anyAthlete,
});
type Case = typeof anyCase extends fc.Arbitrary<infer T> ? T : never;

const question = ({ person, method, athlete, ...rest }: Case) =>
  ({
    ...rest,
    person: PERSONS[person]!,
    method: METHODS[method],
    athlete,
    lookup: shippedMovement,
    shelf: LIBRARY,
    past: [],
    now: `${DAY}T10:00:00.000Z`,
  }) as unknown as SessionQuestion;

/** A few cases each time, others with each run. */
const looked = (usual: number) => ({
  ...runs(usual),
  // A case takes a while: SHRINK=1 looks for the smallest one that fails.
  endOnFailure: process.env['SHRINK'] === undefined,
});

const found = (session: SessionQuestion) => findingsOf(viewOf(session));

describe('any sequence, for anybody, by any method', () => {
  test('is answered in finite numbers and whole sentences, about blocks that are there', () => {
    fc.assert(
      fc.property(anyCase, (session) => {
        expect(checkSequence(session.sequence, shippedMovement)).toEqual([]);
        const view = viewOf(question(session));
        for (const dose of view.account.doses.values()) expect(dose).toBeGreaterThanOrEqual(0);
        for (const { lowest } of view.courses.values()) expect(lowest).toBeGreaterThanOrEqual(0);
        const ids = new Set(session.sequence.blocks.map(({ id }) => id));
        for (const { text, blockIds } of findingsOf(view)) {
          expect(sentenceText(text)).not.toMatch(/NaN|undefined|Infinity|null/);
          expect(blockIds.filter((id) => !ids.has(id))).toEqual([]);
        }
      }),
      looked(25),
    );
  });

  test('every offer leaves a sequence that can be carried out, its finding is gone, and nothing as grave has come', () => {
    fc.assert(
      fc.property(anyCase, (session) => {
        const view = viewOf(question(session));
        const before = findingsOf(view);
        for (const finding of before) {
          for (const { edits, label } of offersFor(view, finding)) {
            const sequence = applyEdits(session.sequence, edits);
            expect(checkSequence(sequence, shippedMovement)).toEqual([]);
            const after = found(question({ ...session, sequence }));
            expect(after.map(keyOfFinding)).not.toContain(keyOfFinding(finding));
            expect([sentenceText(label), newlyGrave(finding, before, after)]).toEqual([sentenceText(label), []]);
          }
        }
      }),
      looked(8),
    );
  });

  test('taking one offer after another comes to an end', () => {
    fc.assert(
      fc.property(anyCase, (session) => {
        let { sequence } = session;
        const done: string[] = [];
        for (let round = 0; round < 120; round++) {
          const view = viewOf(question({ ...session, sequence }));
          const next = firstOffer(view);
          if (!next) return;
          done.push(sentenceText(next.label));
          sequence = applyEdits(sequence, next.edits);
        }
        throw new Error(`No end: … ${done.slice(-8).join('; ')}`);
      }),
      looked(3),
    );
  });

  test('who mirrors a sequence mirrors what it comes to', () => {
    fc.assert(
      fc.property(anySequence, (any) => {
        // The right hand is taken to be the stronger one, so an open set of it goes on longer.
        const sequence = {
          ...any,
          blocks: any.blocks.map((block) => ({ ...block, dose: withoutOpenEnds(block.dose) })),
        };
        const session = { sequence, person: 0, method: 'daily-range', athlete: null } as const;
        const [plain, mirrored] = [session, { ...session, sequence: mirror(sequence) }].map((one) => viewOf(question(one)));
        for (const hand of HANDS) {
          const opposite = otherHand(hand);
          const { workS, repetitions } = plain!.account.hands[hand];
          expect(mirrored!.account.hands[opposite].workS).toBeCloseTo(workS, 6);
          expect(mirrored!.account.hands[opposite].repetitions).toBe(repetitions);
          // Doses differ: the right hand is the stronger one where nothing was measured.
          for (const group of MUSCLE_GROUPS) {
            const seconds = plain!.account.groupS.get(`${hand} ${group}`) ?? 0;
            expect(mirrored!.account.groupS.get(`${opposite} ${group}`) ?? 0).toBeCloseTo(seconds, 6);
          }
        }
      }),
      looked(25),
    );
  });
});

function firstOffer(view: SessionView) {
  for (const finding of findingsOf(view)) {
    const [offer] = offersFor(view, finding);
    if (offer) return offer;
  }
  return undefined;
}

/** Checks that speak, as gravely as a finding or more so, of a block of which they did not speak before; counted apart from the code. */
function newlyGrave(finding: Finding, before: readonly Finding[], after: readonly Finding[]): string[] {
  const weight = ({ check }: Finding) => SEVERITIES.indexOf(check.severity);
  const places = (findings: readonly Finding[]) =>
    findings
      .filter((each) => weight(each) <= weight(finding))
      .flatMap(({ check, blockIds }) => (blockIds.length ? blockIds : ['-']).map((id) => `${check.id} ${id}`));
  const left = places(before);
  return places(after).filter((place) => {
    const at = left.indexOf(place);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

const MIRRORED: Partial<Record<SidePlan, SidePlan>> = {
  left: 'right',
  right: 'left',
  'left-then-right': 'right-then-left',
  'right-then-left': 'left-then-right',
};
function mirror(sequence: Sequence): Sequence {
  const blocks = sequence.blocks.map((block) => {
    const sides = MIRRORED[block.dose.sides] ?? block.dose.sides;
    return { ...block, dose: { ...block.dose, sides } };
  });
  return { ...sequence, blocks };
}
