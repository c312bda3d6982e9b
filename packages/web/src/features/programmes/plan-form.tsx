import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { dayWords, type Fault } from '@clay-pot/core';
import { startingPointOf, TRAINING_GOALS, USUAL_METHOD } from '@clay-pot/core/library';
import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSequences } from '../../api/queries.js';
import { warmComposer } from '../../domain/composing/composer.js';
import { firstWishes, useComposeWork } from '../../domain/composing/wishes.js';
import { useKnown } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { SelectField, TextField } from '../../ui/field.js';
import { weekdayText } from '../../ui/format.js';
import { Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';
import { WeekdayPicker } from '../../ui/weekday-picker.js';
import { asMethodBegins, faultsOfWish, firstPlanWish, type PlanWish, scheduleWishOf, schemeOf } from './plan-wish.js';
import { useMakeProgramme } from './use-make-programme.js';
import { Switch } from '../../ui/switch.js';

interface Props {
  athlete: Athlete;
  /** The newest first. */
  intakes: readonly StoredIntake[];
  whom: ReactNode;
}

/** Goal, method, days and minutes; beside them what weeks come of it. */
export function PlanForm({ athlete, intakes, whom }: Props) {
  const navigate = useNavigate();
  const today = isoToday();
  const first = firstWishes(athlete, intakes, USUAL_METHOD.id);
  const [wish, setWish] = useState<PlanWish>(() => firstPlanWish(first.goalId, first.methodId, today));
  const put = (some: Partial<PlanWish>) => setWish((before) => ({ ...before, ...some }));
  const workOf = useComposeWork(athlete);
  const [likely] = useState(() => workOf(first));
  useEffect(() => warmComposer(likely), [likely]);
  const making = useMakeProgramme(athlete);
  const faults = faultsOfWish(wish, today);
  const wrong = (pointer: string) => faults.find((fault) => fault.pointer === pointer)?.message;
  const make = () =>
    making.make(wish).then((id) => {
      if (id !== null) void navigate(`/programmes/${id}`);
    });
  return (
    <form
      className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]"
      onSubmit={(event) => {
        event.preventDefault();
        if (faults.length === 0) void make();
      }}
    >
      <div className="grid gap-5">
        <div className="grid gap-4 sm:grid-cols-2">
          {whom}
          <GoalAndMethod wish={wish} put={put} />
          <TextField
            label="Title"
            value={wish.title}
            placeholder={goalName(wish)}
            maxLength={120}
            onChange={(event) => put({ title: event.target.value })}
          />
        </div>
        <When wish={wish} put={put} wrong={wrong} />
        <What wish={wish} put={put} wrong={wrong} />
      </div>
      <Weeks wish={wish} faults={faults}>
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <Button kind="primary" type="submit" disabled={faults.length > 0 || making.step !== null}>
            Make the programme
          </Button>
          {making.step && (
            <span role="status" className="text-ink-soft">
              {making.step}
            </span>
          )}
        </div>
        {making.trouble && (
          <p role="alert" className="mt-3 border-l-4 border-iron bg-iron-wash px-3 py-2">
            {making.trouble}
          </p>
        )}
      </Weeks>
    </form>
  );
}

const goalName = ({ goalId }: PlanWish) => TRAINING_GOALS.find(({ id }) => id === goalId)?.name ?? '';

interface PartProps {
  wish: PlanWish;
  put: (some: Partial<PlanWish>) => void;
}
type Judged = PartProps & { wrong: (pointer: string) => string | undefined };

function GoalAndMethod({ wish, put }: PartProps) {
  const { methods } = useKnown();
  return (
    <>
      <div className="sm:col-span-2 sm:row-start-2">
        <SelectField label="Goal" value={wish.goalId} onChange={(event) => put({ goalId: event.target.value })}>
          {TRAINING_GOALS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      </div>
      <div>
        <SelectField
          label="Method"
          value={wish.methodId}
          onChange={(event) => put({ methodId: event.target.value, ...asMethodBegins(event.target.value) })}
        >
          {methods.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <p className="mt-1 text-small text-ink-soft">{startingPointOf(wish.methodId).words}</p>
      </div>
    </>
  );
}

function When({ wish, put, wrong }: Judged) {
  const isTo = wish.eventDay !== '';
  return (
    <Part title="When">
      <div className="grid gap-4 py-3 sm:grid-cols-3">
        <TextField
          label="First day"
          type="date"
          value={wish.fromDay}
          onChange={(event) => event.target.value && put({ fromDay: event.target.value })}
        />
        <WholeField
          label="Weeks"
          disabled={isTo}
          value={isTo ? scheduleWishOf(wish).weeks : wish.weeks}
          error={wrong('/weeks')}
          put={(weeks) => put({ weeks })}
        />
        <div>
          <p className="mb-1 text-small font-semibold">There is time on</p>
          <WeekdayPicker label="Weekdays on which there is time" value={wish.weekdays} onChange={(weekdays) => put({ weekdays })} />
        </div>
        <TextField
          label="Toward an event on"
          type="date"
          value={wish.eventDay}
          error={wrong('/event/day')}
          onChange={(event) => put({ eventDay: event.target.value })}
        />
        {isTo && (
          <TextField
            label="Which is"
            value={wish.eventName}
            placeholder="The event"
            maxLength={80}
            onChange={(event) => put({ eventName: event.target.value })}
          />
        )}
      </div>
    </Part>
  );
}

function What({ wish, put, wrong }: Judged) {
  return (
    <Part title="What">
      <div className="grid gap-4 py-3 sm:grid-cols-3">
        <WholeField
          label="Sessions for the goal, a week"
          value={wish.loadingDays}
          error={wrong('/loadingDays')}
          put={(loadingDays) => put({ loadingDays })}
        />
        <WholeField
          label="Minutes of each"
          disabled={wish.loadingId !== ''}
          value={wish.loadingMin}
          error={wrong('/loadingMin')}
          put={(loadingMin) => put({ loadingMin })}
        />
        <PlanChoice label="They go by" value={wish.loadingId} choose={(loadingId) => put({ loadingId })} />
        <Switch label="Easy days between" className="sm:pt-6" on={wish.hasEasy} turn={(hasEasy) => put({ hasEasy })} />
        {wish.hasEasy && (
          <>
            <WholeField
              label="Minutes of an easy day"
              disabled={wish.easyId !== ''}
              value={wish.easyMin}
              error={wrong('/easyMin')}
              put={(easyMin) => put({ easyMin })}
            />
            <PlanChoice label="Easy days go by" value={wish.easyId} choose={(easyId) => put({ easyId })} />
          </>
        )}
      </div>
    </Part>
  );
}

interface WholeProps {
  label: string;
  value: number;
  error: string | undefined;
  disabled?: boolean;
  put: (value: number) => void;
}

/** A whole number; while nothing is typed there is none, and the field says what would be right. */
function WholeField({ value, put, ...rest }: WholeProps) {
  return (
    <TextField type="number" value={Number.isNaN(value) ? '' : value} onChange={(event) => put(event.target.valueAsNumber)} {...rest} />
  );
}

function PlanChoice({ label, value, choose }: { label: string; value: string; choose: (id: string) => void }) {
  const sequences = useSequences();
  return (
    <SelectField label={label} value={value} onChange={(event) => choose(event.target.value)}>
      <option value="">a sequence composed for it</option>
      {sequences.data?.map(({ id, title }) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </SelectField>
  );
}

/** What weeks come of a wish, before anything is composed. */
function Weeks({ wish, faults, children }: { wish: PlanWish; faults: readonly Fault[]; children: ReactNode }) {
  if (faults.length > 0) {
    return (
      <Part title="Its weeks">
        <ul className="py-2 text-small text-iron">
          {faults.map(({ pointer, label, message }) => (
            <li key={pointer}>
              {label} {message}.
            </li>
          ))}
        </ul>
        {children}
      </Part>
    );
  }
  const { weeks, loading, easy, loadingWeekdays, event } = schemeOf(wish);
  const easier = weeks.flatMap(({ kind }, index) => (kind === 'easier' ? [index + 1] : []));
  return (
    <Part title="Its weeks">
      <ul className="grid gap-1 py-2">
        <li>
          <b className="figures">{loading}</b> sessions for the goal, {weekdayText(loadingWeekdays)}
        </li>
        {easy > 0 && (
          <li>
            <b className="figures">{easy}</b> easy days of {wish.easyMin} minutes between
          </li>
        )}
        <li>
          {weeks.length} weeks from {dayWords(wish.fromDay)}
          {easier.length > 0 ? `; easier in week ${easier.join(', ')}` : ''}
        </li>
        {event && (
          <li>
            Tapered to {event.name} on {dayWords(event.day)}: half of what loads, nothing of it in the last three days
          </li>
        )}
      </ul>
      {children}
    </Part>
  );
}
