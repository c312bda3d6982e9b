import {
  CONDITION_IDS,
  type Condition,
  CONDITIONS,
  type PastCondition,
  SIGN_IDS,
  SIGN_RULES,
  SIGNS,
  type Sign,
  type WorkingSide,
} from '@clay-pot/core';
import { TextField } from '../../ui/field.js';
import { HandChoice, TickRow } from './choices.js';
import type { StepProps } from './step-props.js';

/** Signs that decide at once. */
export function SignsStep({ answers, change }: StepProps) {
  const signs = answers.signs ?? [];
  const of = (sign: Sign) => signs.find((entry) => entry.sign === sign);
  const without = (sign: Sign) => signs.filter((entry) => entry.sign !== sign);
  const set = (sign: Sign, hand: WorkingSide) => change({ signs: [...without(sign), { sign, hand }] });
  const rows = (verdict: 'stop now' | 'refer first') => (
    <ul aria-label={verdict === 'stop now' ? 'Get these checked today' : 'Get these checked before loading'}>
      {SIGN_IDS.filter((sign) => SIGN_RULES[sign].verdict === verdict).map((sign) => {
        const entry = of(sign);
        return (
          <TickRow
            key={sign}
            words={SIGNS[sign]}
            on={entry !== undefined}
            toggle={() => (entry ? change({ signs: without(sign) }) : set(sign, 'both'))}
          >
            <HandChoice label={`Which hand: ${SIGNS[sign]}`} hand={entry?.hand ?? 'both'} choose={(hand) => set(sign, hand)} />
          </TickRow>
        );
      })}
    </ul>
  );
  return (
    <div className="grid gap-5">
      <div>
        <p className="text-small text-ink-soft">Today or since the last session:</p>
        {rows('stop now')}
      </div>
      <div>
        <p className="text-small text-ink-soft">In the last weeks:</p>
        {rows('refer first')}
      </div>
    </div>
  );
}

/** What was, and who cleared it. */
export function HistoryStep({ answers, change, faultAt }: StepProps) {
  const history = answers.history ?? [];
  const indexOf = (condition: Condition) => history.findIndex((entry) => entry.condition === condition);
  const set = (next: PastCondition) => {
    const index = indexOf(next.condition);
    change({ history: index < 0 ? [...history, next] : history.with(index, next) });
  };
  return (
    <ul aria-label="Injuries and conditions">
      {CONDITION_IDS.map((condition) => {
        const index = indexOf(condition);
        const entry = history[index];
        const { label, ofHand } = CONDITIONS[condition];
        return (
          <TickRow
            key={condition}
            words={label}
            on={entry !== undefined}
            toggle={() => (entry ? change({ history: history.toSpliced(index, 1) }) : set({ condition, ...(ofHand && { hand: 'both' }) }))}
          >
            {entry && <ConditionFields entry={entry} set={set} faultAt={(name) => faultAt(`/history/${index}/${name}`)} />}
          </TickRow>
        );
      })}
    </ul>
  );
}

interface FieldsProps {
  entry: PastCondition;
  set: (entry: PastCondition) => void;
  faultAt: (name: string) => string | undefined;
}

type DayName = 'since' | 'clearedOn' | 'clearedUntil';

/** Of which hand, since when, and who cleared it: as much of it as changes what follows. */
function ConditionFields({ entry, set, faultAt }: FieldsProps) {
  const { ofHand, when, treated, label } = CONDITIONS[entry.condition];
  const without = (name: DayName | 'clearedBy' | 'note') => {
    const { [name]: _gone, ...rest } = entry;
    return rest;
  };
  const text = (name: DayName | 'clearedBy' | 'note', value: string) => set(value === '' ? without(name) : { ...entry, [name]: value });
  const field = (name: DayName | 'clearedBy' | 'note', words: string, type: 'date' | 'text', hint?: string) => (
    <TextField
      label={words}
      type={type}
      value={entry[name] ?? ''}
      error={faultAt(name)}
      {...(hint && { hint })}
      onChange={(event) => text(name, event.target.value)}
    />
  );
  return (
    <>
      {ofHand && <HandChoice label={`Which hand: ${label}`} hand={entry.hand ?? 'both'} choose={(hand) => set({ ...entry, hand })} />}
      <div className="grid gap-3 sm:grid-cols-2">
        {when && field('since', 'When', 'date', 'Date (approximate is fine)')}
        {field('note', 'Note', 'text')}
        {treated && field('clearedBy', 'Cleared by (doctor or therapist)', 'text', 'Name, if anyone cleared it')}
        {treated && entry.clearedBy && field('clearedOn', 'Cleared on', 'date')}
        {treated && entry.clearedBy && field('clearedUntil', 'Valid until (optional)', 'date')}
      </div>
    </>
  );
}
