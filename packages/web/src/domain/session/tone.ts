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

/** A tone, where tones are wanted. */
export function tone(hertz: number, seconds: number): void {
  if (!useSound.getState().on) return;
  context ??= new AudioContext();
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  gain.gain.setValueAtTime(0.12, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds);
  oscillator.frequency.value = hertz;
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + seconds);
}
