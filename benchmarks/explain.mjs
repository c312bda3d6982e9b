// Three sequences composed for three made-up people, with why each block is in them and what kept others out, as docs/explanations.md:
//   ./clay-pot test types   (builds the core)   then   node benchmarks/explain.mjs
import { writeFileSync } from 'node:fs';
import { compose, EQUIPMENT, loadSolver, maximum, printDose, usualWay } from '@clay-pot/core';
import { LIBRARY, METHODS, shippedGoal, shippedMovement } from '@clay-pot/core/library';

const TODAY = '2026-11-01';
const body = (sex, statureM, massKg) => ({ sex, statureM, massKg });
const grip = (left, right) => [maximum('grip', 'left', left, TODAY), maximum('grip', 'right', right, TODAY)];
const PEOPLE = [
  ['A yoga teacher of 34, nothing measured, 20 minutes toward handstands', 'woven-into-practice', 'handstand-load', 20, body('female', 1.65, 62), 34, [], []],
  ['A boulderer of 15, grip measured, 20 minutes for edges', 'grip-and-iron', 'edge-strength', 20, body('male', 1.7, 58), 15, grip(330, 350), [{ caution: 'under-18' }]],
  ['A carpenter of 61 with arthritis, 12 minutes for hands that work all day', 'daily-range', 'desk-hands', 12, body('male', 1.76, 84), 61, [], [{ caution: 'arthritis' }]],
]; // prettier-ignore

const solver = await loadSolver();
const parts = PEOPLE.map(([who, method, goalId, minutes, sizes, ageYears, evidence, cautions]) => {
  const goal = shippedGoal(goalId);
  const asked = {
    ...{ goal, minutes, method: METHODS[method], athlete: { cautions, equipment: EQUIPMENT } },
    person: { body: sizes, ageYears, evidence, today: TODAY },
    ...{ past: [], now: `${TODAY}T10:00:00.000Z`, shelf: LIBRARY, lookup: shippedMovement },
  };
  const kept = compose(asked, solver);
  const why = new Map(kept.reasons().map(({ blockId, text }) => [blockId, text]));
  const rows = kept.sequence.blocks.map((block) => {
    const movement = shippedMovement(block.movementId);
    const level = movement.ladder.find(({ id }) => id === block.levelId);
    return `| ${block.phase} | ${movement.name}, ${level.name.toLowerCase()} | \`${printDose(block.dose, usualWay(movement)).replaceAll('|', '/')}\` | ${why.get(block.id) ?? ''} |`;
  });
  const bound = kept.binding.map(({ text }) => `- ${text}`);
  return [
    `## ${who}`,
    `${goal.name}. Method: ${METHODS[method].name}.`,
    ['| Phase | Movement | Dose | Why |', '| --- | --- | --- | --- |', ...rows].join('\n'),
    `What bound it:\n\n${bound.join('\n') || '- nothing'}`,
    ...(kept.notes.length > 0
      ? [`Said beside it:\n\n${kept.notes.map((note) => `- ${note.text ?? note}`).join('\n')}`]
      : []),
  ].join('\n\n');
});
const head =
  '# Three sequences and why\n\nWritten by `node benchmarks/explain.mjs`: what the composer says of its own choices, for three people who do not exist.';
writeFileSync(new URL('../docs/explanations.md', import.meta.url), `${[head, ...parts].join('\n\n')}\n`);
