// Speaks the numbers, sides and short words that ship with the application, for devices without a voice of their own:
//   node scripts/bake-voice.mjs   (needs espeak-ng and sox, from Debian’s packages)
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { format } from 'oxfmt';
import { ROOT } from './places.mjs';

const MOST = 40;
const TENS = [50, 60, 70, 80, 90, 100];
const WORDS = [
  ...['Left hand', 'Right hand', 'Both hands', 'Change hands', 'Get ready', 'Hold', 'Go', 'Rest', 'Break', 'Next'],
  ...['Breathe in', 'Breathe out', 'Lift', 'Lower', 'Forward', 'Back', 'Stop and compare your hands', 'Paused', 'Done'],
];
const RATE_HZ = 16_000;
/** Between two of them, so that none begins in the end of another. */
const PAD_S = 0.08;
const FILE = join(ROOT, 'packages/web/public/voice/words.wav');
const LIST = join(ROOT, 'packages/web/src/domain/session/recorded-words.json');

const texts = [...Array.from({ length: MOST }, (_, index) => String(index + 1)), ...TENS.map(String), ...WORDS];
const folder = mkdtempSync(join(tmpdir(), 'voice-'));
const clips = texts.map((text, index) => {
  const [raw, clip] = [join(folder, `raw${index}.wav`), join(folder, `clip${index}.wav`)];
  execFileSync('espeak-ng', ['-v', 'en-gb-x-rp', '-s', '170', '-p', '45', '-w', raw, text]);
  const silence = ['silence', '1', '0.005', '0.5%', 'reverse'];
  execFileSync('sox', [
    raw,
    '-r',
    String(RATE_HZ),
    '-c',
    '1',
    '-b',
    '8',
    clip,
    'norm',
    '-1',
    ...silence,
    ...silence,
    'pad',
    '0',
    String(PAD_S),
  ]);
  return { text, clip, lengthS: Number(execFileSync('soxi', ['-D', clip], { encoding: 'utf8' })) };
});
mkdirSync(join(FILE, '..'), { recursive: true });
execFileSync('sox', [...clips.map(({ clip }) => clip), FILE]);
// A page that plays nothing gets no media keys: it plays this.
execFileSync('sox', ['-n', '-r', '8000', '-c', '1', '-b', '8', join(FILE, '../silence.wav'), 'trim', '0', '1']);
let startS = 0;
const list = clips.map(({ text, lengthS }) => {
  const clip = { text, startS: Number(startS.toFixed(4)), lengthS: Number((lengthS - PAD_S).toFixed(4)) };
  startS += lengthS;
  return clip;
});
const { code } = await format('words.json', JSON.stringify(list));
writeFileSync(LIST, code);
rmSync(folder, { recursive: true });
console.log(`${list.length} words, ${(statSync(FILE).size / 1024).toFixed(0)} kB, ${readFileSync(FILE).length} bytes`);
