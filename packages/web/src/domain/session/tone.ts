import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface SoundState {
  readonly on: boolean;
  readonly toggle: () => void;
}

/** Whether tones are played. */
export const useSound = create<SoundState>()(
  persist((set) => ({ on: true, toggle: () => set(({ on }) => ({ on: !on })) }), { name: 'clay-pot-sound' }),
);

let context: AudioContext | undefined;
/** Where this page’s sounds go, made when the first is wanted. */
export const audioContext = (): AudioContext => (context ??= new AudioContext());

const USUAL_GAIN = 0.12;
/** While somebody speaks tones step back. */
const DUCKED_GAIN = 0.03;
let isDucked = false;
/** Has tones step back while somebody speaks, or come forward again. */
export const duckTones = (ducked: boolean): void => {
  isDucked = ducked;
};

/** A tone, where tones are wanted. */
export function tone(hertz: number, seconds: number): void {
  if (!useSound.getState().on) return;
  const audio = audioContext();
  const oscillator = audio.createOscillator();
  const gain = audio.createGain();
  gain.gain.setValueAtTime(isDucked ? DUCKED_GAIN : USUAL_GAIN, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + seconds);
  oscillator.frequency.value = hertz;
  oscillator.connect(gain).connect(audio.destination);
  oscillator.start();
  oscillator.stop(audio.currentTime + seconds);
}

/** Vibrates where the device can and sounds are wanted. @param pattern milliseconds on and off */
export function vibrate(pattern: number[]): void {
  if (useSound.getState().on && 'vibrate' in navigator) navigator.vibrate(pattern);
}
