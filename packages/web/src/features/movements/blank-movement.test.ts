import { describe, expect, test } from '@jest/globals';
import { checkLoad, checkMovement, demandOf, LOAD_KINDS, referencePerson, REFERENCE_BODIES } from '@clay-pot/core';
import { blankLevel, blankLoad, blankMovement } from './blank-movement.js';

const PERSON = referencePerson(REFERENCE_BODIES['not stated'], '2026-11-24');

describe('what a new movement starts from', () => {
  test.each(LOAD_KINDS)('a %s load is complete and can be computed at once', (kind) => {
    const load = blankLoad(kind);
    expect(checkLoad(load)).toEqual([]);
    expect(() => demandOf(PERSON, { contact: 'open palm', facing: 'forward', load })).not.toThrow();
  });

  test('the blank movement lacks nothing but its words', () => {
    expect(checkMovement({ ...blankMovement('active'), name: 'A name', purpose: 'A purpose', howTo: ['A line'] })).toEqual([]);
    expect(blankLevel('x').loading).toBe('planted');
  });
});
