// What every level of the library asks of an ordinary and a practised woman and man at its usual dose, as CSV; beside another such CSV, before and after.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/library-efforts.mjs [before.csv] > after.csv
import { readFileSync } from 'node:fs';
import {
  compileTimeline,
  effortTimeline,
  enduranceDoseOf,
  fatigueCourses,
  partsOf,
  ratesOf,
  STRENGTHS,
  USUAL_PACING,
} from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';

const BODIES = {
  woman: { sex: 'female', statureM: 1.65, massKg: 62 },
  man: { sex: 'male', statureM: 1.78, massKg: 78 },
};
const PEOPLE = Object.entries(BODIES).flatMap(([name, body]) =>
  ['ordinary', 'practised'].map((strength) => ({
    who: `${strength} ${name}`,
    person: { body, ageYears: 30, evidence: [], strengthOfNorm: STRENGTHS[strength], today: '2026-11-01' },
  })),
);

/** The most effort, the group that it is of, its dose, and the share of the work that is held. */
function asked(person, movementId, level) {
  const block = { id: 'b', phase: 'load', movementId, levelId: level.id, dose: level.dose };
  const sequence = { title: '', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks: [block] };
  const efforts = effortTimeline(person, sequence, compileTimeline(sequence, shippedMovement), shippedMovement);
  let most = { percent: 0, group: '', dose: 0, held: 1 };
  for (const [key, { failures }] of fatigueCourses(efforts)) {
    const spans = efforts.spans.get(key);
    const percent = 100 * Math.max(...spans.map(({ effort }) => effort));
    const seconds = spans.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0);
    const until = ({ atMs }) => spans.reduce((sum, { startMs, endMs }) => sum + Math.max(0, Math.min(atMs, endMs) - startMs), 0);
    const held = Math.min(1, ...failures.map((failure) => until(failure) / seconds));
    const rates = ratesOf(partsOf(key).group);
    const dose = spans.reduce(
      (sum, { startMs, endMs, effort, charged }) => sum + enduranceDoseOf(rates, effort, (endMs - startMs) / 1000, charged),
      0,
    );
    if (percent > most.percent) most = { ...most, percent, group: partsOf(key).group, dose };
    most.held = Math.min(most.held, held);
  }
  return most;
}

const before = new Map(
  (process.argv[2] ? readFileSync(process.argv[2], 'utf8').trim().split('\n').slice(1) : []).map((line) => {
    const [movement, level, who, percent, group, dose, held] = line.split(',');
    return [`${movement},${level},${who}`, [percent, group, dose, held]];
  }),
);
const columns = ['effort_percent', 'group', 'dose', 'held'];
const head = before.size ? [...columns.map((name) => `before_${name}`), ...columns.map((name) => `after_${name}`)] : columns;
console.log(['movement', 'level', 'who', ...head].join(','));
for (const movement of LIBRARY) {
  for (const level of movement.ladder) {
    for (const { who, person } of PEOPLE) {
      const { percent, group, dose, held } = asked(person, movement.id, level);
      const key = `${movement.id},${level.id},${who}`;
      const after = [percent.toFixed(1), group, dose.toFixed(3), held.toFixed(2)];
      const was = before.size ? (before.get(key) ?? ['', '', '', '']) : [];
      console.log([key, ...was, ...after].join(','));
    }
  }
}
