import type { TermId } from '@clay-pot/core';
import { lazy, type ReactNode, Suspense } from 'react';
import { useQuestion } from './question.js';

/** What terms mean weighs more than the button that asks: it comes with the first question. */
const Answered = lazy(() => import('./asked-answer.js'));

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
export function Asked({ term, value, inTable = false, className = '', children }: Props) {
  return (
    <button
      type="button"
      title="What is this?"
      tabIndex={inTable ? -1 : undefined}
      className={`cursor-help text-left decoration-ash decoration-dotted underline-offset-3 hover:underline ${inTable ? '' : 'underline'} ${className}`}
      onClick={(event) => useQuestion.setState({ question: { term, value, beside: event.currentTarget } })}
    >
      {children}
    </button>
  );
}

/** Where the answer is shown, once something was asked. */
export function AskedPlace() {
  const question = useQuestion((state) => state.question);
  return (
    question && (
      <Suspense>
        <Answered {...question} />
      </Suspense>
    )
  );
}
