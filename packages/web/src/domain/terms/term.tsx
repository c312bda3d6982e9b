import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { type TermId, termOf } from '@clay-pot/core';
import { lazy, memo, type ReactNode, Suspense } from 'react';

/** What terms mean weighs more than the button that asks: it comes with the first question. */
const Answer = lazy(() => import('./term-answer.js'));

interface Props {
  term: TermId;
  /** The number that is asked about, where it is one: then it is said whether it is much. */
  value?: number | undefined;
  /** In a table of many: reached by pointer; the heading of the column answers the keyboard. */
  inTable?: boolean;
  className?: string;
  children: ReactNode;
}

/** A number, or its name, that tells with one press what it is, what it is made from, and whether it is much. */
export const Term = memo(function Term({ term, value, inTable = false, className = '', children }: Props) {
  return (
    <Popover as="span">
      {({ open }) => (
        <>
          <PopoverButton
            title="What is this?"
            {...(inTable && { tabIndex: -1 })}
            className={`inline-block min-h-6 min-w-6 cursor-help text-left decoration-ash decoration-dotted underline-offset-3 hover:underline ${inTable ? '' : 'underline'} ${className}`}
          >
            {children}
          </PopoverButton>
          {/* Many numbers change with every key: what answers for one is there only while it is open. */}
          {open && (
            <PopoverPanel
              static
              anchor={{ to: 'bottom start', gap: 6, padding: 8 }}
              role="dialog"
              aria-label={termOf(term).plain}
              className="z-50 w-80 max-w-[calc(100vw-1rem)] border-2 border-ink bg-white p-3 text-small text-ink shadow-lg"
            >
              <Suspense>
                <Answer term={term} value={value} />
              </Suspense>
            </PopoverPanel>
          )}
        </>
      )}
    </Popover>
  );
});
