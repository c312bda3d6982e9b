import { limitText } from '../../domain/measuring/units.js';
import { BODY_LIMITS, EQUIPMENT, GOAL_IDS, GOALS, HANDS, capital, SEXES } from '@clay-pot/core';
import { unitOf } from '../../domain/measuring/units.js';
import { Segments } from '../../ui/segments.js';
import { SelectField, TextField } from '../../ui/field.js';
import { TickChips } from '../../ui/tick-chips.js';
import { TickRow } from './choices.js';
import { NumberField } from './number-field.js';
import type { StepProps } from './step-props.js';

/** What it is for. */
export function GoalsStep({ answers, change, faultAt }: StepProps) {
  const { goals } = answers;
  return (
    <div className="grid gap-5">
      <ul aria-label="Goals">
        {GOAL_IDS.map((id) => (
          <TickRow
            key={id}
            words={GOALS[id]}
            on={goals.includes(id)}
            toggle={() => change({ goals: goals.includes(id) ? goals.filter((each) => each !== id) : [...goals, id] })}
          />
        ))}
      </ul>
      <TextField
        label="In their own words"
        hint="What the hands are for: a practice, a job, a date to be ready for"
        value={answers.discipline}
        error={faultAt('/discipline')}
        onChange={(event) => change({ discipline: event.target.value })}
      />
    </div>
  );
}

/** Who it is: what the norms and the mechanics need. */
export function PersonStep({ athlete, answers, change, faultAt }: StepProps) {
  const { person } = answers;
  // What was not said now is as it is on record.
  const onFile = { ...athlete, ...person };
  const set = (next: Partial<typeof person>) => change({ person: { ...person, ...next } });
  return (
    <div className="grid gap-4">
      <div>
        <span className="mb-1 block text-small font-semibold">Dominant hand</span>
        <Segments
          label="Dominant hand"
          options={HANDS}
          words={capital}
          chosen={onFile.dominantHand}
          choose={(dominantHand) => set({ dominantHand })}
        />
      </div>
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Date of birth"
          type="date"
          value={onFile.birthDate ?? ''}
          error={faultAt('/person/birthDate')}
          onChange={(event) => set({ birthDate: event.target.value || null })}
        />
        <SelectField
          label="Sex (for norms)"
          value={onFile.sex}
          onChange={(event) => set({ sex: event.target.value as (typeof SEXES)[number] })}
        >
          {SEXES.map((sex) => (
            <option key={sex}>{sex}</option>
          ))}
        </SelectField>
        <NumberField
          label={`Height, ${unitOf('cm')}`}
          metric="cm"
          value={onFile.statureCm}
          change={(statureCm) => set({ statureCm })}
          error={faultAt('/person/statureCm') && limitText(BODY_LIMITS.statureCm)}
        />
        <NumberField
          label={`Weight, ${unitOf('kg')}`}
          metric="kg"
          value={onFile.massKg}
          change={(massKg) => set({ massKg })}
          error={faultAt('/person/massKg') && limitText(BODY_LIMITS.massKg)}
        />
        <NumberField
          label="Hand use, hours per day"
          value={answers.handHours}
          change={(handHours) => change({ handHours })}
          error={faultAt('/handHours')}
        />
        <NumberField
          label="Training, years"
          value={answers.trainingYears}
          change={(trainingYears) => change({ trainingYears })}
          error={faultAt('/trainingYears')}
        />
      </div>
    </div>
  );
}

/** How much time there is, and which things. */
export function TimeStep({ athlete, answers, change, faultAt }: StepProps) {
  const { person } = answers;
  return (
    <div className="grid gap-5">
      <div className="grid grid-cols-2 gap-4">
        <NumberField
          label="Minutes per session"
          value={answers.minutes}
          change={(minutes) => change({ minutes })}
          error={faultAt('/minutes')}
        />
        <NumberField
          label="Days per week"
          value={answers.daysPerWeek}
          change={(daysPerWeek) => change({ daysPerWeek })}
          error={faultAt('/daysPerWeek')}
        />
      </div>
      <div>
        <span className="mb-1.5 block text-small font-semibold">Equipment</span>
        <TickChips
          label="Equipment"
          options={EQUIPMENT}
          words={(thing) => thing}
          chosen={person.equipment ?? athlete.equipment}
          change={(equipment) => change({ person: { ...person, equipment } })}
        />
      </div>
    </div>
  );
}
