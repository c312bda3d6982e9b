import { audioContext } from './tone.js';
import clips from './recorded-words.json';

/** Short words that ship with the application, for devices on which no voice is installed (`scripts/bake-voice.mjs`). */
const FILE = '/voice/words.wav';

interface Clip {
  readonly startS: number;
  readonly lengthS: number;
}
const CLIPS: ReadonlyMap<string, Clip> = new Map(clips.map(({ text, ...clip }) => [text.toLowerCase(), clip]));

let sound: AudioBuffer | null = null;
let loading: Promise<void> | null = null;

/** Fetches them, once. Without a network it is tried again the next time. */
export function loadRecorded(): Promise<void> {
  loading ??= fetch(FILE)
    .then((answer) => answer.arrayBuffer())
    .then((bytes) => audioContext().decodeAudioData(bytes))
    .then((decoded) => {
      sound = decoded;
    })
    .catch(() => {
      loading = null;
    });
  return loading;
}

/** The words of a text that are recorded, in its order: of a name nothing is, but the hand behind it. */
function clipsOf(text: string): Clip[] {
  const whole = CLIPS.get(text.toLowerCase());
  if (whole) return [whole];
  return text.split(/[.,:] /).flatMap((part) => CLIPS.get(part.toLowerCase()) ?? []);
}

/** Whether something of a text is recorded and here. */
export const hasRecorded = (text: string): boolean => sound !== null && clipsOf(text).length > 0;

/** Plays what is recorded of a text. @param dueMs of `performance.now()` @returns when it begins */
export function sayRecorded(text: string, dueMs: number, volume: number): number {
  const context = audioContext();
  const now = performance.now();
  const begin = Math.max(now, dueMs);
  let atS = context.currentTime + (begin - now) / 1000;
  const gain = context.createGain();
  gain.gain.value = volume;
  gain.connect(context.destination);
  for (const { startS, lengthS } of clipsOf(text)) {
    const source = context.createBufferSource();
    source.buffer = sound;
    source.connect(gain);
    source.start(atS, startS, lengthS);
    atS += lengthS;
  }
  return begin;
}
