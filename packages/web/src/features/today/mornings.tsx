import type { TodayMorning } from '@clay-pot/contracts';
import { counted } from '@clay-pot/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { MorningAdviceWords, MorningQuestion, saveNextDayCheck, useOwnMornings } from '../../domain/session/morning.js';
import { Button } from '../../ui/button.js';
import { agoText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';

/** The most urgent are shown; the rest on a button. */
const FIRST = 12;
const CALM = { left: 0, right: 0 } as const;

/** Whose morning after is to be asked about: calm with one tap, or both hands with a score. */
export function Mornings({ mornings }: { mornings: readonly TodayMorning[] }) {
  const own = useOwnMornings();
  const [all, setAll] = useState(false);
  if (mornings.length === 0) return null;
  return (
    <Part title="Next-day check">
      <ul aria-label="Next-day check">
        {mornings.slice(0, all ? undefined : FIRST).map((check) => (
          <MorningRow key={check.sessionId} check={check} reported={own.get(check.sessionId)} />
        ))}
      </ul>
      {!all && mornings.length > FIRST && (
        <Button className="mt-2" kind="quiet" onClick={() => setAll(true)}>
          {counted(mornings.length - FIRST, 'more athlete')}
        </Button>
      )}
    </Part>
  );
}

function MorningRow({ check, reported }: { check: TodayMorning; reported: Parameters<typeof saveNextDayCheck>[1] | undefined }) {
  const [answered, setAnswered] = useState<Parameters<typeof saveNextDayCheck>[1] | null>(null);
  const [telling, setTelling] = useState(false);
  const { sessionId, athleteId, athleteName, title, endedAt, before } = check;
  const now = answered ?? reported;
  return (
    <li className="border-b border-line py-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="min-w-0 flex-1">
          <Link to={`/people/${athleteId}`} className="font-semibold hover:underline">
            {athleteName}
          </Link>
          <span className="block text-small text-ink-soft">
            after{' '}
            <Link to={`/records/${sessionId}`} className="underline underline-offset-2">
              {title}
            </Link>
            , {agoText(endedAt)}
          </span>
        </span>
        {!now && !telling && (
          <>
            <Button
              className="min-h-11"
              aria-label={`Calm, both hands: ${athleteName}`}
              onClick={() => {
                saveNextDayCheck(sessionId, CALM);
                setAnswered(CALM);
              }}
            >
              No complaints
            </Button>
            <Button className="min-h-11" aria-label={`Tell of the morning: ${athleteName}`} onClick={() => setTelling(true)}>
              Answer…
            </Button>
          </>
        )}
      </div>
      {now && <MorningAdviceWords morning={now} before={before} />}
      {!now && telling && (
        <div className="pt-2">
          <MorningQuestion sessionId={sessionId} before={before} onReported={setAnswered} />
        </div>
      )}
    </li>
  );
}
