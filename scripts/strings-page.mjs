// Every text that a person can read, screen by screen, for reading in one go. Writes docs/strings.md:
//   node scripts/strings-page.mjs
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format } from 'oxfmt';
import { ROOT } from './places.mjs';
import { readableTexts } from './readable-text.mjs';

/** Where texts stand, and what a reader calls that place; the first that fits counts. */
const PLACES = [
  ['packages/web/src/features/sign-in/', 'Sign-in'],
  ['packages/web/src/features/today/', 'Today'],
  ['packages/web/src/features/people/', 'People'],
  ['packages/web/src/features/check-in/', 'Check-in'],
  ['packages/web/src/features/measure/', 'Test'],
  ['packages/web/src/features/predictions/', 'Predicted vs. actual'],
  ['packages/web/src/features/sequences/', 'Sequences'],
  ['packages/web/src/features/compose/', 'Generate'],
  ['packages/web/src/features/movements/', 'Movements'],
  ['packages/web/src/features/bench/', 'Load bench'],
  ['packages/web/src/features/methods/', 'Training methods'],
  ['packages/web/src/features/programmes/', 'Programmes'],
  ['packages/web/src/features/simulation/', 'Simulate progression rules'],
  ['packages/web/src/features/sessions/', 'Sessions and records'],
  ['packages/web/src/features/account/', 'Your account'],
  ['packages/web/src/', 'On several screens'],
  ['packages/core/src/rules/checks/', 'Checks of a sequence'],
  ['packages/core/src/programme/', 'Checks of a programme'],
  ['packages/core/src/rules/suggestions/', 'Suggestions'],
  ['packages/core/src/rules/safety/', 'Restrictions and clearance'],
  ['packages/core/src/rules/screening/', 'Check-in results and the letter'],
  ['packages/core/src/rules/words/', 'What is this?'],
  ['packages/core/src/rules/', 'Levels, doses and fixes'],
  ['packages/core/src/compose/', 'Reasons of a generated sequence'],
  ['packages/core/src/measure/', 'Tests and trends'],
  ['packages/core/src/library/', 'Library'],
  ['packages/core/src/exchange/', 'Files and text'],
  ['packages/core/', 'Model and computation'],
  ['packages/contracts/', 'Server'],
  ['packages/server/', 'Server'],
  ['scripts/', 'Command line'],
];
const FOLDERS = ['packages/web/src', 'packages/core/src', 'packages/contracts/src', 'packages/server/src', 'scripts'];

/** A dose, a path or an id says nothing to a reader of words. */
const isProse = (text) => /\p{L}{2,}/u.test(text) && !/^[\dx@%<>,.\sa-zA-Z-]*\d+x\d/.test(text);

/** The page as Markdown: each text once, under its first screen. */
export async function stringsPage() {
  const seen = new Set();
  const sections = new Map(PLACES.map(([, title]) => [title, []]));
  for (const { file, text } of FOLDERS.flatMap(readableTexts)) {
    if (seen.has(text) || !isProse(text)) continue;
    seen.add(text);
    sections.get(PLACES.find(([folder]) => file.startsWith(folder))[1]).push(text);
  }
  const body = [...sections].map(([title, texts]) => `## ${title}\n\n\`\`\`text\n${texts.join('\n')}\n\`\`\`\n`);
  const page = `# Strings\n\nEvery text that a person can read, by screen, each once; {…} stands for what the app fills in. \`node scripts/strings-page.mjs\` writes this page.\n\n${body.join('\n')}`;
  return (await format('strings.md', page)).code;
}

if (process.argv[1] === import.meta.filename) writeFileSync(join(ROOT, 'docs/strings.md'), await stringsPage());
