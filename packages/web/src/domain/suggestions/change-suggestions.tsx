import { readable } from '../measuring/units.js';
import type { AthleteSuggestion } from '@clay-pot/contracts';
import { checkTyped, type Dose, findLevel, mayDecline, same, type TypedDose } from '@clay-pot/core';
import { useState } from 'react';
import { movementById } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { DoseField } from '../sequence/dose-field.js';
import { OptionChanges } from './option-changes.js';
import { type ChosenAnswer, useAnswerSuggestions } from './answer-suggestions.js';

/** Answers stand beside a name; on a phone they are as large as fingers need. */
export const SMALL = 'text-small px-2 py-1 max-sm:min-h-11';
const NONE = '';

/** What a coach makes of one suggestion: the option, and the dose where another one was typed. */
interface Choice {
  readonly optionId: string;
  readonly dose?: Dose;
}

/** Each suggestion with its options, whose dose may be typed; what stays as it is is declined. */
export function ChangeSuggestions({ suggestions, done }: { suggestions: readonly AthleteSuggestion[]; done: () => void }) {
  const answer = useAnswerSuggestions();
  const [chosen, setChosen] = useState<Readonly<Record<string, Choice>>>({});
  const [reason, setReason] = useState('');
  const choiceOf = ({ key, options }: AthleteSuggestion): Choice => chosen[key] ?? { optionId: options[0].id };
  const choose = (key: string, choice: Choice) => setChosen((now) => ({ ...now, [key]: choice }));
  const declines = suggestions.some((suggestion) => choiceOf(suggestion).optionId === NONE);
  const isWrong = suggestions.some((suggestion) => wrongIn(suggestion, choiceOf(suggestion)) !== null);
  return (
    <form
      className="mt-1 border-l-4 border-ink pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        // What cannot be read waits to be put right: it is not answered without.
        const unread = event.currentTarget.querySelector<HTMLElement>('[aria-invalid]');
        if (unread) {
          unread.focus();
          return;
        }
        const answers = suggestions.map((suggestion): ChosenAnswer => {
          const { optionId, dose } = choiceOf(suggestion);
          return { suggestion, optionId: optionId || null, ...(dose && { dose }) };
        });
        answer(answers, reason.trim());
        done();
      }}
    >
      {suggestions.map((suggestion) => (
        <SuggestionChoice
          key={suggestion.key}
          suggestion={suggestion}
          choice={choiceOf(suggestion)}
          choose={(choice) => choose(suggestion.key, choice)}
        />
      ))}
      {declines && <Reason value={reason} change={setReason} />}
      <Button type="submit" kind="primary" className={`mt-1 ${SMALL}`} disabled={isWrong || (declines && reason.trim() === '')}>
        Save
      </Button>
    </form>
  );
}

/** Why a typed dose cannot be had; null where it can. */
function wrongIn({ options }: AthleteSuggestion, { optionId, dose }: Choice): string | null {
  const typed = options.find(({ id }) => id === optionId)?.typed;
  return (dose && typed && checkTyped(typed, dose, movementById)[0]?.message) ?? null;
}

interface SuggestionChoiceProps {
  suggestion: AthleteSuggestion;
  choice: Choice;
  choose: (choice: Choice) => void;
}

function SuggestionChoice({ suggestion, choice, choose }: SuggestionChoiceProps) {
  const { typed, changes } = suggestion.options.find(({ id }) => id === choice.optionId) ?? {};
  const wrong = wrongIn(suggestion, choice);
  const radio = (id: string, words: string) => (
    <label key={id} className="flex items-baseline gap-2 text-small max-sm:min-h-11">
      <input
        type="radio"
        name={suggestion.key}
        className="accent-ink"
        checked={choice.optionId === id}
        onChange={() => choose({ optionId: id })}
      />
      {words}
    </label>
  );
  return (
    <fieldset className="py-1.5">
      <legend className="text-small text-ink-soft">{readable(suggestion.why)}</legend>
      {suggestion.options.map(({ id, words }) => radio(id, readable(words)))}
      {changes && <OptionChanges changes={changes} />}
      {typed && (
        <Typing
          key={choice.optionId}
          typed={typed}
          dose={choice.dose ?? typed.dose}
          wrong={wrong}
          change={(dose) => choose({ optionId: choice.optionId, ...(!same<unknown>(dose, typed.dose) && { dose }) })}
        />
      )}
      {mayDecline(suggestion) && radio(NONE, 'None of these')}
    </fieldset>
  );
}

interface TypingProps {
  typed: TypedDose;
  dose: Dose;
  wrong: string | null;
  change: (dose: Dose) => void;
}

/** The dose of the chosen option, to be typed otherwise. */
function Typing({ typed, dose, wrong, change }: TypingProps) {
  const movement = movementById(typed.movementId);
  const level = movement && findLevel(movement, typed.levelId);
  if (!movement || !level) return null;
  return (
    <div className="my-1 flex max-w-sm items-start gap-2 pl-5 text-small">
      <span className="shrink-0 py-1.5 text-ink-soft">Or type a dose:</span>
      <div className="flex-1">
        <DoseField dose={dose} movement={movement} level={level} onChange={change} />
        {wrong && (
          <p role="alert" className="text-iron">
            The dose {wrong}.
          </p>
        )}
      </div>
    </div>
  );
}

/** Why the coach dismisses or keeps something, in their words. */
export function Reason({ value, change }: { value: string; change: (text: string) => void }) {
  return (
    <label className="block text-small">
      Reason
      <input
        autoFocus
        className="block w-72 max-w-full border border-ink/60 bg-white px-2 py-1"
        maxLength={400}
        value={value}
        onChange={(event) => change(event.target.value)}
      />
    </label>
  );
}
