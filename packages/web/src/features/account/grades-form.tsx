import { checkGrades, type Fault, type Grade, GRADE_LIMITS, GRADED, GRADED_LOAD, type GradedKind, OWN_LOADS } from '@clay-pot/core';
import { faultsOfRequest, GradesInput } from '@clay-pot/contracts';
import { X } from 'lucide-react';
import { Controller, useForm } from 'react-hook-form';
import { useSaveGrades } from '../../api/own-queries.js';
import { inUnit, metricText, outOfUnit, unitOf } from '../../domain/measuring/units.js';
import { useGrades } from '../../store/grades.js';
import { Button, IconButton } from '../../ui/button.js';
import { Field, INPUT, TextField } from '../../ui/field.js';
import { formNumber } from '../../ui/format.js';
import { ruleResolver } from '../../ui/request-resolver.js';
import { Segments } from '../../ui/segments.js';
import { useToast } from '../../ui/toast.js';

const KIND_NAMES: Record<GradedKind, string> = { spring: 'Gripper spring', band: 'Finger band' };

/** Springs and bands that the studio owns. Each change holds at once. */
export function GradesForm() {
  const grades = useGrades((state) => state.stored);
  const save = useSaveGrades();

  function remove(grade: Grade) {
    const without = grades.filter((other) => other !== grade);
    save.mutate(without, {
      onSuccess: () =>
        useToast.getState().show({
          text: `${grade.name} ${grade.kind} removed.`,
          action: { label: 'Undo', run: () => save.mutate([...without, grade]) },
        }),
    });
  }
  return (
    <>
      <p className="py-3 text-ink-soft">
        List what you own. Clay Pot then picks loads from this list, and you can write “2x10 grey spring” in a dose.
      </p>
      {grades.length > 0 && (
        <table className="w-full max-w-md">
          <thead className="sr-only">
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Kind</th>
              <th scope="col">Force</th>
              <th scope="col">Remove</th>
            </tr>
          </thead>
          <tbody>
            {grades.map((grade) => (
              <tr key={`${grade.kind} ${grade.name}`} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-semibold">
                  {grade.name}
                </th>
                <td className="text-ink-soft">{KIND_NAMES[grade.kind]}</td>
                <td className="text-right figures">{metricText('kg', grade.kg, 1)}</td>
                <td className="w-11 text-right">
                  <IconButton name={`Remove ${grade.name} ${grade.kind}`} onClick={() => remove(grade)}>
                    <X size={16} />
                  </IconButton>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <NewGrade grades={grades} add={(grade) => save.mutateAsync([...grades, grade])} />
      {save.error && (
        <p role="alert" className="mt-2 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {save.error.message}
        </p>
      )}
    </>
  );
}

interface Typed {
  kind: GradedKind;
  name: string;
  force: string;
}
const EMPTY: Typed = { kind: 'spring', name: '', force: '' };

const gradeFrom = ({ kind, name, force }: Typed): Grade => ({
  kind,
  name: name.trim(),
  kg: Number(outOfUnit('kg', formNumber(force)).toFixed(2)),
});

/** What is wrong with a grade that is added to a list. */
function faultsOfNew(grades: readonly Grade[], typed: Typed): readonly Fault[] {
  const all = [...grades, gradeFrom(typed)];
  const shape = faultsOfRequest(GradesInput, { grades: all });
  return shape.length > 0 ? shape : checkGrades(all);
}
/** The field for a fault of the last of a list. */
const fieldOf = (pointer: string) => (pointer.endsWith('/kg') ? 'force' : (pointer.split('/').at(-1) ?? 'name'));

/** The fields of one grade, checked in its list as the server checks it. */
function NewGrade({ grades, add }: { grades: readonly Grade[]; add: (grade: Grade) => Promise<unknown> }) {
  const { control, register, handleSubmit, reset, watch, formState } = useForm<Typed>({
    resolver: ruleResolver<Typed>((typed) => faultsOfNew(grades, typed), fieldOf),
    defaultValues: EMPTY,
  });
  const { errors } = formState;
  const { min, max } = OWN_LOADS[GRADED_LOAD[watch('kind')]].limit;
  const send = handleSubmit(async (typed) => {
    await add(gradeFrom(typed));
    reset({ ...EMPTY, kind: typed.kind });
  });
  return (
    <form
      noValidate
      onSubmit={(event) => void send(event)}
      className="grid max-w-2xl items-start gap-3 pt-4 pb-2 sm:grid-cols-[14rem_1fr_8rem_auto]"
    >
      <div>
        <p className="mb-1 text-small font-semibold">Kind</p>
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <Segments
              label="Kind"
              size="small"
              className="min-h-10"
              options={GRADED}
              words={(kind) => KIND_NAMES[kind]}
              chosen={field.value}
              choose={field.onChange}
            />
          )}
        />
      </div>
      <TextField label="Name" placeholder="Grey" maxLength={GRADE_LIMITS.nameLength} error={errors.name?.message} {...register('name')} />
      <Field label={`Force, ${unitOf('kg')}`} error={errors.force?.message}>
        {(props) => (
          <input
            className={`${INPUT} figures`}
            inputMode="decimal"
            placeholder={`${Number(inUnit('kg', min).toFixed(1))}–${Number(inUnit('kg', max).toFixed(0))}`}
            {...register('force')}
            {...props}
          />
        )}
      </Field>
      <Button type="submit" className="sm:mt-6" disabled={grades.length >= GRADE_LIMITS.grades}>
        Add
      </Button>
    </form>
  );
}
