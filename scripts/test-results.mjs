import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const SLOWEST_SHOWN = 10;
/** How long a journey may take: longer, it does more than one thing, or waits for what it could jump over. */
const LONGEST_S = 20;
/** On a machine where all take longer, one may take as many times as long as the one in the middle. */
const TIMES_THE_MIDDLE = 5;
/** Those that may take longer, each with its reason. */
const MAY_TAKE_LONGER = {
  'measure.spec.ts: simulated devices drive a whole first visit, plates and the all-out test among it':
    'the devices send at their own rate, and a first visit has twenty-eight trials',
  'class.spec.ts: a class of twelve on five devices, through loss and return of the network; everybody gets their own record':
    'devices are held against each other by the real clock',
};

/** Prints the slowest tests, so that one is seen on the day it comes, and the line of counts. @param results folder @returns what is wrong with them */
export function tell(results) {
  const { unit, e2e } = resultsOf(results);
  const journeys = journeysIn(e2e);
  const slow = [...unitsIn(unit), ...journeys].sort((a, b) => b.ms - a.ms).slice(0, SLOWEST_SHOWN);
  if (slow.length) console.log('\nThe slowest:');
  for (const { ms, name } of slow) console.log(`  ${(ms / 1000).toFixed(1).padStart(5)} s  ${name}`);
  const passed = (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0);
  const failed = (unit?.numFailedTests ?? 0) + (e2e?.stats.unexpected ?? 0) + (e2e?.stats.flaky ?? 0);
  console.log(`\n${passed} passed, ${failed} failed`);
  return tooLong(journeys).map(
    ({ name, ms }) => new Error(`${name} took ${(ms / 1000).toFixed(0)} s: split it, or say in scripts/test-results.mjs why it may.`),
  );
}

function tooLong(journeys) {
  const inOrder = journeys.map(({ ms }) => ms).sort((a, b) => a - b);
  const middleMs = inOrder[Math.floor(inOrder.length / 2)] ?? 0;
  const longestMs = Math.max(LONGEST_S * 1000, TIMES_THE_MIDDLE * middleMs);
  return journeys.filter(({ name, ms }) => ms > longestMs && !(name in MAY_TAKE_LONGER));
}

function resultsOf(results) {
  const read = (name) => {
    const file = join(results, name);
    return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
  };
  return { unit: read('unit.json'), e2e: read('e2e.json') };
}

const unitsIn = (unit) =>
  (unit?.testResults ?? []).flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  );

function journeysIn(e2e) {
  const ofSuite = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(ofSuite)];
  return (e2e?.suites ?? []).flatMap(ofSuite).map(({ title, file, tests }) => ({
    name: `${file}: ${title}`,
    ms: Math.max(0, ...tests.flatMap((test) => test.results.map(({ duration }) => duration))),
  }));
}
