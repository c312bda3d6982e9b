import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const SLOWEST_SHOWN = 10;

/** Prints the slowest tests, so that one is seen on the day it comes, and the line of counts. @param results folder */
export function tell(results) {
  const { unit, e2e } = resultsOf(results);
  const slow = [...unitsIn(unit), ...journeysIn(e2e)].sort((a, b) => b.ms - a.ms).slice(0, SLOWEST_SHOWN);
  if (slow.length) console.log('\nThe slowest:');
  for (const { ms, name } of slow) console.log(`  ${(ms / 1000).toFixed(1).padStart(5)} s  ${name}`);
  const passed = (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0);
  const failed = (unit?.numFailedTests ?? 0) + (e2e?.stats.unexpected ?? 0) + (e2e?.stats.flaky ?? 0);
  console.log(`\n${passed} passed, ${failed} failed`);
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
