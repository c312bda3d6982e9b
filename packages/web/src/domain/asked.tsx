import { termOf, type TermId } from '@clay-pot/core';
import { type ReactNode, useEffect, useRef } from 'react';
import { create } from 'zustand';

interface Question {
  readonly term: TermId;
  readonly value: number | undefined;
  /** Whom the answer stands beside. */
  readonly beside: HTMLElement;
}

/** What is asked about now; one question at a time. */
const useQuestion = create<{ readonly question: Question | null }>()(() => ({ question: null }));

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

const GAP_PX = 6;
const EDGE_PX = 8;

/** Where the answer is shown: beside what was pressed, until a press elsewhere or Escape. */
export function AskedPlace() {
  const { question } = useQuestion();
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const panel = place.current;
    if (!question || !panel) return;
    panel.showPopover();
    const at = question.beside.getBoundingClientRect();
    const { width, height } = panel.getBoundingClientRect();
    const below = at.bottom + GAP_PX + height < window.innerHeight;
    panel.style.left = `${Math.max(EDGE_PX, Math.min(at.left, window.innerWidth - width - EDGE_PX))}px`;
    panel.style.top = `${below ? at.bottom + GAP_PX : Math.max(EDGE_PX, at.top - height - GAP_PX)}px`;
  }, [question]);
  return (
    <div
      ref={place}
      popover="auto"
      role="dialog"
      aria-label={question ? termOf(question.term).plain : 'Explanation'}
      className="fixed inset-auto m-0 w-80 max-w-[calc(100vw-1rem)] border-2 border-ink bg-white p-3 text-small text-ink shadow-lg"
      onToggle={({ newState }) => {
        if (newState === 'closed') useQuestion.setState({ question: null });
      }}
    >
      {question && <Answer {...question} />}
    </div>
  );
}

function Answer({ term: id, value }: Question) {
  const { plain, term, what, from, scale, judge } = termOf(id);
  return (
    <>
      <p className="text-body font-bold">{plain}</p>
      <p className="text-fine text-ink-soft">{term}</p>
      <p className="mt-1.5">{what}</p>
      <dl className="mt-1.5 grid gap-1.5">
        <div>
          <dt className="font-semibold">From what</dt>
          <dd>{from}</dd>
        </div>
        <div>
          <dt className="font-semibold">Is it much?</dt>
          <dd>
            {value !== undefined && judge && <b>{judge(value)} </b>}
            {scale}
          </dd>
        </div>
      </dl>
    </>
  );
}
