import 'reflect-metadata';
import { describe, expect, test } from '@jest/globals';
import {
  checkDose,
  checkSequence,
  DIRECTION_PLANS,
  DOSE_LIMITS,
  type Dose,
  type Limit,
  SIDE_PLANS,
  USUAL_PACING,
} from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import fc from 'fast-check';
import { AssignmentInput, SequenceInput, toSequence } from '@clay-pot/contracts';

const pointersOf = (errors: readonly ValidationError[], at = ''): string[] =>
  errors.flatMap(({ property, constraints, children }) => [
    ...(constraints ? [`${at}/${property}`] : []),
    ...pointersOf(children ?? [], `${at}/${property}`),
  ]);
const faultsOf = async (shape: new () => object, plain: unknown) =>
  pointersOf(await validate(plainToInstance(shape, plain), { whitelist: true, forbidNonWhitelisted: true }));

/** Values around a limit: inside, on the edges, just outside, off the step. */
const around = ({ min, max, step }: Limit) => fc.constantFrom(min - step, min, min + step, max - step, max, max + step);

const anyDose: fc.Arbitrary<Dose> = fc
  .record({
    sets: around(DOSE_LIMITS.sets),
    work: fc.oneof(
      around(DOSE_LIMITS.repetitions).map((count) => ({ kind: 'repetitions' as const, count })),
      around(DOSE_LIMITS.seconds).map((seconds) => ({ kind: 'time' as const, seconds })),
    ),
    sides: fc.constantFrom(...SIDE_PLANS),
    directions: fc.constantFrom(...DIRECTION_PLANS),
    effortPercent: fc.option(around(DOSE_LIMITS.effortPercent), { nil: undefined }),
    tempo: fc.option(fc.record({ outS: around(DOSE_LIMITS.tempoS), backS: around(DOSE_LIMITS.tempoS) }), {
      nil: undefined,
    }),
    restS: around(DOSE_LIMITS.restS),
  })
  .map(({ effortPercent, tempo, ...rest }) => ({
    ...rest,
    ...(effortPercent !== undefined && { effortPercent }),
    ...(tempo && { tempo }),
  }));
const withDose = (dose: unknown) => ({
  title: 'any',
  purpose: '',
  budgetMin: 20,
  pacing: USUAL_PACING,
  blocks: [{ id: 'b', phase: 'load', movementId: 'm', levelId: 'l', dose }],
});

/** Faults that concern how parts go together, which the classes leave to the core. */
const TOGETHER = new Set(['/tempo', '/holdS', '/sides']);

describe('the rules of requests', () => {
  test('class rules and the core find the same faults at the same places, around every limit', async () => {
    await fc.assert(
      fc.asyncProperty(anyDose, async (dose) => {
        const byCore = checkDose(dose)
          .map(({ pointer }) => pointer)
          .filter((pointer) => !TOGETHER.has(pointer))
          .sort();
        const byClass = (await faultsOf(SequenceInput, withDose(dose)))
          .map((p) => p.replace('/blocks/0/dose', ''))
          .sort();
        expect(byClass).toEqual(byCore);
      }),
      { numRuns: 300 },
    );
  });

  test('every level of the library passes as a sequence, and comes out as it went in', async () => {
    for (const movement of LIBRARY) {
      const blocks = movement.ladder.map((level) => ({
        id: level.id,
        phase: 'load',
        movementId: movement.id,
        levelId: level.id,
        dose: level.dose,
      }));
      const plain = { title: movement.name, purpose: '', budgetMin: 20, pacing: USUAL_PACING, blocks };
      expect(await faultsOf(SequenceInput, plain)).toEqual([]);
      const sequence = toSequence(plainToInstance(SequenceInput, plain));
      expect(JSON.parse(JSON.stringify(sequence))).toEqual(plain);
      expect(checkSequence(sequence, shippedMovement)).toEqual([]);
    }
  });

  test.each<[string, object, string[]]>([
    ['no weekday', { weekdays: [] }, ['/weekdays']],
    ['an eighth weekday', { weekdays: [8] }, ['/weekdays']],
    ['a weekday twice', { weekdays: [1, 1] }, ['/weekdays']],
    ['a month that is none', { fromDay: '2026-13-01' }, ['/fromDay']],
    ['an id of another kind', { athleteId: '00000000-0000-4000-8000-000000000000' }, ['/athleteId']],
    ['nothing wrong', {}, []],
  ])('an assignment with %s', async (_what, change, pointers) => {
    const id = '01890a5d-ac96-774b-bcce-b302099a8057';
    const sound = { sequenceId: id, athleteId: id, weekdays: [1, 3], fromDay: '2026-01-31' };
    expect(await faultsOf(AssignmentInput, { ...sound, ...change })).toEqual(pointers);
  });
});
