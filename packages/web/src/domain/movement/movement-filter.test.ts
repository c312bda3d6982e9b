import { describe, expect, test } from '@jest/globals';
import { LIBRARY } from '@clay-pot/core/library';
import { findMovements, NO_FILTER, passingLevels } from './movement-filter.js';

const ids = (filter: Partial<typeof NO_FILTER>) => findMovements(LIBRARY, { ...NO_FILTER, ...filter }).movements.map(({ id }) => id);

describe('finding movements', () => {
  test('without a filter all are there', () => {
    expect(ids({})).toHaveLength(LIBRARY.length);
  });

  test('a name comes before a mention, in any order of words', () => {
    expect(ids({ text: 'support palm' })[0]).toBe('bearing.palm-support');
    expect(ids({ text: 'support palm' }).length).toBeGreaterThan(1);
    expect(ids({ text: 'PUTTY ' })).toEqual(['grip.putty-pinch', 'grip.ring-little-squeeze']);
    expect(ids({ text: 'palm suport' })[0]).toBe('bearing.palm-support');
    expect(ids({ text: 'windmill' })).toEqual([]);
  });

  test('where nothing answers every word, the closest few are offered as such', () => {
    const found = findMovements(LIBRARY, { ...NO_FILTER, text: 'eagle arms' });
    expect(found.isClosest).toBe(true);
    expect(found.movements.length).toBeLessThanOrEqual(5);
    expect(found.movements.map(({ id }) => id)).toContain('stretch.crossed-arms-turn');
    expect(findMovements(LIBRARY, { ...NO_FILTER, text: 'palm support' }).isClosest).toBe(false);
  });

  test('muscles and motions can be searched', () => {
    expect(ids({ text: 'supinators' })).toEqual(expect.arrayContaining(['free.forearm-turns', 'isometric.turns']));
  });

  test('equipment is asked of each level: a movement stays while one level can be done', () => {
    const noBall = { ...NO_FILTER, equipment: [] };
    const circles = LIBRARY.find(({ id }) => id === 'free.wrist-circles')!;
    expect(passingLevels(circles, noBall).map(({ id }) => id)).toEqual(['free-fist', 'free-spread']);
    expect(ids({ equipment: [] })).not.toContain('grip.band-opening');
  });

  test('who is not cleared is offered unloaded levels only', () => {
    const filter = { ...NO_FILTER, cautions: [{ caution: 'numbness' as const }] };
    const offered = findMovements(LIBRARY, filter).movements;
    expect(offered.length).toBeGreaterThan(5);
    const levels = offered.flatMap((movement) => passingLevels(movement, filter));
    expect(levels.every(({ loading }) => loading === 'unloaded')).toBe(true);
  });

  test('whose one hand is not cleared is offered what the other may do alone, and nothing that needs both', () => {
    const shown = ids({ cautions: [{ caution: 'numbness', hand: 'left' }] });
    expect(shown).toContain('grip.ball-squeeze');
    expect(shown).not.toContain('hang.full');
    expect(shown).not.toContain('bearing.handstand');
  });

  test('what a caution says to leave out is left out; what it says to do with care stays', () => {
    const shown = ids({ cautions: [{ caution: 'arthritis' }] });
    expect(shown).not.toContain('grip.pinch-hold');
    expect(shown).toContain('grip.towel-gather');
  });
});
