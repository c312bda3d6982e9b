interface Props<T extends string> {
  /** What is chosen, for who hears the page. */
  label: string;
  options: readonly T[];
  /** What each is called. */
  words: (option: T) => string;
  chosen: T;
  choose: (option: T) => void;
  /** Large enough for a finger in a session, or small beside a drawing. */
  size?: 'finger' | 'small';
  className?: string;
}

const SIZES = { finger: 'min-h-11 px-1 font-semibold leading-tight', small: 'px-2 py-0.5 text-small font-semibold' };

/** One of a few, side by side. */
export function Segments<T extends string>({ label, options, words, chosen, choose, size = 'finger', className = '' }: Props<T>) {
  return (
    <div role="group" aria-label={label} className={`grid auto-cols-fr grid-flow-col pl-px ${className}`}>
      {options.map((option) => (
        <button
          key={option}
          type="button"
          aria-pressed={option === chosen}
          className={`-ml-px border border-ink/60 ${SIZES[size]} ${option === chosen ? 'bg-ink text-white' : 'bg-white hover:bg-ground'}`}
          onClick={() => choose(option)}
        >
          {words(option)}
        </button>
      ))}
    </div>
  );
}
