import { useEffect, useState } from 'react';
import { installedVoices, prepareVoice, say, useVoice } from '../../domain/session/voice.js';
import { Button } from '../../ui/button.js';
import { SelectField } from '../../ui/field.js';
import { Switch } from '../../ui/switch.js';

const VOLUMES = [1, 0.75, 0.5, 0.25] as const;

/** How this device speaks in a session. */
export function VoiceSettings() {
  const { on, voiceURI, volume, set } = useVoice();
  const voices = useInstalledVoices();
  useEffect(() => {
    if (on) prepareVoice();
  }, [on]);
  return (
    <div className="grid gap-3 py-3">
      <Switch label="Count and name movements aloud on this device" on={on} turn={(turned) => set({ on: turned })} />
      <div className="grid items-end gap-3 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)_auto]">
        <SelectField
          label="Voice"
          value={voiceURI ?? ''}
          onChange={({ target }) => set({ voiceURI: target.value || null })}
          disabled={voices.length === 0}
        >
          <option value="">{voices.length === 0 ? 'None installed: recorded numbers are used' : 'First installed voice'}</option>
          {voices.map((voice) => (
            <option key={voice.voiceURI} value={voice.voiceURI}>
              {voice.name}
            </option>
          ))}
        </SelectField>
        <SelectField label="Volume" value={volume} onChange={({ target }) => set({ volume: Number(target.value) })}>
          {VOLUMES.map((each) => (
            <option key={each} value={each}>
              {100 * each} %
            </option>
          ))}
        </SelectField>
        <Button disabled={!on} onClick={() => say({ text: 'Change hands', kind: 'side' }, performance.now())}>
          Test voice
        </Button>
      </div>
    </div>
  );
}

/** Browsers find their voices a moment after the page has opened. */
function useInstalledVoices(): SpeechSynthesisVoice[] {
  const [voices, setVoices] = useState(installedVoices);
  useEffect(() => {
    if (!('speechSynthesis' in window)) return;
    const look = () => setVoices(installedVoices());
    window.speechSynthesis.addEventListener('voiceschanged', look);
    return () => window.speechSynthesis.removeEventListener('voiceschanged', look);
  }, []);
  return voices;
}
