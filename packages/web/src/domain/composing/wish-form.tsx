import { counted, EQUIPMENT, type Place, PLACES, readNumber, SEQUENCE_LIMITS } from '@clay-pot/core';
import { TRAINING_GOALS } from '@clay-pot/core/library';
import { useState } from 'react';
import { useStudioLibrary } from '../../store/library.js';
import { Disclosure } from '../../ui/disclosure.js';
import { Field, INPUT, SelectField } from '../../ui/field.js';
import { TickChips } from '../../ui/tick-chips.js';
import type { Wishes } from './wishes.js';

const { min, max } = SEQUENCE_LIMITS.budgetMin;
const OFTEN_MIN = [5, 10, 15, 20, 30, 45];

/** Goal, minutes, method and room: the settings of the generator. */
export function WishForm({ wishes, change }: { wishes: Wishes; change: (wishes: Wishes) => void }) {
  const { methods } = useStudioLibrary();
  const goal = TRAINING_GOALS.find(({ id }) => id === wishes.goalId);
  const put = (some: Partial<Wishes>) => change({ ...wishes, ...some });
  return (
    <div className="grid content-start gap-4">
      <div>
        <SelectField label="Goal" value={wishes.goalId} onChange={(event) => put({ goalId: event.target.value })}>
          {named(TRAINING_GOALS)}
        </SelectField>
        {goal && <p className="mt-1 text-small text-ink-soft">{goal.purpose}</p>}
      </div>
      <Minutes minutes={wishes.minutes} set={(minutes) => put({ minutes })} />
      <SelectField label="Method" value={wishes.methodId} onChange={(event) => put({ methodId: event.target.value })}>
        {named(methods)}
      </SelectField>
      <Disclosure title={`Equipment and space: ${roomWords(wishes)}`} buttonClassName="text-small font-semibold text-left">
        <div className="mt-2 grid gap-4">
          <fieldset>
            <legend className="mb-1 text-small font-semibold">Unavailable today</legend>
            <TickChips
              label="Places that can’t be used today"
              size="small"
              options={PLACES}
              words={(place) => `no ${PLACE_WORDS[place]}`}
              chosen={wishes.notAt}
              change={(notAt) => put({ notAt })}
            />
          </fieldset>
          <fieldset>
            <legend className="mb-1 text-small font-semibold">Equipment</legend>
            <TickChips
              label="Equipment"
              size="small"
              options={EQUIPMENT}
              words={(thing) => thing}
              chosen={wishes.equipment}
              change={(equipment) => put({ equipment })}
            />
          </fieldset>
        </div>
      </Disclosure>
    </div>
  );
}

/** What there is, in a few words, while the choices are closed. */
const roomWords = ({ equipment, notAt }: Wishes): string =>
  [counted(equipment.length, 'thing'), ...notAt.map((place) => `no ${PLACE_WORDS[place]}`)].join(', ');

/** Choices of a list by their names. */
const named = (list: readonly { readonly id: string; readonly name: string }[]) =>
  list.map(({ id, name }) => (
    <option key={id} value={id}>
      {name}
    </option>
  ));

const PLACE_WORDS: Record<Place, string> = {
  standing: 'standing',
  seated: 'sitting',
  floor: 'floor',
  wall: 'wall',
  bar: 'bar',
};

/** Minutes, by what is usual or typed; what cannot be stays in the field with the reason. */
function Minutes({ minutes, set }: { minutes: number; set: (minutes: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const value = typed === null ? minutes : readNumber(typed);
  const isSound = Number.isInteger(value) && value >= min && value <= max;
  return (
    <Field label="Minutes" error={isSound ? undefined : `Enter a whole number from ${min}–${max}.`}>
      {(props) => (
        <div className="flex flex-wrap items-center gap-1.5">
          <input
            className={`${INPUT} w-20! figures`}
            inputMode="numeric"
            value={typed ?? String(minutes)}
            onChange={(event) => {
              setTyped(event.target.value);
              const next = readNumber(event.target.value);
              if (Number.isInteger(next) && next >= min && next <= max) set(next);
            }}
            onBlur={() => isSound && setTyped(null)}
            {...props}
          />
          {OFTEN_MIN.map((often) => (
            <button
              key={often}
              type="button"
              aria-label={`${often} minutes`}
              aria-pressed={minutes === often}
              className={`border px-2 py-0.5 text-small font-semibold figures ${minutes === often ? 'border-ink bg-ink text-white' : 'border-ink/50 bg-white hover:bg-ground'}`}
              onClick={() => {
                setTyped(null);
                set(often);
              }}
            >
              {often}
            </button>
          ))}
        </div>
      )}
    </Field>
  );
}
