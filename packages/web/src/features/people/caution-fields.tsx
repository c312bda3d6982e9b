import type { AthleteInput } from '@clay-pot/contracts';
import {
  cautionLabel,
  CAUTIONS,
  type CautionId,
  CLEARANCE_LIMITS,
  dayWords,
  HAND_WORDS,
  type RecordedCaution,
  WORKING_SIDES,
  WRITTEN_CAUTION_IDS,
} from '@clay-pot/core';
import { Plus, X } from 'lucide-react';
import { type Control, type FieldErrors, useFieldArray, type UseFormRegister, useWatch } from 'react-hook-form';
import { Button, IconButton } from '../../ui/button.js';
import { formNumber } from '../../ui/format.js';
import { SelectField, TextField } from '../../ui/field.js';

interface Props {
  control: Control<AthleteInput>;
  register: UseFormRegister<AthleteInput>;
  errors: FieldErrors<AthleteInput>['cautions'];
}

const textOrAbsent = (value: unknown) => (value === '' || value === null ? undefined : value);
const numberOrAbsent = (value: unknown) => {
  const text = textOrAbsent(value);
  return text === undefined ? undefined : formNumber(text);
};

/** A new restriction says nothing until somebody chooses what it is. */
const NOT_CHOSEN = '' as CautionId;
const isChosen = (entry: RecordedCaution | undefined): entry is RecordedCaution => entry !== undefined && entry.caution !== NOT_CHOSEN;

/** The restrictions of somebody: of which hand, since when, and who cleared it within which limits. */
export function CautionFields({ control, register, errors }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: 'cautions' });
  const now = useWatch({ control, name: 'cautions' });
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 text-small font-semibold">Restrictions</legend>
      {fields.map((field, index) => (
        <CautionEntry
          key={field.id}
          index={index}
          // Nothing for a row that has just been added.
          entry={now[index]}
          register={register}
          own={errors?.[index]}
          remove={() => remove(index)}
        />
      ))}
      <div>
        <Button onClick={() => append({ caution: NOT_CHOSEN }, { focusName: `cautions.${fields.length}.caution` })}>
          <Plus size={16} aria-hidden /> Add restriction
        </Button>
      </div>
    </fieldset>
  );
}

interface EntryProps {
  index: number;
  entry: RecordedCaution | undefined;
  register: Props['register'];
  own: NonNullable<Props['errors']>[number];
}

function CautionEntry({ index, entry, register, own, remove }: EntryProps & { remove: () => void }) {
  const refers = isChosen(entry) && CAUTIONS[entry.caution].rule === 'refer';
  return (
    <div className="grid gap-3 border-l-4 border-line bg-white p-3">
      {entry?.stopped ? <StopNamed entry={entry} /> : <WhatAndWhose {...{ index, register, own, remove }} isChosen={isChosen(entry)} />}
      <TextField label="Note" error={own?.note?.message} {...register(`cautions.${index}.note`, { setValueAs: textOrAbsent })} />
      {refers && <ClearanceFields index={index} register={register} own={own} cleared={Boolean(entry.clearedOn)} />}
      <p className="text-small text-ink-soft">
        {entry?.stopped
          ? 'It applies until a doctor or hand therapist clears it. Record who cleared it and when. You can’t remove it.'
          : isChosen(entry) && CAUTIONS[entry.caution].advice}
      </p>
    </div>
  );
}

const StopNamed = ({ entry }: { entry: RecordedCaution }) => (
  <p className="py-1.5 font-semibold text-iron">
    {cautionLabel(entry)}
    {entry.since && `, stopped on ${dayWords(entry.since)}`}
  </p>
);

function WhatAndWhose({
  index,
  register,
  own,
  remove,
  isChosen: chosen,
}: Omit<EntryProps, 'entry'> & { remove: () => void; isChosen: boolean }) {
  return (
    <div className="grid gap-3 sm:grid-cols-[1fr_9rem_10rem_auto]">
      <SelectField
        label="Restriction"
        error={own?.caution && (chosen ? own.caution.message : 'Choose a restriction, or remove this row.')}
        {...register(`cautions.${index}.caution`)}
      >
        {!chosen && <option value={NOT_CHOSEN}>Choose…</option>}
        {WRITTEN_CAUTION_IDS.map((name) => (
          <option key={name} value={name}>
            {CAUTIONS[name].label}
          </option>
        ))}
      </SelectField>
      <SelectField label="Hand" error={own?.hand?.message} {...register(`cautions.${index}.hand`, { setValueAs: textOrAbsent })}>
        <option value="">not set</option>
        {WORKING_SIDES.map((side) => (
          <option key={side} value={side}>
            {HAND_WORDS[side]}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Since"
        type="date"
        error={own?.since?.message}
        {...register(`cautions.${index}.since`, { setValueAs: textOrAbsent })}
      />
      <IconButton name="Remove this restriction" className="self-end" onClick={remove}>
        <X size={18} />
      </IconButton>
    </div>
  );
}

interface ClearanceProps {
  index: number;
  register: UseFormRegister<AthleteInput>;
  own: NonNullable<Props['errors']>[number];
  cleared: boolean;
}

/** Who cleared it and when, and once that is said, within which limits. */
function ClearanceFields({ index, register, own, cleared }: ClearanceProps) {
  const limit = (name: 'effortPercent' | 'extensionDeg', label: string) => {
    const { min, max, unit } = CLEARANCE_LIMITS[name];
    return (
      <TextField
        label={label}
        inputMode="numeric"
        placeholder={`${min}–${max} ${unit === '°' ? unit : '%'}`}
        error={own?.within?.[name]?.message}
        {...register(`cautions.${index}.within.${name}`, { setValueAs: numberOrAbsent })}
      />
    );
  };
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Cleared on"
          type="date"
          error={own?.clearedOn?.message}
          {...register(`cautions.${index}.clearedOn`, { setValueAs: textOrAbsent })}
        />
        <TextField
          label="Cleared by (doctor or therapist)"
          hint="Name of the doctor or therapist"
          error={own?.clearedBy?.message}
          {...register(`cautions.${index}.clearedBy`, { setValueAs: textOrAbsent })}
        />
      </div>
      {cleared && (
        <div className="grid gap-3 sm:grid-cols-4 sm:items-end">
          {limit('effortPercent', 'Maximum effort, %')}
          {limit('extensionDeg', 'Maximum extension, °')}
          <TextField
            label="Limits apply until"
            type="date"
            error={own?.within?.until?.message}
            {...register(`cautions.${index}.within.until`, { setValueAs: textOrAbsent })}
          />
          <label className="flex items-center gap-1.5 py-2 text-small">
            <input type="checkbox" className="size-4 accent-ink" {...register(`cautions.${index}.within.noBodyWeight`)} />
            No body weight on it
          </label>
        </div>
      )}
    </>
  );
}
