import {
  amountLimit,
  amountOf,
  type Dose,
  doseAs,
  DOSE_LIMITS,
  type Level,
  type Limit,
  type Movement,
  obeysEffort,
  type SidePlan,
  workOf,
  type WorkKind,
  UNIT_OF,
  USUAL_TEMPO,
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
      {movement.work.length > 1 && (
        <Choice
          name="counted in"
          value={kind}
          options={movement.work.map((each): [WorkKind, string] => [each, UNIT_OF[each]])}
          set={(next) => onChange(doseAs(dose, movement, level, next))}
        />
      )}
      <Stepper name="sets" value={dose.sets} limit={DOSE_LIMITS.sets} set={(sets) => onChange({ ...dose, sets })} />
      <Stepper
        name={UNIT_OF[kind]}
        value={amountOf(dose.work)}
        limit={amountLimit(kind)}
        step={kind === 'time' ? 5 : 1}
        set={(amount) => onChange({ ...dose, work: workOf(kind, amount) })}
      />
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
      {kind === 'repetitions' && <Tempo dose={dose} level={level} onChange={onChange} />}
      {movement.sides.length > 1 && (
        <Choice
          name="hands"
          value={dose.sides}
          options={movement.sides
            .filter((plan) => plan !== 'alternating' || kind === 'repetitions')
            .map((plan): [SidePlan, string] => [plan, plan.replaceAll('-', ' ')])}
          set={(sides) => onChange({ ...dose, sides })}
        />
      )}
      {movement.directions && (
        <Choice
          name="directions"
          value={dose.directions}
          options={[
            ['each', 'both'],
            ['first', movement.directions[0]],
            ['second', movement.directions[1]],
          ]}
          set={(directions) => onChange({ ...dose, directions })}
        />
      )}
    </div>
  );
}

function withHold({ holdS: _old, ...dose }: Dose, holdS: number): Dose {
  return holdS > 0 ? { ...dose, holdS } : dose;
}

/** Seconds of the way out, of the hold at its end, and of the way back; what is not set goes at the level's own pace. */
function Tempo({ dose, level, onChange }: Pick<Props, 'dose' | 'level' | 'onChange'>) {
  const tempo = dose.tempo ?? level.dose.tempo ?? USUAL_TEMPO;
  const { tempoS } = DOSE_LIMITS;
  return (
    <>
      <Stepper
        name="out, s"
        value={tempo.outS}
        limit={tempoS}
        step={1}
        set={(outS) => onChange({ ...dose, tempo: { ...tempo, outS } })}
      />
      <Stepper
        name="hold, s"
        value={dose.holdS ?? 0}
        limit={{ ...DOSE_LIMITS.holdS, min: 0 }}
        step={1}
        set={(holdS) => onChange(withHold(dose, holdS))}
      />
      <Stepper
        name="back, s"
        value={tempo.backS}
        limit={tempoS}
        step={1}
        set={(backS) => onChange({ ...dose, tempo: { ...tempo, backS } })}
      />
    </>
  );
}

interface ChoiceProps<T extends string> {
  name: string;
  value: T;
  options: readonly (readonly [T, string])[];
  set: (value: T) => void;
}

function Choice<T extends string>({ name, value, options, set }: ChoiceProps<T>) {
  return (
    <label className="text-small">
      <span className="block text-ink-soft">{name}</span>
      <select
        className="h-8 max-w-36 border border-ink/45 bg-white px-1 text-body"
        value={value}
        onChange={(event) => {
          const chosen = options.find(([key]) => key === event.target.value);
          if (chosen) set(chosen[0]);
        }}
      >
        {options.map(([key, label]) => (
          <option key={key} value={key}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
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
