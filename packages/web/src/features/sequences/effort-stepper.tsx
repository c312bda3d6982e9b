import { type Dose, DOSE_LIMITS, effortMeans, type Level, withEffortSet } from '@clay-pot/core';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** What it is of, beside the number. */
const NAMES = {
  pressed: 'effort, %',
  'finds the load': 'effort that sets the load, %',
  kept: 'grip held at, %',
  pushed: 'push back, %',
} as const;
const STEP = 5;

/** The effort of a dose; none where the level does without. Of an effort and the kilograms for it the later edit counts. */
export function EffortStepper({ dose, level, onChange }: Props) {
  const means = effortMeans(level);
  if (means === null) return null;
  const { effortPercent } = dose;
  const isPressed = means === 'pressed';
  return (
    <Stepper
      name={NAMES[means]}
      value={effortPercent ?? 0}
      limit={{ ...DOSE_LIMITS.effortPercent, min: isPressed ? STEP : 0 }}
      step={STEP}
      unset={effortPercent === undefined}
      set={(percent) => onChange(withEffortSet(dose, level, percent > 0 ? percent : null))}
    />
  );
}
