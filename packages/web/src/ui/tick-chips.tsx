/** Several of a few, as many as are so. */
export function TickChips<T extends string>({
  label,
  options,
  words,
  chosen,
  change,
  size = 'finger',
}: {
  label: string;
  options: readonly T[];
  words: (option: T) => string;
  chosen: readonly T[];
  change: (chosen: readonly T[]) => void;
  /** Large enough for a finger, or small in a form at a desk. */
  size?: 'finger' | 'small';
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {options.map((option) => {
        const on = chosen.includes(option);
        return (
          <button
            key={option}
            type="button"
            aria-pressed={on}
            className={`${size === 'finger' ? 'min-h-11 px-3' : 'px-2 py-0.5'} border text-small font-semibold ${on ? 'border-ink bg-ink text-white' : 'border-ink/50 bg-white hover:bg-ground'}`}
            onClick={() => change(on ? chosen.filter((each) => each !== option) : [...chosen, option])}
          >
            {words(option)}
          </button>
        );
      })}
    </div>
  );
}
