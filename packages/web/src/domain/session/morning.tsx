import type { MorningInput } from '@clay-pot/contracts';
import { adviseOnMorning, capital, type Hand, HAND_WORDS, HANDS, type MorningScores, type WorkingSide } from '@clay-pot/core';
import { useState } from 'react';
import { useOutbox } from '../../store/outbox.js';
import { Button } from '../../ui/button.js';
import { SideMark } from '../../ui/marks.js';
import { ScoreScale } from '../../ui/score-scale.js';

const pathOf = (sessionId: string) => `/sessions/${sessionId}/morning`;

/** Next-day checks recorded on this device and not sent yet, by the session’s id. */
export function useOwnMornings(): ReadonlyMap<string, MorningInput> {
  const messages = useOutbox((state) => state.messages);
  return new Map(
    messages.flatMap(({ path, body }) => {
      const id = /^\/sessions\/([^/]+)\/morning$/.exec(path)?.[1];
      return id === undefined ? [] : [[id, body as MorningInput] as const];
    }),
  );
}

/** Tells of the morning after a session: with a network or without. */
export function saveNextDayCheck(sessionId: string, morning: Omit<MorningInput, 'at'>): void {
  const body: MorningInput = { ...morning, at: new Date().toISOString() };
  useOutbox.getState().add({ path: pathOf(sessionId), body });
}

interface Props {
  sessionId: string;
  /** The last next-day check before. */
  before: MorningScores | null;
  onReported?: (morning: Omit<MorningInput, 'at'>) => void;
}

/** Asks how the hands were the morning after: each its own score, and whether one was numb. */
export function MorningQuestion({ sessionId, before, onReported: onTold }: Props) {
  const [scores, setScores] = useState<Partial<Record<Hand, number>>>({});
  const [numb, setNumb] = useState<WorkingSide | null>(null);
  const { left, right } = scores;
  const morning = left === undefined || right === undefined ? null : { left, right, ...(numb && { numb }) };
  const tell = () => {
    if (!morning) return;
    saveNextDayCheck(sessionId, morning);
    onTold?.(morning);
  };
  return (
    <div className="grid max-w-2xl gap-3">
      {HANDS.map((hand) => (
        <div key={hand} className="grid grid-cols-[2rem_minmax(0,1fr)] items-center gap-2">
          <SideMark side={hand} />
          <ScoreScale
            name={`${capital(HAND_WORDS[hand])}, next-day check`}
            low="calm"
            high="worst"
            chosen={scores[hand] ?? null}
            onChoose={(score) => setScores({ ...scores, [hand]: score })}
          />
        </div>
      ))}
      <div role="group" aria-label="Numb or tingling" className="flex flex-wrap items-center gap-2 text-small">
        <span>Numb or tingling:</span>
        {([null, 'left', 'right', 'both'] as const).map((side) => (
          <button
            key={side ?? 'no'}
            type="button"
            aria-pressed={numb === side}
            className={`min-h-11 border border-ink/50 px-3 font-semibold ${numb === side ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
            onClick={() => setNumb(side)}
          >
            {side ?? 'no'}
          </button>
        ))}
      </div>
      {morning && <MorningAdviceWords morning={morning} before={before} />}
      <Button kind="primary" className="min-h-11 justify-self-start" disabled={!morning} onClick={tell}>
        Save
      </Button>
    </div>
  );
}

const LOOK = {
  'go-on': 'border-celadon bg-celadon-wash',
  hold: 'border-load-3 bg-amber-wash',
  'step-back': 'border-load-4 bg-amber-wash',
  refer: 'border-iron bg-iron-wash',
} as const;

/** What a morning asks for, hand by hand. */
export function MorningAdviceWords({ morning, before }: { morning: Omit<MorningInput, 'at'>; before: MorningScores | null }) {
  return (
    <ul aria-live="polite">
      {HANDS.map((hand) => {
        const { advice, text } = adviseOnMorning(morning, before, hand);
        return (
          <li key={hand} className={`mb-1 border-l-4 px-3 py-1 ${LOOK[advice]}`}>
            {text}
          </li>
        );
      })}
    </ul>
  );
}
