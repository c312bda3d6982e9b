import { DECISIONS } from '@clay-pot/core';
import type { TodayCall } from '@clay-pot/contracts';
import { Link, useNavigate } from 'react-router';
import { useDecide, useOwnDecisions } from '../../domain/decisions.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { Empty, Part } from '../../ui/page.js';

const LOOK: Record<TodayCall['kind'], { word: string; className: string }> = {
  refer: { word: 'Refer', className: 'border-iron text-iron' },
  ease: { word: 'Ease', className: 'border-load-4 text-amber' },
  rest: { word: 'Rest', className: 'border-load-3 text-amber' },
  hold: { word: 'Hold', className: 'border-load-3 text-amber' },
  'go-on': { word: 'Go on', className: 'border-celadon text-celadon' },
};

/** What waits for the coach, each with why and with what answers it. */
export function ToDecide({ calls }: { calls: readonly TodayCall[] }) {
  const own = useOwnDecisions();
  const waiting = calls.filter(({ sessionId, kind }) => kind === 'refer' || !sessionId || !own.get(sessionId));
  return (
    <Part title="To decide">
      {waiting.length ? (
        <ul>
          {waiting.map((call) => (
            <Call key={call.athleteId} call={call} />
          ))}
        </ul>
      ) : (
        <Empty>Nothing waits for a decision.</Empty>
      )}
    </Part>
  );
}

function Call({ call }: { call: TodayCall }) {
  const { word, className } = LOOK[call.kind];
  return (
    <li className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line py-2.5">
      <div className="min-w-64 flex-1">
        <div className="flex items-baseline gap-2">
          <span className={`border-l-4 pl-2 font-bold ${className}`}>{word}</span>
          <Link to={`/people/${call.athleteId}`} className="font-semibold hover:underline">
            {call.athleteName}
          </Link>
        </div>
        <p className="mt-0.5 text-small text-ink-soft">
          {call.reason}{' '}
          {call.sessionId && (
            <Link to={`/records/${call.sessionId}`} className="underline underline-offset-2">
              Look at it
            </Link>
          )}
        </p>
      </div>
      <Answers call={call} />
    </li>
  );
}

/** What is proposed as a button, and the way to everything else that could be decided. */
function Answers({ call: { kind, athleteId, athleteName, sessionId, sequenceId } }: { call: TodayCall }) {
  const decide = useDecide();
  const navigate = useNavigate();
  if (kind === 'refer') {
    return (
      <ButtonLink to={`/people/${athleteId}`} aria-label={`Record who cleared ${athleteName}`}>
        Record who cleared it
      </ButtonLink>
    );
  }
  if (!sessionId) return null;
  return (
    <div className="flex flex-wrap gap-2">
      <Button
        kind={kind === 'hold' ? 'plain' : 'primary'}
        aria-label={`${DECISIONS[kind]}: ${athleteName}`}
        onClick={() => {
          decide(sessionId, kind, athleteName);
          // Easing is done where the sequence is; the other decisions ask for nothing more.
          if (kind === 'ease' && sequenceId) void navigate(`/sequences/${sequenceId}?athlete=${athleteId}`);
        }}
      >
        {DECISIONS[kind]}
      </Button>
      <ButtonLink to={`/records/${sessionId}#what-now`} aria-label={`Decide otherwise about ${athleteName}`}>
        Otherwise…
      </ButtonLink>
    </div>
  );
}
