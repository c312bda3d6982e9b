// The vignettes of screening as a table: who says what, and what follows from it. Writes docs/screening.md.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/screening.mjs
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { format } from 'oxfmt';
import { screen, sentenceText } from '@clay-pot/core';
import { VIGNETTE_DAY, VIGNETTES } from '../packages/core/dist/rules/screening/vignettes.js';

const PAGE = fileURLToPath(new URL('../docs/screening.md', import.meta.url));

const rows = VIGNETTES.map(({ who, health, ageYears, sex, source }) => {
  const { verdict, reasons, off } = screen(health, { onDay: VIGNETTE_DAY, ageYears, sex, intakeId: 'i1' });
  const asks = reasons[0] ? sentenceText(reasons[0].text) : '–';
  const limits = off.map(({ text }) => sentenceText(text)).filter((text) => text !== asks);
  const age = `${ageYears ?? '?'}${sex === 'not stated' ? '' : `, ${sex}`}`;
  return `| ${[who, age, verdict, asks, [...new Set(limits)].join('; ') || '–', source].join(' | ')} |`;
});
const page = `# Screening: ${VIGNETTES.length} vignettes

What people say before training and what follows. The app informs a coach and does not diagnose. The rows are data
(\`packages/core/src/rules/screening/vignettes.ts\`) that a test holds the rules to; this page is written by \`node benchmarks/screening.mjs\`.
Days are counted back from ${VIGNETTE_DAY}.

| Who | Age | Verdict | What it asks for | Limits | Source |
| --- | --- | --- | --- | --- | --- |
${rows.join('\n')}
`;
const { code } = await format(PAGE, page);
writeFileSync(PAGE, code);
