import { Mic, MicOff } from 'lucide-react';
import { useVoice } from './voice.js';

/** Has this device count and name movements aloud, or not. */
export function VoiceButton({ className, label = false }: { className: string; label?: boolean }) {
  const { on, set } = useVoice();
  return (
    <button type="button" className={className} aria-label="Voice" aria-pressed={on} onClick={() => set({ on: !on })}>
      {on ? <Mic aria-hidden size={20} /> : <MicOff aria-hidden size={20} />}
      {label && <span>Voice {on ? 'on' : 'off'}</span>}
    </button>
  );
}
