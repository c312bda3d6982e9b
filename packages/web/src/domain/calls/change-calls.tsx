import { readable } from '../measuring/units.js';
import type { AthleteCall } from '@clay-pot/contracts';
import { checkTyped, type Dose, findLevel, mayDecline, same, type TypedDose } from '@clay-pot/core';
import { useState } from 'react';
import { knownMovement } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { DoseField } from '../sequence/dose-field.js';
import { type ChosenAnswer, useAnswerCalls } from './answer-calls.js';

/** Answers stand beside a name; on a phone they are as large as fingers need. */
export const SMALL = 'text-small px-2 py-1 max-sm:min-h-11';
const NONE = '';

/** What a coach makes of one call: the option, and the dose where another one was typed. */
interface Choice {
  readonly optionId: string;
  readonly dose?: Dose;
}

/** Each call with its options, whose dose may be typed; what stays as it is is declined. */
export function ChangeCalls({ calls, done }: { calls: readonly AthleteCall[]; done: () => void }) {
  const answer = useAnswerCalls();
  const [chosen, setChosen] = useState<Readonly<Record<string, Choice>>>({});
  const [reason, setReason] = useState('');
  const choiceOf = ({ key, options }: AthleteCall): Choice => chosen[key] ?? { optionId: options[0].id };
  const choose = (key: string, choice: Choice) => setChosen((now) => ({ ...now, [key]: choice }));
  const declines = calls.some((call) => choiceOf(call).optionId === NONE);
  const isWrong = calls.some((call) => wrongIn(call, choiceOf(call)) !== null);
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
        const answers = calls.map((call): ChosenAnswer => {
          const { optionId, dose } = choiceOf(call);
          return { call, optionId: optionId || null, ...(dose && { dose }) };
        });
        answer(answers, reason.trim());
        done();
      }}
    >
      {calls.map((call) => (
        <CallChoice key={call.key} call={call} choice={choiceOf(call)} choose={(choice) => choose(call.key, choice)} />
      ))}
      {declines && <Reason value={reason} change={setReason} />}
      <Button type="submit" kind="primary" className={`mt-1 ${SMALL}`} disabled={isWrong || (declines && reason.trim() === '')}>
        Save
      </Button>
    </form>
  );
}

/** Why a typed dose cannot be had; null where it can. */
function wrongIn({ options }: AthleteCall, { optionId, dose }: Choice): string | null {
  const typed = options.find(({ id }) => id === optionId)?.typed;
  return (dose && typed && checkTyped(typed, dose, knownMovement)[0]?.message) ?? null;
}

interface CallChoiceProps {
  call: AthleteCall;
  choice: Choice;
  choose: (choice: Choice) => void;
}

function CallChoice({ call, choice, choose }: CallChoiceProps) {
  const typed = call.options.find(({ id }) => id === choice.optionId)?.typed;
  const wrong = wrongIn(call, choice);
  const radio = (id: string, words: string) => (
    <label key={id} className="flex items-baseline gap-2 text-small max-sm:min-h-11">
      <input
        type="radio"
        name={call.key}
        className="accent-ink"
        checked={choice.optionId === id}
        onChange={() => choose({ optionId: id })}
      />
      {words}
    </label>
  );
  return (
    <fieldset className="py-1.5">
      <legend className="text-small text-ink-soft">{readable(call.why)}</legend>
      {call.options.map(({ id, words }) => radio(id, readable(words)))}
      {typed && (
        <Typing
          key={choice.optionId}
          typed={typed}
          dose={choice.dose ?? typed.dose}
          wrong={wrong}
          change={(dose) => choose({ optionId: choice.optionId, ...(!same<unknown>(dose, typed.dose) && { dose }) })}
        />
      )}
      {mayDecline(call) && radio(NONE, 'None of these')}
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
  const movement = knownMovement(typed.movementId);
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

/** What speaks against a call, in the coach’s words. */
export function Reason({ value, change }: { value: string; change: (text: string) => void }) {
  return (
    <label className="block text-small">
      Arguments against it
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
