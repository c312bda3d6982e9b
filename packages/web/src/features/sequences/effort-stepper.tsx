import { type Dose, DOSE_LIMITS, effortMeans, KILOGRAMS, type Level } from '@clay-pot/core';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** What it is of, beside the number. */
const NAMES = {
  pressed: 'effort, %',
  'finds the load': 'effort that finds the load, %',
  kept: 'hand kept at, %',
  pushed: 'push back, %',
} as const;
const STEP = 5;

/** The effort of a dose; none where the level does without. Of an effort and the kilograms that it finds the later one stands. */
export function EffortStepper({ dose, level, onChange }: Props) {
  const means = effortMeans(level);
  if (means === null) return null;
  const { effortPercent, load, ...rest } = dose;
  const isPressed = means === 'pressed';
  function set(percent: number) {
    if (percent <= 0) {
      onChange({ ...rest, ...(load && { load }) });
      return;
    }
    const kept = Object.fromEntries(Object.entries(load ?? {}).filter(([name]) => means !== 'finds the load' || !KILOGRAMS.some((kg) => kg === name))); // prettier-ignore
    onChange({ ...rest, effortPercent: percent, ...(Object.keys(kept).length > 0 && { load: kept }) });
  }
  return (
    <Stepper
      name={NAMES[means]}
      value={effortPercent ?? 0}
      limit={{ ...DOSE_LIMITS.effortPercent, min: isPressed ? STEP : 0 }}
      step={STEP}
      unset={effortPercent === undefined}
      set={set}
    />
  );
}
