import { itemAt, WEEKDAYS } from '@clay-pot/core';
import { WEEKDAY_NAMES } from './format.js';

/** Seven ticks; the last one left cannot be taken away. */
export function WeekdayPicker({
  label,
  value,
  onChange,
}: {
  label: string;
  value: readonly number[];
  onChange: (weekdays: number[]) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex">
      {WEEKDAYS.map((weekday) => {
        const on = value.includes(weekday);
        return (
          <button
            key={weekday}
            type="button"
            aria-pressed={on}
            aria-label={WEEKDAY_NAMES[weekday - 1]}
            disabled={on && value.length === 1}
            className={`-ml-px size-8 border border-ink/60 text-small font-semibold disabled:cursor-not-allowed ${on ? 'bg-ink text-white' : 'bg-white text-ink-soft'}`}
            onClick={() => onChange(on ? value.filter((day) => day !== weekday) : [...value, weekday].sort((a, b) => a - b))}
          >
            {itemAt(WEEKDAY_NAMES, weekday - 1).slice(0, 2)}
          </button>
        );
      })}
    </div>
  );
}
