import { STUDY_LIMITS, type StudyQuestion } from '@clay-pot/core';
import { useState } from 'react';
import { useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { SelectField, TextField } from '../../ui/field.js';
import { Page } from '../../ui/page.js';
import { StudyResult } from './study-result.js';
import { useStudy } from './use-study.js';
import { MovementField } from '../../domain/movement/movement-choice.js';

type Settings = Omit<StudyQuestion, 'movement' | 'methods'>;
const USUAL: Settings = {
  ...{ athletes: 1000, seed: 20261128, weeks: 12 },
  ...{ sessionsPerStep: null, daysPerStep: null, sessionsPerWeek: null, easierEvery: 4 },
};
const FIRST_MOVEMENT = 'strength.palm-lift';
/** Only what loads has doses that grow. */
const FAMILIES: readonly string[] = ['planted-strength', 'bearing-holds', 'isometrics', 'free-weights', 'grip', 'edge-work', 'hangs'];

const FIELDS = [
  { key: 'sessionsPerStep', label: 'Progress after clean sessions' },
  { key: 'daysPerStep', label: 'Progress at most once in days' },
  { key: 'easierEvery', label: 'Deload every (0: never)' },
  { key: 'weeks', label: 'Weeks' },
  { key: 'athletes', label: 'Athletes' },
] as const;
type Field = (typeof FIELDS)[number]['key'];
/** What may be left to each method. */
const METHODS_OWN: readonly Field[] = ['sessionsPerStep', 'daysPerStep'];

/** What if more came sooner, or later: athletes who do not exist go through weeks by each method. */
export default function SimulationPage() {
  const { shelf, methods, movement: lookup } = useStudioLibrary();
  const [movementId, setMovementId] = useState(FIRST_MOVEMENT);
  const [settings, setSettings] = useState(USUAL);
  const { run, cancel, forget, share, error, done } = useStudy();
  const movement = lookup(movementId);
  const faultOf = (key: Field): string | undefined => {
    const { min, max } = STUDY_LIMITS[key];
    const value = settings[key];
    if (value === null) return undefined;
    return Number.isInteger(value) && value >= min && value <= max ? undefined : `A whole number from ${min} to ${max}`;
  };
  const isWrong = FIELDS.some(({ key }) => faultOf(key) !== undefined);
  const choices = shelf.filter(({ family, ladder }) => FAMILIES.includes(family) && ladder.length > 2);
  return (
    <Page
      title="Simulate progression rules"
      lead="Invented athletes with different strength, recovery and thresholds train for weeks by the rules behind the suggestions. It compares rules; it doesn’t predict any one person."
    >
      <form
        className="grid gap-x-4 gap-y-3 sm:grid-cols-3 lg:grid-cols-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (movement && !isWrong) void run({ movement, methods, ...settings });
        }}
      >
        <MovementField label="Movement" movements={choices} value={movementId} choose={setMovementId} />
        {FIELDS.map(({ key, label }) => (
          <TextField
            key={key}
            label={label}
            type="number"
            inputMode="numeric"
            error={faultOf(key)}
            placeholder={METHODS_OWN.includes(key) ? 'as in the method' : undefined}
            value={Number.isNaN(settings[key]) ? '' : (settings[key] ?? '')}
            onChange={({ target: { value, valueAsNumber } }) =>
              setSettings({ ...settings, [key]: value === '' && METHODS_OWN.includes(key) ? null : valueAsNumber })
            }
          />
        ))}
        <SelectField
          label="Sessions per week"
          value={settings.sessionsPerWeek ?? ''}
          onChange={({ target }) => setSettings({ ...settings, sessionsPerWeek: target.value ? Number(target.value) : null })}
        >
          <option value="">as often as the method trains</option>
          {[1, 2, 3, 4, 5, 6, 7].map((count) => (
            <option key={count}>{count}</option>
          ))}
        </SelectField>
        <div className="flex items-end gap-2">
          <Button type="submit" kind="primary" disabled={share !== null || isWrong || !movement}>
            Run simulation
          </Button>
          {share !== null && <Button onClick={cancel}>Cancel</Button>}
        </div>
      </form>
      {share !== null && (
        <p className="mt-3 text-small" role="status">
          <progress className="mr-2 w-48 align-middle accent-ink" value={share} aria-label="Progress" />
          {Math.round(100 * share)} %
        </p>
      )}
      {error && (
        <p role="alert" className="mt-3 border-l-4 border-iron bg-iron-wash px-3 py-2">
          {error}
        </p>
      )}
      {done.length === 0 && share === null && (
        <p className="mt-8 border-b border-line py-6 text-ink-soft">
          Run it once, change one setting, and run it again: both results stay below each other, with the same people.
        </p>
      )}
      {done.map((study, index) => (
        <StudyResult key={done.length - index} study={study} forget={() => forget(study)} />
      ))}
    </Page>
  );
}
