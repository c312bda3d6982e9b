import type { Athlete, StoredProgramme } from '@clay-pot/contracts';
import { dayWords, editProgramme, evaluateProgramme, lastDayOf, type Programme, type ProgrammeQuestion } from '@clay-pot/core';
import { TRAINING_GOALS } from '@clay-pot/core/library';
import { Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useStore } from 'zustand';
import { useProgramme } from '../../api/programme-queries.js';
import { useAthlete } from '../../api/queries.js';
import { SaveNotice } from '../../domain/sequence/save-notice.js';
import { choose, tryOut, useCalendar } from '../../store/calendar.js';
import { changeProgrammeHead, redoProgramme, undoProgramme, useProgrammeEditor } from '../../store/programme.js';
import { IconButton } from '../../ui/button.js';
import { Empty, Loading, Part, Trouble, useTitle } from '../../ui/page.js';
import { Calendar } from './calendar.js';
import { CalendarAddress } from './calendar-address.js';
import { ChangesPanel } from './changes-panel.js';
import { DayPanel } from './day-panel.js';
import { FindingsList } from './findings-list.js';
import { GroupLink } from './group-link.js';
import { PlansPanel } from './plans-panel.js';
import { SessionPanel } from './session-panel.js';
import { useCalendarCommands } from './use-calendar-commands.js';
import { useProgrammeAutosave } from './use-programme-autosave.js';
import { useProgrammeQuestion } from './use-programme-view.js';
import { WeekPanel } from './week-panel.js';
import { WhatIfBar } from './what-if-bar.js';

const LoadChart = lazy(() => import('./load-chart.js'));

/** A programme on its calendar: what is when, what the rules say of it, and how the load runs. */
export default function ProgrammePage() {
  const { id } = useParams();
  const programme = useProgramme(id);
  const athlete = useAthlete(programme.data?.athleteId);
  if (programme.error) return <Trouble error={programme.error} retry={() => void programme.refetch()} />;
  if (!programme.data || !athlete.data) return <Loading what="the programme" />;
  return <Opened key={id} stored={programme.data} athlete={athlete.data} />;
}

function Opened({ stored, athlete }: { stored: StoredProgramme; athlete: Athlete }) {
  const { state, settle } = useProgrammeAutosave(stored);
  const document = useProgrammeEditor((editor) => editor.document);
  useEffect(
    () => () => {
      choose(null);
      tryOut(null);
    },
    [],
  );
  if (!document) return <Loading what="the programme" />;
  return <Bench id={stored.id} document={document} athlete={athlete} notice={<SaveNotice state={state} settle={settle} />} />;
}

interface BenchProps {
  id: string;
  document: Programme;
  athlete: Athlete;
  notice: React.ReactNode;
}

function Bench({ id, document, athlete, notice }: BenchProps) {
  const question = useProgrammeQuestion(athlete, document);
  const { title, fromDay, event } = document;
  const goal = TRAINING_GOALS.find(({ id: known }) => known === document.goalId);
  useTitle(title);
  return (
    <div className="mx-auto w-full max-w-[90rem] px-4 py-6">
      <header className="relative mb-4 flex items-end justify-between gap-x-6 gap-y-2 max-sm:flex-col max-sm:items-stretch">
        <div className="min-w-0 flex-1">
          <h1 className="sr-only">{title}</h1>
          <input
            aria-label="Title"
            className="display w-full bg-transparent text-head font-bold tracking-tight"
            maxLength={120}
            value={title}
            onChange={(change) => changeProgrammeHead({ title: change.target.value })}
          />
          <p className="text-ink-soft">
            <Link className="underline underline-offset-2" to={`/people/${athlete.id}`}>
              {athlete.name}
            </Link>
            , {dayWords(fromDay)} to {dayWords(lastDayOf(document))}
            {event ? `, toward ${event.name}` : ''}
            {goal ? `; for “${goal.name}”` : ''}
          </p>
        </div>
        <div className="flex items-center gap-2">
          {notice}
          <Steps />
        </div>
      </header>
      {question ? (
        <Weeks question={question} document={document} athleteId={athlete.id} programmeId={id} />
      ) : (
        <Loading what="what was done" />
      )}
    </div>
  );
}

function Steps() {
  const canUndo = useStore(useProgrammeEditor.temporal, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(useProgrammeEditor.temporal, ({ futureStates }) => futureStates.length > 0);
  return (
    <>
      <IconButton name="Undo" disabled={!canUndo} onClick={() => undoProgramme()}>
        <Undo2 size={18} />
      </IconButton>
      <IconButton name="Redo" disabled={!canRedo} onClick={() => redoProgramme()}>
        <Redo2 size={18} />
      </IconButton>
    </>
  );
}

interface WeeksProps {
  question: Omit<ProgrammeQuestion, 'programme'>;
  document: Programme;
  athleteId: string;
  programmeId: string;
}

function Weeks({ question, document, athleteId, programmeId }: WeeksProps) {
  const whatIf = useCalendar((calendar) => calendar.whatIf);
  const chosen = useCalendar((calendar) => calendar.chosen);
  const before = useMemo(() => evaluateProgramme({ ...question, programme: document }), [question, document]);
  const tried = useMemo(
    () => whatIf && evaluateProgramme({ ...question, programme: editProgramme(document, whatIf.edits) }),
    [question, document, whatIf],
  );
  const view = tried ?? before;
  useCalendarCommands(view);
  return (
    <>
      {whatIf && tried && <WhatIfBar whatIf={whatIf} before={before} after={tried} />}
      <div className="grid items-start gap-x-6 gap-y-6 xl:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="grid min-w-0 gap-6">
          <Calendar view={view} />
          <Suspense fallback={<Loading what="the load" />}>
            <LoadChart view={view} before={tried ? before : null} />
          </Suspense>
        </div>
        <div className="grid gap-6">
          {chosen?.kind === 'session' && <SessionPanel view={view} id={chosen.id} programmeId={programmeId} athleteId={athleteId} />}
          {chosen?.kind === 'day' && <DayPanel view={view} day={chosen.day} />}
          {chosen?.kind === 'week' && <WeekPanel view={view} index={chosen.index} />}
          {!chosen && (
            <Part title="On the calendar">
              <Empty>
                Select a session, day or week to edit it. Drag a session to another day, or move it with Alt and the arrow keys.
              </Empty>
            </Part>
          )}
          <FindingsList findings={view.findings} />
          <PlansPanel view={view} athleteId={athleteId} />
          <ChangesPanel view={view} />
          <GroupLink programmeId={programmeId} />
          <CalendarAddress programmeId={programmeId} athleteId={athleteId} />
        </div>
      </div>
    </>
  );
}
