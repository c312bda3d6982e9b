import { beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../../..');
const INTERFACE = 'packages/web/src';
/** Where stands what a person reads, and how many texts there are at least. */
const PLACES: readonly (readonly [folder: string, atLeast: number])[] = [
  [INTERFACE, 1500],
  ['packages/core/src', 6000],
  ['packages/contracts/src', 40],
  ['packages/server/src', 300],
  ['scripts', 30],
];

interface ReadableText {
  readonly file: string;
  readonly line: number;
  readonly text: string;
}

/** Words and shapes that the interface does not use, each with what it says instead. */
const INSTEAD: readonly (readonly [words: RegExp, instead: string])[] = [
  [/\b(fore)?told\b/i, 'predicted, reported, rated, or who said it'],
  [/\banew\b/i, 'again'],
  [/\bby turns\b/i, 'alternating'],
  [/\b(of ours|our own|our way)\b/i, 'custom'],
  [/\bspeaks? against\b/i, 'arguments against'],
  [/\b(goes|go) by\b/i, 'uses'],
  [/\blies on\b/i, 'is on'],
  [/\bis asked of\b/i, 'needs'],
  [/\b(minding|to mind)\b/i, 'restrictions, precautions'],
  [/\bunheeded\b/i, 'muted'],
  [/\bfetch(ed|ing)?\b/i, 'load, or get'],
  [/\b(within reach|at hand|things)\b/i, 'equipment'],
  [/\b(somebody|anybody)\b/i, 'someone, any athlete'],
  [/\bwhom\b/i, 'athlete'],
  [/\b(own|of the|hand’s|your) most\b/i, 'maximum'],
  [/\bcompos(e|es|ed|ing)\b/i, 'generate'],
  [/\bstature\b/i, 'height'],
  [/\bexertion\b/i, 'effort (RPE)'],
  [/\b(take|takes|taken|put) (off|back|out)\b/i, 'archive, remove, restore, unassign'],
  [/\blead (it|again)\b/i, 'start session, repeat session'],
  [/\bto decide\b/i, 'next steps'],
  [/\bcalls\b/i, 'suggestions'],
  [/\b(given to|carried)\b/i, 'assigned, completed'],
  [/\blicensed practitioner\b/i, 'doctor or therapist'],
  [/\bturning force\b/i, 'torque'],
  [/\bpull on tissue\b/i, 'passive tension'],
  [/\bbegun\b/i, 'started'],
  [/\b(go|goes) on\b/i, 'continue'],
  [/\bmorning after\b/i, 'next-day check'],
  [/^(Somebody|Nothing|There is|There are)\b/, 'a sentence that begins with what it is about'],
];
/** What elsewhere is said so, with the reason. */
const SOUND: readonly (readonly [text: RegExp, why: string])[] = [
  [/^There is no (movement|method|such|block|check|item|part|file) /, 'names what was looked for and not found'],
  [/^Nothing (moves|to achieve|found at|was running)/, 'a cue, and what was found'],
  [/\bgoes by (itself|its)\b|\bforearm goes by itself\b/, 'how far a hand goes, not a method'],
  [/^(take|taken) back$/, 'an id'],
  [/^(Near your most|Your most)$/, 'a name of before, which old texts have'],
  [/^Test \{…\} to decide/, 'what the test decides'],
  [/^Carried by the feet$/, 'a share of the weight'],
  [
    /^(percent of maximal voluntary contraction, %MVC|hand load, % of body weight \(% BW\)|rating of perceived exertion, .*)$|How hard it felt \(rating of perceived exertion\)/,
    'the field’s own term, behind the plain one',
  ],
  [/^Can’t read “\{…\}” in a dose\. Use @40%/, 'a list of all that a dose takes'],
  [/knows whom to see/, 'grammar'],
  [/^Usage: /, 'a table of commands'],
];
/** Abbreviations that a coach cannot be expected to know; RPE stands in brackets behind its word. */
const UNEXPLAINED = /\b(MVC|BW|ROM|MDC|SEM|CF|RCT)\b|(?<!\()\bRPE\b/;
const MOST_WORDS = 20;

const faultsOf = (text: string): string[] => [
  ...INSTEAD.filter(([words]) => words.test(text)).map(([words, instead]) => `“${words.exec(text)![0]}”: ${instead}`),
  ...(UNEXPLAINED.test(text) ? [`“${UNEXPLAINED.exec(text)![0]}” is explained nowhere`] : []),
  ...text
    .split(/(?<=[.!?;:])\s+/)
    .map((sentence) => sentence.match(/[\p{L}\d{]\S*/gu)?.length ?? 0)
    .filter((words) => words > MOST_WORDS)
    .map((words) => `a sentence of ${words} words`),
];

/** What a program of Node prints. The collector reads files beside itself, so it runs by itself. */
const printed = (args: readonly string[], cwd: string) =>
  new Promise<string>((resolve, reject) =>
    execFile(process.execPath, args, { cwd, maxBuffer: 64e6 }, (error, out) => (error ? reject(error) : resolve(out))),
  );
/** Everything at once: what stands below each folder, and the page that lists it. */
const EVERYTHING = `
  const { readableTexts } = await import('./scripts/readable-text.mjs');
  const { stringsPage } = await import('./scripts/strings-page.mjs');
  const texts = Object.fromEntries(process.argv.slice(1).map((folder) => [folder, readableTexts(folder)]));
  process.stdout.write(JSON.stringify({ texts, page: await stringsPage() }));`;
interface Everything {
  readonly texts: Readonly<Record<string, readonly ReadableText[]>>;
  readonly page: string;
}

describe('what a person reads', () => {
  let all: Everything;
  beforeAll(async () => {
    const folders = PLACES.map(([folder]) => folder);
    all = JSON.parse(await printed(['--input-type=module', '-e', EVERYTHING, ...folders], ROOT)) as Everything;
  });
  const textsOf = (folder: string) => all.texts[folder] ?? [];

  test.each(PLACES)('is plain, short and the same for the same in %s', (folder, atLeast) => {
    expect(textsOf(folder).length).toBeGreaterThan(atLeast);
    const faults = textsOf(folder)
      .filter(({ text }) => folder === INTERFACE || !SOUND.some(([sound]) => sound.test(text)))
      .flatMap(({ file, line, text }) => faultsOf(text).map((fault) => `${file}:${line} ${text}\n    ${fault}`));
    expect(faults).toEqual([]);
  });

  test('is excused only where it is still said', () => {
    const said = PLACES.flatMap(([folder]) => textsOf(folder)).filter(({ text }) => faultsOf(text).length > 0);
    expect(SOUND.filter(([sound]) => !said.some(({ text }) => sound.test(text))).map(([sound]) => String(sound))).toEqual([]);
  });

  test('stands in docs/strings.md: node scripts/strings-page.mjs writes it', () => {
    expect(all.page === readFileSync(join(ROOT, 'docs/strings.md'), 'utf8')).toBe(true);
  });

  test('a saying of before would be found', () => {
    expect(faultsOf('Foretold and told')).toHaveLength(1);
    expect(faultsOf('Nothing given yet.')).toHaveLength(1);
    expect(faultsOf('Effort, %MVC')).toHaveLength(1);
    expect(faultsOf('Effort (RPE)')).toEqual([]);
    expect(faultsOf(`${'word '.repeat(21)}.`)).toEqual(['a sentence of 21 words']);
  });
});

test('the collector sees what is read, and passes over what is not', async () => {
  const root = mkdtempSync(join(tmpdir(), 'read-'));
  try {
    mkdirSync(join(root, 'some'));
    symlinkSync(join(ROOT, 'node_modules'), join(root, 'node_modules'));
    cpSync(join(ROOT, 'scripts'), join(root, 'scripts'), { recursive: true });
    writeFileSync(
      join(root, 'some/sample.tsx'),
      `import { a } from './a module';
export const Sample = ({ n }: { n: number }) => (
  <Page lead="A line above" className="grid gap-2 text-small" to={\`/people/\${n}\`}>
    <b>{n} sets</b> of {n === 1 ? 'one kind' : \`\${n} kinds\`}
    <i data-kind="not this" aria-label="Spoken aloud" />
  </Page>
);
export const fault = (name: string) => new Error(\`\${name} must be short.\`);
export const row = { kind: 'as it is', label: 'As it is' };
must(a, 'a thing that is there');
`,
    );
    const found = JSON.parse(await printed(['scripts/readable-text.mjs', 'some'], root)) as ReadableText[];
    const seen = found.map(({ text }) => text);
    expect(seen).toEqual([
      '{…} sets of {…}',
      'A line above',
      '{…} sets',
      'one kind',
      '{…} kinds',
      'Spoken aloud',
      '{…} must be short.',
      'As it is',
    ]);
  } finally {
    rmSync(root, { recursive: true });
  }
});
