import { Radio, RadioGroup } from '@headlessui/react';

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
    <RadioGroup aria-label={label} value={chosen} onChange={choose} className={`grid auto-cols-fr grid-flow-col pl-px ${className}`}>
      {options.map((option) => (
        <Radio
          key={option}
          value={option}
          className={`-ml-px grid cursor-pointer place-items-center border border-ink/60 bg-white text-center hover:bg-ground data-checked:bg-ink data-checked:text-white ${SIZES[size]}`}
        >
          {words(option)}
        </Radio>
      ))}
    </RadioGroup>
  );
}
