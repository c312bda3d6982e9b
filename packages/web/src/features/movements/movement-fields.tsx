import { useState } from 'react';
import { Field, INPUT } from '../../ui/field.js';

/** Several lines of text, one thing each. */
export function LinesField({ label, lines, set }: { label: string; lines: readonly string[]; set: (lines: string[]) => void }) {
  const [text, setText] = useState(lines.join('\n'));
  return (
    <Field label={label}>
      {(props) => (
        <textarea
          rows={4}
          className={INPUT}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            set(
              event.target.value
                .split('\n')
                .map((line) => line.trim())
                .filter(Boolean),
            );
          }}
          {...props}
        />
      )}
    </Field>
  );
}

interface ChecksProps<T extends string> {
  label: string;
  options: readonly T[];
  chosen: readonly T[];
  /** What they are called, where the word itself would not do. */
  names?: Readonly<Partial<Record<T, string>>>;
  set: (chosen: T[]) => void;
}

/** Some of a list, in the list's order. */
export function Checks<T extends string>({ label, options, chosen, names, set }: ChecksProps<T>) {
  return (
    <fieldset>
      <legend className="mb-1 text-small font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-x-5 gap-y-2 text-small">
        {options.map((option) => (
          <label key={option} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={chosen.includes(option)}
              onChange={(event) => set(options.filter((each) => (each === option ? event.target.checked : chosen.includes(each))))}
            />
            {names?.[option] ?? option.replaceAll('-', ' ')}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
