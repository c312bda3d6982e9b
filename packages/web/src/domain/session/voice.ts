import type { Utterance } from '@clay-pot/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { hasRecorded, loadRecorded, sayRecorded } from './recorded-words.js';
import { duckTones, tone } from './tone.js';

/** What this device says aloud, and how. */
interface VoiceSettings {
  readonly on: boolean;
  /** The installed voice that was chosen; null for the first that speaks English. */
  readonly voiceURI: string | null;
  /** 0–1. */
  readonly volume: number;
  readonly set: (settings: Partial<Pick<VoiceSettings, 'on' | 'voiceURI' | 'volume'>>) => void;
}

/** Kept on the device: a phone in an ear speaks in another way than a loudspeaker in a hall. */
export const useVoice = create<VoiceSettings>()(
  persist((set) => ({ on: false, voiceURI: null, volume: 1, set }), {
    name: 'clay-pot-voice',
    partialize: ({ on, voiceURI, volume }) => ({ on, voiceURI, volume }),
  }),
);

/** Something that was said, or stood for by a tone. */
export interface Said {
  readonly text: string;
  readonly kind: Utterance['kind'];
  /** When it was meant to begin and when it began, milliseconds of `performance.now()`. */
  readonly dueMs: number;
  readonly saidMs: number;
  readonly by: 'voice' | 'recorded' | 'tone';
}
const LOGGED = 2000;
/** What was said, so that it can be looked at without a loudspeaker. */
export const useVoiceLog = create<{ readonly said: readonly Said[] }>()(() => ({ said: [] }));
const log = (said: Said) => useVoiceLog.setState(({ said: before }) => ({ said: [...before.slice(-LOGGED), said] }));

/** The installed voices that speak English; empty where there are none, or none yet. */
export const installedVoices = (): SpeechSynthesisVoice[] =>
  'speechSynthesis' in window ? window.speechSynthesis.getVoices().filter(({ lang }) => /^en\b/i.test(lang)) : [];

const voiceNow = (): SpeechSynthesisVoice | undefined => {
  const voices = installedVoices();
  const { voiceURI } = useVoice.getState();
  return voices.find((voice) => voice.voiceURI === voiceURI) ?? voices.find(({ localService }) => localService) ?? voices[0];
};

/** Voices come a moment after the page; what is recorded is fetched where there are none by then. */
export function prepareVoice(): void {
  if (voiceNow() === undefined) void loadRecorded();
}

/** A voice begins so long after it was asked; what it really took is learned. */
const FIRST_GUESS_MS = 120;
const LEARNS = 0.3;
const LONGEST_MS = 700;
let startsAfterMs = FIRST_GUESS_MS;
/** How much earlier than its moment something must be asked for. */
export const leadMs = (): number => (voiceNow() ? startsAfterMs : 0);

/** Says something that is due at a moment, now. @param dueMs of `performance.now()` */
export function say({ text, kind }: Pick<Utterance, 'text' | 'kind'>, dueMs: number): void {
  const { on, volume } = useVoice.getState();
  if (!on) return;
  const voice = voiceNow();
  if (voice) sayWith(voice, { text, kind }, dueMs, volume);
  else if (hasRecorded(text)) {
    const saidMs = sayRecorded(text, dueMs, volume);
    log({ text, kind, dueMs, saidMs, by: 'recorded' });
  } else {
    tone(kind === 'name' ? 550 : 495, 0.15);
    log({ text, kind, dueMs, saidMs: performance.now(), by: 'tone' });
  }
}

function sayWith(voice: SpeechSynthesisVoice, { text, kind }: Pick<Utterance, 'text' | 'kind'>, dueMs: number, volume: number): void {
  const speech = window.speechSynthesis;
  // What takes longer than it should must not push a count off its beat.
  if (speech.speaking || speech.pending) speech.cancel();
  const utterance = new SpeechSynthesisUtterance(text);
  Object.assign(utterance, { voice, lang: voice.lang, volume });
  const askedMs = performance.now();
  utterance.onstart = () => {
    const saidMs = performance.now();
    startsAfterMs = Math.min(LONGEST_MS, startsAfterMs + LEARNS * (saidMs - askedMs - startsAfterMs));
    log({ text, kind, dueMs, saidMs, by: 'voice' });
    duckTones(true);
  };
  utterance.onend = () => duckTones(false);
  utterance.onerror = () => duckTones(false);
  speech.speak(utterance);
}

/** Says nothing more of what was begun. */
export function hush(): void {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
  duckTones(false);
}
