import type { AnsweredSuggestion } from '@clay-pot/contracts';
import { ANSWERS, SUGGESTIONS, lowered } from '@clay-pot/core';
import { Link } from 'react-router';
import { dayText } from '../../ui/format.js';

/** What was answered, the latest first: what was proposed, what became of it, and why. */
export function AnsweredList({ answered }: { answered: readonly AnsweredSuggestion[] }) {
  return (
    <ul aria-label="Decided" className="text-small">
      {answered.map(({ id, kind, why, answer, words, reason, programmeId, sequenceId, sessionId, at }) => (
        <li key={id} className="border-b border-line py-1.5">
          <span className={answer === 'taken back' ? 'text-ink-soft line-through' : ''}>
            <b>
              {SUGGESTIONS[kind].label}, {lowered(ANSWERS[answer])}
              {words && answer !== 'declined' ? `: ${words}` : ''}
            </b>
            {reason && ` “${reason}”`}
          </span>{' '}
          <span className="text-ink-soft">
            {why} {dayText(at)}
            {sessionId && (
              <>
                {', '}
                <Link to={`/records/${sessionId}`} className="underline underline-offset-2">
                  from this session
                </Link>
              </>
            )}
            {sequenceId && answer !== 'taken back' && (
              <>
                {', '}
                <Link to={`/sequences/${sequenceId}`} className="underline underline-offset-2">
                  in their own version
                </Link>
              </>
            )}
            {programmeId && (
              <>
                {', '}
                <Link to={`/programmes/${programmeId}`} className="underline underline-offset-2">
                  in the programme
                </Link>
              </>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
