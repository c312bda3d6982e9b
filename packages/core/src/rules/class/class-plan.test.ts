import { describe, expect, test } from '@jest/globals';
import { METHODS } from '../../library/methods.js';
import { viewOf } from '../../effort/session-view.js';
import { personOf } from '../../mechanics/person.js';
import { aloneIn } from '../../model/rounds.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { sentenceText } from '../../vocabulary/sentence.js';
import { findLevel } from '../../model/movement.js';
import { ask, athlete } from '../checks/sessions.fixture.js';
import { hardestEffort, isOpen, workOf } from '../gate/gate.js';
import { stopsOf } from '../safety/may-begin.js';
import { LOOKUP, SEQUENCE } from './class.fixture.js';
import { inForm } from './class-fit.js';
import { classPlan, sequenceOfMember, soreBlocks } from './class-plan.js';
import { classFormName } from './form-words.js';

const bodyOf = (sex: 'female' | 'male', massKg: number) =>
  personOf({ sex, statureCm: 170, massKg, birthDate: '1990-01-01' }, [], '2026-06-10').person;
const PEOPLE = { healthy: { person: bodyOf('male', 70) }, light: { person: bodyOf('female', 52) } };
const THINGS = ['mat', 'chair', 'table', 'wall', 'handles'];
const restricted = (caution: string) => ({ person: bodyOf('female', 60), athlete: athlete(caution, THINGS) });
const viewFor = (more: object) => viewOf(ask(SEQUENCE, { method: METHODS['floor-loading'], ...more }));

describe('who does what in a class', () => {
  test('somebody without restrictions does it as the class does, with gentler forms below', () => {
    const plan = classPlan(viewFor(PEOPLE.healthy));
    for (const { forms, at, reasons } of plan) {
      expect(reasons).toEqual([]);
      expect(forms[at]).toBeNull();
    }
    expect(plan.find(({ blockId }) => blockId === 'b4')!.at).toBeGreaterThan(0);
  });

  test.each(['tendon-pain', 'numbness', 'arthritis', 'blood-pressure', 'under-18'])(
    'with %s, no form breaks the gate, nor does the whole',
    (caution) => {
      const view = viewFor(restricted(caution));
      const plan = classPlan(view);
      for (const { blockId, forms } of plan) {
        const block = SEQUENCE.blocks.find(({ id }) => id === blockId)!;
        for (const form of forms) {
          const { movementId, levelId, dose } = inForm(block, form);
          const movement = LOOKUP(movementId)!;
          const level = findLevel(movement, levelId)!;
          if (form) expect(isOpen(view, movement, level, dose) ? '' : `${blockId}: ${movementId} ${levelId}`).toBe('');
        }
      }
      const mine = sequenceOfMember(SEQUENCE, { blocks: plan });
      if (mine.blocks.length > 0) expect(stopsOf(viewOf(ask(mine, restricted(caution))))).toEqual([]);
    },
  );

  test('a restriction changes what it concerns, with its reason; what it leaves open stays as the class does it', () => {
    const plan = classPlan(viewFor(restricted('tendon-pain')));
    const changed = plan.filter(({ reasons }) => reasons.length > 0);
    expect(changed.map(({ blockId }) => blockId)).toContain('b4');
    expect(changed.map(({ blockId }) => blockId)).not.toContain('b1');
    for (const { at, forms, reasons } of changed) {
      expect(at < 0 || forms[at] !== null).toBe(true);
      expect(reasons.map((reason) => sentenceText(reason)).join(' ')).toMatch(/tendon/i);
    }
  });

  test('who is not cleared loads nothing', () => {
    const plan = classPlan(viewFor(restricted('numbness')));
    const mine = sequenceOfMember(SEQUENCE, { blocks: plan });
    expect(mine.blocks.map(({ id }) => id)).not.toContain('b3');
    expect(mine.blocks.map(({ id }) => id)).toContain('b5');
  });

  test('forms fit into the time that the class has, from the gentlest on', () => {
    for (const more of [PEOPLE.healthy, PEOPLE.light, restricted('tendon-pain'), restricted('arthritis')]) {
      const view = viewFor(more);
      for (const { blockId, forms } of classPlan(view)) {
        const block = SEQUENCE.blocks.find(({ id }) => id === blockId)!;
        const lengthMs = (which: typeof block) => compileTimeline(aloneIn(SEQUENCE, which), LOOKUP).durationMs;
        const efforts = forms.map((form) => {
          const mine = inForm(block, form);
          expect(lengthMs(mine)).toBeLessThanOrEqual(lengthMs(block) + 5000);
          const movement = LOOKUP(mine.movementId)!;
          return hardestEffort(workOf(view, movement, findLevel(movement, mine.levelId)!, mine.dose));
        });
        expect(efforts).toEqual(efforts.toSorted((a, b) => a - b));
      }
    }
  });

  test('a place that hurts rules out what loads it', () => {
    const sore = soreBlocks(viewFor(PEOPLE.healthy));
    const wrist = sore.find(({ place }) => place === 'wrist-back');
    expect(wrist!.blockIds).toContain('b3');
    expect(wrist!.blockIds).not.toContain('b5');
  });
});

describe('what somebody does, from far', () => {
  const block = SEQUENCE.blocks.find(({ id }) => id === 'b4')!;
  const { movementId, levelId, dose } = block;
  const nameOf = (change: Partial<typeof block>) => classFormName(block, { movementId, levelId, dose, ...change }, LOOKUP);
  test('is the other movement, the other level, or what is different in the dose', () => {
    expect(classFormName(block, null, LOOKUP)).toBe('As the class');
    expect(nameOf({ movementId: 'bearing.fist-support', levelId: 'all-fours' })).toBe('Fist support');
    expect(nameOf({ levelId: 'all-fours' })).toBe('All fours');
    expect(nameOf({ dose: { ...dose, sets: 1 } })).toBe('6 times');
    expect(nameOf({ dose: { ...dose, load: { wedgeDeg: 15 } } })).toMatch(/wedge 15°/);
  });
});
