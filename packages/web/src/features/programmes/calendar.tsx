import {
  addDays,
  AWAY_KINDS,
  awayOn,
  dayWords,
  HANDS,
  minutesText,
  type ProgrammeFinding,
  type ProgrammeView,
  WEEK_KINDS,
  weekLoads,
  type WeekView,
} from '@clay-pot/core';
import { DndContext, type DragEndEvent, PointerSensor, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { Fragment } from 'react';
import { choose, useCalendar } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { WEEKDAY_NAMES } from '../../ui/format.js';
import { SessionChip } from './session-chip.js';
import { underLoadOn, WeekPot } from './week-pot.js';

const BY_POINTER = { activationConstraint: { distance: 6 } };

function onDragEnd({ active, over }: DragEndEvent) {
  if (over) changeProgramme([{ kind: 'move', sessionId: String(active.id), day: String(over.id) }]);
}

/** Weeks downward, days across; what a week is for before it, its pot behind it. Sessions are dragged to other days, or moved by keys. */
export function Calendar({ view }: { view: ProgrammeView }) {
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER));
  const mostS = Math.max(
    0,
    ...view.weeks.flatMap((week) => week.sessions.flatMap(({ day }) => HANDS.map((hand) => underLoadOn(week, day, hand)))),
  );
  const loads = weekLoads(view);
  const findingOf = new Map<string, ProgrammeFinding>();
  // The gravest come first.
  for (const finding of view.findings.toReversed()) {
    if (!WEEK_RULES.includes(finding.rule)) for (const id of finding.sessionIds) findingOf.set(id, finding);
  }
  return (
    <DndContext sensors={sensors} onDragEnd={onDragEnd}>
      <div role="group" aria-label="Calendar" className="overflow-x-auto">
        <div className="grid grid-cols-[3.7rem_repeat(7,minmax(0,1fr))] sm:min-w-[44rem] sm:grid-cols-[5.25rem_repeat(7,minmax(0,1fr))_4rem] border-b border-line">
          <span className="border-b-2 border-ink" />
          {WEEKDAY_NAMES.map((name) => (
            <span key={name} className="border-b-2 border-ink px-1 text-small text-ink-soft">
              {name}
            </span>
          ))}
          <span className="border-b-2 border-ink text-center text-small text-ink-soft max-sm:hidden">pot</span>
          {view.weeks.map((week) => (
            <Fragment key={week.monday}>
              <WeekHead
                week={week}
                percentOfPeak={loads[week.index]?.percentOfPeak ?? 0}
                hasFinding={view.findings.some(({ day, rule }) => day === week.monday && WEEK_RULES.includes(rule))}
              />
              {WEEKDAY_NAMES.map((name, index) => (
                <Day
                  key={name}
                  view={view}
                  week={week}
                  day={addDays(week.monday, index)}

                  findingOf={findingOf}
                />
              ))}
              <span className="grid place-items-center border-t border-line max-sm:hidden">
                <WeekPot week={week} mostS={mostS} />
              </span>
            </Fragment>
          ))}
        </div>
      </div>
    </DndContext>
  );
}

/** Rules that speak of a week as a whole. */
const WEEK_RULES = ['growth', 'too-many', 'no-rest-day', 'easier-missing', 'taper', 'missed-week'];

interface WeekHeadProps {
  week: WeekView;
  /** Its loading work beside that of the fullest week. */
  percentOfPeak: number;
  hasFinding: boolean;
}

function WeekHead({ week, percentOfPeak, hasFinding }: WeekHeadProps) {
  const isChosen = useCalendar(({ chosen }) => chosen?.kind === 'week' && chosen.index === week.index);
  const { label } = WEEK_KINDS[week.kind];
  return (
    <button
      type="button"
      data-week={week.index}
      aria-pressed={isChosen}
      className={`border-t border-line px-1.5 py-1 text-left ${isChosen ? 'bg-ink text-white' : 'hover:bg-ground'}`}
      onClick={() => choose({ kind: 'week', index: week.index })}
    >
      <span className="display block font-bold">
        Week {week.index + 1}
        {hasFinding && <span aria-label="has something to check" className="ml-1 inline-block size-2 rounded-full bg-amber" />}
      </span>
      <span className={`block text-fine figures ${isChosen ? '' : 'text-ink-soft'}`}>
        {label}
        {percentOfPeak > 0 ? `, ${percentOfPeak.toFixed(0)} %` : ''}
      </span>
      <span className={`block text-fine figures ${isChosen ? '' : 'text-ink-soft'}`}>
        {week.durationMs > 0 ? minutesText(week.durationMs) : '–'}
      </span>
    </button>
  );
}

interface DayProps {
  view: ProgrammeView;
  week: WeekView;
  day: string;
  findingOf: ReadonlyMap<string, ProgrammeFinding>;
}

function Day({ view, week, day, findingOf }: DayProps) {
  const { programme, today } = view;
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const away = awayOn(view, day);
  const event = programme.event?.day === day ? programme.event.name : null;
  const ground = isOver ? 'bg-celadon-wash' : away ? HATCHED : day < today ? 'bg-ground/60' : '';
  return (
    <div ref={setNodeRef} className={`min-h-16 min-w-0 border-t border-l border-line p-0.5 ${ground}`}>
      <DayHead
        day={day}
        isFirst={day === week.monday && week.index === 0}
        isToday={day === today}
        isOutside={day < programme.fromDay}
        away={away && AWAY_KINDS[away.kind].label}
        event={event}
      />
      {event !== null && <p className="mb-0.5 bg-ink px-1 text-fine leading-tight font-semibold text-white">{event}</p>}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-0.5">
        {week.sessions
          .filter((session) => session.day === day)
          .map((session) => (
            <SessionChip key={session.id} session={session} finding={findingOf.get(session.id)} />
          ))}
      </div>
    </div>
  );
}

const HATCHED = 'bg-[repeating-linear-gradient(45deg,var(--color-ground)_0_4px,transparent_4px_9px)]';

interface HeadProps {
  day: string;
  isFirst: boolean;
  isToday: boolean;
  isOutside: boolean;
  away: string | undefined;
  event: string | null;
}

/** The day's number, and why there is no training; what is put on it is chosen here. */
function DayHead({ day, isFirst, isToday, isOutside, away, event }: HeadProps) {
  const isChosen = useCalendar(({ chosen }) => chosen?.kind === 'day' && chosen.day === day);
  const [date, month] = dayWords(day).split(' ');
  const about = [dayWords(day), away, event].filter(Boolean).join(', ');
  return (
    <button
      type="button"
      data-day={day}
      disabled={isOutside}
      aria-pressed={isChosen}
      aria-label={`${about}: select this day`}
      className={`flex min-h-6 w-full items-center gap-1 px-0.5 text-left text-fine figures disabled:text-line ${isChosen ? 'bg-ink text-white' : 'text-ink-soft hover:bg-ground'} ${isToday ? 'font-bold underline decoration-2 underline-offset-2' : ''}`}
      onClick={() => choose({ kind: 'day', day })}
    >
      {date}
      {(isFirst || date === '1') && ` ${month}`}
      {away && <span className="truncate">{away}</span>}
    </button>
  );
}
