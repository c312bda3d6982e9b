import {
  type Dose,
  effortMeans,
  isKilograms,
  type Level,
  lowered,
  type Movement,
  OWN_LOADS,
  type OwnLoadName,
  ownLoadsOf,
  ownValueOf,
  withOwnSet,
} from '@clay-pot/core';
import { X } from 'lucide-react';
import { IconButton } from '../../ui/button.js';
import { Stepper } from './stepper.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** One press of a stepper, where the smallest step would take an evening. */
const STEPS: Partial<Record<OwnLoadName, number>> = { massKg: 0.5, bandKg: 0.5, handleMm: 5, pinchMm: 5, wedgeDeg: 5, handHeightM: 0.05, awayM: 0.05 }; // prettier-ignore
/** Where a level says nothing, a stepper begins here. */
const BEGINS: Partial<Record<OwnLoadName, number>> = { awayM: 0.9 };

/** What a dose sets over the level's own load: in grey as the level has it, until somebody sets it. A weight that the effort finds is told beside the picture. */
export function OwnLoadSteppers({ dose, movement, level, onChange }: Props) {
  const isFound = dose.effortPercent !== undefined && effortMeans(level) === 'finds the load';
  const may = ownLoadsOf(level, movement).filter((name) => !isFound || !isKilograms(name));
  return may.map((name) => {
    const { label, limit } = OWN_LOADS[name];
    const own = dose.load?.[name];
    const usual = ownValueOf(level, name) ?? BEGINS[name] ?? limit.min;
    return (
      <div key={name} className="flex items-end">
        <Stepper
          name={`${lowered(label)}, ${limit.unit}`}
          value={own ?? Math.round(usual * 100) / 100}
          limit={limit}
          step={STEPS[name] ?? limit.step}
          unset={own === undefined}
          set={(value) => onChange(withOwnSet(dose, name, value))}
        />
        {own !== undefined && (
          <IconButton
            name={`${label}: as the level has it`}
            className="h-8 w-6!"
            onClick={() => onChange(withOwnSet(dose, name, null))}
          >
            <X size={14} />
          </IconButton>
        )}
      </div>
    );
  });
}
