import { useDeveloper } from '../../store/developer.js';
import { useVoiceLog } from './voice.js';

/** What was said, by what, and how far off its moment: for whoever tests a voice without a loudspeaker. */
export function VoiceLog() {
  const isShown = useDeveloper((state) => state.showsVoiceLog);
  const said = useVoiceLog((state) => state.said);
  if (!isShown) return null;
  return (
    <ol
      aria-label="Voice log"
      className="pointer-events-none fixed bottom-2 left-2 z-30 max-h-48 overflow-hidden border border-ink bg-white p-2 text-fine text-ink figures"
    >
      {said.toReversed().map(({ text, kind, by, dueMs, saidMs }) => (
        <li key={`${dueMs} ${text}`} data-kind={kind} data-by={by} data-off={Math.round(saidMs - dueMs)}>
          {text} ({by}, {Math.round(saidMs - dueMs)} ms)
        </li>
      ))}
    </ol>
  );
}
