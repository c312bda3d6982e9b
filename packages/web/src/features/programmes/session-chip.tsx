import { dayWords, minutesText, type PlannedSession, type ProgrammeFinding, type Severity } from '@clay-pot/core';
import { useDraggable } from '@dnd-kit/core';
import { Check, X } from 'lucide-react';
import { loadColour } from '../../drawing/load-colours.js';
import { choose, useCalendar } from '../../store/calendar.js';

const EDGE: Record<Severity, string> = {
  stop: 'ring-2 ring-iron',
  mend: 'ring-1 ring-iron',
  look: 'ring-1 ring-amber',
};
const STATE_WORDS = { done: 'done', missed: 'missed', due: 'today', planned: 'planned' } as const;

/** As tiring as so many holds to failure, a session has the darkest edge. */
const DARKEST = 2;

/** The largest endurance dose of any group of a session. */
const hardestDose = ({ load }: Pick<PlannedSession, 'load'>): number => Math.max(0, ...Object.values(load?.doses ?? {}));

interface Props {
  session: PlannedSession;
  finding: ProgrammeFinding | undefined;
}

const STATE_LOOKS = {
  done: 'border-l-celadon-fill',
  missed: 'border-dashed opacity-80',
  due: 'cursor-grab touch-none',
  planned: 'cursor-grab touch-none',
} as const;

/** A session on its day: its length, how tiring it is, and whether a check found something. */
export function SessionChip({ session, finding }: Props) {
  const { id, day, state, load } = session;
  const isChosen = useCalendar(({ chosen }) => chosen?.kind === 'session' && chosen.id === id);
  const isAhead = state === 'due' || state === 'planned';
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id, disabled: !isAhead });
  const title = session.sequence?.title ?? 'Removed sequence';
  const minutes = load ? minutesText(load.durationMs) : '';
  const edge = isAhead && loadColour((100 * hardestDose(session)) / DARKEST);
  const place = transform && { transform: `translate(${transform.x}px, ${transform.y}px)` };
  const worry = isAhead && finding ? EDGE[finding.severity] : '';
  return (
    <button
      ref={setNodeRef}
      type="button"
      data-session={id}
      aria-pressed={isChosen}
      aria-label={`${title} ${minutes}, ${dayWords(day)}, ${STATE_WORDS[state]}${finding ? `: ${finding.title}` : ''}`}
      style={{ ...place, ...(edge && { borderLeftColor: edge }) }}
      className={`block w-full border border-l-4 py-0.5 pr-0 pl-0.5 text-left text-fine max-sm:min-h-9 max-sm:px-0.5 leading-tight ${STATE_LOOKS[state]} ${worry} ${isChosen ? 'border-ink bg-ink text-white' : 'border-line bg-white'} ${isDragging ? 'relative z-20 shadow-lg' : ''}`}
      onClick={() => choose({ kind: 'session', id })}
      {...listeners}
    >
      <span
        lang="en"
        className={`block tracking-tight hyphens-auto wrap-break-word max-sm:hidden ${state === 'missed' ? 'line-through' : ''}`}
      >
        {title}
      </span>
      <span className="flex flex-wrap items-center justify-between gap-x-1">
        <span className={`figures ${isChosen ? '' : 'text-ink-soft'}`}>{minutes}</span>
        <StateMark state={state} />
      </span>
    </button>
  );
}

function StateMark({ state }: Pick<PlannedSession, 'state'>) {
  if (state === 'done') return <Check aria-hidden className="size-3.5 shrink-0 text-celadon" />;
  return state === 'missed' ? <X aria-hidden className="size-3.5 shrink-0 text-ash" /> : null;
}
