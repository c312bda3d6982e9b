import { termOf } from '@clay-pot/core';
import { useEffect, useRef } from 'react';
import { type Question, useQuestion } from './question.js';
import { told } from './units.js';

const GAP_PX = 6;
const EDGE_PX = 8;

/** What a number is, from what, and whether it is much: beside what was pressed, until a press elsewhere or Escape. */
export default function Answered({ term: id, value, beside }: Question) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const panel = place.current;
    if (!panel) return;
    panel.showPopover();
    const at = beside.getBoundingClientRect();
    const { width, height } = panel.getBoundingClientRect();
    const below = at.bottom + GAP_PX + height < window.innerHeight;
    panel.style.left = `${Math.max(EDGE_PX, Math.min(at.left, window.innerWidth - width - EDGE_PX))}px`;
    panel.style.top = `${below ? at.bottom + GAP_PX : Math.max(EDGE_PX, at.top - height - GAP_PX)}px`;
  }, [id, value, beside]);
  const { plain, term, what, from, scale, judge } = termOf(id);
  return (
    <div
      ref={place}
      popover="auto"
      role="dialog"
      aria-label={plain}
      className="fixed inset-auto m-0 w-80 max-w-[calc(100vw-1rem)] border-2 border-ink bg-white p-3 text-small text-ink shadow-lg"
      onToggle={({ newState, currentTarget }) => {
        // A press on another number closes this answer and asks anew before the closing is told.
        if (newState === 'closed' && !currentTarget.matches(':popover-open')) useQuestion.setState({ question: null });
      }}
    >
      <p className="text-body font-bold">{plain}</p>
      <p className="text-fine text-ink-soft">{term}</p>
      <p className="mt-1.5">{told(what)}</p>
      <dl className="mt-1.5 grid gap-1.5">
        <div>
          <dt className="font-semibold">From what</dt>
          <dd>{told(from)}</dd>
        </div>
        <div>
          <dt className="font-semibold">Is it much?</dt>
          <dd>
            {value !== undefined && judge && <b>{told(judge(value))} </b>}
            {told(scale)}
          </dd>
        </div>
      </dl>
    </div>
  );
}
