// Every constant of the computations: value, source or reason, and how far the efforts of the library move when it moves by a fifth. Writes docs/constants.md.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/constants.mjs
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { format } from 'oxfmt';
import { compileTimeline, constants, demandOf, effortTimeline, fatigueCourses, HANDS, USUAL_PACING, withValue } from '@clay-pot/core';
// What the answers compute with counts as well.
import '@clay-pot/core/answers';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { IS_SMALL, sized } from './small.mjs';

const FIFTH = 0.2;
const BODIES = [
  { sex: 'female', statureM: 1.65, massKg: 62 },
  { sex: 'male', statureM: 1.78, massKg: 78 },
];
const LEVELS = LIBRARY.slice(0, sized(Infinity, 3)).flatMap((movement) => movement.ladder.map((level) => ({ movement, level })));
const SESSIONS = LEVELS.map(({ movement, level }) => {
  const block = { id: 'b', phase: 'load', movementId: movement.id, levelId: level.id, dose: level.dose };
  const sequence = { title: '', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks: [block] };
  return { sequence, timeline: compileTimeline(sequence, shippedMovement) };
});

/** New people each time: what is kept of a computation is kept by person and body. */
const people = () => BODIES.map((body) => ({ body: { ...body }, ageYears: 30, evidence: [], today: '2026-11-01' }));

function efforts() {
  return people().flatMap((person) =>
    LEVELS.map(({ level }) => {
      try {
        const demand = demandOf(person, { ...level });
        return Math.max(...HANDS.map((hand) => demand[hand].effortPercent));
      } catch {
        return NaN;
      }
    }),
  );
}

function doses() {
  return people().flatMap((person) =>
    SESSIONS.map(({ sequence, timeline }) => {
      const courses = fatigueCourses(effortTimeline(person, sequence, timeline, shippedMovement));
      return Math.max(0, ...[...courses.values()].map(({ enduranceDose }) => enduranceDose));
    }),
  );
}

/** Levels that move by more than a hundredth, and the largest move, in percent of what they were. */
function moved(before, after) {
  const moves = before.map((value, index) => (value > 0 && after[index] > 0 ? after[index] / value - 1 : 0));
  const touched = moves.filter((move) => Math.abs(move) > 0.01);
  if (touched.length === 0) return null;
  const most = touched.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  return { share: touched.length / moves.length, most };
}

const signed = (share) => `${share > 0 ? '+' : '−'}${Math.abs(100 * share).toFixed(0)} %`;
const told = (up, down) => {
  if (!up && !down) return '–';
  const share = Math.max(up?.share ?? 0, down?.share ?? 0);
  const most = (one) => (one ? signed(one.most) : '0 %');
  return `${(100 * share).toFixed(0)} % of levels, at most ${most(up)} / ${most(down)}`;
};

const number = (value) => String(Number(value.toPrecision(4)));
const [effort, dose] = [efforts(), doses()];
const rows = constants().map((constant) => {
  const { name, value, unit, source, reason, range } = constant;
  const at = (share) => withValue(constant, value * (1 + share), () => [efforts(), doses()]);
  const [[upEffort, upDose], [downEffort, downDose]] = [at(FIFTH), at(-FIFTH)];
  const moves = told(moved(effort, upEffort), moved(effort, downEffort));
  const doseMoves = told(moved(dose, upDose), moved(dose, downDose));
  const from = source ? [source, reason].filter(Boolean).join('; ') : `working value: ${reason}`;
  const between = range ? `${number(range[0])}–${number(range[1])}` : '';
  return `| ${name} | ${number(value)} ${unit} | ${between} | ${from} | ${moves} | ${doseMoves} |`;
});

const text = `# Constants of the computations

Written by \`node benchmarks/constants.mjs\` from the code, where each stands with its reason; a test holds names and values to it.
What the last two columns tell: the constant is moved up and down by a fifth; how many of the library's levels ask for another effort (or come to another dose at
their usual dose) by more than a hundredth, of an ordinary woman and an ordinary man, and the largest move.
A dash is a constant that sets clocks, words or beliefs' widths, and no effort.

Tables that are used as they were published are not moved: body segments (de Leva 1996, \`mechanics/segment-table.ts\`), grip by age, sex and side (Massy-Westropp et al. 2011,
moved as a whole below), usual doses (\`vocabulary/usual-ranges.ts\`). Standard gravity is 9.80665 m/s².

| Constant | Value | Could lie within | Source, or reason | Effort, ± 1/5 | Dose, ± 1/5 |
| --- | --- | --- | --- | --- | --- |
${rows.join('\n')}
`;
const path = fileURLToPath(new URL('../docs/constants.md', import.meta.url));
const { code } = await format(path, text, { printWidth: 140 });
if (!IS_SMALL) writeFileSync(path, code);
console.log(`${rows.length} constants ${IS_SMALL ? 'tried' : 'written to docs/constants.md'}`);
