// Generates three sequences for three invented people, with the reason for each block and what limits them, as docs/explanations.md:
//   ./clay-pot test types   (builds the core)   then   node benchmarks/explain.mjs
import { writeFileSync } from 'node:fs';
import { compose, doseSentence, loadSolver, PHASE_NAMES, sentenceText } from '@clay-pot/core';
import { METHODS, shippedGoal, shippedMovement } from '@clay-pot/core/library';
import { PEOPLE, questionFor } from './people.mjs';
import { IS_SMALL, sized } from './small.mjs';

const ASKED = [
  ['A yoga teacher of 34, nothing measured, 20 minutes toward handstands', PEOPLE.teacher, 'handstand-load', 20],
  ['A boulderer of 15, grip measured, 20 minutes for edges', PEOPLE.boulderer, 'edge-strength', 20],
  ['A carpenter of 61 with arthritis, 12 minutes for hands that work all day', PEOPLE.carpenter, 'desk-hands', 12],
];

const solver = await loadSolver();
const parts = ASKED.slice(0, sized(Infinity, 1)).map(([who, person, goalId, minutes]) => {
  const goal = shippedGoal(goalId);
  const kept = compose(questionFor(person, goal, minutes), solver);
  const why = new Map(kept.reasons().map(({ blockId, text }) => [blockId, sentenceText(text)]));
  const rows = kept.sequence.blocks.map((block) => {
    const movement = shippedMovement(block.movementId);
    const level = movement.ladder.find(({ id }) => id === block.levelId);
    return `| ${PHASE_NAMES[block.phase]} | ${movement.name}, ${level.name.toLowerCase()} | ${sentenceText(doseSentence(block.dose, movement, level))} | ${why.get(block.id) ?? ''} |`;
  });
  const bound = kept.binding.map(({ text }) => `- ${sentenceText(text)}`);
  return [
    `## ${String(who)}`,
    `${goal.name}. Method: ${METHODS[person.method].name}.`,
    ['| Phase | Movement | Dose | Why |', '| --- | --- | --- | --- |', ...rows].join('\n'),
    `What limits it:\n\n${bound.join('\n') || '- nothing'}`,
    ...(kept.notes.length > 0 ? [`Notes:\n\n${kept.notes.map((note) => `- ${sentenceText(note.text ?? note)}`).join('\n')}`] : []),
  ].join('\n\n');
});
const head =
  '# Three sequences and why\n\nWritten by `node benchmarks/explain.mjs`: how the generator explains its choices, for three invented people.';
const page = `${[head, ...parts].join('\n\n')}\n`;
if (!IS_SMALL) writeFileSync(new URL('../docs/explanations.md', import.meta.url), page);
console.log(`${parts.length} explained, ${page.length} characters`);
