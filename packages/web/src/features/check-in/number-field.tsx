import { readNumber } from '@clay-pot/core';
import { useState } from 'react';
import { measureFrom, measureText } from '../../domain/measuring/units.js';
import { TextField } from '../../ui/field.js';

interface Props {
  label: string;
  value: number | null;
  /** NaN where what is typed is no number. */
  change: (value: number | null) => void;
  error: string | undefined;
  hint?: string;
  /** What it is kept in, where it is shown as the coach chose. */
  metric?: 'cm' | 'kg';
}

/** A number that may be left open. What was typed stays as it was typed, right or not. */
export function NumberField({ label, value, change, error, hint, metric }: Props) {
  const [typed, setTyped] = useState(() => measureText(metric, value));
  return (
    <TextField
      label={label}
      inputMode="decimal"
      autoComplete="off"
      value={typed}
      error={error}
      {...(hint && { hint })}
      onChange={(event) => {
        setTyped(event.target.value);
        change(event.target.value.trim() === '' ? null : measureFrom(metric, readNumber(event.target.value)));
      }}
    />
  );
}
