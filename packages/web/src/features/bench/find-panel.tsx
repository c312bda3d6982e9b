import {
  firstOf,
  type Hand,
  NotReachedError,
  type Person,
  QUANTITIES,
  readNumber,
  type Quantity,
  shown,
  solvedInterval,
  type SolvedInterval,
  solveLevel,
} from '@clay-pot/core';
import { useState } from 'react';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { Choice } from '../../domain/movement/subject-fields.js';
import { type MovableField, type Subject, writeSubject } from '../../domain/movement/subject.js';

interface Props {
  person: Person;
  subject: Subject;
  fields: readonly MovableField[];
  found: (subject: Subject) => void;
}

/** What was found, or why nothing was, and of what. */
interface Answer {
  readonly text: string;
  readonly refused: boolean;
  readonly of: string;
}

const NAMES: Record<string, string> = {
  loadPercentBW: '% BW',
  effortPercent: '% effort',
  wristAngleDeg: '° of wrist',
  wristMomentNm: 'N·m of wrist',
};
const USUAL: Record<Quantity, number> = { loadPercentBW: 25, effortPercent: 40, wristAngleDeg: 80, wristMomentNm: 5 };

/** Where the answer lies for four fifths of people like this; nothing where that is as narrow as the answer. */
function betweenWords([low, high]: SolvedInterval, { step, unit }: MovableField): string {
  const [from, to] = [low, high].map((value) => (value === null ? null : shown(value, step)));
  if (from === to && from !== null) return '';
  if (from === null && to === null) return 'For most people like this, nothing within its limits gives that.';
  if (from === null) return `For 4 in 5 people like this: up to ${to} ${unit}; for some, nothing gives it.`;
  if (to === null) return `For 4 in 5 people like this: from ${from} ${unit}; for some, nothing gives it.`;
  return `For 4 in 5 people like this: ${from}–${to} ${unit}.`;
}

/** “Find me 25 % of body weight”: solves for the number that gives what is wanted. */
export function FindPanel({ person, subject, fields, found }: Props) {
  const quantities = (Object.keys(QUANTITIES) as Quantity[]).filter(
    (name) => subject.load.kind === 'body' || name === 'effortPercent' || (name === 'loadPercentBW' && subject.load.kind === 'hang'),
  );
  const [quantity, setQuantity] = useState<Quantity>(quantities[0] ?? 'effortPercent');
  const [value, setValue] = useState(String(USUAL[quantity]));
  const [hand, setHand] = useState<Hand>('left');
  const [vary, setVary] = useState('');
  const [foundAnswer, setTold] = useState<Answer | null>(null);
  // An answer is of the posture that it was found in: once that moves it says nothing any more.
  const answer = foundAnswer?.of === writeSubject(subject) ? foundAnswer : null;
  const chosen = quantities.includes(quantity) ? quantity : firstOf(quantities);
  const field = fields.find(({ name }) => name === vary) ?? fields[0];
  if (!field) return <p className="text-small text-ink-soft">The athlete chooses the effort, so there is nothing to solve.</p>;

  const find = () => {
    const number = readNumber(value);
    const { min, max, unit } = QUANTITIES[chosen];
    if (!(number >= min && number <= max)) {
      setTold({ text: `Enter a number from ${min}–${max} ${unit}.`, refused: true, of: writeSubject(subject) });
      return;
    }
    try {
      const solved = solveLevel(person, subject, field.name, { quantity: chosen, value: number, hand });
      found(solved.level);
      const target = { quantity: chosen, value: number, hand };
      const between = solvedInterval(person, subject, field.name, target, solved.demand);
      const text = `${field.label}: ${shown(solved.value, field.step)} ${field.unit}.${between ? ` ${betweenWords(between, field)}` : ''}`;
      setTold({ text, refused: false, of: writeSubject(solved.level) });
    } catch (error) {
      if (!(error instanceof NotReachedError)) throw error;
      const { nearest } = error;
      const text = nearest
        ? `${field.label} alone can’t give that. Closest: ${nearest.y.toFixed(1)} ${NAMES[chosen]} at ${shown(nearest.x, field.step)} ${field.unit}.`
        : error.message;
      setTold({ text, refused: true, of: writeSubject(subject) });
    }
  };
  return (
    <form
      aria-label="Solve"
      className="grid gap-2 border-2 border-ink bg-white p-3"
      onSubmit={(event) => {
        event.preventDefault();
        find();
      }}
    >
      <div className="grid grid-cols-[4.5rem_minmax(0,1fr)_5.5rem] items-end gap-2">
        <label className="block text-small font-semibold">
          Solve for
          <input
            className={`${INPUT} mt-1 px-2! py-1! font-normal figures`}
            inputMode="decimal"
            aria-label="Target"
            value={value}
            onChange={(event) => setValue(event.target.value)}
          />
        </label>
        <Choice
          label="of"
          value={chosen}
          options={quantities}
          names={NAMES}
          set={(name) => {
            setQuantity(name as Quantity);
            setValue(String(USUAL[name as Quantity]));
          }}
        />
        <Choice label="on the" value={hand} options={['left', 'right']} set={(name) => setHand(name as Hand)} />
      </div>
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <Choice
            label="by changing"
            value={field.name}
            options={fields.map(({ name }) => name)}
            names={Object.fromEntries(fields.map(({ name, label }) => [name, label]))}
            set={setVary}
          />
        </div>
        <Button kind="primary" type="submit">
          Solve
        </Button>
      </div>
      <p role="status" className={`min-h-5 text-small font-semibold ${answer?.refused ? 'text-iron' : ''}`}>
        {answer?.text}
      </p>
    </form>
  );
}
