import { readable } from '../measuring/units.js';
import type { AthleteSuggestion } from '@clay-pot/contracts';
import {
  type SuggestionGroup,
  SUGGESTIONS,
  type SuggestionKind,
  dayWords,
  groupWords,
  isOnRecord,
  mayDecline,
  peopleWords,
} from '@clay-pot/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { useAnswerSuggestions } from './answer-suggestions.js';
import { ChangeSuggestions, Reason, SMALL } from './change-suggestions.js';
import { OptionChanges } from './option-changes.js';

const LOOK: Record<SuggestionKind, string> = {
  refer: 'border-iron text-iron',
  rest: 'border-load-4 text-amber',
  ease: 'border-load-4 text-amber',
  swap: 'border-load-3 text-amber',
  'measure again': 'border-ink text-ink',
  hold: 'border-load-3 text-amber',
  progress: 'border-celadon-fill text-celadon',
};
/** What a row shows below itself. */
type Unfolded = 'why' | 'change' | 'decline' | null;

/** What is proposed for one athlete for one cause, with what it rests on and what may be answered. */
export function SuggestionRow({ group, named }: { group: SuggestionGroup<AthleteSuggestion>; named: boolean }) {
  const [unfolded, setUnfolded] = useState<Unfolded>(null);
  const answer = useAnswerSuggestions();
  const { suggestions } = group;
  const [first] = suggestions;
  const { label } = SUGGESTIONS[first.kind];
  const of = `${label}: ${first.athleteName}${first.cause === 'limits' ? ', blocked session' : ''}`;
  const toggle = (what: Unfolded) => setUnfolded((now) => (now === what ? null : what));
  const accept = () => answer(suggestions.map((suggestion) => ({ suggestion, optionId: suggestion.options[0].id })));
  const accepts = isOnRecord(first) ? 'Acknowledge' : 'Accept';
  return (
    <li data-suggestion={group.id} tabIndex={-1} className="border-b border-line py-2">
      <div className="flex flex-wrap items-baseline gap-x-2">
        <span className={`border-l-4 pl-2 font-bold ${LOOK[first.kind]}`}>{label}</span>
        {named && (
          <Link to={`/people/${first.athleteId}`} className="font-semibold hover:underline">
            {first.athleteName}
          </Link>
        )}
      </div>
      {first.kind === 'refer' ? (
        <p className="text-small font-semibold">{readable(groupWords(group))}</p>
      ) : (
        <>
          <Proposed suggestions={suggestions} />
          <p className="text-small text-ink-soft">{readable(groupWords(group))}</p>
        </>
      )}
      <div className="mt-1.5 flex flex-wrap items-center gap-1.5">
        <Button className={SMALL} kind="primary" data-answer="accept" aria-label={`${accepts}, ${of}`} onClick={accept}>
          {accepts}
        </Button>
        {(suggestions.length > 1 || first.options.length > 1 || first.options[0].typed) && (
          <Button
            className={SMALL}
            data-answer="change"
            aria-expanded={unfolded === 'change'}
            aria-label={`Edit…, ${of}`}
            onClick={() => toggle('change')}
          >
            Edit…
          </Button>
        )}
        {mayDecline(first) && (
          <Button
            className={SMALL}
            data-answer="decline"
            aria-expanded={unfolded === 'decline'}
            aria-label={`Dismiss…, ${of}`}
            onClick={() => toggle('decline')}
          >
            Dismiss…
          </Button>
        )}
        <Elsewhere suggestion={first} />
        <button
          type="button"
          data-answer="why"
          aria-expanded={unfolded === 'why'}
          aria-label={`Why? ${of}`}
          className="ml-auto text-small underline underline-offset-2 max-sm:min-h-11"
          onClick={() => toggle('why')}
        >
          Why?
        </button>
      </div>
      {unfolded === 'why' && <Evidence suggestions={suggestions} />}
      {unfolded === 'change' && <ChangeSuggestions suggestions={suggestions} done={() => setUnfolded(null)} />}
      {unfolded === 'decline' && <Decline suggestions={suggestions} done={() => setUnfolded(null)} />}
    </li>
  );
}

/** Where what a suggestion asks for is done. */
function Elsewhere({ suggestion }: { suggestion: AthleteSuggestion }) {
  const { kind, athleteId, athleteName, sequenceId } = suggestion;
  if (isOnRecord(suggestion)) {
    return (
      <ButtonLink className={SMALL} to={`/people/${athleteId}/screening`} aria-label={`Record who cleared ${athleteName}`}>
        Record clearance
      </ButtonLink>
    );
  }
  if (kind === 'measure again') {
    return (
      <ButtonLink className={SMALL} to={`/people/${athleteId}/measure`} aria-label={`Measure ${athleteName}`}>
        Test now
      </ButtonLink>
    );
  }
  // A sequence outside a programme is changed where it is written.
  return sequenceId === null ? null : (
    <ButtonLink
      className={`${SMALL} underline underline-offset-2`}
      kind="quiet"
      to={`/sequences/${sequenceId}?athlete=${athleteId}`}
      aria-label={`Open the sequence of ${athleteName}, which is in no programme`}
    >
      Open sequence
    </ButtonLink>
  );
}

/** Exactly what accepting changes, and how likely it is carried to its end. */
function Proposed({ suggestions }: { suggestions: readonly AthleteSuggestion[] }) {
  const chances = suggestions.flatMap(({ options: [{ chance }] }) => chance ?? []);
  return (
    <>
      <ul className="my-0.5 text-small font-semibold">
        {suggestions.map(({ key, options: [{ words }] }) => (
          <li key={key}>{readable(words)}</li>
        ))}
      </ul>
      {chances.length > 0 && <p className="text-small text-ink-soft">Chance of completing it: {peopleWords(Math.min(...chances))}.</p>}
      {suggestions.some(({ sequenceId }) => sequenceId !== null) && (
        <p className="text-small text-ink-soft">
          {suggestions.every(({ isAssigned }) => isAssigned)
            ? 'Accepting makes a version of the sequence for this athlete and assigns it. Others keep theirs.'
            : 'Accepting makes a version of the sequence for this athlete and assigns it on the weekdays of their last sessions.'}
        </p>
      )}
    </>
  );
}

function Evidence({ suggestions }: { suggestions: readonly AthleteSuggestion[] }) {
  return (
    <div className="border-l-4 border-line pl-3 text-small">
      {suggestions.map(({ key, athleteId, why, evidence, options: [{ changes }] }) => (
        <div key={key} className="py-1">
          <p className="font-semibold">{readable(why)}</p>
          {changes && <OptionChanges changes={changes} />}
          <ul>
            {evidence.map(({ of, sessionId, onDay, text }) => (
              <li key={`${sessionId ?? of} ${onDay} ${readable(text)}`} className="flex gap-2">
                <Link
                  to={of === 'session' && sessionId ? `/records/${sessionId}` : `/people/${athleteId}`}
                  className="shrink-0 underline underline-offset-2 figures"
                >
                  {dayWords(onDay)}
                </Link>
                <span>{readable(text)}</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}

function Decline({ suggestions, done }: { suggestions: readonly AthleteSuggestion[]; done: () => void }) {
  const answer = useAnswerSuggestions();
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-2 border-l-4 border-ink pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === '') return;
        answer(
          suggestions.map((suggestion) => ({ suggestion, optionId: null })),
          reason.trim(),
        );
        done();
      }}
    >
      <Reason value={reason} change={setReason} />
      <Button type="submit" className={SMALL} disabled={reason.trim() === ''}>
        Dismiss
      </Button>
    </form>
  );
}
