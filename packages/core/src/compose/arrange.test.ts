import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { itemAt } from '../vocabulary/lists.js';
import { PHASES } from '../vocabulary/phases.js';
import { arranged } from './arrange.js';
import { candidatesFor } from './candidates.js';
import { composeFor } from './composing.fixture.js';
import { composingOf } from './question.js';
import { runs } from '../properties.fixture.js';

const composing = composingOf(composeFor('grip-endurance', 'grip-and-iron'));
const { candidates } = candidatesFor(composing);
const every = (step: number) => candidates.filter((_, index) => index % step === 0);

test('nothing is lost, phases follow each other, and what is free comes before what bears', () => {
  const chosen = every(7);
  const order = arranged(chosen, composing.method);
  expect(order.map(({ key }) => key).sort()).toEqual(chosen.map(({ key }) => key).sort());
  expect(order.map(({ phase }) => PHASES.indexOf(phase))).toEqual(order.map(({ phase }) => PHASES.indexOf(phase)).sort());
  const warmUp = order.filter(({ phase }) => phase === 'range').map(({ free }) => free);
  expect(warmUp.lastIndexOf(true)).toBeLessThan(warmUp.indexOf(false));
});

test('a phase goes to each place once, beginning where one is', () => {
  const order = arranged(
    every(5).filter(({ phase }) => phase === 'load' || phase === 'skill'),
    { stretching: 'short before, long after' },
  );
  for (const phase of ['load', 'skill'] as const) {
    const stations = order.filter((each) => each.phase === phase).map(({ station }) => station);
    const visits = stations.filter((station, index) => station !== stations[index - 1]);
    expect(visits).toEqual([...new Set(visits)]);
  }
});

test('no other order of the stations within the phases takes shorter ways', () => {
  const work = candidates.filter(({ phase }) => phase === 'load' || phase === 'strength' || phase === 'skill');
  // Another place is a whole way; a wall or a table in the same place is half of one.
  const ways = (stations: readonly string[]) => {
    const places = stations.map((station) => itemAt(station.split(' '), 0));
    const wayTo = (index: number) => (stations[index] === stations[index - 1] ? 0 : places[index] === places[index - 1] ? 0.5 : 1);
    return stations.reduce((sum, _, index) => sum + (index === 0 ? 0 : wayTo(index)), 0);
  };
  fc.assert(
    fc.property(fc.subarray(work, { minLength: 2, maxLength: 9 }), fc.gen(), (chosen, gen) => {
      const order = arranged(chosen, { stretching: 'short before, long after' });
      const phases = [...new Set(order.map(({ phase }) => phase))];
      const others = phases.flatMap((phase) => {
        const stations = [...new Set(order.filter((each) => each.phase === phase).map(({ station }) => station))];
        return gen(fc.shuffledSubarray, stations, { minLength: stations.length });
      });
      expect(ways(order.map(({ station }) => station))).toBeLessThanOrEqual(ways(others));
    }),
    runs(200),
  );
});

test('where the method stretches after strength, the stretch stands behind what it is of', () => {
  const stretch = candidates.find(({ phase, level }) => phase === 'strength' && level.load.kind === 'stretch')!;
  const worked = candidates.find(
    ({ phase, effortPercent, level, movement }) =>
      phase === 'strength' &&
      level.load.kind !== 'stretch' &&
      effortPercent > 30 &&
      movement.trains.some((group) => stretch.movement.trains.includes(group)),
  )!;
  // Another stretch would be a stretch of its own: this one is work of other muscles.
  const other = candidates.find(
    ({ phase, movement, level }) =>
      level.load.kind !== 'stretch' && phase === 'strength' && !movement.trains.some((group) => stretch.movement.trains.includes(group)),
  )!;
  const keys = (list: readonly { key: string }[]) => list.map(({ key }) => key);
  expect(keys(arranged([stretch, worked, other], composing.method))).toEqual(keys([other, worked, stretch]));
});

test('whatever is chosen, all of it is there, phase by phase, from light to hard, and rest comes last', () => {
  const load = (of: (typeof candidates)[number]) => of.level.load.kind;
  fc.assert(
    fc.property(fc.subarray([...candidates.keys()], { minLength: 1, maxLength: 24 }), (indices) => {
      const chosen = indices.map((at) => itemAt(candidates, at));
      const order = arranged(chosen, composing.method);
      expect(new Set(order)).toEqual(new Set(chosen));
      expect(order).toHaveLength(chosen.length);
      const phases = order.map(({ phase }) => PHASES.indexOf(phase));
      expect(phases).toEqual(phases.toSorted((a, b) => a - b));
      const settling = order.filter(({ phase }) => phase === 'settle').map((each) => load(each) === 'rest');
      expect(settling).toEqual(settling.toSorted((a, b) => Number(a) - Number(b)));
      // The same choice has the same order, however it is handed over.
      expect(arranged(chosen, composing.method)).toEqual(order);
    }),
    runs(100),
  );
});

test('each strength block whose stretch was chosen is followed by it, alone or in a row with others of it', () => {
  const strong = candidates.filter(
    ({ phase, level, effortPercent }) => phase === 'strength' && level.load.kind !== 'stretch' && effortPercent >= 30,
  );
  const stretches = candidates.filter(({ phase, level }) => phase === 'strength' && level.load.kind === 'stretch');
  const shares = (one: (typeof candidates)[number], other: (typeof candidates)[number]) =>
    one.movement.trains.some((group) => other.movement.trains.includes(group));
  fc.assert(
    fc.property(fc.subarray(strong, { minLength: 1, maxLength: 5 }), fc.constantFrom(...stretches), (works, stretch) => {
      const order = arranged([stretch, ...works], composing.method);
      const at = order.indexOf(stretch);
      const mine = works.filter((work) => shares(work, stretch));
      expect(new Set(order.slice(at - mine.length, at))).toEqual(new Set(mine));
    }),
    runs(60),
  );
});
