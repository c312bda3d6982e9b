import { addDays, isAhead, type ProgrammeView } from '@clay-pot/core';
import { useMemo } from 'react';
import { choose, useCalendar } from '../../store/calendar.js';
import { redoProgramme, undoProgramme } from '../../store/programme.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { leaveOut, moveBy } from './moving.js';

const GROUP = 'Programme';
const CALENDAR = '[aria-label=Calendar]';
const WAYS = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 } as const;
type Way = keyof typeof WAYS;
const WAY_WORDS: Record<Way, string> = {
  ArrowLeft: 'one day earlier',
  ArrowRight: 'one day later',
  ArrowUp: 'one week earlier',
  ArrowDown: 'one week later',
};

/** The day that has the focus, or contains it. */
function dayInFocus(view: ProgrammeView): string | undefined {
  const { day, session } = (document.activeElement as HTMLElement | null)?.dataset ?? {};
  return day ?? view.sessions.find(({ id }) => id === session)?.day;
}

/** Puts the focus on a day: on its first session, else on the day itself. */
function focusDay(view: ProgrammeView, day: string): void {
  const first = view.sessions.find((session) => session.day === day);
  const at = first ? `[data-session="${first.id}"]` : `[data-day="${day}"]`;
  document.querySelector<HTMLElement>(at)?.focus();
}

/** Arrows go over the calendar, with Alt they move what is chosen; Delete leaves it out. */
export function useCalendarCommands(view: ProgrammeView): void {
  const commands = useMemo((): Command[] => {
    const chosen = () => {
      const { chosen: what } = useCalendar.getState();
      return what?.kind === 'session' ? view.sessions.find(({ id }) => id === what.id) : undefined;
    };
    const moves = (Object.keys(WAYS) as Way[]).flatMap((way): Command[] => [
      {
        keys: `Alt+${way}`,
        label: `Move the session ${WAY_WORDS[way]}`,
        group: GROUP,
        run: () => {
          const session = chosen();
          if (!session) return;
          moveBy(view, session, WAYS[way]);
          // Drawn on its new day it is another button.
          requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-session="${session.id}"]`)?.focus());
        },
      },
      {
        keys: way,
        label: `Go ${WAY_WORDS[way]}`,
        group: GROUP,
        within: CALENDAR,
        run: () => {
          const day = dayInFocus(view);
          if (day !== undefined) focusDay(view, addDays(day, WAYS[way]));
        },
      },
    ]);
    return [
      ...moves,
      {
        keys: 'Delete',
        label: 'Skip the session',
        group: GROUP,
        within: CALENDAR,
        run: () => {
          const session = chosen();
          if (!session || !isAhead(session)) return;
          leaveOut(session);
          requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-day="${session.day}"]`)?.focus());
        },
      },
      { keys: 'Escape', label: 'Clear the selection', group: GROUP, run: () => choose(null) },
      { keys: '$mod+z', label: 'Undo', group: GROUP, run: undoProgramme, whileTyping: true },
      { keys: '$mod+Shift+z', label: 'Redo', group: GROUP, run: redoProgramme, whileTyping: true },
      {
        keys: 'f',
        label: 'Go to the first fix',
        group: GROUP,
        run: () => document.querySelector<HTMLElement>('[data-programme-fix]')?.focus(),
      },
    ];
  }, [view]);
  useCommands(commands);
}
