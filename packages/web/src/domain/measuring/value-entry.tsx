import { type Protocol, READING_LIMITS, readingDoubt, readNumber, type ReadingUnit } from '@clay-pot/core';
import { type ReactNode, useState } from 'react';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { useSubject } from '../athlete/named-subject.js';
import { boundsText, readingText, readable } from './units.js';

/** A number that fits another unit better: what that would be, and what it is if it may be kept at all. */
interface Doubted {
  readonly text: string;
  readonly rather: number;
  readonly kept: number | null;
}

/** How a measured value is looked at before it is kept. */
export interface ValueLook {
  readonly unit: ReadingUnit;
  readonly trouble: string | null;
  readonly doubted: Doubted | null;
  /** Looks at a value in the unit that is kept. */
  readonly look: (value: number) => void;
  readonly keep: (value: number) => void;
}

/** Keeps a value where it can be one; tells the bounds where it cannot; asks where it fits another unit better. @param keep gets it in the unit that is kept */
export function useValueLook({ kind, of }: Protocol, unit: ReadingUnit, athleteId: string, keep: (value: number) => void): ValueLook {
  const { person } = useSubject(athleteId);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [doubted, setDoubted] = useState<Doubted | null>(null);
  function look(value: number) {
    const { min, max } = READING_LIMITS[unit];
    const isWithin = value >= min && value <= max;
    const doubt = readingDoubt({ kind, of, value }, person);
    setDoubted(doubt && { kept: isWithin ? value : null, text: readable(doubt.text), rather: Number(doubt.wouldBeN.toFixed(2)) });
    setTrouble(isWithin || doubt ? null : `within ${boundsText(unit)}`);
    if (isWithin && !doubt) keep(value);
  }
  return { unit, trouble, doubted, look, keep };
}

interface Props {
  look: ValueLook;
  label: string;
  /** The unit in which it is typed. */
  typedUnit: string;
  /** Gets what was typed, in that unit. */
  take: (typed: number) => void;
  /** Of a battery: the next turn is asked for where this one was. */
  isTrial?: boolean;
  /** What else gives or tells of the value. */
  children?: ReactNode;
}

/** One typed number, and its checks before it is kept. */
export function ValueEntry({ look: { unit, trouble, doubted, keep }, label, typedUnit, take, isTrial, children }: Props) {
  const [typed, setTyped] = useState('');
  return (
    <div className="min-w-0 flex-1 py-1.5">
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          take(readNumber(typed));
        }}
      >
        <input
          data-trial={isTrial}
          aria-label={label}
          aria-invalid={trouble !== null || undefined}
          inputMode="decimal"
          autoComplete="off"
          className={`${INPUT} w-24! text-lead! figures`}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <span>{typedUnit}</span>
        <Button type="submit" className="min-h-11">
          Use
        </Button>
        {children}
      </form>
      {trouble && (
        <p role="alert" className="mt-1 text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
      {doubted && (
        <div role="alert" className="mt-1 border-l-4 border-load-3 bg-amber-wash px-2 py-1.5 text-small">
          <p>{doubted.text}</p>
          <p className="mt-1 flex flex-wrap gap-2">
            <Button className="py-0.5!" onClick={() => keep(doubted.rather)}>
              Use {readingText(unit, doubted.rather)}
            </Button>
            {doubted.kept !== null && <KeepAsItIs unit={unit} value={doubted.kept} keep={keep} />}
          </p>
        </div>
      )}
    </div>
  );
}

const KeepAsItIs = ({ unit, value, keep }: { unit: ReadingUnit; value: number; keep: (value: number) => void }) => (
  <Button className="py-0.5!" onClick={() => keep(value)}>
    Keep
    {readingText(unit, value)}
  </Button>
);
