import {
  addDays,
  type Away,
  AWAY_KIND_IDS,
  AWAY_KINDS,
  type AwayKind,
  awayOn,
  dayWords,
  endOf,
  freshSessionId,
  type PlannedDay,
  type ProgrammePlan,
  type ProgrammeView,
  weekdayOf,
} from '@clay-pot/core';
import { useState } from 'react';
import { choose, tryOut } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { WEEKDAY_NAMES } from '../../ui/format.js';
import { Part } from '../../ui/page.js';

const titleOf = ({ sequences }: ProgrammeView, { id }: ProgrammePlan) => sequences.get(id)?.title ?? 'Removed sequence';

/** A day: what can be put on it, whether there is training, and what if every such weekday had more. */
export function DayPanel({ view, day }: { view: ProgrammeView; day: string }) {
  const { programme, today } = view;
  const away = awayOn(view, day);
  const weekday = WEEKDAY_NAMES[weekdayOf(day) - 1];
  const add = (planId: string) => {
    const id = freshSessionId(programme);
    changeProgramme([{ kind: 'add', session: { id, day, planId } }]);
    choose({ kind: 'session', id });
  };
  return (
    <Part title={`${weekday} ${dayWords(day)}`}>
      <div className="grid gap-4 py-2">
        {day >= today && (
          <div>
            <p className="mb-1 text-small font-semibold">Add to this day</p>
            <div className="grid gap-1">
              {programme.plans.map((plan) => (
                <Button key={plan.id} className="text-left" onClick={() => add(plan.id)}>
                  {titleOf(view, plan)}
                </Button>
              ))}
            </div>
          </div>
        )}
        {away ? (
          <p className="flex flex-wrap items-center justify-between gap-2 text-small">
            {AWAY_KINDS[away.kind].label}, {dayWords(away.fromDay)} to {dayWords(away.toDay)}
            <Button onClick={() => changeProgramme([{ kind: 'away', away: (programme.away ?? []).filter((each) => each !== away) }])}>
              Remove
            </Button>
          </p>
        ) : (
          <AwayForm key={day} view={view} day={day} />
        )}
        {day >= today && (
          <div>
            <p className="mb-1 text-small font-semibold">What if every {weekday} from here had</p>
            <div className="grid gap-1">
              {programme.plans.map((plan) => (
                <Button
                  key={plan.id}
                  className="text-left"
                  onClick={() =>
                    tryOut({
                      words: `every ${weekday} had “${titleOf(view, plan)}”`,
                      edits: everyWeek(view, day, plan.id).map((session) => ({ kind: 'add', session })),
                    })
                  }
                >
                  {titleOf(view, plan)}
                </Button>
              ))}
            </div>
          </div>
        )}
      </div>
    </Part>
  );
}

/** Sessions of a plan on the same weekday of every week that is left, where there is none of it yet. */
function everyWeek({ programme }: ProgrammeView, from: string, planId: string): PlannedDay[] {
  const added: PlannedDay[] = [];
  const end = endOf(programme);
  for (let day = from; day < end; day = addDays(day, 7)) {
    if (programme.sessions.some((session) => session.day === day && session.planId === planId)) continue;
    const id = freshSessionId({ sessions: [...programme.sessions, ...added] });
    added.push({ id, day, planId });
  }
  return added;
}

function AwayForm({ view: { programme }, day }: { view: ProgrammeView; day: string }) {
  const [toDay, setToDay] = useState(day);
  const isSound = toDay >= day;
  const add = (kind: AwayKind) => {
    const away: Away = { fromDay: day, toDay, kind };
    changeProgramme([{ kind: 'away', away: [...(programme.away ?? []), away] }]);
  };
  return (
    <fieldset>
      <legend className="mb-1 text-small font-semibold">From this day until</legend>
      <input
        type="date"
        aria-label="Away until"
        className={INPUT}
        min={day}
        value={toDay}
        aria-invalid={!isSound}
        onChange={(event) => setToDay(event.target.value || day)}
      />
      {!isSound && <p className="text-small text-iron">Not before {dayWords(day)}.</p>}
      <div className="mt-1 flex flex-wrap gap-1">
        {AWAY_KIND_IDS.map((kind) => (
          <Button key={kind} disabled={!isSound} onClick={() => add(kind)}>
            {AWAY_KINDS[kind].label}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
