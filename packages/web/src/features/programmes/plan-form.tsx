import type { Athlete, StoredIntake } from '@clay-pot/contracts';
import { PROGRAMME_LIMITS } from '@clay-pot/core';
import { startingPointOf, TRAINING_GOALS } from '@clay-pot/core/library';
import { type ReactNode, useEffect, useState } from 'react';
import { Controller, FormProvider, useForm, useFormContext } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useSequences } from '../../api/queries.js';
import { warmComposer } from '../../domain/composing/composer.js';
import { firstWishes, useComposeWork } from '../../domain/composing/wishes.js';
import { useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Part } from '../../ui/page.js';
import { ruleResolver } from '../../ui/request-resolver.js';
import { Switch } from '../../ui/switch.js';
import { isoToday } from '../../ui/today.js';
import { WeekdayPicker } from '../../ui/weekday-picker.js';
import { PlannedWeeks } from './planned-weeks.js';
import { asMethodBegins, faultsOfWish, fieldOfWish, firstPlanWish, type PlanWish, scheduleWishOf } from './plan-wish.js';
import { useMakeProgramme } from './use-make-programme.js';

interface Props {
  athlete: Athlete;
  /** The newest first. */
  intakes: readonly StoredIntake[];
  athleteChoice: ReactNode;
}

/** Goal, method, days and minutes; beside them what weeks come of it. */
export function PlanForm({ athlete, intakes, athleteChoice }: Props) {
  const navigate = useNavigate();
  const today = isoToday();
  const first = firstWishes(athlete, intakes);
  const form = useForm<PlanWish>({
    mode: 'onChange',
    resolver: ruleResolver((wish) => faultsOfWish(wish, today), fieldOfWish),
    defaultValues: firstPlanWish(first.goalId, first.methodId, today),
  });
  const workOf = useComposeWork(athlete);
  const [likely] = useState(() => workOf(first));
  useEffect(() => warmComposer(likely), [likely]);
  const making = useMakeProgramme(athlete);
  const wish = form.watch();
  const faults = faultsOfWish(wish, today);
  const make = async (planWish: PlanWish) => {
    const id = await making.make(planWish);
    if (id !== null) await navigate(`/programmes/${id}`);
  };
  return (
    <FormProvider {...form}>
      <form
        className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]"
        onSubmit={(event) => void form.handleSubmit(make)(event)}
        noValidate
      >
        <div className="grid gap-5">
          <div className="grid gap-4 sm:grid-cols-2">
            {athleteChoice}
            <GoalAndMethod />
            <TextField
              label="Title"
              placeholder={TRAINING_GOALS.find(({ id }) => id === wish.goalId)?.name ?? ''}
              maxLength={PROGRAMME_LIMITS.titleLength}
              {...form.register('title')}
            />
          </div>
          <When />
          <What />
        </div>
        <PlannedWeeks wish={wish} faults={faults}>
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <Button kind="primary" type="submit" disabled={faults.length > 0 || making.step !== null}>
              Create programme
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
        </PlannedWeeks>
      </form>
    </FormProvider>
  );
}

function GoalAndMethod() {
  const { methods } = useStudioLibrary();
  const { register, setValue, getValues, watch } = useFormContext<PlanWish>();
  /** Another method begins its weeks otherwise. */
  const begin = (methodId: string) => {
    for (const [field, value] of Object.entries(asMethodBegins(methodId)))
      setValue(field as keyof PlanWish, value, { shouldValidate: true });
  };
  return (
    <>
      <div className="sm:col-span-2 sm:row-start-2">
        <SelectField label="Goal" {...register('goalId')}>
          {TRAINING_GOALS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      </div>
      <div>
        <SelectField label="Method" {...register('methodId', { onChange: () => begin(getValues('methodId')) })}>
          {methods.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <p className="mt-1 text-small text-ink-soft">{startingPointOf(watch('methodId')).words}</p>
      </div>
    </>
  );
}

function When() {
  const { register, control, watch, formState } = useFormContext<PlanWish>();
  const { errors } = formState;
  const wish = watch();
  const isTo = wish.eventDay !== '';
  return (
    <Part title="When">
      <div className="grid gap-4 py-3 sm:grid-cols-3">
        <Controller
          control={control}
          name="fromDay"
          render={({ field: { onChange, ...field } }) => (
            // A day that is only half typed is none yet.
            <TextField label="First day" type="date" {...field} onChange={(event) => event.target.value && onChange(event)} />
          )}
        />
        {isTo ? (
          <TextField label="Weeks" type="number" disabled value={scheduleWishOf(wish).weeks} readOnly error={errors.weeks?.message} />
        ) : (
          <WholeField label="Weeks" field="weeks" />
        )}
        <div>
          <p className="mb-1 text-small font-semibold">Available days</p>
          <Controller
            control={control}
            name="weekdays"
            render={({ field }) => <WeekdayPicker label="Weekdays available" value={field.value} onChange={field.onChange} />}
          />
        </div>
        <TextField label="Toward an event on" type="date" error={errors.eventDay?.message} {...register('eventDay')} />
        {isTo && <TextField label="Event" placeholder="The event" maxLength={PROGRAMME_LIMITS.eventLength} {...register('eventName')} />}
      </div>
    </Part>
  );
}

function What() {
  const { control, watch } = useFormContext<PlanWish>();
  const [loadingId, easyId, hasEasy] = watch(['loadingId', 'easyId', 'hasEasy']);
  return (
    <Part title="Sessions">
      <div className="grid gap-4 py-3 sm:grid-cols-3">
        <WholeField label="Sessions for the goal, a week" field="loadingDays" />
        <WholeField label="Minutes per session" field="loadingMin" disabled={loadingId !== ''} />
        <PlanChoice label="Sequence for these days" field="loadingId" />
        <Controller
          control={control}
          name="hasEasy"
          render={({ field }) => <Switch label="Easy days between" className="sm:pt-6" on={field.value} turn={field.onChange} />}
        />
        {hasEasy && (
          <>
            <WholeField label="Minutes on an easy day" field="easyMin" disabled={easyId !== ''} />
            <PlanChoice label="Sequence for easy days" field="easyId" />
          </>
        )}
      </div>
    </Part>
  );
}

interface WholeProps {
  label: string;
  field: 'weeks' | 'loadingDays' | 'loadingMin' | 'easyMin';
  /** What is not asked now is shown all the same. */
  disabled?: boolean;
}

/** A whole number; while nothing is typed there is none, and the field says what would be right. */
function WholeField({ label, field, disabled = false }: WholeProps) {
  const { register, formState } = useFormContext<PlanWish>();
  return (
    <TextField
      type="number"
      label={label}
      readOnly={disabled}
      aria-disabled={disabled}
      error={formState.errors[field]?.message}
      {...register(field, { valueAsNumber: true })}
    />
  );
}

function PlanChoice({ label, field }: { label: string; field: 'loadingId' | 'easyId' }) {
  const sequences = useSequences();
  const { register } = useFormContext<PlanWish>();
  return (
    <SelectField label={label} {...register(field)}>
      <option value="">generate one</option>
      {sequences.data?.map(({ id, title }) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </SelectField>
  );
}
