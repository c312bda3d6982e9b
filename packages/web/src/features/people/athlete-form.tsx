import { limitText } from '../../domain/measuring/units.js';
import { BODY_LIMITS, checkAthlete, EQUIPMENT, HANDS, SEXES } from '@clay-pot/core';
import { type Athlete, AthleteInput } from '@clay-pot/contracts';
import { useForm } from 'react-hook-form';
import { ProblemError } from '../../api/request.js';
import { measureFrom, measureText, unitOf } from '../../domain/measuring/units.js';
import { formNumber } from '../../ui/format.js';
import { Button } from '../../ui/button.js';
import { Field, INPUT, SelectField, TextField } from '../../ui/field.js';
import { fieldAt, requestResolver } from '../../ui/request-resolver.js';
import { isoToday } from '../../ui/today.js';
import { CautionFields } from './caution-fields.js';

const BLANK: AthleteInput = {
  name: '',
  practice: '',
  birthDate: null,
  sex: 'not stated',
  dominantHand: 'right',
  statureCm: null,
  massKg: null,
  equipment: ['mat', 'chair', 'table', 'wall'],
  cautions: [],
  notes: '',
};

interface Props {
  athlete?: Athlete;
  save: (input: AthleteInput) => Promise<unknown>;
  cancel: () => void;
}

const metricOrNull = (metric: 'cm' | 'kg') => (value: unknown) =>
  value === '' || value === null || value === undefined ? null : measureFrom(metric, formNumber(value));
const textOrNull = (value: unknown) => (value === '' || value === undefined ? null : value);

/** A form has fields for what was not said: limits that limit nothing are none, and what is absent is left out. */
function tidied(input: AthleteInput): AthleteInput {
  const said = <T extends object>(entry: T): T =>
    Object.fromEntries(Object.entries(entry).filter(([, value]) => value !== undefined && value !== false)) as T;
  const cautions = input.cautions.map(({ within, ...entry }) => {
    const limits = within && said(within);
    return said({ ...entry, ...(limits && Object.keys(limits).length > 0 && { within: limits }) });
  });
  return { ...input, cautions };
}

/** What the fields show: as the coach reads it; the resolver takes it back. */
const shownBody = ({ statureCm, massKg }: Pick<AthleteInput, 'statureCm' | 'massKg'>) => ({
  statureCm: statureCm === null ? null : Number(measureText('cm', statureCm)),
  massKg: massKg === null ? null : Number(measureText('kg', massKg)),
});

/** What is known of a person: the same rules as the server's, checked while typing. */
export function AthleteForm({ athlete, save, cancel }: Props) {
  const { id: _id, etag: _etag, ...person } = athlete ?? { id: '', etag: '', ...BLANK };
  const { register, handleSubmit, control, setError, formState } = useForm<AthleteInput>({
    resolver: requestResolver(AthleteInput, { tidy: tidied, check: (values) => checkAthlete(values, isoToday()) }),
    defaultValues: { ...person, ...shownBody(person) },
  });
  const { errors, isSubmitting } = formState;

  async function submit(input: AthleteInput) {
    try {
      await save(input);
    } catch (error) {
      if (!(error instanceof ProblemError) || !error.problem.errors?.length) {
        setError('root', { message: error instanceof Error ? error.message : String(error) });
        return;
      }
      for (const { pointer, message } of error.problem.errors) {
        setError(fieldAt(pointer) as 'name', { message });
      }
    }
  }

  return (
    <form className="grid max-w-3xl gap-5" onSubmit={(event) => void handleSubmit(submit)(event)} noValidate>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField label="Name" error={errors.name?.message} {...register('name')} />
        <TextField
          label="Practice"
          hint="What the hands are for, in a few words"
          error={errors.practice?.message}
          {...register('practice')}
        />
        <TextField
          label="Date of birth"
          type="date"
          error={errors.birthDate?.message}
          {...register('birthDate', { setValueAs: textOrNull })}
        />
        <SelectField label="Dominant hand" error={errors.dominantHand?.message} {...register('dominantHand')}>
          {HANDS.map((hand) => (
            <option key={hand}>{hand}</option>
          ))}
        </SelectField>
        <SelectField label="Sex (for norms)" error={errors.sex?.message} {...register('sex')}>
          {SEXES.map((sex) => (
            <option key={sex}>{sex}</option>
          ))}
        </SelectField>
        <div className="grid grid-cols-2 gap-4">
          <TextField
            label={`Height, ${unitOf('cm')}`}
            inputMode="decimal"
            error={errors.statureCm && limitText(BODY_LIMITS.statureCm)}
            {...register('statureCm', { setValueAs: metricOrNull('cm') })}
          />
          <TextField
            label={`Weight, ${unitOf('kg')}`}
            inputMode="decimal"
            error={errors.massKg && limitText(BODY_LIMITS.massKg)}
            {...register('massKg', { setValueAs: metricOrNull('kg') })}
          />
        </div>
      </div>

      <CautionFields control={control} register={register} errors={errors.cautions} />

      <fieldset>
        <legend className="mb-1 text-small font-semibold">Equipment</legend>
        <div className="flex flex-wrap gap-x-5 gap-y-1.5">
          {EQUIPMENT.map((thing) => (
            <label key={thing} className="flex items-center gap-1.5">
              <input type="checkbox" className="size-4 accent-ink" value={thing} {...register('equipment')} />
              {thing}
            </label>
          ))}
        </div>
      </fieldset>

      <Field label="Notes" error={errors.notes?.message}>
        {(props) => <textarea rows={3} className={INPUT} {...register('notes')} {...props} />}
      </Field>

      {errors.root && (
        <p role="alert" className="border-l-4 border-iron bg-iron-wash px-3 py-2">
          {errors.root.message}
        </p>
      )}
      <div className="flex gap-2">
        <Button kind="primary" type="submit" disabled={isSubmitting}>
          {athlete ? 'Save' : 'Add athlete'}
        </Button>
        <Button onClick={cancel}>Cancel</Button>
      </div>
    </form>
  );
}
