import {
  amountLimit,
  amountOf,
  type Dose,
  DOSE_LIMITS,
  type Level,
  type Limit,
  type Movement,
  obeysEffort,
  type SidePlan,
  workOf,
  UNIT_OF,
} from '@clay-pot/core';
import { Minus, Plus } from 'lucide-react';
import { IconButton } from '../../ui/button.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** The parts of a dose as steppers and choices, for hands that would rather not type. */
export function DoseSteppers({ dose, movement, level, onChange }: Props) {
  const { kind } = dose.work;
  const effort = obeysEffort(level) ? dose.effortPercent : undefined;
  return (
    <div className="flex flex-wrap items-end gap-x-2.5 gap-y-2">
      <Stepper name="sets" value={dose.sets} limit={DOSE_LIMITS.sets} set={(sets) => onChange({ ...dose, sets })} />
      <Stepper
        name={UNIT_OF[kind]}
        value={amountOf(dose.work)}
        limit={amountLimit(kind)}
        step={kind === 'time' ? 5 : 1}
        set={(amount) => onChange({ ...dose, work: workOf(kind, amount) })}
      />
      {kind === 'repetitions' && (
        <Stepper
          name="hold, s"
          value={dose.holdS ?? 0}
          limit={{ ...DOSE_LIMITS.holdS, min: 0 }}
          step={1}
          set={(holdS) => onChange(withHold(dose, holdS))}
        />
      )}
      {effort !== undefined && (
        <Stepper
          name="effort, %"
          value={effort}
          limit={DOSE_LIMITS.effortPercent}
          step={5}
          set={(effortPercent) => onChange({ ...dose, effortPercent })}
        />
      )}
      <Stepper
        name="rest, s"
        value={dose.restS}
        limit={DOSE_LIMITS.restS}
        step={5}
        set={(restS) => onChange({ ...dose, restS })}
      />
      {movement.sides.length > 1 && (
        <label className="text-small">
          <span className="block text-ink-soft">hands</span>
          <select
            className="h-8 w-28 border border-ink/45 bg-white px-1 text-body"
            value={dose.sides}
            onChange={(event) => onChange({ ...dose, sides: event.target.value as SidePlan })}
          >
            {movement.sides
              .filter((plan) => plan !== 'alternating' || kind === 'repetitions')
              .map((plan) => (
                <option key={plan} value={plan}>
                  {plan.replaceAll('-', ' ')}
                </option>
              ))}
          </select>
        </label>
      )}
    </div>
  );
}

function withHold({ holdS: _old, ...dose }: Dose, holdS: number): Dose {
  return holdS > 0 ? { ...dose, holdS } : dose;
}

interface StepperProps {
  name: string;
  value: number;
  limit: Limit;
  step?: number;
  set: (value: number) => void;
}

function Stepper({ name, value, limit, step = limit.step, set }: StepperProps) {
  const clamp = (next: number) => Math.min(limit.max, Math.max(limit.min, next));
  return (
    <div role="group" aria-label={name} className="text-small">
      <span className="block text-ink-soft">{name}</span>
      <div className="flex items-center border border-ink/45 bg-white">
        <IconButton
          name={`Fewer ${name}`}
          className="h-[30px] w-7!"
          disabled={value <= limit.min}
          onClick={() => set(clamp(value - step))}
        >
          <Minus size={14} />
        </IconButton>
        <output className="min-w-7 text-center text-body font-semibold figures">{value}</output>
        <IconButton
          name={`More ${name}`}
          className="h-[30px] w-7!"
          disabled={value >= limit.max}
          onClick={() => set(clamp(value + step))}
        >
          <Plus size={14} />
        </IconButton>
      </div>
    </div>
  );
}
