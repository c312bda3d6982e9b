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
        <ul aria-label="To decide">
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
    <li className="border-b border-line py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <div className="flex min-w-0 flex-1 items-baseline gap-2">
          <span className={`border-l-4 pl-2 font-bold ${className}`}>{word}</span>
          <Link to={`/people/${call.athleteId}`} className="font-semibold hover:underline">
            {call.athleteName}
          </Link>
        </div>
        <Answers call={call} />
      </div>
      <p className="mt-0.5 text-small text-ink-soft">
        {call.reason}{' '}
        {call.sessionId && (
          <Link to={`/records/${call.sessionId}`} className="underline underline-offset-2">
            Look at it
          </Link>
        )}
      </p>
    </li>
  );
}

/** Answers stand beside a name; on a phone they are as large as fingers need. */
const SMALL = 'text-small px-2 py-1 max-sm:min-h-11';

/** What is proposed as a button, and the way to everything else that could be decided. */
function Answers({ call: { kind, athleteId, athleteName, sessionId, sequenceId } }: { call: TodayCall }) {
  const decide = useDecide();
  const navigate = useNavigate();
  if (kind === 'refer') {
    return (
      <ButtonLink className={SMALL} to={`/people/${athleteId}`} aria-label={`Record who cleared ${athleteName}`}>
        Record who cleared it
      </ButtonLink>
    );
  }
  if (!sessionId) return null;
  return (
    <div className="flex flex-wrap gap-1.5">
      <Button
        className={SMALL}
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
      <ButtonLink
        className={SMALL}
        to={`/records/${sessionId}#what-now`}
        aria-label={`Decide otherwise about ${athleteName}`}
      >
        Otherwise…
      </ButtonLink>
    </div>
  );
}
